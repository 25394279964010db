/** Where the words of a text name headings. */
import { joinedKey, lookupWords, senseOf, type LookupIndex, type Name } from '../vocabulary/index.js';
import type { ClauseWord } from './clauseWords.js';

/** Words that name headings, by one of their names. */
export interface NameInText {
  /** half-open range of places among the words */
  from: number;
  to: number;
  /** one for each heading that has the name; those of which it is the label come first; sayings where nothing has */
  names: Name[];
  /** whether the words stand as the name has them */
  exact: boolean;
}

/** Words of a name at most. */
const LONGEST = 7;
/** Words of a saying that outweigh the names that stand in it. */
const SURELY_MEANT = 3;
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
      // A word alone is held to its letters: *bright* is not *brightness*.
      const names = exact.length > 0 ? exact : together && to > from + 1 ? ofSameWords(index, folded) : [];
      if (names.length > 0) found.push({ from, to, names, exact: exact.length > 0 });
    }
  }
  const own = found.filter((each) => !isSaying(each));
  return found.filter(
    (each) =>
      !isSaying(each) ||
      tellsMuch(each) ||
      (each.to - each.from > 1 && !own.some(({ from, to }) => from >= each.from && to <= each.to)),
  );
}

/** Whether only people say so; where a vocabulary's own names stand in it, those tell more. */
function isSaying({ names }: NameInText): boolean {
  return names.every((name) => name.isSaying);
}

/** Whether it holds so many words that mean something that they are not there by chance. */
function tellsMuch({ names }: NameInText): boolean {
  return names.every(({ folded }) => folded.length >= SURELY_MEANT);
}

/** Names of just these words, in any order; one for each heading. */
export function ofSameWords(index: LookupIndex, folded: readonly string[]): Name[] {
  const words = new Set(folded);
  let rarest: readonly number[] | null = null;
  for (const word of words) {
    const names = index.senses.get(word)?.names ?? [];
    if (rarest === null || names.length < rarest.length) rarest = names;
  }
  if (rarest === null || rarest.length > MOST_NAMES) return [];
  return oneOfEach(
    index,
    rarest.filter((number) => {
      const own = index.names[number]?.folded ?? [];
      return own.length === words.size && own.every((word) => words.has(word));
    }),
  );
}

function asWritten(index: LookupIndex, text: string): Name[] {
  return oneOfEach(index, [index.joined.get(joinedKey(lookupWords(text))) ?? []].flat());
}

function oneOfEach(index: LookupIndex, numbers: readonly number[]): Name[] {
  const all = numbers.flatMap((number) => index.names[number] ?? []);
  const own = all.filter(({ isSaying }) => !isSaying);
  const found = own.length > 0 ? own : all;
  const labelsFirst = [...found.filter(({ isLabel }) => isLabel), ...found.filter(({ isLabel }) => !isLabel)];
  return [...new Map([...labelsFirst].reverse().map((name) => [name.heading, name])).values()].reverse();
}
