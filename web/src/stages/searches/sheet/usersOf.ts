import { linesReferredTo, ownKey } from '@even-lantern/core';
import type { ReviewOwnLine } from '@even-lantern/contract';

/** The own lines that refer to one. */
export function usersOf(own: ReviewOwnLine, ownLines: readonly ReviewOwnLine[]): ReviewOwnLine[] {
  return ownLines.filter(({ text }) => linesReferredTo(text).includes(ownKey(own.id)));
}
