/** A vocabulary made ready for lookup: which names and notes hold which words. */
import { spellWord } from '../spelling/index.js';
import { isEmptyWord, lookupWords, noteWords, senseOf } from './lookupWords.js';
import type { VocabularyTree } from './model.js';

/** A word in more names or notes than this finds none by itself where a rarer word was typed too. */
export const COMMON = 2000;

export interface Name {
  /** place of the heading in the vocabulary */
  heading: number;
  text: string;
  isLabel: boolean;
  /** the folded words it is found by */
  folded: readonly string[];
  /** the summed weight of its words */
  mass: number;
}

/** A vocabulary made ready for `lookUp`. */
export interface LookupIndex {
  tree: VocabularyTree;
  names: readonly Name[];
  /** names by all their words written together, so that `bed sores` and `bedsores` are one */
  joined: ReadonlyMap<string, number | readonly number[]>;
  /** folded words of all names of each heading, and of its note */
  headingWords: readonly { named: readonly string[]; noted: readonly string[] }[];
  /** names, and headings through their notes, by folded word */
  inNames: ReadonlyMap<string, readonly number[]>;
  inNotes: ReadonlyMap<string, readonly number[]>;
  /** how much a folded word counts */
  weights: ReadonlyMap<string, number>;
  /** words of names as written, in alphabetical order, with what they fold to */
  words: readonly (readonly [word: string, folded: string])[];
}

/** Prepares a vocabulary. Takes some seconds for 100,000 headings. */
export function indexForLookup(tree: VocabularyTree): LookupIndex {
  const names: Name[] = [];
  const headingWords: { named: string[]; noted: string[] }[] = [];
  const inNames = new Map<string, number[]>();
  const inNotes = new Map<string, number[]>();
  const joined = new Map<string, number | number[]>();
  const headingsWith = new Map<string, number>();
  const known = new Map<string, KnownWord>();
  const know = (word: string): KnownWord => {
    let own = known.get(word);
    if (own === undefined) {
      own = { folded: senseOf(word), spelled: spellWord(word), isEmpty: isEmptyWord(word), inName: false };
      known.set(word, own);
    }
    return own;
  };
  // Great vocabularies have some hundred thousand names, so each leaves as little behind as it can.
  const addName = (text: string, isLabel: boolean, heading: number, named: string[]) => {
    const words = lookupWords(text).map(know);
    const folded: string[] = [];
    const meansSomething = words.some(({ isEmpty }) => !isEmpty);
    let together = '';
    for (const word of words) {
      word.inName = true;
      together += word.spelled;
      if (!(word.isEmpty && meansSomething) && !folded.includes(word.folded)) folded.push(word.folded);
    }
    const number = names.push({ heading, text, isLabel, mass: 0, folded }) - 1;
    const key = inSingular(together);
    const others = joined.get(key);
    if (others === undefined) joined.set(key, number);
    else if (typeof others === 'number') joined.set(key, [others, number]);
    else others.push(number);
    for (const word of folded) {
      push(inNames, word, number);
      if (!named.includes(word)) named.push(word);
    }
  };
  tree.vocabulary.headings.forEach((heading, place) => {
    const named: string[] = [];
    const noted: string[] = [];
    addName(heading.label, true, place, named);
    for (const term of heading.entryTerms) addName(term, false, place, named);
    for (const word of noteWords(heading.scopeNote)) {
      const own = know(word).folded;
      if (noted.includes(own)) continue;
      noted.push(own);
      push(inNotes, own, place);
      if (!named.includes(own)) headingsWith.set(own, (headingsWith.get(own) ?? 0) + 1);
    }
    headingWords.push({ named, noted });
    for (const word of named) headingsWith.set(word, (headingsWith.get(word) ?? 0) + 1);
  });
  const all = tree.vocabulary.headings.length;
  const weights = new Map<string, number>();
  for (const [word, count] of headingsWith) weights.set(word, Math.log(1 + all / count));
  for (const name of names) for (const word of name.folded) name.mass += weights.get(word) ?? 0;
  // The shortest names first: of very many, only those are worth offering.
  const massOf = (number: number) => names[number]?.mass ?? 0;
  for (const [word, list] of inNames)
    if (list.length > COMMON) inNames.set(word, lightestFirst(list, massOf));
  const words = [...known]
    .flatMap(([word, { folded, inName }]) => (inName ? [[word, folded] as const] : []))
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return { tree, names, joined, headingWords, inNames, inNotes, weights, words };
}

/** What is known of a word as written, so that each is worked out once. */
interface KnownWord {
  folded: string;
  spelled: string;
  /** whether it says nothing about a subject */
  isEmpty: boolean;
  /** whether a name holds it, and not only a note */
  inName: boolean;
}

/** The lightest `COMMON` of a long list before the others; their order among one another does not matter. */
function lightestFirst(numbers: readonly number[], massOf: (number: number) => number): number[] {
  const border = Float64Array.from(numbers, massOf).sort()[COMMON - 1] ?? 0;
  const light = numbers.filter((number) => massOf(number) <= border);
  return [...light, ...numbers.filter((number) => massOf(number) > border)];
}

/** A name in one spelling, its words written together, in the singular: `bed sores` and `bedsores` are one. */
export function joinedName(text: string): string {
  return joinedKey(lookupWords(text));
}

/** As `joinedName`, of words that are cut already. */
export function joinedKey(words: readonly string[]): string {
  return inSingular(words.map(spellWord).join(''));
}

function inSingular(joined: string): string {
  if (joined.endsWith('ies')) return `${joined.slice(0, -3)}y`;
  return joined.endsWith('s') ? joined.slice(0, -1) : joined;
}

function push<Key, Value>(map: Map<Key, Value[]>, key: Key, value: Value): void {
  const list = map.get(key);
  if (list === undefined) map.set(key, [value]);
  else list.push(value);
}
