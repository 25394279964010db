import { formatCount, type LedgerKind } from '@even-lantern/core';
import type { LedgerSummary } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { detailOf } from './summaryWords.js';

interface LedgerTableProps {
  reviewId: string;
  entries: readonly LedgerSummary[];
  /** whether others are being fetched */
  busy: boolean;
  /** called when an entry is opened */
  onOpen: () => void;
}

/** Entries of the ledger, a row each. */
export function LedgerTable({ reviewId, entries, busy, onOpen }: LedgerTableProps) {
  return (
    <table className="w-full text-[0.8125rem]" aria-busy={busy}>
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
                onClick={onOpen}
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
  );
}

function hitsOf(kind: LedgerKind, hits: number | null): string {
  if (kind === 'note' || kind === 'correction') return '';
  return hits === null ? 'not counted' : formatCount(hits);
}
