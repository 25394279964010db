import type { RunContent } from '@even-lantern/core';
import { Repeat } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { useReview } from '../../review/useReview.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { RunProgress } from '../../review/RunProgress.js';
import { useRuns } from '../../review/useRuns.js';

/** Runs an entry again, and goes to the new entry when it has ended. */
export function RunAgain({ content }: { content: RunContent }) {
  const { review } = useReview();
  const { data: known } = databaseApi.useDatabasesQuery();
  const runs = useRuns(review.id);
  const [repeat, { error, isLoading }] = ledgerApi.useRepeatRunMutation();
  const [started, setStarted] = useState<string | null>(null);
  const navigate = useNavigate();
  const database = known?.databases.find(({ id }) => id === content.database);
  const busy = isLoading || started !== null || runs.busyIn(content.database);
  const start = async (release: 'then' | 'present') => {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const body = { release, timeZone };
    const { data } = await repeat({ review: review.id, entry: content.entry, body });
    if (data === undefined) return;
    setStarted(data.id);
    runs.follow(data);
  };
  const own = runs.runs.filter(({ id }) => id === started);
  const newEntry = own[0]?.entry ?? null;
  useEffect(() => {
    if (newEntry === null) return;
    setStarted(null);
    void navigate(`/reviews/${review.id}/ledger/${newEntry}`);
  }, [newEntry, navigate, review.id]);
  const earlier =
    database !== undefined &&
    database.release !== content.release &&
    database.releases.includes(content.release);
  return (
    <>
      <button
        className="btn btn-sm btn-primary"
        disabled={busy || database === undefined}
        onClick={() => void start('present')}
        title={database === undefined ? 'The database is not on the list now' : undefined}
      >
        <Repeat className="h-4 w-4" aria-hidden="true" /> Run again
        {database !== undefined && database.release !== '' && `, release ${database.release}`}
      </button>
      {earlier && (
        <button className="btn btn-sm btn-quiet" disabled={busy} onClick={() => void start('then')}>
          Run again in the release of then, {content.release}
        </button>
      )}
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {own.length > 0 && (
        <div className="order-last w-full">
          <RunProgress runs={{ ...runs, runs: own }} databases={known?.databases ?? []} />
        </div>
      )}
    </>
  );
}
