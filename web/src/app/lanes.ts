import { elementShape, lanesOfElements, type ElementKey, type LaneOfElement } from '@even-lantern/core';
import type { Review, ReviewElement } from '@even-lantern/contract';

export type ReviewLane = LaneOfElement<ReviewElement>;

/** The lanes of a review: its searched elements, headings before words. */
export function lanesOfReview(review: Review): ReviewLane[] {
  return lanesOfElements(review.elements);
}

export function elementName(key: ElementKey): string {
  return elementShape(key).name;
}
