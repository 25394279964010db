/** What a row of the sheet says, and what its line does. */
import {
  describeTerm,
  formatCount,
  textToShow,
  unusualMarks,
  type Mend,
  ROLE_NAMES,
} from '@even-lantern/core';
import type { LeftOut, Rehearsal, Review, ReviewOwnLine, StrategyEffects } from '@even-lantern/contract';
import { MessageSquare, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { EffectText } from '../checks/ChecksPane.js';
import type { ShownFinding } from '../checks/useChecks.js';
import { lineNames, type SheetGroup, type SheetRow } from '../lines/sheetLines.js';

/** From this share of a lane’s records, a term brings nearly all of it. */
const NEARLY_ALL = 0.9;

/** What the line says, as shortly as may be: a term as it is searched where that is not the usual. */
export function What({
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
      <span className={`font-mono text-[0.8125rem] ${line === null ? 'quiet' : ''}`}>{text}</span>
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
      <span className="font-mono text-[0.8125rem]">{text}</span>{' '}
      <span className="quiet">{unusualMarks(content).join(', ')}</span>
    </>
  );
}

export function Role({ own }: { own: ReviewOwnLine }) {
  return <span className="quiet">{own.on ? ROLE_NAMES[own.role] : 'switched off'}</span>;
}

/** What a term brings that no other of its lane does; for an own line, what part it takes. */
export function Adds({
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
        className="h-2 shrink-0 rounded-sm bg-[var(--bar-headings)]"
        style={{ width: `${Math.max(3, (48 * adds) / most)}px` }}
      />
      {nearlyAll && <span className="text-warning font-bold">nearly all</span>}
    </span>
  );
}

/** What the whole loses, or would gain, without the line. */
export function Without({
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

/** That a second person said something of the line. */
export function OpenComments({ number }: { number: number }) {
  if (number === 0) return null;
  return (
    <span className="ml-2 inline-flex items-baseline gap-1 text-xs font-normal">
      <MessageSquare className="h-3 w-3 self-center" aria-hidden="true" />
      {number}
      <span className="sr-only">{number === 1 ? 'comment' : 'comments'} open</span>
    </span>
  );
}

/** A warning at its line, with the likeliest mend. */
export function FoundHere({
  finding: { message, mends, effects },
  whole,
  onMend,
}: {
  finding: ShownFinding;
  whole: number | null;
  onMend: (mend: Mend, text: string) => Promise<void>;
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
export function KeptAmong({ left: { records, kept } }: { left: LeftOut }) {
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
