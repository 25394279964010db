import { setImmediate as othersFirst } from 'node:timers/promises';

/** After so long, whoever else waits for the server has a turn. */
const TURN_MS = 10;

const waiting: (() => void)[] = [];
let going = false;

/**
 * Resolves when it is time for the next piece of work that goes on without a pause, such as writing a long query. There is
 * one row of them for the whole program: however many pieces were begun, or got their answers at the same moment, they
 * hold nobody up for longer than a turn.
 */
export function turn(): Promise<void> {
  return new Promise((resolve) => {
    waiting.push(resolve);
    if (!going) void takeTurns();
  });
}

async function takeTurns(): Promise<void> {
  going = true;
  let since = performance.now();
  for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
    next();
    // What was waiting does its work before this goes on.
    await Promise.resolve();
    if (performance.now() - since <= TURN_MS) continue;
    await othersFirst();
    since = performance.now();
  }
  going = false;
}

/** Begins work on each item, a turn after the other, and waits for all of it. */
export async function inTurns<Item, Result>(
  items: readonly Item[],
  work: (item: Item, i: number) => Promise<Result>,
): Promise<Result[]> {
  const begun = items.map(async (item, i) => {
    await turn();
    return work(item, i);
  });
  return Promise.all(begun);
}
