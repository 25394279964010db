import { quoted, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** Operators and signs of a search that stand in the words of a term, where they are searched as words. */
const LEFT_OVER = /\b(?:AND|OR|NOT)\b|[[\]{}=#]|\b[a-z]{1,8}:(?=\S)|\bL\d+\b/;

/** What was left over from another search is searched as a word, without a sign of it. */
export const leftOver: Check = {
  id: 'left-over',
  name: 'Left over from another search',
  about:
    'Operators, line numbers and codes within a term are searched as words. Terms stand one by one in a lane; lines of your own join them.',
  find: (strategy) =>
    wordsOf(strategy).flatMap(({ term, content, lane, at }): Finding[] => {
      const found = LEFT_OVER.exec(content.text)?.[0];
      if (found === undefined) return [];
      const parts = content.text.replaceAll('"', '').split(/\s+OR\s+/);
      const [first = '', ...others] = parts.map((part) => part.trim()).filter((part) => part !== '');
      const splits = others.length > 0 && [first, ...others].every((part) => !LEFT_OVER.test(part));
      return [
        {
          check: 'left-over',
          at,
          detail: content.text,
          message: `“${found}” within ${quoted(content.text)} is searched as a word, or not at all.`,
          weight: 'warning',
          mends: splits
            ? [
                {
                  text: `Search ${quoted(first)} alone`,
                  mend: { kind: 'changeTerm', termId: term.id, content: { ...content, text: first } },
                },
                ...others.map((text) => ({
                  text: `Add ${quoted(text)}`,
                  mend: { kind: 'addTerm' as const, laneId: lane.id, content: { ...content, text } },
                })),
              ]
            : [],
        },
      ];
    }),
};
