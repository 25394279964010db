import { patternsOf, SHORT_STEM, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** A `*` after too few letters finds what nobody meant. */
export const shortPattern: Check = {
  id: 'short-pattern',
  name: 'Cut too short',
  about:
    'After so few letters, words of many kinds go on. Write more letters before the *, or the words one by one.',
  find: (strategy) =>
    wordsOf(strategy).flatMap(({ content, at }): Finding[] => {
      const short = patternsOf(content).find(({ text, anyEnding }) => anyEnding && text.length <= SHORT_STEM);
      if (short === undefined) return [];
      return [
        {
          check: 'short-pattern',
          at,
          detail: short.text,
          message: `“${short.text}*” has only ${short.text.length} letters before the *: words of many kinds begin so.`,
          weight: 'warning',
          mends: [],
        },
      ];
    }),
};
