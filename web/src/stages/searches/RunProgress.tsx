import { formatCount } from '@even-lantern/core';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { ProblemNote } from '../../parts/ProblemNote.js';
import type { RunState } from './useRun.js';

/** How the run goes, or how it ended: never silent about what was kept. */
export function RunProgress({ run: { run, problem, stop } }: { run: RunState }) {
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
        <p>
          <b>The run was interrupted:</b> {run.reason} What it had is kept: {run.linesCounted} of{' '}
          {run.linesTotal} lines counted, {formatCount(run.fetched)} records fetched. It is in the ledger,
          marked as interrupted. Run it again when the database answers.
        </p>
      </div>
    );
  }
  return (
    <p role="status" className="text-success flex items-center gap-2">
      <CircleCheck className="h-4 w-4" aria-hidden="true" />
      Logged: {formatCount(run.hits ?? 0)} hits, {formatCount(run.fetched)} records fetched.{' '}
      <Link className="link" to="../records" relative="path">
        Read them
      </Link>
    </p>
  );
}
