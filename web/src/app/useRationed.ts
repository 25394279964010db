import { useEffect, useRef, useState } from 'react';

/** Counts that are told bit by bit, since the database may be asked only so much. */
export interface Rationed {
  /** counts that have not been asked for; undefined while nothing is known */
  left: number | undefined;
  isFetching: boolean;
  /** asks for more of them */
  refetch: () => unknown;
}

/** Asks for what was not asked for yet, bit by bit, once somebody wants it, until all is there or it is stopped. */
export function useRationed(parts: readonly Rationed[]) {
  const [counting, setCounting] = useState(false);
  const before = useRef(Infinity);
  const left = parts.reduce((sum, part) => sum + (part.left ?? 0), 0);
  const busy = parts.some(({ isFetching }) => isFetching);
  const next = parts.find((part) => (part.left ?? 0) > 0);
  useEffect(() => {
    if (!counting || busy) return;
    // A database that fails gets no further, so it is not asked on and on.
    if (next === undefined || left >= before.current) {
      setCounting(false);
      return;
    }
    before.current = left;
    next.refetch();
  }, [counting, busy, left, next]);
  return {
    left,
    counting,
    start: () => {
      before.current = Infinity;
      setCounting(true);
    },
    stop: () => setCounting(false),
  };
}
