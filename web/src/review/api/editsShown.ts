/** Edits that are shown before the server has answered them. */
import type { Review } from '@even-lantern/contract';

/** What can be edited of a review by itself. */
export interface Thing {
  id: string;
  /** raised by every change of it */
  version?: number;
}

/** What edits change, by the id of the thing that they are made of, in their order. */
const underWay = new Map<string, object[]>();

/** Shows what an edit changes in every state of the review that arrives until it is answered. */
export async function showUntilAnswered(
  id: string,
  change: object,
  answer: PromiseLike<unknown>,
): Promise<void> {
  underWay.set(id, [...(underWay.get(id) ?? []), change]);
  try {
    await answer;
  } finally {
    const others = (underWay.get(id) ?? []).filter((each) => each !== change);
    if (others.length > 0) underWay.set(id, others);
    else underWay.delete(id);
  }
}

/** Things as the last edits of them were answered. */
const answered = new Map<string, Thing>();

/** Remembers the answer to an edit: a review that was asked for before it may still be on its way. */
export function keepAnswer(thing: Thing): void {
  answered.set(thing.id, thing);
}

/** A thing in its latest known state, with those edits of it that are under way. */
export function shown<Own extends Thing>(thing: Own): Own {
  const last = answered.get(thing.id);
  const isOlder = last?.version !== undefined && thing.version !== undefined && thing.version < last.version;
  return (underWay.get(thing.id) ?? []).reduce<Own>(
    (now, change) => ({ ...now, ...change }),
    isOlder ? { ...thing, ...last } : thing,
  );
}

/** A review as it was asked for before some edits, with those edits. */
export function withEditsShown(review: Review): Review {
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
