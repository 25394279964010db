import { parsePhrase, type ProposedConcept, type TermContent } from '@even-lantern/core';
import type { NewConcept, TermCount } from '@even-lantern/contract';
import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import type { ReviewLane } from '../../review/lanes.js';
import { laneOfConcept } from '../../review/conceptLanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useHeldOrder } from '../../review/useHeldOrder.js';
import { useLasting } from '../../review/useLasting.js';
import { isSure, useLookup, type PlacedHit } from '../../review/useLookup.js';
import { useReview } from '../../review/useReview.js';
import { useShelf } from '../../review/useShelf.js';
import { useTakenApart } from '../../review/useTakenApart.js';
import { useSettled } from '../../review/useSettled.js';
import { useTrees, useVocabularies, useVocabulary } from '../../review/useVocabulary.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { reasonInWords } from '../../review/lookupReasons.js';
import { Numbers } from '../../review/Numbers.js';
import { useTermEdits } from '../../review/useTermEdits.js';

const COUNT_AFTER_MS = 150;
const GIVE_UP_AFTER_MS = 1500;
const NO_DATABASE =
  'The database does not answer, so new terms cannot be counted now. What you add is kept and counted later.';
/** A phrase that is still being typed is not wrong yet. */
const TELL_AFTER_MS = 300;

type Offer =
  | { kind: 'heading'; hit: PlacedHit }
  | { kind: 'words'; text: string }
  /** another concept of the clause, which is joined with AND and so needs a lane of its own */
  | { kind: 'lane'; concept: ProposedConcept; vocabulary: string };

/** Type a word or a clause: the headings it leads to and the words themselves are offered, with counts. */
export function LaneInput({ lane }: { lane: ReviewLane }) {
  const { database } = useReview();
  const { add } = useTermEdits();
  const { make } = useShelf();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const typed = text.trim();
  const { own, others, pending } = useClause(typed, lane);
  const meant = own ?? typed;
  const hits = useLookup(meant);
  const vocabulary = database?.vocabulary?.id ?? '';
  const phrase = useMemo(() => parsePhrase(meant), [meant]);
  const found = useMemo((): Offer[] => {
    if (typed === '' || hits === null || pending) return [];
    const words: Offer[] = phrase.ok ? [{ kind: 'words', text: meant }] : [];
    const headings = hits.map((hit): Offer => ({ kind: 'heading', hit }));
    const here = hits.filter((hit) => hit.vocabulary === vocabulary);
    const sure = isClause(meant) ? here.length : here.filter(isSure).length;
    return [...headings.slice(0, sure), ...words, ...others, ...headings.slice(sure)];
  }, [typed, meant, others, pending, hits, phrase, vocabulary]);
  const offers = useHeldOrder(found, keyOfOffer, typed);
  const contents = useMemo(() => offers.map(contentOf), [offers]);
  const settled = useSettled(contents, COUNT_AFTER_MS);
  const { counts, error } = useCandidates(settled, { laneId: lane.id });
  const counted = settled === contents ? counts : undefined;
  const unfinished = useSettled(typed === '' || phrase.ok ? null : phrase.error.message, TELL_AFTER_MS);

  const take = async (offer: Offer) => {
    if (offer.kind === 'lane') {
      const made = await make({
        concepts: [{ elementId: lane.element?.id ?? null, ...conceptTerms(offer) }],
        texts: [],
      });
      if (made !== null) setText(meant); // what belongs to this lane is still to be added
      return;
    }
    const failed = await add(lane.id, contentOf(offer), offer.kind === 'heading' ? 'lookup' : 'typed');
    setTrouble(failed);
    if (failed === null) setText('');
  };

  const combobox = useCombobox<Offer>({
    items: [...offers],
    inputValue: text,
    selectedItem: null,
    defaultHighlightedIndex: 0,
    itemToString: () => text,
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) void take(selectedItem);
    },
    stateReducer: (_state, { type, changes }) =>
      // Leaving the input adds nothing, and what was typed stays until it has been added or taken back.
      type === useCombobox.stateChangeTypes.InputBlur
        ? { ...changes, selectedItem: null, inputValue: text }
        : changes,
  });
  // At first the database is not known yet; only when that lasts does it not answer.
  const unanswered = useLasting(database === null || database.state === 'away', GIVE_UP_AFTER_MS);
  const failed = unanswered ? NO_DATABASE : error === undefined ? null : problemOf(error).title;
  const problem = trouble ?? (typed === '' ? null : (unfinished ?? failed));
  const open = combobox.isOpen && typed !== '';

  return (
    <div className="relative px-3 pt-2 pb-1">
      <input
        {...combobox.getInputProps({
          onChange: (event) => {
            setText(event.currentTarget.value);
            setTrouble(null);
          },
          onKeyDown: (event) => {
            if (event.key === 'Enter' && typed === '')
              setTrouble('This term is empty. Write a word or a phrase.');
          },
        })}
        data-lane-input
        aria-label={`Add a heading or words to the lane ${lane.name}`}
        aria-invalid={problem !== null}
        className="input w-full"
        placeholder="Add a heading or words …"
      />
      {problem !== null && (
        <p role="alert" className="problem pt-1 text-xs">
          {problem}
        </p>
      )}
      <div
        {...combobox.getMenuProps({ 'aria-label': 'What this leads to' })}
        className={
          open && offers.length > 0
            ? 'rule bg-base-100 rounded-box absolute right-3 left-3 z-20 mt-1 max-h-96 min-w-72 overflow-auto border shadow-lg'
            : 'hidden'
        }
      >
        {open &&
          offers.map((offer, index) => (
            <div
              key={keyOfOffer(offer)}
              {...combobox.getItemProps({ item: offer, index })}
              className={`rule cursor-pointer border-b px-3 py-2 ${combobox.highlightedIndex === index ? 'bg-base-300' : ''}`}
            >
              {offer.kind === 'heading' ? (
                <HeadingOffer
                  hit={offer.hit}
                  typed={meant}
                  count={counted?.[index]}
                  foreign={offer.hit.vocabulary !== vocabulary}
                />
              ) : offer.kind === 'words' ? (
                <WordsOffer text={offer.text} count={counted?.[index]} />
              ) : (
                <LaneOffer concept={offer.concept} count={counted?.[index]} />
              )}
            </div>
          ))}
      </div>
    </div>
  );
}

