import type { TermContent } from '@even-lantern/core';
import type { LookupHeading, TermCount } from '@even-lantern/contract';
import { useCombobox } from 'downshift';
import { useEffect, useState } from 'react';
import { api, problemOf } from '../../app/api.js';
import type { ReviewLane } from '../../app/lanes.js';
import { useReview } from '../../app/useReview.js';
import { formatCount } from '../../parts/Count.js';
import { useTermEdits } from './useTermEdits.js';

const LOOK_UP_AFTER_MS = 120;

type Offer = { kind: 'heading'; offer: LookupHeading } | { kind: 'words'; text: string; count: TermCount };

/** Type a word: the headings it leads to and the word itself are offered, with counts. */
export function LaneInput({ lane }: { lane: ReviewLane }) {
  const { review, database } = useReview();
  const { add } = useTermEdits();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const settled = useSettled(text.trim(), LOOK_UP_AFTER_MS);
  const skip = settled === '' || database === null;
  const { data, error } = api.useLookUpQuery(
    { database: database?.id ?? '', text: settled, review: review.id, lane: lane.id },
    { skip },
  );
  const answer = skip || data?.text !== settled ? undefined : data;
  const offers: Offer[] =
    answer === undefined
      ? []
      : [
          ...answer.headings.filter(isSure).map((offer): Offer => ({ kind: 'heading', offer })),
          ...(answer.words.error === null || answer.words.hits !== null
            ? [{ kind: 'words', text: answer.text, count: answer.words } as const]
            : []),
          ...answer.headings
            .filter((offer) => !isSure(offer))
            .map((offer): Offer => ({ kind: 'heading', offer })),
        ];

  const take = async (offer: Offer) => {
    const content: TermContent =
      offer.kind === 'heading'
        ? {
            kind: 'heading',
            vocabulary: database?.vocabulary?.id ?? '',
            label: offer.offer.heading.label,
            narrower: true,
            central: false,
            subheadings: [],
          }
        : { kind: 'words', text: offer.text, field: 'words', near: null };
    const failed = await add(lane.id, content, offer.kind === 'heading' ? 'lookup' : 'typed');
    setTrouble(failed);
    if (failed === null) setText('');
  };

  const combobox = useCombobox<Offer>({
    items: offers,
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
  const problem =
    trouble ??
    (answer?.words.error != null && answer.words.hits === null ? answer.words.error : null) ??
    (error === undefined || skip ? null : problemOf(error).title);
  const open = combobox.isOpen && settled !== '' && text.trim() !== '';

  return (
    <div className="relative px-3 pt-2 pb-1">
      <input
        {...combobox.getInputProps({
          onChange: (event) => {
            setText(event.currentTarget.value);
            setTrouble(null);
          },
          onKeyDown: (event) => {
            if (event.key === 'Enter' && text.trim() === '')
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
            ? 'rule bg-base-100 rounded-box absolute right-3 left-3 z-20 mt-1 max-h-96 min-w-64 overflow-auto border shadow-lg'
            : 'hidden'
        }
      >
        {open &&
          offers.map((offer, index) => (
            <div
              key={offer.kind === 'heading' ? offer.offer.heading.label : 'words'}
              {...combobox.getItemProps({ item: offer, index })}
              className={`rule cursor-pointer border-b px-3 py-2 ${combobox.highlightedIndex === index ? 'bg-base-300' : ''}`}
            >
              {offer.kind === 'heading' ? (
                <HeadingOffer offer={offer.offer} />
              ) : (
                <WordsOffer text={offer.text} count={offer.count} />
              )}
            </div>
          ))}
      </div>
    </div>
  );
}

/** Headings that the typed word names outright come before the word itself, likely ones after it. */
function isSure({ reason }: LookupHeading): boolean {
  return reason === 'same label' || reason === 'entry term';
}

function HeadingOffer({ offer: { heading, reason, matched, count } }: { offer: LookupHeading }) {
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <b>{heading.label}</b>
        <Numbers count={count} />
      </span>
      <span className="quiet block text-xs">
        Heading, with narrower
        {reason !== 'same label' && matched !== heading.label && `; used for “${matched}”`}
      </span>
      {heading.scopeNote !== '' && <span className="block text-xs">{heading.scopeNote}</span>}
    </>
  );
}

function WordsOffer({ text, count }: { text: string; count: TermCount }) {
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

function Numbers({ count: { hits, adds } }: { count: TermCount }) {
  return (
    <span className="count text-xs whitespace-nowrap">
      {hits === null ? '—' : formatCount(hits)}
      {adds !== null && <span className="quiet"> adds {formatCount(adds)}</span>}
    </span>
  );
}

/** A value once it has stayed the same for a while. */
function useSettled(value: string, afterMs: number): string {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}
