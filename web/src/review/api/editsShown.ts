/** Edits that are shown before the server has answered them. */
import type { Review } from '@even-lantern/contract';

/** What can be edited of a review by itself. */
export interface Thing {
  id: string;
}

/** What edits change, by the id of the thing that they are made of, in their order. */
const underWay = new Map<string, object[]>();

/** Shows what an edit changes in every state of the review that arrives until it is answered. */
export async function showUntilAnswered(
  id: string,
  change: object,
  answered: PromiseLike<unknown>,
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

/** A thing with those edits of it that are under way. */
export const shown = <Own extends Thing>(thing: Own): Own =>
  (underWay.get(thing.id) ?? []).reduce<Own>((now, change) => ({ ...now, ...change }), thing);

/** A review as it was asked for before some edits, with those edits. */
export function withEditsShown(review: Review): Review {
  if (underWay.size === 0) return review;
  return {
    ...review,
    elements: review.elements.map(shown),
    lanes: review.lanes.map((lane) => ({ ...shown(lane), terms: lane.terms.map(shown) })),
    limits: review.limits.map(shown),
    ownLines: review.ownLines.map(shown),
  };
}

/** Something of a review by its id: an element, a lane, a term, a limit or a line of one’s own. */
export function thingOf(review: Review, id: string): Thing | undefined {
  const { elements, lanes, limits, ownLines } = review;
  return [...elements, ...lanes, ...lanes.flatMap(({ terms }) => terms), ...limits, ...ownLines].find(
    (each) => each.id === id,
  );
}
