import { setTimeout as pause } from 'node:timers/promises';
import { CallQueue, withPriority } from './callQueue.js';

/** Calls that note when they begin and how many are under way. */
function calls() {
  const begun: number[] = [];
  const order: string[] = [];
  let underWay = 0;
  let most = 0;
  const call =
    (name: string, ms = 5) =>
    async () => {
      begun.push(performance.now());
      order.push(name);
      underWay += 1;
      most = Math.max(most, underWay);
      await pause(ms);
      underWay -= 1;
      return name;
    };
  return { call, begun, order, most: () => most };
}

test('no more calls are under way than may be at once', async () => {
  const { call, most } = calls();
  const queue = new CallQueue({ atOnce: 3, perSecond: null });
  const names = Array.from({ length: 30 }, (_, i) => String(i));
  expect(await Promise.all(names.map((name) => queue.add(call(name))))).toEqual(names);
  expect(most()).toBe(3);
});

describe('with a clock that the test moves', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('within no second are more calls begun than may be, wherever the second begins', async () => {
    const begun: number[] = [];
    const call = async () => void begun.push(Date.now());
    const queue = new CallQueue({ atOnce: 50, perSecond: 8 });
    for (let i = 0; i < 5; i += 1) await queue.add(call);
    await jest.advanceTimersByTimeAsync(600);
    const rest = Promise.all(Array.from({ length: 16 }, () => queue.add(call)));
    await jest.advanceTimersByTimeAsync(5000);
    await rest;
    expect(begun).toHaveLength(21);
    for (const from of begun) {
      expect(begun.filter((at) => at >= from && at < from + 1000).length).toBeLessThanOrEqual(8);
    }
  });
});

test('what a person looks at goes before what explains it, and that before what may come later', async () => {
  const { call, order } = calls();
  const queue = new CallQueue({ atOnce: 1, perSecond: null });
  const first = queue.add(call('first'));
  const rest = (['later', 'soon', 'now'] as const).flatMap((urgency) =>
    withPriority(urgency, () => [queue.add(call(urgency)), queue.add(call(urgency))]),
  );
  await Promise.all([first, ...rest]);
  expect(order).toEqual(['first', 'now', 'now', 'soon', 'soon', 'later', 'later']);
});

test('a call that is stopped while it waits is not made', async () => {
  const { call, order } = calls();
  const queue = new CallQueue({ atOnce: 1, perSecond: null });
  const first = queue.add(call('first', 30));
  const stop = new AbortController();
  const second = queue.add(call('second'), stop.signal);
  stop.abort();
  await expect(second).rejects.toThrow();
  await first;
  expect(order).toEqual(['first']);
});

test('a budget that is changed holds for what is asked from then on', async () => {
  const { call, most } = calls();
  const queue = new CallQueue({ atOnce: 1, perSecond: null });
  queue.change({ atOnce: 4, perSecond: null });
  await Promise.all(Array.from({ length: 12 }, (_, i) => queue.add(call(String(i)))));
  expect(most()).toBe(4);
});
