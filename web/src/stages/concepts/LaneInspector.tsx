import { describeTerm } from '@even-lantern/core';
import type { LaneEvent } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Columns3 } from 'lucide-react';
import { problemOf } from '../../review/api/api.js';
import { laneApi } from '../../review/api/laneApi.js';
import type { ReviewLane } from '../../review/lanes.js';
import { Inspector } from '../../parts/Inspector.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { LaneActions } from './LaneActions.js';
import { PasteList } from './PasteList.js';

/** Beside the lanes: a whole lane, to name, split and join, to paste a list into, and with its history. */
export function LaneInspector({
  lane,
  onClose,
  onAcross,
  onSelect,
}: {
  lane: ReviewLane;
  onClose: () => void;
  onAcross: () => void;
  /** shows another lane, or none */
  onSelect: (id: string | null) => void;
}) {
  return (
    <Inspector label="Lane" over="Lane" title={lane.name} onClose={onClose}>
      <button className="btn btn-sm btn-quiet self-start" onClick={onAcross}>
        <Columns3 className="h-4 w-4" aria-hidden="true" /> Side by side in all vocabularies
      </button>
      <LaneActions key={lane.kept.name} lane={lane} onSelect={onSelect} />
      <PasteList lane={lane} />
      <History lane={lane} />
    </Inspector>
  );
}

function History({ lane }: { lane: ReviewLane }) {
  const { data, error } = laneApi.useHistoryQuery(lane.id);
  return (
    <section>
      <h3 className="small-head">What was done in this lane</h3>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {data?.length === 0 && <p className="quiet">Nothing yet.</p>}
      <ol className="flex flex-col gap-1.5 pt-1">
        {[...(data ?? [])].reverse().map((event, i) => (
          <li key={i}>
            <HistoryStep event={event} />
          </li>
        ))}
      </ol>
    </section>
  );
}

function HistoryStep({ event: { at, person, what, content, before, reason } }: { event: LaneEvent }) {
  const { text, marks } = describeTerm(content);
  const earlier = before === null ? null : describeTerm(before);
  return (
    <>
      <p>
        <b>{what}</b> {text} <span className="quiet">({marks.join(', ')})</span>
        {reason !== null && <>: {reason}</>}
      </p>
      {earlier !== null && (
        <p className="quiet text-xs">
          before: {earlier.text} ({earlier.marks.join(', ')})
        </p>
      )}
      <p className="quiet text-xs">
        {format(new Date(at), 'd MMM yyyy HH:mm')}, {person}
      </p>
    </>
  );
}
