import { formatCount } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';

/** What a candidate finds, and what it would add to the lane. */
export function Numbers({ count }: { count: TermCount | undefined }) {
  if (count === undefined) return <span className="quiet count text-xs">…</span>;
  const { hits, adds, error } = count;
  return (
    <span className="count text-xs whitespace-nowrap" title={error ?? undefined}>
      {hits === null ? '—' : formatCount(hits)}
      {adds !== null && <span className="quiet"> adds {formatCount(adds)}</span>}
    </span>
  );
}
