/**
 * What one answer may ask of a database that allows only so many calls in a second. What does not fit is not asked, and
 * is told as a number. What was asked is remembered, so that whoever asks again gets further.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { CallBudget } from '@even-lantern/contract';

/** As long as somebody may be left waiting for counts without having asked for them, in seconds. */
const BEARABLE_S = 4;

interface Spending {
  left: number;
  refused: number;
}

const spendings = new AsyncLocalStorage<Spending>();

/** @returns how many calls an answer may cost */
export function callsAffordable(budget: CallBudget | null): number {
  const perSecond = budget?.perSecond ?? null;
  return perSecond === null ? Infinity : perSecond * BEARABLE_S;
}

/**
 * Does work that may cost so many calls.
 * @returns its result, and how many calls were not made for it
 */
export async function spendingAtMost<T>(
  calls: number,
  work: () => Promise<T>,
): Promise<{ result: T; uncounted: number }> {
  const spending = { left: calls, refused: 0 };
  const result = await spendings.run(spending, work);
  return { result, uncounted: spending.refused };
}

/** Whether what is asked for now may cost another call, which it then does. */
export function spendCall(): boolean {
  const spending = spendings.getStore();
  if (spending === undefined) return true;
  if (spending.left <= 0) {
    spending.refused += 1;
    return false;
  }
  spending.left -= 1;
  return true;
}
