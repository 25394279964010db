/** What this page remembers of edits, for each person and review: it outlasts loading, and ends with the page. */
import { personId } from './api/person.js';
import type { Doing } from './remembered.js';

export interface Step {
  /** what was done, as in “Undone: added …” */
  what: string;
  undo: Doing;
  redo: Doing;
}

interface DatedStep extends Step {
  /** when it was done: the server’s clock is this machine’s */
  at: string;
}

export interface Remembered {
  /** what can be taken back, the latest at the end */
  steps: DatedStep[];
  /** what was taken back, the last at the end; null stands for what the server keeps */
  undone: (DatedStep | null)[];
}

const MOST_STEPS = 100;

/** @param reviewId null outside of reviews */
export function rememberedIn(reviewId: string | null): Remembered {
  const kept = sessionStorage.getItem(keyOf(reviewId));
  return kept === null ? { steps: [], undone: [] } : (JSON.parse(kept) as Remembered);
}

export function keepIn(reviewId: string | null, { steps, undone }: Remembered): void {
  const kept = { steps: steps.slice(-MOST_STEPS), undone: undone.slice(-MOST_STEPS) };
  try {
    sessionStorage.setItem(keyOf(reviewId), JSON.stringify(kept));
  } catch {
    // What the browser has no room for cannot be taken back; an older state would take back the wrong thing.
    sessionStorage.removeItem(keyOf(reviewId));
  }
}

function keyOf(reviewId: string | null): string {
  return `undo of ${personId() ?? 'nobody'} in ${reviewId ?? 'all'}`;
}
