import { setImmediate as othersFirst } from 'node:timers/promises';

/** After so long, whoever else waits for the server has a turn. */
const TURN_MS = 10;

/**
 * Begins work on each item, and waits for all of it. What the work does at once, such as writing a long query, is broken
 * up, so that many items hold nobody up.
 */
export async function inTurns<Item, Result>(
  items: readonly Item[],
  work: (item: Item, i: number) => Promise<Result>,
): Promise<Result[]> {
  const begun: Promise<Result>[] = [];
  let since = performance.now();
  for (const [i, item] of items.entries()) {
    if (performance.now() - since > TURN_MS) {
      await othersFirst();
      since = performance.now();
    }
    const result = work(item, i);
    // What fails meanwhile is told when all are waited for.
    result.catch(() => undefined);
    begun.push(result);
  }
  return Promise.all(begun);
}