/** Nobody searches for a whole clause as a phrase; it is typed to be led to a heading. */
function isClause(typed: string): boolean {
  return typed.split(/\s+/).length > 3;
}

const NO_OFFERS: Offer[] = [];
const NO_TEXTS: readonly string[] = [];

/**
 * Where what is typed holds several concepts: the one that belongs to the lane, and the others, which do not.
 * @returns `own` null where it is one concept, or none
 */
function useClause(
  typed: string,
  lane: ReviewLane,
): { own: string | null; others: Offer[]; pending: boolean } {
  const { review } = useReview();
  const texts = useMemo(() => (mayHoldSeveral(typed) ? [typed] : NO_TEXTS), [typed]);
  const answer = useTakenApart(texts);
  const ids = useMemo(() => (answer === null ? [] : [answer.vocabulary]), [answer]);
  const tree = useTrees(ids).get(answer?.vocabulary ?? '') ?? null;
  const pending = useVocabulary() !== null && texts.length > 0 && answer === null;
  const parts = useMemo(() => {
    const concepts = answer?.taken[0]?.concepts ?? [];
    if (answer === null || concepts.length < 2) return { own: null, others: NO_OFFERS };
    const { vocabulary } = answer;
    const placed = concepts.map((concept) => ({
      concept,
      in: laneOfConcept(review, concept, vocabulary, tree)?.id ?? null,
    }));
    const open = placed.filter((each) => each.in === null);
    const own =
      placed.find((each) => each.in === lane.id) ??
      open.find(({ concept }) => concept.headings.length > 0) ??
      open[0];
    const others = placed
      .filter((each) => each !== own && each.in === null)
      .map(({ concept }): Offer => ({ kind: 'lane', concept, vocabulary }));
    return { own: own?.concept.text ?? null, others };
  }, [answer, review, lane.id, tree]);
  return { ...parts, pending };
}

/** Quotation marks and brackets say that somebody means just these words. */
function mayHoldSeveral(typed: string): boolean {
  return typed.split(/\s+/).length > 1 && !/["()*?]/.test(typed);
}

function conceptTerms({
  concept,
  vocabulary,
}: Extract<Offer, { kind: 'lane' }>): Omit<NewConcept, 'elementId'> {
  const headings = concept.headings.map(({ label }) => headingContent(vocabulary, label));
  const words = concept.words.map((text) => wordsContent(text));
  return {
    name: concept.text,
    terms: [
      ...headings.map((content) => ({ content, origin: 'lookup' as const })),
      ...words.map((content) => ({ content, origin: 'proposed' as const })),
    ],
  };
}

function keyOfOffer(offer: Offer): string {
  switch (offer.kind) {
    case 'heading':
      return `${offer.hit.vocabulary}/${offer.hit.heading.label}`;
    case 'words':
      return 'words';
    case 'lane':
      return `lane/${offer.concept.text}`;
  }
}

function contentOf(offer: Offer): TermContent {
  switch (offer.kind) {
    case 'heading':
      return headingContent(offer.hit.vocabulary, offer.hit.heading.label);
    case 'words':
      return wordsContent(offer.text);
    case 'lane':
      return conceptTerms(offer).terms[0]?.content ?? wordsContent(offer.concept.text);
  }
}

/** A part of the clause that is joined with AND: it becomes a lane, never an alternative in this one. */
function LaneOffer({ concept, count }: { concept: ProposedConcept; count: TermCount | undefined }) {
  const terms = [...concept.headings.map(({ label }) => label), ...concept.words];
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <b>A lane of its own: {concept.text}</b>
        <Numbers count={count === undefined ? undefined : { ...count, adds: null }} />
      </span>
      <span className="quiet block text-xs">Another concept, joined with AND: {terms.join(', ')}</span>
    </>
  );
}

function HeadingOffer({
  hit,
  typed,
  count,
  foreign,
}: {
  hit: PlacedHit;
  typed: string;
  count: TermCount | undefined;
  /** whether it is of another vocabulary than the database at hand has */
  foreign: boolean;
}) {
  const { heading } = hit;
  const place = useVocabularies().find(({ id }) => id === hit.vocabulary)?.name;
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <b>{heading.label}</b>
        {!(foreign && count?.error != null) && <Numbers count={count} />}
      </span>
      <span className="quiet block text-xs">
        {foreign ? `Heading of the ${place ?? hit.vocabulary}` : 'Heading'}, with narrower;{' '}
        {reasonInWords(hit, typed)}
      </span>
      {heading.scopeNote !== '' && <span className="block text-xs">{heading.scopeNote}</span>}
    </>
  );
}

function WordsOffer({ text, count }: { text: string; count: TermCount | undefined }) {
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <span className="font-mono text-[12.5px] break-all">{text}</span>
        <Numbers count={count} />
      </span>
      <span className="quiet block text-xs">Words in title, abstract, keywords</span>
    </>
  );
}
