import type { Schedule } from '@even-lantern/contract';
import { counted, limitsOfDatabase, limitsSince } from '@even-lantern/core';
import { format } from 'date-fns';
import { ChevronDown, ChevronUp, TriangleAlert } from 'lucide-react';
import { useKey } from '../../parts/keys/useKey.js';
import { useSearchParams } from 'react-router';
import { reviewApi } from '../../review/api/reviewApi.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { scheduleApi } from '../../review/api/scheduleApi.js';
import { lazy, Suspense } from 'react';

/** With its forms, which nobody needs before it is opened. */
const LedgerList = lazy(async () => ({ default: (await import('./LedgerList.js')).LedgerList }));

const AND_AGAIN = { pollingInterval: 30_000, skipPollingIfUnfocused: true };
const NONE: Schedule[] = [];

/** The last logged run and what is running now; opens upwards into the whole ledger. */
export function LedgerStrip({ reviewId }: { reviewId: string }) {
  // Schedules run by themselves, and others work here too.
  const { data: ledger } = ledgerApi.useLedgerQuery(reviewId, AND_AGAIN);
  const { data: schedules = NONE } = scheduleApi.useSchedulesQuery(reviewId, AND_AGAIN);
  const unseen = schedules.reduce((sum, each) => sum + each.unseen, 0);
  const [params, setParams] = useSearchParams();
  const open = params.get('ledger') === 'open';
  const show = (shown: boolean) => {
    const next = new URLSearchParams(params);
    if (shown) next.set('ledger', 'open');
    else next.delete('ledger');
    setParams(next, { replace: true });
  };
  useKey('ledger.close', () => show(false), { enabled: open });
  const last = ledger?.lastRun ?? null;
  const { data: review } = reviewApi.useReviewQuery(reviewId);
  const { data: known } = databaseApi.useDatabasesQuery();
  const database = known?.databases.find(({ id }) => id === last?.database);
  const since =
    last === null || review === undefined || database === undefined
      ? null
      : limitsSince(last.limits, review.limits, limitsOfDatabase(database));
  const chain = ledger?.brokenAt == null ? 'Chain verified' : `Chain broken at entry ${ledger.brokenAt}`;
  const running = ledger?.running ?? [];
  return (
    <footer className="rule bg-base-300 shrink-0 border-t">
      {open && ledger !== undefined && (
        <Suspense fallback={<p className="quiet px-4 py-2">Opening the ledger …</p>}>
          <LedgerList reviewId={reviewId} ledger={ledger} schedules={schedules} onClose={() => show(false)} />
        </Suspense>
      )}
      <button
        className="flex w-full cursor-pointer items-center gap-4 px-4 py-1.5 text-left text-[0.8125rem]"
        aria-expanded={open}
        onClick={() => show(!open)}
      >
        <span className="whitespace-nowrap">
          <b>Ledger</b> {counted(ledger?.seal.entries ?? 0, 'entry', 'entries')}
        </span>
        {running.length > 0 ? (
          <span className="moved truncate">
            Running now in {running.map(({ databaseName }) => databaseName).join(', ')}
          </span>
        ) : last === null ? (
          <span className="quiet">Nothing run and logged yet</span>
        ) : (
          <span className="truncate">
            Last run <b>{last.title}</b>, {format(last.at, 'd MMM yyyy HH:mm')}, {counted(last.lines, 'line')}
            , <b>{counted(last.fetched, 'record')}</b>
            {last.outcome === 'interrupted' && <b className="problem"> interrupted</b>}
          </span>
        )}
        {unseen > 0 && <b className="moved whitespace-nowrap">{counted(unseen, 'new record')} by schedule</b>}
        {since !== null && running.length === 0 && (
          <span
            className="text-warning flex min-w-0 items-center gap-1"
            title={[
              ...since.added.map((each) => `new: ${each}`),
              ...since.gone.map((each) => `gone: ${each}`),
            ].join('; ')}
          >
            <TriangleAlert className="h-3.5 w-3.5 shrink-0" aria-hidden="true" />
            <span className="truncate">limits have changed since: run it again</span>
          </span>
        )}
        {(ledger?.seal.entries ?? 0) > 0 && (
          <span className={`max-md:hidden ${ledger?.brokenAt == null ? '' : 'problem'}`}>{chain}</span>
        )}
        <span className="ml-auto" aria-hidden="true">
          {open ? <ChevronDown className="h-4 w-4" /> : <ChevronUp className="h-4 w-4" />}
        </span>
      </button>
    </footer>
  );
}
