import {
  elementOfRole,
  frameworkOf,
  lookupWords,
  senseOf,
  textKey,
  type ElementKey,
  type ProposedConcept,
  type TermContent,
} from '@even-lantern/core';
import type { KeptReviewLane, ShelfItem } from '@even-lantern/contract';
import { useMemo } from 'react';
import { laneOfConcept } from '../../review/conceptLanes.js';
import { useReview } from '../../review/useReview.js';
import { useTakenApart } from '../../review/useTakenApart.js';
import { useTrees } from '../../review/useVocabulary.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';

/** A concept that a text holds, with what of it is in the review already. */
export interface Proposal {
  key: string;
  concept: ProposedConcept;
  /** where it seems to belong; null for a further concept */
  elementId: string | null;
  /** headings, then words */
  contents: TermContent[];
  lane: KeptReviewLane | null;
  item: ShelfItem | null;
}

export interface Proposals {
  proposals: Proposal[];
  /** from where on the text was not read; null when all was */
  unread: number | null;
}

/**
 * The concepts of what somebody is writing, or else of what the elements say; null until they are known.
 * @param draft empty for the elements
 */
export function useProposals(draft: string): Proposals | null {
  const { review } = useReview();
  const { framework } = review;
  const written = review.elements.filter(
    ({ key, text }) => text.trim() !== '' && frameworkOf(framework).elements.includes(key),
  );
  const places =
    draft.trim() === '' ? written.map(({ key, text }) => ({ key, text })) : [{ key: null, text: draft }];
  const placesKey = JSON.stringify(places);
  const texts = useMemo(() => (JSON.parse(placesKey) as typeof places).map(({ text }) => text), [placesKey]);
  const answer = useTakenApart(texts);
  const ids = useMemo(() => (answer === null ? [] : [answer.vocabulary]), [answer]);
  const tree = useTrees(ids).get(answer?.vocabulary ?? '') ?? null;
  return useMemo(() => {
    if (answer === null) return null;
    const keys = (JSON.parse(placesKey) as { key: ElementKey | null }[]).map(({ key }) => key);
    const proposals = answer.taken.flatMap(({ concepts }, i) =>
      concepts.map((concept): Proposal => {
        const key = keys[i] ?? elementOfRole(concept.role, framework);
        const element = review.elements.find((each) => each.key === key);
        return {
          key: `${key ?? ''} ${concept.from} ${concept.text}`,
          concept,
          elementId: element?.id ?? null,
          contents: [
            ...concept.headings.map(({ label }) => headingContent(answer.vocabulary, label)),
            ...concept.words.map((text) => wordsContent(text)),
          ],
          lane: laneOfConcept(review, concept, answer.vocabulary, tree),
          item: review.shelf.find(({ name }) => textKey(name) === textKey(concept.text)) ?? null,
        };
      }),
    );
    return {
      proposals: proposals.filter((each) => !isSaidElsewhere(each, proposals)),
      unread: answer.taken.find(({ unread }) => unread !== null)?.unread ?? null,
    };
  }, [answer, placesKey, framework, review, tree]);
}

/** Whether a word without a heading only takes up what another concept says: “the shift” after “rotating shifts”. */
function isSaidElsewhere({ concept }: Proposal, all: readonly Proposal[]): boolean {
  const words = lookupWords(concept.text).map(senseOf);
  if (concept.headings.length > 0 || words.length > 1) return false;
  return all.some(
    (other) =>
      other.concept !== concept && lookupWords(other.concept.text).some((word) => senseOf(word) === words[0]),
  );
}
