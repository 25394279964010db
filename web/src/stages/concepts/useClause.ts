import { useMemo } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { laneOfConcept } from '../../review/conceptLanes.js';
import { useReview } from '../../review/useReview.js';
import { useTakenApart } from '../../review/useTakenApart.js';
import { useTrees, useVocabulary } from '../../review/useVocabulary.js';
import { NO_OFFERS, type Offer } from './offers.js';

export const GIVE_UP_AFTER_MS = 1500;

/** Nobody searches for a whole clause as a phrase; it is typed to be led to a heading. */
export function isClause(typed: string): boolean {
  return typed.split(/\s+/).length > 3;
}

const NO_TEXTS: readonly string[] = [];

/**
 * Where what is typed holds several concepts: the one that belongs to the lane, and the others, which do not.
 * @returns `own` null where it is one concept, or none
 */
export function useClause(
  typed: string,
  lane: ReviewLane,
): { own: string | null; others: Offer[]; pending: boolean } {
  const { review } = useReview();
  const texts = useMemo(() => (mayHoldSeveral(typed) ? [typed] : NO_TEXTS), [typed]);
  const answer = useTakenApart(texts);
  const ids = useMemo(() => (answer === null ? [] : [answer.vocabulary]), [answer]);
  const tree = useTrees(ids).get(answer?.vocabulary ?? '') ?? null;
  const pending = useVocabulary() !== null && texts.length > 0 && answer === null;
  const parts = useMemo(() => {
    const concepts = answer?.taken[0]?.concepts ?? [];
    if (answer === null || concepts.length < 2) return { own: null, others: NO_OFFERS };
    const { vocabulary } = answer;
    const placed = concepts.map((concept) => ({
      concept,
      in: laneOfConcept(review, concept, vocabulary, tree)?.id ?? null,
    }));
    const open = placed.filter((each) => each.in === null);
    const own =
      placed.find((each) => each.in === lane.id) ??
      open.find(({ concept }) => concept.headings.length > 0) ??
      open[0];
    const others = placed
      .filter((each) => each !== own && each.in === null)
      .map(({ concept }): Offer => ({ kind: 'lane', concept, vocabulary }));
    return { own: own?.concept.text ?? null, others };
  }, [answer, review, lane.id, tree]);
  return { ...parts, pending };
}

/** Quotation marks and brackets say that somebody means just these words. */
function mayHoldSeveral(typed: string): boolean {
  return typed.split(/\s+/).length > 1 && !/["()*?]/.test(typed);
}
