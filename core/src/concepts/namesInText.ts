/** Where the words of a text name headings. */
import { joinedKey, lookupWords, senseOf, type LookupIndex } from '../vocabulary/index.js';
import type { ClauseWord } from './clauseWords.js';

/** Words that name headings, by one of their names. */
export interface NameInText {
  /** half-open range of places among the words */
  from: number;
  to: number;
  /** places of the headings in the vocabulary; those of which it is the label come first */
  headings: number[];
  /** whether the words stand as the name has them */
  exact: boolean;
}

/** Words of a name at most. */
const LONGEST = 7;
/** Names that one word may lead to and still be gone through. */
const MOST_NAMES = 3000;

/** Every run of words that is a name of a heading. */
export function namesInText(index: LookupIndex, text: string, words: readonly ClauseWord[]): NameInText[] {
  const found: NameInText[] = [];
  for (let from = 0; from < words.length; from += 1) {
    const folded: string[] = [];
    let together = true;
    for (let to = from + 1; to <= Math.min(words.length, from + LONGEST); to += 1) {
      const word = words[to - 1];
      if (word === undefined) break;
      if (to > from + 1 && /[.;:?!\n]/.test(text.slice(words[to - 2]?.end, word.start))) break;
      together &&= to === from + 1 || word.link === 'joined' || word.link === 'of';
      folded.push(senseOf(word.word));
      const exact = asWritten(index, text.slice(words[from]?.start, word.end));
      const headings = exact.length > 0 ? exact : together ? ofSameWords(index, folded) : [];
      if (headings.length > 0) found.push({ from, to, headings, exact: exact.length > 0 });
    }
  }
  return found;
}

/** Headings that have a name of just these words, in any order. */
export function ofSameWords(index: LookupIndex, folded: readonly string[]): number[] {
  const wanted = new Set(folded);
  let rarest: readonly number[] | null = null;
  for (const word of wanted) {
    const names = index.senses.get(word)?.names ?? [];
    if (rarest === null || names.length < rarest.length) rarest = names;
  }
  if (rarest === null || rarest.length > MOST_NAMES) return [];
  return headingsOf(
    index,
    rarest.filter((number) => {
      const own = index.names[number]?.folded ?? [];
      return own.length === wanted.size && own.every((word) => wanted.has(word));
    }),
  );
}

function asWritten(index: LookupIndex, text: string): number[] {
  return headingsOf(index, [index.joined.get(joinedKey(lookupWords(text))) ?? []].flat());
}

function headingsOf(index: LookupIndex, names: readonly number[]): number[] {
  const found = names.flatMap((number) => index.names[number] ?? []);
  const labels = found.filter(({ isLabel }) => isLabel);
  return [...new Set([...labels, ...found].map(({ heading }) => heading))];
}
