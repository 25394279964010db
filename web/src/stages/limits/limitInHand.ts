/** A limit as the stage shows it: one that is kept, or one that is only tried. */
import type { LimitDraft, ReviewLimit } from '@even-lantern/contract';
import { limitKind, type LimitValues } from '@even-lantern/core';

export interface Draft extends LimitDraft {
  reason: string;
}

export type LimitInHand = { tried: false; limit: ReviewLimit } | { tried: true; limit: Draft };

/** The values that a limit of a kind is tried with first; nothing is chosen yet for one that has to be chosen. */
export function firstValues(kind: string, thisYear: number): LimitValues {
  switch (limitKind(kind).values) {
    case 'years':
      return { kind: 'years', from: thisYear - 20, to: thisYear };
    case 'yes':
      return { kind: 'values', values: ['yes'] };
    case 'chosen':
    case 'typed':
      return { kind: 'values', values: [] };
  }
}

/** Whether a limit has what it needs to be counted. */
export function isFilled({ values }: Pick<LimitDraft, 'values'>): boolean {
  return values.kind === 'values' ? values.values.length > 0 : values.from !== null || values.to !== null;
}

/** What the server is asked with: the limits there are and those that are tried; undefined where none is tried. */
export function asTried(limits: readonly ReviewLimit[], drafts: readonly Draft[]): LimitDraft[] | undefined {
  const filled = drafts.filter(isFilled);
  if (filled.length === 0) return undefined;
  return [...limits, ...filled].map(({ id, kind, values, on, ways }) => ({ id, kind, values, on, ways }));
}
