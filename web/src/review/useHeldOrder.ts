import { useMemo, useState } from 'react';

interface Held<T> {
  of: string;
  items: readonly T[];
}

/**
 * A list that grows while it is looked at: what has been shown stays where it is, and what comes later stands behind
 * it. So nothing slips under the highlight between looking and pressing a key.
 * @param keyOf the same function each time
 * @param of what the list is of; another one begins anew
 */
export function useHeldOrder<T>(fresh: readonly T[], keyOf: (item: T) => string, of: string): readonly T[] {
  const [held, setHeld] = useState<Held<T>>({ of, items: fresh });
  const { items, grown } = useMemo(() => {
    const before = held.of === of ? held.items : [];
    const shown = new Set(before.map(keyOf));
    const added = fresh.filter((item) => !shown.has(keyOf(item)));
    const latest = new Map(fresh.map((item) => [keyOf(item), item]));
    const all = [...before, ...added];
    return {
      items: all.map((item) => latest.get(keyOf(item)) ?? item),
      grown: held.of !== of || added.length > 0 ? { of, items: all } : null,
    };
  }, [held, fresh, keyOf, of]);
  if (grown !== null) setHeld(grown);
  return items;
}
