import {
  allNarrower,
  headingByLabel,
  textKey,
  type ProposedConcept,
  type TermContent,
  type VocabularyTree,
} from '@even-lantern/core';
import type { KeptReviewLane, Review } from '@even-lantern/contract';

/** The lane that stands for a concept already: one of its name, or one that holds a heading of it or above it. */
export function laneOfConcept(
  review: Review,
  { text, headings }: ProposedConcept,
  vocabulary: string,
  tree: VocabularyTree | null,
): KeptReviewLane | null {
  const covers = (content: TermContent) =>
    content.kind === 'heading' &&
    content.vocabulary === vocabulary &&
    headings.some(
      ({ label }) =>
        label === content.label || (content.narrower === true && isBelow(tree, content.label, label)),
    );
  const filled = review.lanes.filter(({ terms }) => terms.length > 0);
  return (
    filled.find(({ name }) => name !== '' && textKey(name) === textKey(text)) ??
    filled.find(({ terms }) => terms.some(({ content }) => covers(content))) ??
    null
  );
}

function isBelow(tree: VocabularyTree | null, above: string, label: string): boolean {
  if (tree === null || headingByLabel(tree, above) === null) return false;
  return allNarrower(tree, above)?.some((heading) => heading.label === label) ?? false;
}
