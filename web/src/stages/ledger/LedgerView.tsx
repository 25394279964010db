import { Fragment } from 'react';
import { formatCount, type LedgerEntry, type LedgerLimit } from '@even-lantern/core';
import { releaseText } from '../../parts/release.js';
import { format } from 'date-fns';
import { Download } from 'lucide-react';

/** Every logged run, the latest first, with what makes it repeatable. */
export function LedgerView({
  reviewId,
  entries,
  chain,
}: {
  reviewId: string;
  entries: readonly LedgerEntry[];
  chain: string;
}) {
  return (
    <section aria-label="Ledger" tabIndex={0} className="rule max-h-[60vh] overflow-auto border-b px-4 py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-3 pb-2">
        <h2 className="text-[17px] font-bold">Ledger</h2>
        <p className="quiet">Entries are never changed. Each is sealed with the one before it. {chain}.</p>
        <span className="flex gap-2">
          <a className="btn btn-sm btn-quiet" href={`/api/reviews/${reviewId}/ledger.csv`} download>
            <Download className="h-4 w-4" aria-hidden="true" /> CSV
          </a>
          <a className="btn btn-sm btn-quiet" href={`/api/reviews/${reviewId}/ledger.md`} download>
            <Download className="h-4 w-4" aria-hidden="true" /> Markdown
          </a>
        </span>
      </div>
      {entries.length === 0 && (
        <p className="quiet">Nothing has been run and logged yet. Run a strategy on the Searches stage.</p>
      )}
      {[...entries].reverse().map(({ content, hash }, i) => (
        <details key={hash} open={i === 0} className="rule border-t py-2">
          <summary className="cursor-pointer">
            <b>Entry {content.entry}</b> {content.databaseName}, {releaseText(content.release)},{' '}
            {format(content.startedAt, 'd MMM yyyy HH:mm')},{' '}
            <b>{content.hits === null ? 'not counted' : `${formatCount(content.hits)} hits`}</b>,{' '}
            {formatCount(content.fetched)} records fetched, by {content.ranBy}
            {content.outcome === 'interrupted' && <b className="problem"> interrupted: {content.reason}</b>}
          </summary>
          <dl className="grid grid-cols-[max-content_1fr] gap-x-4 py-2 text-[13px] max-md:grid-cols-1">
            <dt className="quiet">started (UTC)</dt>
            <dd>
              {content.startedAt}, took {content.durationMs} ms; time zone of the person {content.timeZone}
            </dd>
            {(content.remarks ?? []).map((remark) => (
              <Fragment key={remark}>
                <dt className="quiet">remark</dt>
                <dd>{remark}</dd>
              </Fragment>
            ))}
            <dt className="quiet">strings in</dt>
            <dd>
              {content.dialect}
              {content.queryType !== undefined && ` (${content.queryType})`}
            </dd>
            <dt className="quiet">result fingerprint</dt>
            <dd className="font-mono text-xs break-all">{content.fingerprint}</dd>
            <dt className="quiet">entry hash</dt>
            <dd className="font-mono text-xs break-all">{hash}</dd>
            <dt className="quiet">application</dt>
            <dd>Even Lantern {content.applicationVersion}</dd>
          </dl>
          <table className="w-full text-[13px]">
            <thead className="small-head text-left">
              <tr>
                <th className="w-10">Line</th>
                <th className="w-2/5">What it searches</th>
                <th>String sent</th>
                <th className="count">Hits</th>
              </tr>
            </thead>
            <tbody>
              {content.lines.map((line) => (
                <tr key={line.number} className="rule border-t align-top">
                  <td className="quiet font-mono text-xs leading-5">L{line.number}</td>
                  <td className="pr-3">{line.description}</td>
                  <td className="pr-3 font-mono text-xs leading-5 break-words">
                    <span className="line-clamp-2" title={line.string}>
                      {line.string}
                    </span>
                  </td>
                  <td className="count">{line.hits === null ? 'not counted' : formatCount(line.hits)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Limits limits={content.limits ?? []} />
        </details>
      ))}
    </section>
  );
}

/** The limits of an entry, with their reasons and the counts around them. */
function Limits({ limits }: { limits: readonly LedgerLimit[] }) {
  if (limits.length === 0) return null;
  const hits = (count: number | null) => (count === null ? 'not counted' : formatCount(count));
  return (
    <table className="mt-3 w-full text-[13px]">
      <thead className="small-head text-left">
        <tr>
          <th className="w-2/5">Limit</th>
          <th>Reason, and who set it</th>
          <th className="count">Before</th>
          <th className="count">After</th>
        </tr>
      </thead>
      <tbody>
        {limits.map(({ limit, reason, way, notApplied, before, after, setBy, setAt }) => (
          <tr key={limit} className="rule border-t align-top">
            <td className="pr-3">
              {limit} <span className="quiet">{notApplied === null ? `(${way ?? ''})` : 'not applied'}</span>
            </td>
            <td className="pr-3">
              {reason}{' '}
              <span className="quiet">
                {notApplied !== null && `${notApplied} `}
                {setBy}, {format(setAt, 'd MMM yyyy')}
              </span>
            </td>
            <td className="count">{notApplied === null ? hits(before) : ''}</td>
            <td className="count">{notApplied === null ? hits(after) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
