/**
 * What one answer may cost: so many calls, where a database allows only so many in a second, and so much time. What does
 * not fit is told as a number. What was asked is remembered, so that whoever asks again gets further.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { CallBudget } from '@even-lantern/contract';
import { within } from '../connectors/patience.js';

/** As long as somebody may be left waiting for counts without having asked for them. */
const BEARABLE_MS = 4000;

interface Spending {
  left: number;
  until: number;
  refused: number;
}

const spendings = new AsyncLocalStorage<Spending>();

/** Nothing is spent any longer, until somebody does again. */
export function endSpending(): void {
  spendings.disable();
}

/** @returns how many calls an answer may cost */
export function callsAffordable(budget: CallBudget | null): number {
  const perSecond = budget?.perSecond ?? null;
  return perSecond === null ? Infinity : (perSecond * BEARABLE_MS) / 1000;
}

/**
 * Does work that may cost so many calls, and as much time as is bearable.
 * @returns its result, and how many counts are not in it for that
 */
export async function spendingAtMost<T>(
  calls: number,
  work: () => Promise<T>,
): Promise<{ result: T; uncounted: number }> {
  const spending = { left: calls, until: Date.now() + BEARABLE_MS, refused: 0 };
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

/** Waits for an answer only as long as is bearable. It is still waited for elsewhere, so that it is remembered. */
export async function inTime<T>(answer: Promise<T>, otherwise: T): Promise<T> {
  const spending = spendings.getStore();
  if (spending === undefined) return answer;
  const late = {};
  const told = await within<T | typeof late>(Math.max(0, spending.until - Date.now()), answer, late);
  if (told !== late) return told as T;
  spending.refused += 1;
  return otherwise;
}
