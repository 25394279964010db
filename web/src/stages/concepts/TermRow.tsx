import { useReview } from '../../review/useReview.js';
import { useDraggable } from '@dnd-kit/core';
import { describeTerm, formatCount, unusualMarks, type Settled } from '@even-lantern/core';
import type { ReviewTerm, TermCount } from '@even-lantern/contract';
import { Signpost, TriangleAlert } from 'lucide-react';
import { useSettledHere } from '../../review/useCrosswalk.js';
import { useVocabularies } from '../../review/useVocabulary.js';
import { onKeys } from '../../parts/keys/useKey.js';
import { Count, useMovedFrom } from '../../parts/Count.js';
import { useRoominess } from './roominess.js';
import { useTermEdits } from '../../review/useTermEdits.js';

interface TermRowProps {
  term: ReviewTerm;
  count: TermCount | undefined;
  laneHits: number | null;
  stale: boolean;
  selected: boolean;
  onSelect: () => void;
}

/** One term: its text, how it is searched, what it finds, and what it adds to the lane. */
export function TermRow({ term, count, laneHits, stale, selected, onSelect }: TermRowProps) {
  const { text, marks } = describeTerm(term.content);
  const { roomy } = useRoominess();
  const { remove } = useTermEdits();
  const here = useSettledHere(term.content);
  const place = useVocabularies().find(
    ({ id }) => term.content.kind === 'heading' && id === term.content.vocabulary,
  );
  /** what stands beside the term: why it is held back, or how it is searched where that is not the usual */
  const details =
    term.heldBack !== null
      ? [term.heldBack]
      : [...(roomy ? [] : unusualMarks(term.content)), ...(here === null ? [] : saidHere(here))];
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: term.id });
  const moved = useMovedFrom(count?.hits ?? null) !== null;
  const { database } = useReview();
  // Where a person asks, a count that is missing is nothing gone wrong.
  const awaited = database?.reached === 'hand' && count?.hits === null;
  const error = count?.error ?? null;
  const adds = count?.adds ?? null;
  const awaitsCount = awaited && adds === null;
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      data-term={term.id}
      className={`${isDragging ? 'opacity-40' : ''} rule -mx-3 border-b border-l-[3px] ${moved ? 'border-l-accent bg-[var(--live)]' : selected ? 'bg-base-300 border-l-base-content' : 'border-l-transparent'}`}
    >
      <button
        className={`block w-full cursor-pointer pr-3 pl-[9px] text-left ${roomy ? 'py-1.5' : 'py-[3px]'}`}
        aria-pressed={selected}
        title={roomy ? undefined : marks.join(', ')}
        onClick={onSelect}
        onKeyDown={onKeys({ 'concepts.remove': () => void remove(term) })}
      >
        <span className="flex items-baseline justify-between gap-2">
          <span
            className={`min-w-0 flex-1 break-words ${roomy ? '' : 'leading-snug'} ${term.heldBack === null ? '' : 'quiet'} ${term.content.kind === 'words' ? 'font-mono text-[0.78125rem] @max-[190px]:text-[0.71875rem]' : ''}`}
          >
            <span className={term.heldBack === null ? '' : 'line-through'}>{text}</span>
            {!roomy && <span className="quiet font-sans text-xs"> {details.join(', ')}</span>}
            {!roomy && count?.hits === 0 && <b className="problem font-sans text-xs"> finds nothing</b>}
            {!roomy && awaitsCount && <span className="quiet font-sans text-xs"> not entered</span>}
          </span>
          {!roomy && adds !== null && count?.hits !== 0 && (
            <span className="quiet count hidden text-xs whitespace-nowrap @min-[190px]:inline">
              <span className="sr-only">adds </span>
              {formatCount(adds)}
            </span>
          )}
          <span className={`${stale ? 'quiet' : ''} ${roomy ? '' : 'min-w-9'} text-right`}>
            {term.heldBack === null && <Count hits={count?.hits ?? null} error={error} />}
          </span>
        </span>
        {roomy && (
          <span className="quiet flex justify-between gap-2 text-xs">
            <span>{[...(term.heldBack === null ? marks : []), ...details].join(', ')}</span>
            <span className="count whitespace-nowrap">
              {count?.hits === 0 ? (
                <b className="problem">finds nothing</b>
              ) : adds === null ? (
                awaitsCount && 'not entered'
              ) : (
                `adds ${formatCount(adds)}`
              )}
            </span>
          </span>
        )}
        {error !== null && here?.kind === 'open' && (
          <span className="mt-1 flex gap-1 text-xs">
            <Signpost className="h-3.5 w-3.5 shrink-0" aria-hidden="true" />{' '}
            {place === undefined ? '' : `Of the ${place.name}. `}Say what stands for it here to search it.
          </span>
        )}
        {error !== null && here?.kind !== 'open' && !awaited && (
          <span className="problem mt-1 flex gap-1 text-xs" role="alert">
            <TriangleAlert className="h-3.5 w-3.5 shrink-0" aria-label="Trouble" /> {error}
          </span>
        )}
        {error === null && term.heldBack === null && (
          <AddsBar hits={count?.hits ?? 0} adds={adds ?? 0} of={laneHits ?? 0} />
        )}
      </button>
    </li>
  );
}

/** What a heading of another vocabulary is in the database at hand. */
function saidHere(here: Settled): string[] {
  switch (here.kind) {
    case 'open':
      return [];
    case 'headings':
      return [`here ${here.labels.join(' or ')}`];
    case 'words':
      return ['here its names as words'];
  }
}

/** Of the lane's records: what only this term finds, what it finds with others, and the rest. */
function AddsBar({ hits, adds, of }: { hits: number; adds: number; of: number }) {
  const share = (value: number) => `${of === 0 ? 0 : (100 * value) / of}%`;
  return (
    <span
      className="mt-0.5 flex h-[3px] overflow-hidden rounded-full bg-[var(--bar-rest)]"
      aria-hidden="true"
    >
      <span style={{ width: share(adds), background: 'var(--bar-adds)' }} />
      <span style={{ width: share(hits - adds), background: 'var(--bar-hits)' }} />
    </span>
  );
}
