/**
 * What one answer may cost: so many calls, where a database allows only so many in a second, and so much time. What does
 * not fit is told as a number. What was asked is remembered, so that whoever asks again gets further.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { CallBudget } from '@even-lantern/contract';
import { withTimeout } from '../connectors/timeout.js';

/** As long as somebody may be left waiting for counts without having asked for them. */
const TIMEOUT_MS = 4000;

interface Allowance {
  left: number;
  until: number;
  refused: number;
}

const allowances = new AsyncLocalStorage<Allowance>();

/** Nothing is spent any longer, until somebody does again. */
export function forgetAllowances(): void {
  allowances.disable();
}

/** @returns how many calls an answer may cost */
export function affordableCalls(budget: CallBudget | null): number {
  const perSecond = budget?.perSecond ?? null;
  return perSecond === null ? Infinity : (perSecond * TIMEOUT_MS) / 1000;
}

/**
 * Does work that may cost so many calls, and as much time as is bearable.
 * @returns its result, and how many counts are not in it for that
 */
export async function withinAllowance<T>(
  calls: number,
  work: () => Promise<T>,
): Promise<{ result: T; uncounted: number }> {
  const spending = { left: calls, until: performance.now() + TIMEOUT_MS, refused: 0 };
  const result = await allowances.run(spending, work);
  return { result, uncounted: spending.refused };
}

/** Whether what is asked for now may cost another call, which it then does. */
export function takeCall(): boolean {
  const spending = allowances.getStore();
  if (spending === undefined) return true;
  // What is only begun when the time is over would not be in the answer either.
  if (spending.left <= 0 || performance.now() >= spending.until) {
    spending.refused += 1;
    return false;
  }
  spending.left -= 1;
  return true;
}

/** Waits for an answer only as long as is bearable. It is still waited for elsewhere, so that it is remembered. */
export async function beforeTimeout<T>(answer: Promise<T>, otherwise: T): Promise<T> {
  const spending = allowances.getStore();
  if (spending === undefined) return answer;
  const late = {};
  const answered = await withTimeout<T | typeof late>(
    Math.max(0, spending.until - performance.now()),
    answer,
    late,
  );
  if (answered !== late) return answered as T;
  spending.refused += 1;
  return otherwise;
}
