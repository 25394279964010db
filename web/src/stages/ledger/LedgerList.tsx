import { formatCount } from '@even-lantern/core';
import type { Ledger, LedgerQuery, Schedule } from '@even-lantern/contract';
import { CalendarClock, Download, NotebookPen, ShieldCheck } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useState } from 'react';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { LedgerFilter, type LedgerNarrowing } from './LedgerFilter.js';
import { LedgerTable } from './LedgerTable.js';
import { Schedules } from './schedules/Schedules.js';
import { VerifyLedger } from './VerifyLedger.js';

const EnterSearch = lazy(() => import('./EnterSearch.js'));

const FORMATS = [
  ['csv', 'CSV'],
  ['md', 'Markdown'],
  ['json', 'JSON'],
] as const;

/** Every entry, the latest first, in parts; narrowed by words and kind; verified, exported and added to. */
export function LedgerList({
  reviewId,
  ledger,
  schedules,
  onClose,
}: {
  reviewId: string;
  ledger: Ledger;
  schedules: readonly Schedule[];
  onClose: () => void;
}) {
  const [filter, setFilter] = useState<LedgerNarrowing>({ search: '', kind: '', database: '' });
  const [beside, setBeside] = useState<'verify' | 'enter' | 'schedules' | null>(null);
  const search = useDeferredValue(filter.search.trim());
  const query: LedgerQuery = {
    ...(search === '' ? {} : { search }),
    ...(filter.kind === '' ? {} : { kind: filter.kind }),
    ...(filter.database === '' ? {} : { database: filter.database }),
  };
  const { data, error, isFetching, hasNextPage, fetchNextPage } = ledgerApi.useLedgerEntriesInfiniteQuery({
    review: reviewId,
    ...query,
  });
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  const matching = data?.pages[0]?.matching;
  const narrowed = Object.keys(query).length > 0;
  const switchTo = (what: 'verify' | 'enter' | 'schedules') => setBeside(beside === what ? null : what);
  return (
    <section aria-label="Ledger" tabIndex={0} className="rule max-h-[60vh] overflow-auto border-b px-4 py-3">
      <div className="flex flex-wrap items-center gap-2 pb-2">
        <h2 className="pr-2 text-[1.0625rem] font-bold">Ledger</h2>
        <LedgerFilter filter={filter} onChange={setFilter} />
        <span className="ml-auto flex flex-wrap gap-2">
          <button
            className="btn btn-sm btn-quiet"
            aria-expanded={beside === 'enter'}
            onClick={() => switchTo('enter')}
          >
            <NotebookPen className="h-4 w-4" aria-hidden="true" /> Enter a search made elsewhere
          </button>
          <button
            className="btn btn-sm btn-quiet"
            aria-expanded={beside === 'schedules'}
            onClick={() => switchTo('schedules')}
          >
            <CalendarClock className="h-4 w-4" aria-hidden="true" /> Schedules{' '}
            {schedules.filter(({ state }) => state === 'active').length || ''}
            {schedules.some(({ unseen }) => unseen > 0) && <b className="moved">new</b>}
          </button>
          <button
            className="btn btn-sm btn-quiet"
            aria-expanded={beside === 'verify'}
            onClick={() => switchTo('verify')}
          >
            <ShieldCheck className="h-4 w-4" aria-hidden="true" /> Seal
          </button>
          {FORMATS.map(([ending, name]) => (
            <a
              key={ending}
              className="btn btn-sm btn-quiet"
              href={`/api/reviews/${reviewId}/ledger.${ending}`}
              download
            >
              <Download className="h-4 w-4" aria-hidden="true" /> {name}
            </a>
          ))}
        </span>
      </div>
      {beside === 'schedules' && <Schedules reviewId={reviewId} schedules={schedules} />}
      {beside === 'verify' && <VerifyLedger reviewId={reviewId} ledger={ledger} />}
      {beside === 'enter' && (
        <Suspense fallback={<p className="quiet">Opening the form …</p>}>
          <EnterSearch reviewId={reviewId} onEntered={() => setBeside(null)} />
        </Suspense>
      )}
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {entries.length === 0 && !isFetching && error === undefined && (
        <p className="quiet">
          {narrowed
            ? 'No entry fits these words and this kind.'
            : 'Nothing has been run and logged yet. Run a strategy on the Searches stage, or enter a search made elsewhere.'}
        </p>
      )}
      {narrowed && matching !== undefined && entries.length > 0 && (
        <p className="quiet pb-1">
          {matching === 1 ? '1 entry fits' : `${formatCount(matching)} entries fit`}
        </p>
      )}
      {entries.length > 0 && (
        <LedgerTable reviewId={reviewId} entries={entries} busy={isFetching} onOpen={onClose} />
      )}
      {hasNextPage && (
        <button
          className="btn btn-sm btn-quiet mt-2"
          disabled={isFetching}
          onClick={() => void fetchNextPage()}
        >
          Show earlier entries
        </button>
      )}
    </section>
  );
}
