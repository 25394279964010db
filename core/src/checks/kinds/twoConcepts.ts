import { headingByLabel, pathsTo, type VocabularyTree } from '../../vocabulary/index.js';
import type { Check, Finding } from '../check.js';
import { headingsOf, type HeadingContent } from '../looking.js';

/** Two concepts in one OR is the classic mistake: either is enough then, though both were meant. */
export const twoConcepts: Check = {
  id: 'two-concepts',
  name: 'Two concepts in one lane',
  about:
    'What stands in a lane is joined with OR, so each of it is enough. A heading that belongs with those of another lane lets in records that tell of only one of the two.',
  find: (strategy) => {
    const headings = headingsOf(strategy);
    return headings.flatMap(({ term, content, lane, at }): Finding[] => {
      const tree = strategy.vocabulary(content.vocabulary);
      if (tree === null) return [];
      const tops = topsOf(tree, content);
      const shares = (other: HeadingContent) =>
        other.vocabulary === content.vocabulary && topsOf(tree, other).some((top) => tops.includes(top));
      const beside = headings.filter((each) => each.lane.id === lane.id && each.term.id !== term.id);
      if (beside.length === 0 || beside.some((each) => shares(each.content))) return [];
      const elsewhere = headings.find((each) => each.lane.id !== lane.id && shares(each.content));
      if (elsewhere === undefined) return [];
      return [
        {
          check: 'two-concepts',
          at,
          detail: content.label,
          message: `${content.label} is of another kind than the other headings of this lane, and of the kind of those in “${elsewhere.lane.name}”.`,
          weight: 'warning',
          mends: [
            {
              text: `Move it to “${elsewhere.lane.name}”`,
              mend: { kind: 'moveTerm', termId: term.id, laneId: elsewhere.lane.id },
            },
          ],
        },
      ];
    });
  },
};

function topsOf(tree: VocabularyTree, { label }: HeadingContent): string[] {
  const heading = headingByLabel(tree, label);
  if (heading === null) return [];
  return [...new Set(pathsTo(tree, heading).flatMap(([top]) => top?.label ?? []))];
}
