import type { KeptReviewLane, Review } from '@even-lantern/contract';

/** The first lane of an element, by its key. */
export function laneOf(review: Review, key: string): KeptReviewLane {
  const element = review.elements.find((each) => each.key === key);
  const lane = review.lanes.find(({ elementId }) => elementId === element?.id);
  if (lane === undefined) throw new Error(`no lane for ${key}`);
  return lane;
}
