/** Edits of terms and limits that are shown before the server has answered them. */
import type { LimitChange, Review, TermChange } from '@even-lantern/contract';

type Shown = Pick<TermChange, 'content'> | Omit<LimitChange, 'removed' | 'before'>;

const underWay = new Map<string, Shown[]>();

/** Shows an edit in every state of the review that arrives until it is answered. */
export async function showUntilAnswered(
  id: string,
  change: Shown,
  answered: Promise<unknown>,
): Promise<void> {
  underWay.set(id, [...(underWay.get(id) ?? []), change]);
  try {
    await answered;
  } finally {
    const others = (underWay.get(id) ?? []).filter((each) => each !== change);
    if (others.length > 0) underWay.set(id, others);
    else underWay.delete(id);
  }
}

/** A review as it was asked for before some edits, with those edits. */
export function withEditsShown(review: Review): Review {
  const shown = <Thing extends { id: string }>(thing: Thing): Thing =>
    (underWay.get(thing.id) ?? []).reduce((now, change) => ({ ...now, ...change }), thing);
  if (underWay.size === 0) return review;
  return {
    ...review,
    lanes: review.lanes.map((lane) => ({ ...lane, terms: lane.terms.map(shown) })),
    limits: review.limits.map(shown),
  };
}
