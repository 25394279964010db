import { CHECKS, formatCount, type LineKey, type Mend } from '@even-lantern/core';
import type { MendEffect } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Circle, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { checkApi } from '../../../review/api/checkApi.js';
import { useReview } from '../../../review/useReview.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import type { LineNames } from '../lines/sheetLines.js';
import type { Checks, ShownFinding } from './useChecks.js';

const HEAD = 'checks';

/** Brings the checks into sight, and the keyboard to the first thing that can be done there. */
export function goToChecks() {
  const head = document.getElementById(HEAD);
  head?.scrollIntoView({ block: 'start' });
  (head?.parentElement?.querySelector('button') ?? head)?.focus();
}

interface ChecksPaneProps {
  checks: Checks;
  names: LineNames;
  /** the line whose findings come first */
  selected: LineKey | null;
  onGo: (at: LineKey) => void;
  onMend: (mend: Mend, text: string) => Promise<void>;
}

/** All that checks find, that of the line at hand first; what is let stand comes last, with its reason. */
export function ChecksPane({ checks, names, selected, onGo, onMend }: ChecksPaneProps) {
  const { findings, whole, uncounted, countMore } = checks;
  const open = findings?.filter(({ accepted }) => accepted === null) ?? [];
  const accepted = findings?.filter((finding) => finding.accepted !== null) ?? [];
  const order = ({ at, weight }: ShownFinding) => (at === selected ? 0 : 2) + (weight === 'warning' ? 0 : 1);
  const inOrder = [...open].sort((a, b) => order(a) - order(b));
  const item = (finding: ShownFinding) => (
    <FindingItem key={finding.key} {...{ finding, names, whole, onGo, onMend }} />
  );
  return (
    <section aria-label="Checks" className="flex flex-col">
      <h2 className="small-head flex justify-between gap-2" tabIndex={-1} id={HEAD}>
        Checks{' '}
        <span className="text-base-content font-normal">
          {findings === null ? 'looking …' : `${open.length} open · ${accepted.length} accepted`}
        </span>
      </h2>
      {findings !== null && open.length === 0 && (
        <p className="quiet">The checks find nothing to mend in this strategy.</p>
      )}
      <ul>{inOrder.map(item)}</ul>
      {uncounted > 0 && (
        <button className="btn btn-quiet btn-xs mt-1 self-start" onClick={countMore}>
          Count {formatCount(uncounted)} more possible changes
        </button>
      )}
      {accepted.length > 0 && (
        <details>
          <summary className="quiet cursor-pointer py-1">{accepted.length} accepted</summary>
          <ul>{accepted.map(item)}</ul>
        </details>
      )}
    </section>
  );
}

interface FindingItemProps {
  finding: ShownFinding;
  names: LineNames;
  whole: number | null;
  onGo: (at: LineKey) => void;
  onMend: (mend: Mend, text: string) => Promise<void>;
}

function FindingItem({ finding, names, whole, onGo, onMend }: FindingItemProps) {
  const { check, at, message, weight, mends, effects, accepted } = finding;
  const { review } = useReview();
  const [asksReason, setAsksReason] = useState(false);
  const [reason, setReason] = useState('');
  const [accept] = checkApi.useAcceptFindingMutation();
  const kind = CHECKS.find(({ id }) => id === check);
  const number = names.numberOf(at);
  const send = async (why: string | null) => {
    const { detail } = finding;
    const body = { check, at, detail, message };
    const answer = await accept({ review: review.id, body: { ...body, reason: why } });
    if (answer.data === undefined) {
      const { title, errors = [] } = problemOf(answer.error);
      toast.error(errors[0]?.message ?? title);
      return;
    }
    setAsksReason(false);
    setReason('');
  };
  return (
    <li className="rule flex flex-col gap-1 border-b py-2" data-check={check}>
      <p className="flex items-baseline gap-2">
        {weight === 'warning' ? (
          <TriangleAlert className="text-error h-3.5 w-3.5 shrink-0 self-center" aria-label="Warning:" />
        ) : (
          <Circle className="quiet h-3 w-3 shrink-0 self-center" aria-label="Hint:" />
        )}
        <span className="flex-1 font-bold">{kind?.name ?? check}</span>
        <button className="link font-mono text-xs" onClick={() => onGo(at)}>
          {number === null ? 'go there' : `L${number}`}
        </button>
      </p>
      <p className="text-sm">
        {message}{' '}
        <GuideLink to={`searches#checks`} label={`Why: ${kind?.about ?? ''} More in the guide`}>
          why
        </GuideLink>
      </p>
      {accepted !== null ? (
        <p className="quiet text-xs">
          Accepted by {accepted.acceptedBy}, {format(new Date(accepted.acceptedAt), 'd MMM yyyy')}: “
          {accepted.reason}”{' '}
          <button className="link" onClick={() => void send(null)}>
            no longer
          </button>
        </p>
      ) : (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-xs">
          {mends.map(({ text, mend }, i) => (
            <span key={text}>
              <button className="link" onClick={() => void onMend(mend, text)}>
                {text}
              </button>
              <EffectText effect={effects[i]} whole={whole} />
            </span>
          ))}
          {!asksReason && (
            <button className="link" onClick={() => setAsksReason(true)}>
              let it stand
            </button>
          )}
        </div>
      )}
      {asksReason && accepted === null && (
        <form
          className="flex gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            void send(reason);
          }}
        >
          <input
            className="input input-sm min-w-0 flex-1"
            aria-label="Why it may stand"
            placeholder="why it may stand"
            value={reason}
            maxLength={1000}
            autoFocus
            onChange={({ target }) => setReason(target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setAsksReason(false);
            }}
          />
          <button className="btn btn-sm btn-primary" disabled={reason.trim() === ''}>
            Accept
          </button>
        </form>
      )}
    </li>
  );
}

/** What a mend would do, in records. */
export function EffectText({
  effect,
  whole,
}: {
  effect: MendEffect | null | undefined;
  whole: number | null;
}) {
  if (effect === null) return <span className="quiet"> no longer fits</span>;
  if (effect === undefined) return null;
  const { place } = effect;
  const here = place.before === null || place.after === null ? null : place.after - place.before;
  const all = effect.whole === null || whole === null ? null : effect.whole - whole;
  const parts = [
    ...(here === null ? [] : [`here ${signed(here)}`]),
    ...(all === null ? [] : [`whole ${signed(all)}`]),
  ];
  return parts.length === 0 ? null : <span className="quiet"> {parts.join(', ')}</span>;
}

function signed(by: number): string {
  if (by === 0) return '±0';
  return by < 0 ? `−${formatCount(-by)}` : `+${formatCount(by)}`;
}
