import { formatCount, type LedgerKind } from '@even-lantern/core';
import type { Ledger, LedgerQuery, Schedule } from '@even-lantern/contract';
import { format } from 'date-fns';
import { CalendarClock, Download, NotebookPen, ShieldCheck } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { detailOf, KIND_NAMES } from './summaryWords.js';
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
  const [search, setSearch] = useState('');
  const [kind, setKind] = useState<LedgerKind | ''>('');
  const [database, setDatabase] = useState('');
  const [beside, setBeside] = useState<'verify' | 'enter' | 'schedules' | null>(null);
  const words = useDeferredValue(search.trim());
  const filter: LedgerQuery = {
    ...(words === '' ? {} : { search: words }),
    ...(kind === '' ? {} : { kind }),
    ...(database === '' ? {} : { database }),
  };
  const { data, error, isFetching, hasNextPage, fetchNextPage } = ledgerApi.useLedgerEntriesInfiniteQuery({
    review: reviewId,
    ...filter,
  });
  const { data: known } = databaseApi.useDatabasesQuery();
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  const matching = data?.pages[0]?.matching;
  const narrowed = Object.keys(filter).length > 0;
  const switchTo = (what: 'verify' | 'enter' | 'schedules') => setBeside(beside === what ? null : what);
  return (
    <section aria-label="Ledger" tabIndex={0} className="rule max-h-[60vh] overflow-auto border-b px-4 py-3">
      <div className="flex flex-wrap items-center gap-2 pb-2">
        <h2 className="pr-2 text-[17px] font-bold">Ledger</h2>
        <input
          className="input input-sm w-52"
          type="search"
          aria-label="Find entries by their words"
          placeholder="Strings, names, notes"
          value={search}
          onChange={({ target }) => setSearch(target.value)}
        />
        <select
          className="select select-sm w-auto"
          aria-label="Kind of entry"
          value={kind}
          onChange={({ target }) => setKind(target.value as LedgerKind | '')}
        >
          <option value="">All kinds</option>
          {Object.entries(KIND_NAMES).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
        <select
          className="select select-sm w-auto max-w-52"
          aria-label="Database"
          value={database}
          onChange={({ target }) => setDatabase(target.value)}
        >
          <option value="">All databases</option>
          {known?.databases.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
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
        <table className="w-full text-[13px]" aria-busy={isFetching}>
          <thead className="small-head text-left">
            <tr>
              <th className="count w-12 pr-3">Entry</th>
              <th>What was searched</th>
              <th className="max-md:hidden">When, and by whom</th>
              <th className="count">Hits</th>
              <th className="count max-md:hidden">Records</th>
            </tr>
          </thead>
          <tbody>
            {entries.map((entry) => (
              <tr key={entry.entry} className="rule border-t align-top" data-entry={entry.entry}>
                <td className="count py-1 pr-3">{entry.entry}</td>
                <td className="py-1">
                  <Link
                    className="link font-semibold"
                    to={`/reviews/${reviewId}/ledger/${entry.kind === 'note' || entry.kind === 'correction' ? entry.about : entry.entry}`}
                    onClick={onClose}
                  >
                    {entry.title}
                  </Link>{' '}
                  <span className="quiet">{detailOf(entry)}</span>
                  {entry.notes > 0 && (
                    <span className="quiet"> · {entry.notes === 1 ? '1 note' : `${entry.notes} notes`}</span>
                  )}
                  {entry.outcome === 'interrupted' && <b className="problem"> interrupted: {entry.reason}</b>}
                </td>
                <td className="quiet py-1 max-md:hidden">
                  {format(entry.at, 'd MMM yyyy HH:mm')}, {entry.by}
                </td>
                <td className="count py-1">{hitsOf(entry.kind, entry.hits)}</td>
                <td className="count py-1 max-md:hidden">
                  {entry.kind === 'run' || entry.fetched > 0 ? formatCount(entry.fetched) : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
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

function hitsOf(kind: LedgerKind, hits: number | null): string {
  if (kind === 'note' || kind === 'correction') return '';
  return hits === null ? 'not counted' : formatCount(hits);
}
