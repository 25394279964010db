import type { NewRun, NewRuns, Problem, Run, StartedRuns } from '@even-lantern/contract';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { toast } from 'sonner';
import { api, problemOf } from './api/api.js';
import { ledgerApi } from './api/ledgerApi.js';
import type { store } from './api/store.js';

export interface RunsState {
  /** followed here, going on or ended, in the order in which they began */
  runs: readonly Run[];
  /** where runs of the last action could not be started, and why */
  refused: StartedRuns['refused'];
  /** whether one goes on, or begins, in a database */
  busyIn(database: string): boolean;
  problem: Problem | null;
  start(run: Omit<NewRun, 'timeZone'>): Promise<void>;
  /** @returns whether any was started */
  startTogether(runs: Omit<NewRuns, 'timeZone'>): Promise<boolean>;
  /** Follows a run that was started elsewhere. */
  follow(run: Run): void;
  stop(id: string): void;
  /** Takes away what is told of runs that ended, or were not started. */
  clear(): void;
}

const NONE: readonly Run[] = [];
const NO_REFUSALS: StartedRuns['refused'] = [];
/** How often lists of records are asked for again while records come. */
const RECORDS_EVERY_MS = 4000;

/** Starts runs and follows their progress; picks up those that are already going on. */
export function useRuns(reviewId: string): RunsState {
  const dispatch = useDispatch<typeof store.dispatch>();
  const { data: ledger } = ledgerApi.useLedgerQuery(reviewId);
  const [startRun, starting] = ledgerApi.useStartRunMutation();
  const [startRuns, startingMany] = ledgerApi.useStartRunsMutation();
  const [stopRun] = ledgerApi.useStopRunMutation();
  const [notified, setNotified] = useState<ReadonlyMap<string, Run>>(new Map());
  const [refused, setRefused] = useState(NO_REFUSALS);
  const recordsAt = useRef(0);
  const running = ledger?.running ?? NONE;
  const runs = useMemo(() => {
    const known = new Map(running.map((run) => [run.id, run]));
    return [...new Map([...known, ...notified]).values()].sort((a, b) =>
      a.startedAt < b.startedAt ? -1 : 1,
    );
  }, [running, notified]);
  // One stream tells of all of them: a browser holds few connections to one server.
  const followed = runs
    .filter(({ status }) => status === 'running')
    .map(({ id }) => id)
    .join(' ');

  useEffect(() => {
    if (followed === '') return;
    const events = new EventSource(`/api/reviews/${reviewId}/runs/progress`);
    const ended = new Set<string>();
    const hear = (next: Run) => {
      setNotified((before) => new Map(before).set(next.id, next));
      if (next.status !== 'running') {
        if (ended.has(next.id)) return;
        ended.add(next.id);
        dispatch(api.util.invalidateTags(['Ledger', 'Records', 'Reviews']));
        if (next.status === 'complete') {
          toast(`Logged: ${next.fetched} records fetched from ${next.databaseName}.`);
        }
      } else if (next.fetched > 0 && Date.now() - recordsAt.current > RECORDS_EVERY_MS) {
        recordsAt.current = Date.now();
        dispatch(api.util.invalidateTags(['Records']));
      }
    };
    events.onmessage = ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as Run);
    // The stream ends when all have ended, or when the server stops. What ended before it was open is asked for.
    events.onerror = () => {
      for (const id of followed.split(' ')) {
        void dispatch(ledgerApi.endpoints.run.initiate(id, { subscribe: false, forceRefetch: true })).then(
          ({ data }) => {
            if (data !== undefined) hear(data);
          },
        );
      }
    };
    return () => events.close();
  }, [followed, reviewId, dispatch]);

  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const begin = (started: readonly Run[], notStarted: StartedRuns['refused']) => {
    recordsAt.current = 0;
    setNotified((before) => {
      const going = [...before].filter(([, { status }]) => status === 'running');
      return new Map([...going, ...started.map((run) => [run.id, run] as const)]);
    });
    setRefused(notStarted);
  };
  const error = starting.error ?? startingMany.error;

  return {
    runs,
    refused,
    problem: error === undefined ? null : problemOf(error),
    busyIn: (database) =>
      starting.isLoading ||
      startingMany.isLoading ||
      runs.some((run) => run.database === database && run.status === 'running'),
    async start(run) {
      startingMany.reset();
      const { data } = await startRun({ review: reviewId, run: { ...run, timeZone } });
      if (data !== undefined) begin([data], []);
    },
    async startTogether(body) {
      starting.reset();
      const { data } = await startRuns({ review: reviewId, runs: { ...body, timeZone } });
      if (data === undefined) return false;
      begin(data.started, data.refused);
      return data.started.length > 0;
    },
    follow: (run) => begin([run], []),
    stop: (id) => void stopRun(id),
    clear() {
      setNotified((before) => new Map([...before].filter(([, { status }]) => status === 'running')));
      setRefused(NO_REFUSALS);
      starting.reset();
      startingMany.reset();
    },
  };
}
