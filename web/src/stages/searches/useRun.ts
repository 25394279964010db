import type { Problem, Run } from '@even-lantern/contract';
import { useEffect, useState } from 'react';
import { useDispatch } from 'react-redux';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import type { store } from '../../app/store.js';

export interface RunState {
  /** the latest run followed here, going on or ended */
  run: Run | null;
  busy: boolean;
  problem: Problem | null;
  /**
   * @param release an earlier one of the database; the present where it is not given
   * @param most fetch up to so many records
   */
  start(release?: string, most?: number): Promise<void>;
  stop(): void;
}

/** Starts a run and follows its progress; picks up one that is already going on. */
export function useRun(reviewId: string, database: string | null): RunState {
  const dispatch = useDispatch<typeof store.dispatch>();
  const { data: ledger } = api.useLedgerQuery(reviewId);
  const [startRun, starting] = api.useStartRunMutation();
  const [stopRun] = api.useStopRunMutation();
  const [run, setRun] = useState<Run | null>(null);
  const followed = run?.status === 'running' ? run.id : (ledger?.running?.id ?? null);

  useEffect(() => {
    if (followed === null) return;
    const events = new EventSource(`/api/runs/${followed}/progress`);
    events.onmessage = ({ data }: MessageEvent<string>) => {
      const next = JSON.parse(data) as Run;
      setRun(next);
      if (next.status === 'running') return;
      events.close();
      dispatch(api.util.invalidateTags(['Ledger', 'Records', 'Reviews']));
      if (next.status === 'complete') toast(`Logged: ${next.fetched} records fetched.`);
    };
    return () => events.close();
  }, [followed, dispatch]);

  return {
    run,
    busy: followed !== null || starting.isLoading,
    problem: starting.error === undefined ? null : problemOf(starting.error),
    async start(release, most) {
      if (database === null) return;
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      const result = await startRun({
        reviewId,
        run: {
          database,
          timeZone,
          ...(release === undefined ? {} : { release }),
          ...(most === undefined ? {} : { most }),
        },
      });
      if (result.data) setRun(result.data);
    },
    stop() {
      if (followed !== null) void stopRun(followed);
    },
  };
}
