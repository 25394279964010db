import { formatCount, isRun, type LedgerEntry, type RunContent } from '@even-lantern/core';
import type { LedgerEntryDetail } from '@even-lantern/contract';
import { format } from 'date-fns';
import { ArrowLeft, ArrowRight, TriangleAlert } from 'lucide-react';
import { Link, useParams, useSearchParams } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { useReview } from '../../review/useReview.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { AboutEntry } from './AboutEntry.js';
import { Run, Told } from './EntryRun.js';

/** One entry, at an address that lasts: as it was logged, with what was said of it since. */
export function EntryPage() {
  const { entry: text = '' } = useParams();
  const { review } = useReview();
  const entry = Number(text);
  const { currentData, error } = ledgerApi.useLedgerEntryQuery({ review: review.id, entry });
  const { data: ledger } = ledgerApi.useLedgerQuery(review.id);
  const last = ledger?.seal.entries ?? entry;
  return (
    <div className="flex max-w-6xl flex-col gap-4 px-5 py-3">
      <nav aria-label="Entries" className="flex items-center gap-4 text-sm">
        <WholeLedger />
        <Neighbour to={entry - 1} shown={entry > 1}>
          <ArrowLeft className="h-3.5 w-3.5" aria-hidden="true" /> Entry {entry - 1}
        </Neighbour>
        <Neighbour to={entry + 1} shown={entry < last}>
          Entry {entry + 1} <ArrowRight className="h-3.5 w-3.5" aria-hidden="true" />
        </Neighbour>
      </nav>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {currentData === undefined && error === undefined && <p className="quiet">Opening the entry …</p>}
      {currentData !== undefined && (
        <Whole key={entry} detail={currentData} broken={ledger?.brokenAt === entry} />
      )}
    </div>
  );
}

function WholeLedger() {
  const [params] = useSearchParams();
  const next = new URLSearchParams(params);
  next.set('ledger', 'open');
  return (
    <Link className="link" to={{ search: next.toString() }}>
      All entries
    </Link>
  );
}

function Neighbour({ to, shown, children }: { to: number; shown: boolean; children: React.ReactNode }) {
  const { review } = useReview();
  if (!shown) return null;
  return (
    <Link className="link flex items-center gap-1" to={`/reviews/${review.id}/ledger/${to}`}>
      {children}
    </Link>
  );
}

function Whole({ detail, broken }: { detail: LedgerEntryDetail; broken: boolean }) {
  const { content } = detail.entry;
  return (
    <article className="flex flex-col gap-4">
      <div>
        <p className="small-head">Entry {content.entry} of the ledger</p>
        <h1 className="text-[1.0625rem] font-bold">{titleOf(detail.entry)}</h1>
        {isRun(content) && content.outcome === 'interrupted' && (
          <p className="problem flex gap-2">
            <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
            Interrupted: {content.reason} {missingText(content)}
          </p>
        )}
        {broken && (
          <p role="alert" className="problem flex gap-2">
            <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
            This entry does not fit the chain: it was changed after it was written, or entries before it were.
          </p>
        )}
      </div>
      {isRun(content) ? (
        <Run detail={detail} content={content} />
      ) : (
        <>
          <Told entry={detail.entry} />
          <AboutEntry entry={detail.entry} about={detail.about} />
        </>
      )}
    </article>
  );
}

function titleOf({ content }: LedgerEntry): string {
  if (isRun(content)) return `${content.databaseName}, ${format(content.startedAt, 'd MMM yyyy')}`;
  switch (content.kind) {
    case 'note':
      return `Note on entry ${content.about.entry}`;
    case 'correction':
      return `Correction of entry ${content.about.entry}`;
    case 'elsewhere':
      return `${content.way[0]?.toUpperCase()}${content.way.slice(1)}: ${content.place}`;
  }
}

/** What of a run that was cut off is not here. */
function missingText({ hits: count, fetched, lines }: RunContent): string {
  const uncounted = lines.filter((line) => line.hits === null).length;
  if (uncounted > 0) return `${uncounted} of ${lines.length} lines were not counted, and no records fetched.`;
  return count === null || count <= fetched
    ? ''
    : `${formatCount(count - fetched)} of ${formatCount(count)} records are missing.`;
}
