import { elementShape, lanesOfQuestion, type ElementKey, type LaneOfQuestion } from '@even-lantern/core';
import type { KeptReviewLane, Review, ReviewElement, ReviewTerm } from '@even-lantern/contract';

export type ReviewLane = LaneOfQuestion<ReviewElement, KeptReviewLane>;

/** The lanes of a review that are searched, headings before words. */
export function lanesOfReview(review: Review): ReviewLane[] {
  return lanesOfQuestion(review.elements, review.lanes);
}

/** The terms in all lanes of an element, searched or not. */
export function termsOfElement(review: Review, elementId: string): ReviewTerm[] {
  return review.lanes.filter((lane) => lane.elementId === elementId).flatMap(({ terms }) => terms);
}

export function elementName(key: ElementKey): string {
  return elementShape(key).name;
}
