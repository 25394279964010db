import { slips } from '../../spelling/index.js';
import { beginning, lineAt, patternsOf, quoted, typed, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** A word that the index does not hold is likely a slip. */
export const findsNothing: Check = {
  id: 'finds-nothing',
  name: 'Finds nothing',
  about: 'No record holds it. It may be a typing error, or nobody writes it that way.',
  find: (strategy) =>
    wordsOf(strategy).flatMap(({ term, content, at }): Finding[] => {
      if (lineAt(strategy, at)?.hits !== 0) return [];
      const patterns = patternsOf(content);
      const likely = patterns.flatMap((pattern, i) => {
        if (pattern.anyEnding || pattern.text.includes('?')) return [];
        const known = strategy.indexWords.get(beginning(pattern.text)) ?? [];
        if (known.some(({ word }) => word === pattern.text)) return [];
        return known
          .map(({ word, hits }) => ({ word, hits, i, away: slips(pattern.text, word, 2) }))
          .filter(({ away }) => away <= (pattern.text.length < 6 ? 1 : 2));
      });
      const best = likely.sort((a, b) => a.away - b.away || b.hits - a.hits).slice(0, 2);
      return [
        {
          check: 'finds-nothing',
          at,
          detail: content.text,
          message: `${quoted(typed(patterns))} finds nothing here.`,
          weight: 'warning',
          mends: [
            ...best.map(({ word, i }) => {
              const text = typed(
                patterns.map((each, k) => (k === i ? { text: word, anyEnding: false } : each)),
              );
              return {
                text: `Write ${quoted(text)}`,
                mend: { kind: 'changeTerm' as const, termId: term.id, content: { ...content, text } },
              };
            }),
            { text: 'Take it out', mend: { kind: 'removeTerm' as const, termId: term.id } },
          ],
        },
      ];
    }),
};
