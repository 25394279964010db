import { diffWordsWithSpace } from 'diff';
import { useMemo } from 'react';

/** One text as it differs from another: what only it has, and in its place what only the other has. */
export function Difference({ text, from }: { text: string; from: string }) {
  const parts = useMemo(() => diffWordsWithSpace(from, text), [from, text]);
  return parts.map(({ value, added, removed }, i) => {
    if (added) {
      return (
        <ins key={i} className="bg-[var(--bar-rest)] font-bold no-underline">
          {value}
        </ins>
      );
    }
    return removed ? (
      <del key={i} className="quiet">
        {value}
      </del>
    ) : (
      <span key={i}>{value}</span>
    );
  });
}
