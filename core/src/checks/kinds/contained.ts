import type { WordPattern } from '../../query/index.js';
import { describeTerm, sameTerm } from '../../strategy/index.js';
import { allNarrower } from '../../vocabulary/index.js';
import type { Check, CheckedStrategy, Finding } from '../check.js';
import {
  quoted,
  covers,
  headingsOf,
  patternsOf,
  wordsOf,
  type HeadingContent,
  type WordsContent,
} from '../looking.js';

/** What another term of the lane finds already changes nothing, and makes a strategy hard to read. */
export const contained: Check = {
  id: 'contained',
  name: 'Twice, or within another',
  about:
    'All that it finds another term of the lane finds too. Nothing is lost without it, and nothing is wrong with it.',
  find: (strategy) =>
    strategy.lanes.flatMap((lane) => {
      const headings = headingsOf({ lanes: [lane] });
      const words = wordsOf({ lanes: [lane] });
      const finding = (
        { term, at }: { term: { id: string }; at: string },
        name: string,
        other: string,
        same: boolean,
      ): Finding => ({
        check: 'contained',
        at,
        detail: other,
        message: same ? `${name} stands twice in this lane.` : `All that ${name} finds, ${other} finds too.`,
        weight: 'hint',
        mends: [{ text: 'Take it out', mend: { kind: 'removeTerm', termId: term.id } }],
      });
      return [
        ...headings.flatMap((one, i) => {
          const container = headings.find(
            (other, k) => k !== i && holdsHeading(strategy, other.content, one.content, k < i),
          );
          const same = container !== undefined && sameTerm(container.content, one.content);
          return container === undefined
            ? []
            : [finding(one, one.content.label, container.content.label, same)];
        }),
        ...words.flatMap((one, i) => {
          const container = words.find(
            (other, k) => k !== i && holdsWords(other.content, one.content, k < i),
          );
          if (container === undefined) return [];
          const same = sameTerm(container.content, one.content);
          return [finding(one, named(one.content), named(container.content), same)];
        }),
      ];
    }),
};

/** @param earlier of two that find the same, the later is told */
function holdsHeading(
  strategy: CheckedStrategy,
  wide: HeadingContent,
  one: HeadingContent,
  earlier: boolean,
): boolean {
  const alike = (heading: HeadingContent) => JSON.stringify([heading.central, heading.narrower]);
  if (sameTerm(wide, one) && alike(wide) === alike(one)) return earlier;
  if (wide.vocabulary !== one.vocabulary || (wide.central && !one.central)) return false;
  if (wide.subheadings.length > 0) return false;
  if (wide.label === one.label) {
    return wide.narrower === true || (wide.narrower === false && one.narrower === false);
  }
  const tree = strategy.vocabulary(wide.vocabulary);
  if (wide.narrower !== true || tree === null) return false;
  return allNarrower(tree, wide.label)?.some(({ label }) => label === one.label) === true;
}

/** @param earlier of two that find the same, the later is told */
function holdsWords(wide: WordsContent, one: WordsContent, earlier: boolean): boolean {
  if (wide.field !== one.field) return false;
  const [outer, inner] = [patternsOf(wide), patternsOf(one)];
  if (outer.length === 0 || inner.length === 0) return false;
  const fits = (at: number) => covers(outer, inner, at);
  if (wide.near !== null || one.near !== null) {
    // Words near each other are held by one of them alone.
    if (outer.length === 1) return inner.some((_word, at) => fits(at));
    if (wide.near === null) return false;
    if (one.near !== null) return sameTerm(wide, one) && earlier;
    // In a phrase, no two words are further from each other than its length.
    return inner.length - 1 <= wide.near && canTake(outer, inner);
  }
  const held = inner.some((_word, at) => at + outer.length <= inner.length && fits(at));
  const alike = sameTerm(wide, one);
  return held && (!alike || earlier);
}

/** Whether each pattern covers a word of a phrase, and no two the same one. */
function canTake(patterns: readonly WordPattern[], phrase: readonly WordPattern[]): boolean {
  const [first, ...others] = patterns;
  if (first === undefined) return true;
  return phrase.some(
    (word, i) => covers([first], [word]) && canTake(others, [...phrase.slice(0, i), ...phrase.slice(i + 1)]),
  );
}

function named(content: WordsContent): string {
  return content.near === null ? quoted(content.text) : describeTerm(content).text;
}
