import {
  describeTerm,
  formatCount,
  textToShow,
  unusualMarks,
  type LineKey,
  type Mend,
} from '@even-lantern/core';
import type { LeftOut, Rehearsal, Review, ReviewOwnLine, StrategyEffects } from '@even-lantern/contract';
import { PenLine, TriangleAlert } from 'lucide-react';
import type { KeyboardEvent, ReactNode } from 'react';
import { lanesOfReview } from '../../../app/lanes.js';
import { Count } from '../../../parts/Count.js';
import { ElementTile } from '../../../parts/ElementTile.js';
import { focusNeighbour } from '../../../parts/focusNeighbour.js';
import { EffectText } from '../checks/ChecksPane.js';
import type { ShownFinding } from '../checks/useChecks.js';
import { lineNames, ROLE_TEXT, sheetGroups, type SheetGroup, type SheetRow } from './sheetLines.js';

/** From this share of a lane’s records, a term brings nearly all of it. */
const NEARLY_ALL = 0.9;
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
              The strategy is large, so what each line does to the whole is counted when you ask for it.
              <button className="btn btn-quiet btn-xs" onClick={onCountAll}>
                Count it
              </button>
            </>
          )}
        </p>
      )}
      <div role="grid" aria-label="Lines" className="@container">
        <div role="row" className="quiet flex items-end gap-3 pr-2 pl-2 text-xs font-bold">
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
            {group.rows.map((row, i) => (
              <div key={row.key} role="row" onKeyDown={focusNeighbour}>
                {i === 0 && <GroupHead group={group} />}
                <div role="gridcell">
                  <Row {...props} group={group} row={row} most={most} effects={effects} />
                </div>
              </div>
            ))}
          </div>
        ))}
      </div>
    </div>
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
  const told = (findings.get(key) ?? [])
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
      {told.map((finding) => (
        <FoundHere key={finding.key} finding={finding} whole={rehearsal.whole.hits} onMend={onMend} />
      ))}
      {problem !== undefined && own !== null && told.length === 0 && (
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

/** What the line says, as shortly as may be: a term as it is searched where that is not the usual. */
function What({
  row: { line, own },
  review,
  rehearsal,
  written,
}: {
  row: SheetRow;
  review: Review;
  rehearsal: Rehearsal;
  written: boolean;
}): ReactNode {
  if (own !== null && !written) {
    const text = textToShow(own.text, lineNames(rehearsal.lines).numberOf).trim();
    return text === '' ? (
      <i className="quiet">empty</i>
    ) : (
      <span className={`font-mono text-[13px] ${line === null ? 'quiet' : ''}`}>{text}</span>
    );
  }
  const term = review.lanes.flatMap(({ terms }) => terms).find(({ id }) => id === line?.termId);
  if (term === undefined || written || line?.kind !== 'term') return line?.description ?? '';
  const { content } = term;
  const { text, marks } = describeTerm(content);
  if (content.kind === 'heading') {
    return (
      <>
        {text} <span className="quiet">{marks.join(', ')}</span>
      </>
    );
  }
  return (
    <>
      <span className="font-mono text-[13px]">{text}</span>{' '}
      <span className="quiet">{unusualMarks(content).join(', ')}</span>
    </>
  );
}

function Role({ own }: { own: ReviewOwnLine }) {
  return <span className="quiet">{own.on ? ROLE_TEXT[own.role] : 'switched off'}</span>;
}

/** What a term brings that no other of its lane does; for an own line, what part it takes. */
function Adds({
  row: { line, own },
  group,
  rehearsal,
  most,
}: {
  row: SheetRow;
  group: SheetGroup;
  rehearsal: Rehearsal;
  most: number;
}): ReactNode {
  if (own !== null) return <Role own={own} />;
  if (line?.kind !== 'term' || line.termId === null) return null;
  const adds = rehearsal.terms[line.termId]?.adds ?? null;
  if (adds === null) return null;
  if (line.hits === 0) return <span className="text-warning font-bold">finds nothing</span>;
  if (adds === 0) return <span className="text-warning font-bold">adds nothing</span>;
  const ofLane = rehearsal.lanes[group.lane?.id ?? '']?.hits ?? null;
  const nearlyAll =
    ofLane !== null && group.rows.length > 2 && line.hits !== null && line.hits >= NEARLY_ALL * ofLane;
  return (
    <span className="flex items-center gap-2" title={nearlyAll ? 'Brings nearly all of its lane' : undefined}>
      <span className="count w-10 shrink-0 text-right">{formatCount(adds)}</span>
      <span
        aria-hidden="true"
        className="h-2 rounded-sm bg-[var(--bar-headings)]"
        style={{ width: `${Math.max(3, (48 * adds) / most)}px` }}
      />
      {nearlyAll && <span className="text-warning font-bold">nearly all</span>}
    </span>
  );
}

/** What the whole loses, or would gain, without the line. */
function Without({
  row: { key, line, own },
  rehearsal,
  effects,
}: {
  row: SheetRow;
  rehearsal: Rehearsal;
  effects: StrategyEffects | undefined;
}): ReactNode {
  if (line === null) return null;
  if (line.kind === 'lane') {
    const left = effects?.leftOut[key];
    if (left !== undefined) return <LeavesOut left={left} />;
    const without = rehearsal.without[line.laneId ?? ''];
    return without?.hits == null ? null : (
      <span className="quiet">
        without it <b className="text-base-content">{formatCount(without.hits)}</b>
      </span>
    );
  }
  const whole = effects?.whole.hits ?? null;
  if (effects === undefined || whole === null) return null;
  if (line.kind === 'term') {
    const without = effects.terms[line.termId ?? '']?.hits ?? null;
    if (without === null) return null;
    return <span className={without === whole ? 'quiet' : ''}>{difference(without - whole)}</span>;
  }
  if (own === null || own.role === 'looks') return null;
  const left = effects.leftOut[key];
  if (left !== undefined) return <LeavesOut left={left} />;
  const without = effects.own[own.id]?.hits ?? null;
  if (without === null) return null;
  return own.role === 'adds' ? (
    <b>{difference(whole - without)}</b>
  ) : (
    <span className="quiet">
      without it <b className="text-base-content">{formatCount(without)}</b>
    </span>
  );
}

function LeavesOut({ left: { records } }: { left: LeftOut }) {
  return records === null ? null : <b>{difference(-records)}</b>;
}

/** A warning at its line, with the likeliest mend. */
function FoundHere({
  finding: { message, mends, effects },
  whole,
  onMend,
}: {
  finding: ShownFinding;
  whole: number | null;
  onMend: SheetProps['onMend'];
}) {
  const [first] = mends;
  return (
    <p className="text-error flex gap-1 pl-14 text-xs">
      <TriangleAlert className="mt-0.5 h-3 w-3 shrink-0" aria-hidden="true" />
      <span>
        {message}
        {first !== undefined && (
          <>
            {' '}
            <button className="link" onClick={() => void onMend(first.mend, first.text)}>
              {first.text}
            </button>
            <EffectText effect={effects[0]} whole={whole} />
          </>
        )}
      </span>
    </p>
  );
}

/** Whether what is thrown away was wanted. */
function KeptAmong({ left: { records, kept } }: { left: LeftOut }) {
  if (kept === null || records === null || records === 0) return null;
  if (kept.length === 0) return <p className="text-success pl-14 text-xs">none of them was kept</p>;
  const [first] = kept;
  return (
    <p className="problem flex gap-1 pl-14 text-xs">
      <TriangleAlert className="mt-0.5 h-3 w-3 shrink-0" aria-hidden="true" />
      <span className="line-clamp-2">
        <b>{kept.length === 1 ? 'One of them was kept' : `${kept.length} of them were kept`}</b>
        {first !== undefined && `: ${first.title}`}
      </span>
    </p>
  );
}

function difference(by: number): string {
  if (by === 0) return '±0';
  return by < 0 ? `−${formatCount(-by)}` : `+${formatCount(by)}`;
}
