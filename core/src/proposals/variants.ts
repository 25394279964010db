/** Other ways in which authors write what somebody typed. Which of them anybody writes, only a count can tell. */
import { parsePhrase, printPhrase, type WordPattern } from '../query/index.js';
import { american, british } from '../spelling/index.js';

export type VariantReason =
  | 'as a phrase'
  | 'words near each other'
  | 'British spelling'
  | 'American spelling'
  | 'written together'
  | 'written apart'
  | 'plural'
  | 'singular'
  | 'number as a word'
  | 'number as a figure'
  | 'Greek letter'
  | 'letter by name'
  | 'entry term'
  | 'abbreviation';

export interface Variant {
  /** as a person would type it */
  text: string;
  /** null for a phrase or a single word */
  near: number | null;
  reason: VariantReason;
}

const NUMBERS =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty'.split(
    ' ',
  );
const TENS: Readonly<Record<string, number>> = {
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const GREEK: Readonly<Record<string, string>> = {
  alpha: 'α', beta: 'β', gamma: 'γ', delta: 'δ', epsilon: 'ε', zeta: 'ζ', eta: 'η', theta: 'θ', kappa: 'κ', lambda: 'λ',
  mu: 'μ', sigma: 'σ', tau: 'τ', phi: 'φ', chi: 'χ', psi: 'ψ', omega: 'ω',
}; // prettier-ignore
const NEAR_DISTANCE = 3;

/**
 * Other ways to write a word or phrase, each once, without the typed one.
 *
 * @param names names that a vocabulary gives the same thing, if it does
 * @returns nothing for text that is no phrase
 */
export function variantsOf(typed: string, names: readonly string[] = []): Variant[] {
  const parsed = parsePhrase(typed);
  if (!parsed.ok) return [];
  const { phrase } = parsed;
  const words = phrase.map(({ text }) => text);
  const plain = phrase.every(({ text, anyEnding }) => !anyEnding && !text.includes('?'));
  const variants: Variant[] = [];
  const seen = new Set([printPhrase(phrase)]);
  const offer = (written: readonly string[], reason: VariantReason) => {
    const text = written.join(' ');
    if (seen.has(text)) return;
    seen.add(text);
    variants.push({ text: written.length > 1 ? `"${text}"` : text, near: null, reason });
  };
  if (phrase.length > 1) {
    variants.push({ text: printPhrase(phrase), near: NEAR_DISTANCE, reason: 'words near each other' });
  }
  if (!plain) return variants;
  offer(words.map(british), 'British spelling');
  offer(words.map(american), 'American spelling');
  const last = words.at(-1) ?? '';
  const others = words.slice(0, -1);
  for (const singular of singularsOf(last)) offer([...others, singular], 'singular');
  if (singularsOf(last).length === 0) offer([...others, pluralOf(last)], 'plural');
  for (let i = 0; i + 1 < words.length; i += 1) {
    offer([...words.slice(0, i), `${words[i]}${words[i + 1]}`, ...words.slice(i + 2)], 'written together');
  }
  words.forEach((word, i) => {
    const replace = (other: string | undefined, reason: VariantReason) => {
      if (other !== undefined) offer([...words.slice(0, i), other, ...words.slice(i + 1)], reason);
    };
    replace(figureOf(word), 'number as a figure');
    replace(numberWord(word), 'number as a word');
    replace(GREEK[word], 'Greek letter');
    replace(
      Object.keys(GREEK).find((name) => GREEK[name] === word),
      'letter by name',
    );
  });
  for (const name of names) {
    const parsedName = parsePhrase(name);
    if (!parsedName.ok) continue;
    offer(
      parsedName.phrase.map(written),
      /^[A-Z][A-Z0-9-]{1,6}s?$/.test(name) ? 'abbreviation' : 'entry term',
    );
  }
  return variants;
}

/** Every way to write one word as two. Most are nonsense: only those that a count finds are worth showing. */
export function apartVariants(typed: string): Variant[] {
  const parsed = parsePhrase(typed);
  const [only, ...others] = parsed.ok ? parsed.phrase : [];
  if (only === undefined || others.length > 0 || only.anyEnding || only.text.includes('?')) return [];
  const { text } = only;
  return Array.from({ length: Math.max(text.length - 5, 0) }, (_, i) => ({
    text: `"${text.slice(0, i + 3)} ${text.slice(i + 3)}"`,
    near: null,
    reason: 'written apart' as const,
  }));
}

function written({ text, anyEnding }: WordPattern): string {
  return anyEnding ? `${text}*` : text;
}

function singularsOf(word: string): string[] {
  if (word.length < 4 || /(?:ss|us|is|ics|ous)$/.test(word) || !word.endsWith('s')) return [];
  if (word.endsWith('ies')) return [`${word.slice(0, -3)}y`];
  if (/(?:ches|shes|xes|sses|zes)$/.test(word)) return [word.slice(0, -2)];
  return [word.slice(0, -1)];
}

function pluralOf(word: string): string {
  if (/[^aeiou]y$/.test(word)) return `${word.slice(0, -1)}ies`;
  if (/(?:s|x|z|ch|sh)$/.test(word)) return `${word}es`;
  return `${word}s`;
}

function figureOf(word: string): string | undefined {
  const small = NUMBERS.indexOf(word);
  const value = small === -1 ? TENS[word] : small;
  return value?.toString();
}

function numberWord(word: string): string | undefined {
  if (!/^\d{1,2}$/.test(word)) return undefined;
  return NUMBERS[Number(word)] ?? Object.keys(TENS).find((name) => TENS[name] === Number(word));
}
