import { formatCount } from '@even-lantern/core';
import { Rows3 } from 'lucide-react';
import { Fragment } from 'react';
import { useKey } from '../../parts/keys/useKey.js';
import { Link, useSearchParams } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { lanesOfReview } from '../../review/lanes.js';
import { useRehearsal } from '../../review/useRehearsal.js';
import { useReview } from '../../review/useReview.js';
import { Count } from '../../parts/Count.js';
import { NoDatabase } from '../../review/NoDatabase.js';
import { Shelf } from '../../review/Shelf.js';
import { RationedNote } from '../../review/RationedNote.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { LaneAcross } from './LaneAcross.js';
import { LaneColumn } from './LaneColumn.js';
import { NewLane } from './NewLane.js';
import { LanesMenu } from './LanesMenu.js';
import { LaneInspector } from './LaneInspector.js';
import { RoominessContext, useRoominessChoice } from './roominess.js';
import { TermDrag } from './TermDrag.js';
import { TermInspector } from './TermInspector.js';

/** The lanes side by side, with the combined count on the bridge between them. */
export function ConceptsStage() {
  const roominess = useRoominessChoice();
  const { review, database } = useReview();
  const { data: counts, error, isFetching, refetch } = useRehearsal();
  const [params, setParams] = useSearchParams();
  const lanes = lanesOfReview(review);
  const selected = lanes.flatMap((lane) => lane.terms).find(({ id }) => id === params.get('term'));
  const laneOfSelected = lanes.find(({ id }) => id === selected?.laneId);
  const shownLane = lanes.find(({ id }) => id === params.get('lane'));
  const across = lanes.find(({ id }) => id === params.get('across'));
  const select = (id: string | null, kind: 'term' | 'lane' | 'across' = 'term', hold = false) => {
    const next = new URLSearchParams(params);
    next.delete('term');
    next.delete('lane');
    next.delete('across');
    next.delete('hold');
    if (hold) next.set('hold', 'why');
    if (id !== null) next.set(kind, id);
    setParams(next, { replace: true });
  };
  useKey('concepts.type', () => document.querySelector<HTMLInputElement>('[data-lane-input]')?.focus());
  useKey('concepts.close', () => select(null));

  if (lanes.length === 0) {
    return (
      <div className="flex flex-col items-start gap-3 p-6">
        <h1 className="text-[1.0625rem] font-bold">Concepts</h1>
        <p>You do not search on any element yet. Each element that you search on has its lanes here.</p>
        <div className="flex gap-2">
          <Link className="btn btn-primary" to="../question" relative="path">
            Choose elements to search on
          </Link>
          <NewLane onMade={(id) => select(id, 'lane')} />
        </div>
      </div>
    );
  }
  return (
    <RoominessContext value={roominess}>
      <div className="flex h-full min-h-0 cramped:h-auto cramped:min-h-full">
        <div className="flex min-w-0 flex-1 flex-col gap-2 px-4 py-3">
          <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 max-md:justify-start">
            <div className="flex min-w-0 flex-1 items-baseline gap-3 max-md:basis-full">
              <h1 className="text-[1.0625rem] font-bold">Concepts</h1>
              <p className="quiet truncate max-md:hidden">
                In a lane OR, between lanes AND. Bars: <BarSign color="var(--bar-adds)" /> only this term,{' '}
                <BarSign color="var(--bar-hits)" /> others too.
              </p>
            </div>
            <NewLane onMade={(id) => select(id, 'lane')} />
            <button
              className="btn btn-xs btn-quiet"
              aria-pressed={roominess.roomy}
              onClick={roominess.toggle}
            >
              <Rows3 className="h-3.5 w-3.5" aria-hidden="true" /> Roomy rows
            </button>
            <LanesMenu />
            <p aria-live="polite" className="whitespace-nowrap">
              {isFetching && <span className="quiet pr-2 text-xs">counting …</span>}
              Together{' '}
              <b className="text-[1.1875rem]" data-testid="whole">
                <Count hits={counts?.whole.hits ?? null} />
              </b>{' '}
              records
              {counts !== undefined && counts.remains.hits !== counts.whole.hits && (
                <Link className="link pl-2 text-xs" to="../limits" relative="path">
                  {counts.remains.hits === null
                    ? 'limits not counted'
                    : `${formatCount(counts.remains.hits)} within limits`}
                </Link>
              )}
            </p>
          </div>
          <NoDatabase />
          {database !== null && (
            <RationedNote database={database} parts={[{ left: counts?.uncounted, isFetching, refetch }]} />
          )}
          {error !== undefined && (
            <ProblemNote problem={problemOf(error)}>
              <p>The counts below are from {counts === undefined ? 'nowhere yet' : 'before'}.</p>
              <button className="btn btn-sm btn-quiet mt-1" onClick={() => void refetch()}>
                Try again
              </button>
            </ProblemNote>
          )}
          {across !== undefined && <LaneAcross lane={across} onClose={() => select(null)} />}
          {across === undefined && (
            <TermDrag lanes={lanes} onHold={(id) => select(id, 'term', true)}>
              <div className="relative flex min-h-0 flex-1 overflow-x-auto pb-1 cramped:min-h-fit">
                {lanes.map((lane, i) => {
                  const bridge = counts?.bridges.find(({ afterLaneId }) => afterLaneId === lane.id);
                  return (
                    <Fragment key={lane.id}>
                      <LaneColumn
                        lane={lane}
                        counts={counts}
                        stale={isFetching || error !== undefined}
                        selectedTerm={selected?.id ?? null}
                        onSelect={(id) => select(id)}
                        onSelectLane={() => select(lane.id, 'lane')}
                      />
                      {i < lanes.length - 1 && (
                        <div
                          className="flex w-11 shrink-0 flex-col items-center pt-32 text-[0.8125rem]"
                          aria-label="Lanes so far, together"
                        >
                          <span
                            className={`${lanes[i + 1]?.leftOut === true ? 'problem font-bold' : 'quiet'} text-xs`}
                          >
                            {lanes[i + 1]?.leftOut === true ? 'NOT' : 'AND'}
                          </span>
                          <span className="rule w-full border-y py-1 text-center font-bold [&_.moved>span]:block">
                            {bridge === undefined ? '–' : <Count hits={bridge.hits} error={bridge.error} />}
                          </span>
                        </div>
                      )}
                    </Fragment>
                  );
                })}
              </div>
            </TermDrag>
          )}
          {across === undefined && review.shelf.length > 0 && <Shelf up />}
        </div>
        {selected !== undefined && laneOfSelected !== undefined && database !== null && (
          <TermInspector
            key={selected.id}
            term={selected}
            lane={laneOfSelected}
            askWhyHeld={params.get('hold') !== null}
            count={counts?.terms[selected.id]}
            onClose={() => select(null)}
          />
        )}
        {shownLane !== undefined && (
          <LaneInspector
            key={shownLane.id}
            lane={shownLane}
            onClose={() => select(null)}
            onAcross={() => select(shownLane.id, 'across')}
            onSelect={(id) => select(id, 'lane')}
          />
        )}
      </div>
    </RoominessContext>
  );
}

function BarSign({ color }: { color: string }) {
  return (
    <span className="inline-block h-2 w-3 rounded-sm" style={{ background: color }} aria-hidden="true" />
  );
}
