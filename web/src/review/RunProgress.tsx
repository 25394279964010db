import { formatCount } from '@even-lantern/core';
import type { DatabaseProfile, Problem, Run } from '@even-lantern/contract';
import { CircleCheck, TriangleAlert, X } from 'lucide-react';
import { Link } from 'react-router';
import { ProblemNote } from '../parts/ProblemNote.js';
import type { RunsState } from './useRuns.js';

/** How the runs go, or how they ended: never silent about what was kept. */
export function RunProgress({
  runs,
  databases,
  onOpen,
}: {
  runs: RunsState;
  databases: readonly DatabaseProfile[];
  /** leads to the sheet of a database */
  onOpen?: (database: string) => void;
}) {
  const { runs: followed, refused, problem } = runs;
  const logged = followed.filter(({ status }) => status === 'complete');
  const others = followed.filter(({ status }) => status !== 'complete');
  const told = refused.length + logged.length + others.filter(({ status }) => status !== 'running').length;
  return (
    <div className="flex flex-col gap-2 empty:hidden">
      {problem !== null && <ProblemNote problem={problem} />}
      {refused.map(({ database, problem: why }) => (
        <NotRun
          key={database}
          name={databases.find(({ id }) => id === database)?.name ?? database}
          why={why}
          {...(onOpen === undefined ? {} : { onOpen: () => onOpen(database) })}
        />
      ))}
      {others.map((run) => (
        <OneRun key={run.id} run={run} runs={runs} />
      ))}
      {logged.length > 0 && <Logged runs={logged} />}
      {(told > 0 || problem !== null) && (
        <button className="btn btn-quiet btn-xs self-start" onClick={runs.clear}>
          <X className="h-3.5 w-3.5" aria-hidden="true" /> Clear these messages
        </button>
      )}
    </div>
  );
}

/** Why a run did not begin: the first reason, how many more there are, and the way to all of them. */
function NotRun({ name, why, onOpen }: { name: string; why: Problem; onOpen?: () => void }) {
  const more = (why.errors?.length ?? 1) - 1;
  const { errors: _errors, ...problem } = why;
  return (
    <ProblemNote
      problem={{
        ...problem,
        title: `${name} was not run: ${why.title}${more > 0 ? ` And ${more} more to settle.` : ''}`,
      }}
    >
      {onOpen !== undefined && why.errors !== undefined && (
        <button className="btn btn-sm btn-quiet mt-1" onClick={onOpen}>
          Open its sheet
        </button>
      )}
    </ProblemNote>
  );
}

function OneRun({ run, runs }: { run: Run; runs: RunsState }) {
  if (run.status === 'running') return <Going run={run} stop={() => runs.stop(run.id)} />;
  return (
    <div role="alert" className="problem flex gap-2">
      <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-label="Interrupted" />
      <div className="flex flex-col items-start gap-1">
        <p>
          <b>The run in {run.databaseName} was interrupted:</b> {sentence(run.reason ?? '')} What it had is
          kept: {run.linesCounted} of {run.linesTotal} lines counted, {formatCount(run.fetched)} records
          fetched. It is in the ledger, marked as interrupted.{' '}
          {run.tooMany === null && 'Run it again when the database answers.'}
        </p>
        {run.tooMany !== null && (
          <button
            className="btn btn-sm"
            onClick={() => void runs.start({ database: run.database, most: run.tooMany ?? 0 })}
          >
            Run again and fetch all {formatCount(run.tooMany)}
          </button>
        )}
        <Remarks remarks={run.remarks} />
      </div>
    </div>
  );
}

/** The runs that ended well, in one list. */
function Logged({ runs }: { runs: readonly Run[] }) {
  return (
    <div role="status" className="flex gap-2">
      <CircleCheck className="text-success mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
      <div className="flex flex-col gap-1">
        <ul>
          {runs.map((run) => (
            <li key={run.id}>
              <span className="text-success">
                Logged, {run.databaseName}: {formatCount(run.hits ?? 0)} hits, {formatCount(run.fetched)}{' '}
                records fetched.
              </span>
              <Remarks remarks={run.remarks} />
            </li>
          ))}
        </ul>
        <Link className="link self-start" to="../records" relative="path">
          Read them
        </Link>
      </div>
    </div>
  );
}

function Going({ run, stop }: { run: Run; stop: () => void }) {
  const counting = run.linesCounted < run.linesTotal;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-3 border-l-[3px] border-l-accent bg-[var(--live)] px-3 py-2"
    >
      <b className="w-64 truncate max-md:w-full">{run.databaseName}</b>
      <progress
        className="progress w-48 text-[var(--color-accent)]"
        value={run.linesCounted + run.fetched}
        max={run.linesTotal + (run.hits ?? 0)}
        aria-label={`Progress of the run in ${run.databaseName}`}
      />
      <span className="flex-1">
        {counting
          ? `Counting line ${run.linesCounted + 1} of ${run.linesTotal}`
          : `Fetching records: ${formatCount(run.fetched)} of ${formatCount(run.hits ?? 0)}`}
        {run.fetched > 0 && (
          <>
            {' · '}
            <Link className="link" to="../records" relative="path">
              Read what is here
            </Link>
          </>
        )}
      </span>
      <button
        className="btn btn-sm btn-quiet"
        onClick={stop}
        aria-label={`Stop the run in ${run.databaseName}`}
      >
        Stop
      </button>
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
