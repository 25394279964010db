import type { Review } from '@even-lantern/contract';
import type { Proposal } from './useProposals.js';

/** What elements that say nothing yet say from now on: the words of the text that became their lanes. */
export function textsOfElements(
  review: Review,
  draft: string,
  made: readonly { proposal: Proposal; elementId: string | null }[],
): { elementId: string; text: string }[] {
  return review.elements
    .filter(({ text }) => text.trim() === '')
    .flatMap(({ id }) => {
      const own = made.filter(({ elementId }) => elementId === id).map(({ proposal }) => proposal.concept);
      const [first, last] = [own[0], own.at(-1)];
      if (first === undefined || last === undefined) return [];
      const strangers = made.some(
        ({ elementId, proposal: { concept } }) =>
          elementId !== id && concept.from > first.from && concept.from < last.to,
      );
      const text = strangers
        ? own.map((concept) => concept.text).join(', ')
        : draft.slice(first.from, last.to);
      return [{ elementId: id, text: text.replace(/\s+/g, ' ').slice(0, 2000) }];
    });
}
