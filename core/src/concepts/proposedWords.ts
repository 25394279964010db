/** Free text for a concept: how the text says it, and other names of its headings. */
import { MIN_LETTERS_BEFORE_ANY_ENDING } from '../query/index.js';
import {
  contentWords,
  headingByLabel,
  isEmptyWord,
  lookupWords,
  type VocabularyTree,
} from '../vocabulary/index.js';

/** Plurals that end in no `s`. */
const IRREGULAR = new Set(['people', 'men', 'women', 'children', 'feet', 'teeth', 'staff']);

const MOST_WORDS = 4;
/** Nobody writes longer phrases twice. */
const LONGEST_PHRASE = 3;

/**
 * @param written how the text says it, the surest first
 * @param labels of its headings
 * @returns phrases as people type them, none of which another one holds
 */
export function proposedWords(
  tree: VocabularyTree,
  written: readonly string[],
  labels: readonly string[],
): string[] {
  const names = labels.map((label) => {
    const heading = headingByLabel(tree, label);
    return heading === null ? [] : [heading.label, ...heading.entryTerms];
  });
  const inTurn = Array.from({ length: Math.max(0, ...names.map(({ length }) => length)) }, (_, i) =>
    names.flatMap((list) => list[i] ?? []),
  ).flat();
  const chosen: string[][] = [];
  for (const [i, text] of [...written, ...inTurn].entries()) {
    const words = lookupWords(text);
    const fromText = i < written.length;
    if (fromText && i > 0 && words.length > LONGEST_PHRASE) continue;
    if (words.length === 0 || (!fromText && (words.length > LONGEST_PHRASE || tooPlain(words)))) continue;
    const phrase = cut(words);
    if (chosen.some((each) => holds(phrase, each))) continue;
    chosen.push(phrase);
    if (chosen.length === MOST_WORDS) break;
  }
  return chosen
    .filter((phrase) => !chosen.some((other) => other !== phrase && holds(phrase, other)))
    .map((phrase) => (phrase.length > 1 ? `"${phrase.join(' ')}"` : (phrase[0] ?? '')));
}

/** Abbreviations mean too many things to be proposed, and nobody searches for “the aged” or “being operated on”. */
function tooPlain(words: readonly string[]): boolean {
  const content = contentWords(words);
  const [first = '', last = ''] = [words[0], words.at(-1)];
  if (isEmptyWord(first) || isEmptyWord(last)) return true;
  return content.length === 1 && (content[0] ?? '').length < 4;
}

/** With any ending where there may be a plural; words alone only where they are one, since `pain*` is not pain. */
function cut(words: readonly string[]): string[] {
  const last = words.at(-1) ?? '';
  if (IRREGULAR.has(last)) return [...words];
  const stem = last.replace(/(?<=[^su])s$/, '');
  const isPlural = stem !== last && !/(?:is|ics)$/.test(last);
  if (stem.length < MIN_LETTERS_BEFORE_ANY_ENDING || (words.length === 1 && !isPlural)) return [...words];
  return [...words.slice(0, -1), `${isPlural ? stem : last}*`];
}

/** Whether a phrase holds another, so that whatever finds the first is found by the second too. */
function holds(phrase: readonly string[], other: readonly string[]): boolean {
  return phrase.some((_, at) =>
    other.every((word, i) => {
      const own = phrase[at + i];
      if (own === undefined) return false;
      return word.endsWith('*') ? own.startsWith(word.slice(0, -1)) : own.replace('*', '') === word;
    }),
  );
}
