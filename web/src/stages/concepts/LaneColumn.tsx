import { useDroppable } from '@dnd-kit/core';
import { searchedTerms } from '@even-lantern/core';
import type { Rehearsal } from '@even-lantern/contract';
import type { ReviewLane } from '../../review/lanes.js';
import { Ellipsis } from 'lucide-react';
import { Count } from '../../parts/Count.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { LaneBar } from './LaneBar.js';
import { LaneInput } from './LaneInput.js';
import { useRoominess } from './roominess.js';
import { TermRow } from './TermRow.js';

interface LaneColumnProps {
  lane: ReviewLane;
  counts: Rehearsal | undefined;
  /** whether newer counts are on their way or cannot be had */
  stale: boolean;
  selectedTerm: string | null;
  onSelect: (termId: string) => void;
  /** shows the lane itself beside the lanes */
  onSelectLane: () => void;
}

/** The workspace of one concept: its headings, then its words, and the total at the foot. */
export function LaneColumn({ lane, counts, stale, selectedTerm, onSelect, onSelectLane }: LaneColumnProps) {
  const { setNodeRef, isOver } = useDroppable({ id: lane.id });
  const { roomy } = useRoominess();
  const total = counts?.lanes[lane.id];
  const groups = [
    { name: 'Headings', terms: searchedTerms(lane).filter(({ content }) => content.kind === 'heading') },
    { name: 'Words', terms: searchedTerms(lane).filter(({ content }) => content.kind === 'words') },
    { name: 'Held back', terms: lane.terms.filter(({ heldBack }) => heldBack !== null) },
  ];
  return (
    <section
      ref={setNodeRef}
      aria-label={`Lane: ${lane.name}`}
      className={`${isOver ? 'outline-2' : ''} rule rounded-box bg-base-100 ${roomy ? 'min-w-[13.75rem]' : 'min-w-[9.5rem]'} @container flex min-h-0 flex-1 flex-col border max-md:min-w-[16.25rem] md:max-w-[26.25rem]`}
    >
      <h2 className="flex items-center gap-1.5 px-3 pt-3 leading-tight font-bold">
        <ElementTile element={lane.element?.key ?? null} />
        <span className="line-clamp-2 flex-1" title={lane.name}>
          {lane.name}
        </span>
        {lane.leftOut && <span className="problem text-xs font-bold whitespace-nowrap">left out</span>}
        <button
          className="btn btn-ghost btn-xs btn-square"
          onClick={onSelectLane}
          aria-label={`More about the lane ${lane.name}`}
          title="Name, split, join, paste a list; history"
        >
          <Ellipsis className="h-4 w-4" />
        </button>
      </h2>
      <LaneInput lane={lane} />
      <div className="min-h-0 flex-1 overflow-y-auto px-3 cramped:min-h-fit cramped:overflow-visible">
        {lane.terms.length === 0 && (
          <p className="quiet py-4">
            This lane is empty. Type a word you know to see the heading it leads to and what the word itself
            finds.
          </p>
        )}
        {groups.map(({ name, terms }) =>
          terms.length === 0 ? null : (
            <div key={name} className="pt-2">
              <div className="small-head flex justify-between">
                <h3>{name}</h3>
                {name === 'Held back' ? (
                  <span>not searched</span>
                ) : (
                  <span className="flex gap-2">
                    {!roomy && <span className="hidden @min-[190px]:inline">adds</span>}
                    <span className="min-w-9 text-right">hits</span>
                  </span>
                )}
              </div>
              <ul>
                {terms.map((term) => (
                  <TermRow
                    key={term.id}
                    term={term}
                    count={counts?.terms[term.id]}
                    laneHits={total?.hits ?? null}
                    stale={stale}
                    selected={term.id === selectedTerm}
                    onSelect={() => onSelect(term.id)}
                  />
                ))}
              </ul>
            </div>
          ),
        )}
      </div>
      {total !== undefined && (
        <div className="px-3 pt-2">
          <LaneBar counts={total} />
        </div>
      )}
      <div className="rule mx-3 flex items-baseline justify-between gap-2 border-t py-3 text-[0.9375rem] font-bold">
        <span className="min-w-0 leading-tight">Any of these</span>
        {lane.terms.length === 0 ? (
          <span className="quiet text-sm font-normal">nothing yet</span>
        ) : (
          <Count hits={total?.hits ?? null} error={total?.error ?? null} />
        )}
      </div>
    </section>
  );
}
