import { variantsOf } from '../../proposals/index.js';
import { covers, patternsOf, quoted, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** Spellings and endings in which authors write the same. */
const SAME_WORD = ['British spelling', 'American spelling', 'plural', 'singular', 'written together'];

/** A spelling or an ending that the lane lacks and authors use. */
export const variantMissing: Check = {
  id: 'variant-missing',
  name: 'One spelling',
  about:
    'Authors write the same word otherwise: in the plural, in the spelling of another country, in one word or two.',
  find: (strategy) =>
    wordsOf(strategy).flatMap(({ content, lane, at }): Finding[] => {
      if (content.near !== null) return [];
      const present = wordsOf({ lanes: [lane] }).map((each) => patternsOf(each.content));
      return variantsOf(content.text)
        .filter(({ reason }) => SAME_WORD.includes(reason))
        .filter(({ text }) => {
          const variant = patternsOf({ ...content, text });
          return !present.some((each) => each.length === variant.length && covers(each, variant));
        })
        .slice(0, 2)
        .map(({ text, reason }): Finding => ({
          check: 'variant-missing',
          at,
          detail: text,
          message: `${quoted(text)} is missing (${reason}).`,
          weight: 'warning',
          ifItMatters: true,
          mends: [
            {
              text: `Add ${quoted(text)}`,
              mend: { kind: 'addTerm', laneId: lane.id, content: { ...content, text } },
            },
          ],
        }));
    }),
};
