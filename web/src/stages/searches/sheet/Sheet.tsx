import type { LineKey, Mend } from '@even-lantern/core';
import type { Rehearsal, Review, StrategyEffects } from '@even-lantern/contract';
import { PenLine, TriangleAlert } from 'lucide-react';
import type { KeyboardEvent, ReactNode } from 'react';
import { lanesOfReview } from '../../../review/lanes.js';
import { Count } from '../../../parts/Count.js';
import { ElementTile } from '../../../parts/ElementTile.js';
import { SortableList, SortableRow } from '../../../parts/Sortable.js';
import { focusNeighbour } from '../../../parts/keys/focusNeighbour.js';
import type { ShownFinding } from '../checks/useChecks.js';
import { Adds, FoundHere, KeptAmong, OpenComments, Role, What, Without } from './rowParts.js';
import { LinesFor } from './LinesFor.js';
import { sheetGroups, type SheetGroup, type SheetRow } from '../lines/sheetLines.js';

/** More warnings than this at one line are told beside it only. */
const MOST_TOLD = 2;

interface SheetProps {
  review: Review;
  rehearsal: Rehearsal;
  /** undefined until they come */
  effects: StrategyEffects | undefined;
  /** the lines that somebody wrote by hand for this database */
  written: ReadonlySet<LineKey>;
  selected: LineKey | null;
  stale: boolean;
  /** lines that are chosen to be joined; null while none are */
  chosen: readonly LineKey[] | null;
  /** what checks found, by line */
  findings: ReadonlyMap<LineKey, ShownFinding[]>;
  /** how many comments of a peer review are open on each line */
  comments: ReadonlyMap<string, number>;
  /** errors of lines are told elsewhere where a person asks the database */
  byHand: boolean;
  onSelect: (key: LineKey) => void;
  onChoose: (key: LineKey) => void;
  /** whether effects are being counted */
  countingEffects: boolean;
  /** asks for effects that are not counted by themselves, since the strategy is large */
  onCountAll: () => void;
  onMend: (mend: Mend, text: string) => Promise<void>;
  /** keys pressed on an own line */
  onOwnKey: (row: SheetRow, event: KeyboardEvent) => void;
  /** an own line was dragged before another one; null for the end */
  onMoveOwn: (id: string, before: string | null) => void;
}

/** The numbered lines of one database, with what each finds and does. */
export function Sheet(props: SheetProps) {
  const { review, rehearsal, effects, countingEffects, onCountAll } = props;
  const lanes = lanesOfReview(review);
  const groups = sheetGroups(rehearsal.lines, review.ownLines, lanes);
  const most = Math.max(1, ...Object.values(rehearsal.terms).map(({ adds }) => adds ?? 0));
  return (
    <div>
      {effects !== undefined && effects.uncounted > 0 && (
        <p className="quiet flex items-center gap-3 pb-1 text-sm">
          {countingEffects ? (
            'Counting what each line does to the whole …'
          ) : (
            <>
              The strategy is large, so the program counts what each line does to the whole only when you ask.
              <button className="btn btn-quiet btn-xs" onClick={onCountAll}>
                Count it
              </button>
            </>
          )}
        </p>
      )}
      <LinesFor review={review} />
      <div role="grid" aria-label="Lines" className="@container -mt-6">
        <div role="row" className="quiet flex min-h-6 items-end gap-3 pr-2 pl-2 text-xs font-bold">
          <span role="columnheader" className="sr-only">
            Line
          </span>
          <span className="flex-1" />
          <span role="columnheader" className="hidden w-24 @lg:block">
            adds to its lane
          </span>
          <span role="columnheader" className="hidden w-24 text-right @lg:block">
            whole without it
          </span>
          <span role="columnheader" className="w-20 text-right">
            hits
          </span>
        </div>
        {groups.map((group) => (
          <div key={group.id} role="rowgroup" className="contents">
            <Rows {...props} group={group} most={most} />
          </div>
        ))}
      </div>
    </div>
  );
}

/** The rows of a group. Own lines can be dragged to another place among themselves. */
function Rows(props: SheetProps & { group: SheetGroup; most: number }) {
  const { group, onMoveOwn } = props;
  const { rows } = group;
  const own = rows.flatMap((row) => (row.own === null ? [] : [row.own.id]));
  const sorted = own.length > 1;
  const shown = (row: SheetRow, grip: ReactNode = null) => (
    <div key={row.key} role="row" onKeyDown={focusNeighbour}>
      {!sorted && row === rows[0] && <GroupHead group={group} />}
      <div role="gridcell" className="relative">
        {grip !== null && <span className="absolute top-1 -left-5">{grip}</span>}
        <Row {...props} row={row} />
      </div>
    </div>
  );
  if (!sorted) return rows.map((row) => shown(row));
  return (
    <SortableList ids={own} onMove={onMoveOwn}>
      <div role="row">
        <GroupHead group={group} />
      </div>
      {rows.map((row) =>
        row.own === null ? (
          shown(row)
        ) : (
          <SortableRow
            key={row.key}
            id={row.own.id}
            name={row.line === null ? 'line' : `L${row.line.number}`}
          >
            {(grip) => shown(row, grip)}
          </SortableRow>
        ),
      )}
    </SortableList>
  );
}

