import { formatCount } from '@even-lantern/core';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { ProblemNote } from '../../parts/ProblemNote.js';
import type { RunState } from './useRun.js';

/** How the run goes, or how it ended: never silent about what was kept. */
export function RunProgress({ run: { run, problem, start, stop } }: { run: RunState }) {
  if (problem !== null) return <ProblemNote problem={problem} />;
  if (run === null) return null;
  if (run.status === 'running') {
    const counting = run.linesCounted < run.linesTotal;
    const total = run.linesTotal + (run.hits ?? 0);
    return (
      <div
        role="status"
        className="flex items-center gap-3 border-l-[3px] border-l-accent bg-[var(--live)] px-3 py-2"
      >
        <progress
          className="progress w-48 text-[var(--color-accent)]"
          value={run.linesCounted + run.fetched}
          max={total}
          aria-label="Progress of the run"
        />
        <span className="flex-1">
          {counting
            ? `Counting line ${run.linesCounted + 1} of ${run.linesTotal}`
            : `Fetching records: ${formatCount(run.fetched)} of ${formatCount(run.hits ?? 0)}`}
        </span>
        <button className="btn btn-sm btn-quiet" onClick={stop}>
          Stop
        </button>
      </div>
    );
  }
  if (run.status === 'interrupted') {
    return (
      <div role="alert" className="problem flex gap-2">
        <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-label="Interrupted" />
        <div className="flex flex-col items-start gap-1">
          <p>
            <b>The run was interrupted:</b> {sentence(run.reason ?? '')} What it had is kept:{' '}
            {run.linesCounted} of {run.linesTotal} lines counted, {formatCount(run.fetched)} records fetched.
            It is in the ledger, marked as interrupted.{' '}
            {run.tooMany === null && 'Run it again when the database answers.'}
          </p>
          {run.tooMany !== null && (
            <button className="btn btn-sm" onClick={() => void start(undefined, run.tooMany ?? undefined)}>
              Run again and fetch all {formatCount(run.tooMany)}
            </button>
          )}
          <Remarks remarks={run.remarks} />
        </div>
      </div>
    );
  }
  return (
    <div className="flex flex-col gap-1">
      <p role="status" className="text-success flex items-center gap-2">
        <CircleCheck className="h-4 w-4" aria-hidden="true" />
        Logged: {formatCount(run.hits ?? 0)} hits, {formatCount(run.fetched)} records fetched.{' '}
        <Link className="link" to="../records" relative="path">
          Read them
        </Link>
      </p>
      <Remarks remarks={run.remarks} />
    </div>
  );
}

function Remarks({ remarks }: { remarks: readonly string[] }) {
  return remarks.map((remark) => <p key={remark}>{remark}</p>);
}

/** A reason goes on from the name of the database, and has no full stop of its own. */
function sentence(reason: string): string {
  return /[.?]$/.test(reason) ? reason : `${reason}.`;
}
