import { foldWord } from '../../spelling/index.js';
import { searchedTerms, type TermContent } from '../../strategy/index.js';
import {
  contentWords,
  headingByLabel,
  lookupWords,
  pathsTo,
  type VocabularyTree,
} from '../../vocabulary/index.js';
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
      // A tree may part what one word holds together, such as a treatment and the thing that it is made with.
      const own = wordsIn(content.label);
      const others = searchedTerms(lane).filter((each) => each.id !== term.id);
      if (others.some((each) => wordsIn(textOf(each.content)).some((word) => own.includes(word)))) return [];
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

function textOf(content: TermContent): string {
  return content.kind === 'heading' ? content.label : content.text;
}

function wordsIn(text: string): string[] {
  return contentWords(lookupWords(text)).map(foldWord);
}

function topsOf(tree: VocabularyTree, { label }: HeadingContent): string[] {
  const heading = headingByLabel(tree, label);
  if (heading === null) return [];
  return [...new Set(pathsTo(tree, heading).flatMap(([top]) => top?.label ?? []))];
}
