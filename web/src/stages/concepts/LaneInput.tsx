import { parsePhrase, type LookupHit, type TermContent } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';
import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { problemOf } from '../../app/api.js';
import type { ReviewLane } from '../../app/lanes.js';
import { useCandidates } from '../../app/useCandidates.js';
import { useHeldOrder } from '../../app/useHeldOrder.js';
import { useLasting } from '../../app/useLasting.js';
import { isSure, useLookup, type PlacedHit } from '../../app/useLookup.js';
import { useReview } from '../../app/useReview.js';
import { useSettled } from '../../app/useSettled.js';
import { useVocabularies } from '../../app/useVocabulary.js';
import { headingContent, wordsContent } from './headingContent.js';
import { Numbers } from './Numbers.js';
import { useTermEdits } from './useTermEdits.js';

const COUNT_AFTER_MS = 150;
const GIVE_UP_AFTER_MS = 1500;
const NO_DATABASE =
  'The database does not answer, so nothing new can be counted now. What you add is kept, and counted when it answers.';
/** A phrase that is still being typed is not wrong yet. */
const TELL_AFTER_MS = 300;

type Offer = { kind: 'heading'; hit: PlacedHit } | { kind: 'words'; text: string };

/** Type a word or a clause: the headings it leads to and the words themselves are offered, with counts. */
export function LaneInput({ lane }: { lane: ReviewLane }) {
  const { database } = useReview();
  const { add } = useTermEdits();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const typed = text.trim();
  const hits = useLookup(typed);
  const vocabulary = database?.vocabulary?.id ?? '';
  const phrase = useMemo(() => parsePhrase(typed), [typed]);
  const found = useMemo((): Offer[] => {
    if (typed === '' || hits === null) return [];
    const words: Offer[] = phrase.ok ? [{ kind: 'words', text: typed }] : [];
    const headings = hits.map((hit): Offer => ({ kind: 'heading', hit }));
    const own = hits.filter((hit) => hit.vocabulary === vocabulary);
    const sure = isClause(typed) ? own.length : own.filter(isSure).length;
    return [...headings.slice(0, sure), ...words, ...headings.slice(sure)];
  }, [typed, hits, phrase, vocabulary]);
  const offers = useHeldOrder(found, keyOfOffer, typed);
  const contents = useMemo(() => offers.map(contentOf), [offers]);
  const settled = useSettled(contents, COUNT_AFTER_MS);
  const { counts, error } = useCandidates(settled, { laneId: lane.id });
  const counted = settled === contents ? counts : undefined;
  const unfinished = useSettled(typed === '' || phrase.ok ? null : phrase.error.message, TELL_AFTER_MS);

  const take = async (offer: Offer) => {
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
                  typed={typed}
                  count={counted?.[index]}
                  foreign={offer.hit.vocabulary !== vocabulary}
                />
              ) : (
                <WordsOffer text={offer.text} count={counted?.[index]} />
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

function keyOfOffer(offer: Offer): string {
  return offer.kind === 'heading' ? `${offer.hit.vocabulary}/${offer.hit.heading.label}` : 'words';
}

function contentOf(offer: Offer): TermContent {
  return offer.kind === 'heading'
    ? headingContent(offer.hit.vocabulary, offer.hit.heading.label)
    : wordsContent(offer.text);
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

/** Why a heading is offered. */
export function reasonInWords({ reason, matched, heading }: LookupHit, typed: string): string {
  switch (reason) {
    case 'same label':
      return 'this is its name';
    case 'entry term':
      return `“${typed}” is no heading, this is used for “${matched}”`;
    case 'part of a label':
      return 'part of its name';
    case 'part of an entry term':
      return `used for “${matched}”`;
    case 'words of the scope note':
      return 'its scope note says so';
    case 'likely misspelling':
      return matched === heading.label ? 'the spelling is close' : `the spelling is close to “${matched}”`;
  }
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
