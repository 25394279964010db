import {
  counted,
  DRIFT_REASONS,
  formatCount,
  type DriftReason,
  type DriftSide,
  type RunContent,
} from '@even-lantern/core';
import type { Drift } from '@even-lantern/contract';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { GuideLink } from '../../parts/GuideLink.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { EntryLink } from './EntryLink.js';

const REASONS: Readonly<Record<DriftReason, string>> = {
  new: 'new since',
  indexed: 'indexed since',
  changed: 'changed',
  renamed: 'heading renamed',
  withdrawn: 'withdrawn',
  unexplained: 'unexplained',
};
const SIDES: readonly (readonly [DriftSide, string])[] = [
  ['gained', 'found now and not then'],
  ['lost', 'found then and not now'],
  ['kept', 'found by both, and changed'],
];
const PAGE = 50;

/** What differs between an entry and the one that it repeats, and why, record by record. */
export function DriftView({ reviewId, content }: { reviewId: string; content: RunContent }) {
  const [filter, setFilter] = useState<{ side?: DriftSide; reason?: DriftReason }>({});
  const [shown, setShown] = useState(PAGE);
  const skip = content.outcome === 'interrupted';
  const { data, error, isFetching, refetch } = ledgerApi.useDriftQuery(
    { review: reviewId, entry: content.entry, ...filter, limit: shown },
    { skip },
  );
  const choose = (side?: DriftSide, reason?: DriftReason) => {
    setShown(PAGE);
    setFilter({ ...(side === undefined ? {} : { side }), ...(reason === undefined ? {} : { reason }) });
  };
  return (
    <section aria-label="Drift" className="flex flex-col gap-2">
      <h2 className="small-head">What changed since</h2>
      {skip && (
        <p>The run was interrupted, so the program cannot tell what it did not fetch from what is gone.</p>
      )}
      {error !== undefined && (
        <ProblemNote problem={problemOf(error)}>
          <button className="btn btn-sm btn-quiet mt-1" onClick={() => void refetch()}>
            Look again
          </button>
        </ProblemNote>
      )}
      {data === undefined && error === undefined && !skip && (
        <p className="quiet">Asking how each record stood in both releases …</p>
      )}
      {data !== undefined && (
        <>
          <Sum drift={data} />
          <Counts drift={data} filter={filter} onChoose={choose} />
          <Records drift={data} busy={isFetching} />
          {data.matching > data.records.length && (
            <button
              className="btn btn-sm btn-quiet self-start"
              disabled={isFetching || shown >= MOST}
              onClick={() => setShown(Math.min(MOST, shown + PAGE * 2))}
            >
              Show more of {formatCount(data.matching)}
            </button>
          )}
        </>
      )}
    </section>
  );
}

/** What one answer holds at most. */
const MOST = 500;

function sum(counts: Partial<Record<DriftReason, number>>): number {
  return Object.values(counts).reduce((total, each) => total + each, 0);
}

function Sum({ drift: { then, now, counts, same } }: { drift: Drift }) {
  const [gained, lost, changed] = [sum(counts.gained), sum(counts.lost), sum(counts.kept)];
  const unexplained = (counts.gained.unexplained ?? 0) + (counts.lost.unexplained ?? 0);
  return (
    <>
      <p>
        <b className="count">{formatCount(then.fetched)}</b> in <EntryLink entry={then.entry} />, release{' '}
        {then.release}; <b className="count">{formatCount(now.fetched)}</b> here, release {now.release}.{' '}
        {gained + lost + changed === 0
          ? 'Both found the same records, and they say the same.'
          : `${formatCount(then.fetched)} + ${formatCount(gained)} − ${formatCount(lost)} = ${formatCount(now.fetched)}; ${counted(same, 'record')} as before.`}
      </p>
      {unexplained > 0 && (
        <p role="alert" className="problem flex gap-2">
          <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
          <span>
            {counted(unexplained, 'record')} nothing explains: until somebody knows why, do not rely on
            repeating this search. <GuideLink to="ledger#what-nothing-explains">What to do</GuideLink>
          </span>
        </p>
      )}
    </>
  );
}

interface CountsProps {
  drift: Drift;
  filter: { side?: DriftSide; reason?: DriftReason };
  onChoose: (side?: DriftSide, reason?: DriftReason) => void;
}

/** The counts by what was found and why; each narrows the list. */
function Counts({ drift: { counts }, filter, onChoose }: CountsProps) {
  const sides = SIDES.filter(([side]) => sum(counts[side]) > 0);
  if (sides.length === 0) return null;
  return (
    <table className="w-fit text-[0.8125rem]">
      <tbody>
        {sides.map(([side, name]) => (
          <tr key={side} className="rule border-t align-baseline">
            <th scope="row" className="py-1 pr-4 text-left font-normal">
              <button
                className="link"
                aria-pressed={filter.side === side && filter.reason === undefined}
                onClick={() =>
                  filter.side === side && filter.reason === undefined ? onChoose() : onChoose(side)
                }
              >
                {name}
              </button>
            </th>
            <td className="count pr-4 font-bold">{formatCount(sum(counts[side]))}</td>
            <td className="flex flex-wrap gap-x-4 py-1">
              {DRIFT_REASONS.filter((reason) => (counts[side][reason] ?? 0) > 0).map((reason) => (
                <button
                  key={reason}
                  className={`link ${reason === 'unexplained' ? 'problem' : ''}`}
                  aria-pressed={filter.side === side && filter.reason === reason}
                  onClick={() => onChoose(side, reason)}
                >
                  {REASONS[reason]} {formatCount(counts[side][reason] ?? 0)}
                </button>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Records({ drift: { records }, busy }: { drift: Drift; busy: boolean }) {
  if (records.length === 0) return null;
  return (
    <table className="w-full text-[0.8125rem]" aria-busy={busy}>
      <thead className="small-head text-left">
        <tr>
          <th className="w-40">Why</th>
          <th>Record</th>
          <th className="w-2/5">What came about</th>
        </tr>
      </thead>
      <tbody>
        {records.map(({ accession, title, year, side, reason, what }) => (
          <tr key={accession} className="rule border-t align-top" data-drift={reason}>
            <td className="py-1">
              <span aria-hidden="true" className="inline-block w-4 font-mono">
                {side === 'gained' ? '+' : side === 'lost' ? '−' : '·'}
              </span>
              <span className="sr-only">{side}: </span>
              <span className={reason === 'unexplained' ? 'problem' : ''}>{REASONS[reason]}</span>
            </td>
            <td className="py-1 pr-3">
              {title === '' ? 'a record that is not known here' : title}{' '}
              <span className="quiet">
                {year > 0 && `${year}, `}
                {accession}
              </span>
            </td>
            <td className="py-1">{what.join('; ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
