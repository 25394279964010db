import { useEffect, useRef, useState } from 'react';

/** Counts that are told bit by bit, since the database is slow, or may be asked only so much. */
export interface Rationed {
  /** counts that are not there yet; undefined while nothing is known */
  left: number | undefined;
  isFetching: boolean;
  /** asks for more of them */
  refetch: () => unknown;
}

/** So often in a row nothing more may come before it is given up. */
const MOST_IN_VAIN = 4;

/**
 * Asks for what is not there yet, bit by bit, until all is there, or it is stopped.
 * @param byItself whether nobody has to want it first
 */
export function useRationed(parts: readonly Rationed[], byItself: boolean) {
  const [going, setGoing] = useState<boolean | null>(null);
  const before = useRef({ left: Infinity, inVain: 0 });
  const left = parts.reduce((sum, part) => sum + (part.left ?? 0), 0);
  const busy = parts.some(({ isFetching }) => isFetching);
  const next = parts.find((part) => (part.left ?? 0) > 0);
  const counting = going ?? byItself;
  useEffect(() => {
    if (!counting || busy) return;
    if (next === undefined) {
      setGoing(null);
      before.current = { left: Infinity, inVain: 0 };
      return;
    }
    // A database that fails gets no further, so it is not asked on and on.
    const inVain = left < before.current.left ? 0 : before.current.inVain + 1;
    if (inVain >= MOST_IN_VAIN) {
      setGoing(false);
      return;
    }
    before.current = { left, inVain };
    next.refetch();
  }, [counting, busy, left, next]);
  return {
    left,
    counting,
    start: () => {
      before.current = { left: Infinity, inVain: 0 };
      setGoing(true);
    },
    stop: () => setGoing(false),
  };
}
