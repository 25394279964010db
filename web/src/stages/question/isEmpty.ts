import type { Review, ReviewElement } from '@even-lantern/contract';
import { termsOfElement } from '../../review/lanes.js';

export function isEmpty(review: Review, { id, text, note, searched }: ReviewElement): boolean {
  return text === '' && note === '' && !searched && termsOfElement(review, id).length === 0;
}
