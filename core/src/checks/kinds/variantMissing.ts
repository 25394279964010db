import { apartVariants, variantsOf, type Variant } from '../../proposals/index.js';
import type { WordPattern } from '../../query/index.js';
import { covers, patternsOf, quoted, typed, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** Spellings and endings in which authors write the same. */
const SAME_WORD = [
  'British spelling',
  'American spelling',
  'plural',
  'singular',
  'written together',
  'written apart',
];

/** Ways of writing one term that are looked at; which of them anybody uses, only counts tell. */
const MOST = 6;

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
      return sameWords(patternsOf(content))
        .filter(({ text }) => {
          const variant = patternsOf({ ...content, text });
          return !present.some((each) => each.length === variant.length && covers(each, variant));
        })
        .slice(0, MOST)
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

/** A word written apart has at least so many letters on either side. */
const APART = 4;

/** Other ways to write the same words; an ending that is left open stays open. */
function sameWords(patterns: readonly WordPattern[]): Pick<Variant, 'text' | 'reason'>[] {
  const last = patterns.at(-1);
  const masked = patterns.some(({ text }) => text.includes('?'));
  if (last === undefined || masked || patterns.slice(0, -1).some(({ anyEnding }) => anyEnding)) return [];
  const plain = typed(patterns.map(({ text }) => ({ text, anyEnding: false })));
  const apart = apartVariants(plain).filter(({ text }) =>
    text
      .replaceAll('"', '')
      .split(' ')
      .every((part) => part.length >= APART),
  );
  const variants = [...variantsOf(plain), ...apart].filter(({ reason }) => SAME_WORD.includes(reason));
  if (!last.anyEnding) return variants;
  return variants
    .filter(({ reason }) => reason !== 'plural' && reason !== 'singular')
    .map(({ text, reason }) => ({
      text: text.endsWith('"') ? `${text.slice(0, -1)}*"` : `${text}*`,
      reason,
    }));
}