const HEADS: Readonly<Record<SheetGroup['kind'], [name: string, about: string]>> = {
  lane: ['', ''],
  own: ['Own lines', 'written once for all databases'],
  whole: ['All concepts', ''],
  limits: ['Limits', ''],
  looking: ['Looking at the whole', 'counted, and no part of what is run'],
};

function GroupHead({ group: { kind, lane } }: { group: SheetGroup }) {
  const [name, about] = HEADS[kind];
  return (
    <div role="gridcell" className="flex items-center gap-2 pt-3 pb-1 font-bold">
      {lane !== null && <ElementTile element={lane.element?.key ?? null} />}
      {lane?.name ?? name}
      {lane?.leftOut === true && <span className="quiet font-normal">left out</span>}
      {about !== '' && <span className="quiet font-normal">{about}</span>}
    </div>
  );
}

function Row({
  group,
  row,
  review,
  rehearsal,
  effects,
  written,
  selected,
  stale,
  chosen,
  findings,
  comments,
  byHand,
  most,
  onMend,
  onSelect,
  onChoose,
  onOwnKey,
}: SheetProps & { group: SheetGroup; row: SheetRow; most: number }) {
  const { key, line, own } = row;
  const isSelected = selected === key;
  const joins = line !== null && (line.kind === 'lane' || line.kind === 'whole' || line.kind === 'limit');
  const problem = rehearsal.problems.find((each) => each.line === key);
  const isChosen = chosen?.includes(key) ?? false;
  const left = effects?.leftOut[key];
  const warnings = (findings.get(key) ?? [])
    // What is thrown away stands at the line anyway.
    .filter(({ check }) => check !== 'throws-away' || left === undefined)
    .filter(({ weight, accepted }) => weight === 'warning' && accepted === null)
    .slice(0, MOST_TOLD);
  return (
    <>
      <button
        className={`rule flex w-full cursor-pointer items-baseline gap-3 border-b border-l-[3px] px-2 py-1 text-left ${
          joins ? 'bg-base-300 font-bold' : ''
        } ${isSelected ? 'border-l-base-content' : 'border-l-transparent'}`}
        aria-pressed={chosen === null ? isSelected : isChosen}
        data-line={key}
        onClick={() => (chosen === null ? onSelect(key) : line !== null && onChoose(key))}
        onFocus={({ target }) => {
          // By keys the lines are looked through one after the other.
          if (chosen === null && target.matches(':focus-visible')) onSelect(key);
        }}
        onKeyDown={(event) => {
          if (own !== null && chosen === null) onOwnKey(row, event);
        }}
      >
        {chosen !== null && (
          <span
            aria-hidden="true"
            className={`rule inline-block h-3.5 w-3.5 shrink-0 self-center rounded-sm border ${isChosen ? 'bg-base-content' : ''} ${line === null ? 'opacity-30' : ''}`}
          />
        )}
        <span className="quiet w-9 shrink-0 font-mono text-xs font-normal">
          {line === null ? (own?.on === false ? 'off' : '–') : `L${line.number}`}
        </span>
        <span className="line-clamp-3 min-w-0 flex-1 break-words" title={line?.description}>
          {written.has(key) && <PenLine className="mr-1 inline h-3.5 w-3.5" aria-label="Written by hand:" />}
          <What row={row} review={review} rehearsal={rehearsal} written={written.has(key)} />
          <OpenComments number={comments.get(key) ?? 0} />
          {own !== null && (
            <span className="block text-xs font-normal @lg:hidden">
              <Role own={own} /> <Without row={row} rehearsal={rehearsal} effects={effects} />
            </span>
          )}
        </span>
        <span className="hidden w-24 shrink-0 text-xs font-normal @lg:block">
          <Adds row={row} group={group} rehearsal={rehearsal} most={most} />
        </span>
        <span className="hidden w-24 shrink-0 text-right text-xs font-normal @lg:block">
          <Without row={row} rehearsal={rehearsal} effects={effects} />
        </span>
        <span className={`w-20 shrink-0 text-right ${stale ? 'quiet' : ''}`}>
          {line !== null && <Count hits={line.hits} error={line.error} />}
        </span>
      </button>
      {own !== null && own.note !== '' && <p className="quiet pl-14 text-xs">{own.note}</p>}
      {left !== undefined && <KeptAmong left={left} />}
      {line !== null && line.changes.length > 0 && (
        <p className="quiet pl-14 text-xs first-letter:uppercase">{line.changes.join('; ')}</p>
      )}
      {warnings.map((finding) => (
        <FoundHere key={finding.key} finding={finding} whole={rehearsal.whole.hits} onMend={onMend} />
      ))}
      {problem !== undefined && own !== null && warnings.length === 0 && (
        <p className="problem flex gap-1 pl-14 text-xs">
          <TriangleAlert className="mt-0.5 h-3 w-3 shrink-0" aria-hidden="true" />
          {problem.message}
        </p>
      )}
      {line !== null && line.error !== null && !byHand && (
        <p className="problem pl-14 text-xs">{line.error}</p>
      )}
    </>
  );
}
