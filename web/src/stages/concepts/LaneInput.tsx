import { parsePhrase, type TermContent } from '@even-lantern/core';
import type { NewConcept } from '@even-lantern/contract';
import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useHeldOrder } from '../../review/useHeldOrder.js';
import { useLasting } from '../../review/useLasting.js';
import { isSure, useLookup } from '../../review/useLookup.js';
import { useReview } from '../../review/useReview.js';
import { useShelf } from '../../review/useShelf.js';
import { useSettled } from '../../review/useSettled.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { useTermEdits } from '../../review/useTermEdits.js';
import { GIVE_UP_AFTER_MS, isClause, useClause } from './useClause.js';
import { HeadingOffer, LaneOffer, NO_DATABASE, WordsOffer } from './LaneOffer.js';
import type { Offer } from './offers.js';

const COUNT_AFTER_MS = 150;

/** A phrase that is still being typed is not wrong yet. */
const TELL_AFTER_MS = 300;

/** Type a word or a clause: the headings it leads to and the words themselves are offered, with counts. */
export function LaneInput({ lane }: { lane: ReviewLane }) {
  const { database } = useReview();
  const { add } = useTermEdits();
  const { make } = useShelf();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const typed = text.trim();
  const { own, others, pending } = useClause(typed, lane);
  const query = own ?? typed;
  const hits = useLookup(query);
  const vocabulary = database?.vocabulary?.id ?? '';
  const phrase = useMemo(() => parsePhrase(query), [query]);
  const found = useMemo((): Offer[] => {
    if (typed === '' || hits === null || pending) return [];
    const words: Offer[] = phrase.ok ? [{ kind: 'words', text: query }] : [];
    const headings = hits.map((hit): Offer => ({ kind: 'heading', hit }));
    const here = hits.filter((hit) => hit.vocabulary === vocabulary);
    const sure = isClause(query) ? here.length : here.filter(isSure).length;
    return [...headings.slice(0, sure), ...words, ...others, ...headings.slice(sure)];
  }, [typed, query, others, pending, hits, phrase, vocabulary]);
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
      if (made !== null) setText(query); // what belongs to this lane is still to be added
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
                  typed={query}
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
