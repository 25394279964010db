import { elementShape, type ElementKey, type Lane } from '@even-lantern/core';
import type { Review, ReviewElement, ReviewTerm } from '@even-lantern/contract';

export interface ReviewLane extends Lane {
  element: ReviewElement;
  terms: ReviewTerm[];
}

/** The lanes of a review: its searched elements, headings before words. */
export function lanesOfReview(review: Review): ReviewLane[] {
  return review.elements
    .filter(({ searched }) => searched)
    .map((element) => ({
      id: element.id,
      name: element.text.trim() || elementName(element.key),
      element,
      terms: [
        ...element.terms.filter(({ content }) => content.kind === 'heading'),
        ...element.terms.filter(({ content }) => content.kind === 'words'),
      ],
    }));
}

export function elementName(key: ElementKey): string {
  return elementShape(key).name;
}
