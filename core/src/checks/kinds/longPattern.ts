import type { WordPattern } from '../../query/index.js';
import { patternsOf, SHORT_STEM, typed, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** Endings after which a `*` comes too late: the shorter forms are not found. */
const LATE = /^(.{3,}?)(?:ies|es|s|ing|ed|isation|ization|ations?)$/;

/** A `*` behind an ending misses the word without it. */
export const longPattern: Check = {
  id: 'long-pattern',
  name: 'Cut too long',
  about:
    'The * stands behind an ending, so that the word without that ending, or with another, is not found.',
  find: (strategy) =>
    wordsOf(strategy).flatMap(({ term, content, at }): Finding[] => {
      const patterns = patternsOf(content);
      const long = patterns.findIndex(
        ({ text, anyEnding }) => anyEnding && !text.includes('?') && LATE.test(text),
      );
      const pattern = patterns[long];
      if (pattern === undefined) return [];
      const stem = LATE.exec(pattern.text)?.[1] ?? pattern.text;
      if (stem.length <= SHORT_STEM) return [];
      const shorter: WordPattern[] = patterns.map((each, i) =>
        i === long ? { text: stem, anyEnding: true } : each,
      );
      return [
        {
          check: 'long-pattern',
          at,
          detail: pattern.text,
          message: `“${pattern.text}*” is cut behind an ending; “${stem}*” would find its other forms too.`,
          weight: 'hint',
          ifItMatters: true,
          mends: [
            {
              text: `Cut it to “${stem}*”`,
              mend: { kind: 'changeTerm', termId: term.id, content: { ...content, text: typed(shorter) } },
            },
          ],
        },
      ];
    }),
};
