/** A vocabulary made ready for lookup: which names and notes hold which words. */
import { spellWord } from '../spelling/index.js';
import { isEmptyWord, lookupWords, noteWords, senseOf } from './lookupWords.js';
import { namesLeadingTo, type Heading, type VocabularyTree } from './model.js';
import { SAYINGS } from './sayings.js';

/** What a word that says nothing weighs in a name: pain is not all of “pain all over”. */
const EMPTY_MASS = 0.75;
/** A word in more names or notes than this finds none by itself where a rarer word was typed too. */
export const COMMON = 2000;

export interface Name {
  /** place of the heading in the vocabulary */
  heading: number;
  text: string;
  isLabel: boolean;
  /** whether it is none of the vocabulary's own, but what people say for one of those */
  isSaying: boolean;
  /** the folded words it is found by */
  folded: readonly string[];
}

/** What is known of a folded word. */
export interface WordSense {
  /** how much it counts */
  readonly weight: number;
  /** the names that hold it; of very many, the shortest first, since only those are worth offering */
  readonly names: readonly number[];
  /** places of the headings whose notes hold it, in rising order */
  readonly notes: readonly number[];
}

/** A vocabulary made ready for `lookUp`. */
export interface LookupIndex {
  tree: VocabularyTree;
  names: readonly Name[];
  /** for each name the summed weight of its words */
  masses: Float64Array;
  /** names by all their words written together, so that `bed sores` and `bedsores` are one */
  joined: ReadonlyMap<string, number | readonly number[]>;
  /** the number of the first name of each heading; its others follow. One more for the end */
  firstNames: Uint32Array;
  /** by folded word */
  senses: ReadonlyMap<string, WordSense>;
  /** words of names as written, in alphabetical order, with what they fold to */
  words: readonly (readonly [word: string, folded: string])[];
}

/** Prepares a vocabulary. Takes some seconds for 100,000 headings. */
export function indexForLookup(tree: VocabularyTree): LookupIndex {
  const names: Name[] = [];
  /** for each name how many words of it were left out, as saying nothing */
  const left: number[] = [];
  const { headings } = tree.vocabulary;
  const firstNames = new Uint32Array(headings.length + 1);
  const joined = new Map<string, number | number[]>();
  // Great vocabularies have some hundred thousand names, so each word of a name is looked up but once, and each name
  // leaves as little behind as it can.
  const senses = new Map<string, Sense>();
  const known = new Map<string, KnownWord>();
  const know = (word: string): KnownWord => {
    let own = known.get(word);
    if (own === undefined) {
      const sense = senseCalled(senses, senseOf(word));
      own = { sense, spelled: spellWord(word), isEmpty: isEmptyWord(word), inName: false };
      known.set(word, own);
    }
    return own;
  };
  const addName = (text: string, kind: 'label' | 'entry term' | 'saying', heading: number) => {
    const words = lookupWords(text).map(know);
    let together = '';
    for (const { spelled } of words) together += spelled;
    const key = inSingular(together);
    const others = joined.get(key);
    if (kind === 'saying' && isNameOf(heading, others)) return;
    const number = names.length;
    const folded: string[] = [];
    const meansSomething = words.some((word) => !word.isEmpty);
    let empty = 0;
    for (const word of words) {
      const { sense } = word;
      word.inName = true;
      if (word.isEmpty && meansSomething) {
        empty += 1;
        continue;
      }
      if (sense.lastName === number) continue;
      sense.lastName = number;
      folded.push(sense.folded);
      sense.names.push(number);
      if (sense.lastNamed === heading) continue;
      sense.lastNamed = heading;
      sense.headings += 1;
    }
    left.push(empty);
    // The copy is no longer than its words, which the list that grew is.
    names.push({
      heading,
      text,
      isLabel: kind === 'label',
      isSaying: kind === 'saying',
      folded: folded.slice(),
    });
    if (others === undefined) joined.set(key, number);
    else if (typeof others === 'number') joined.set(key, [others, number]);
    else others.push(number);
  };
  const isNameOf = (heading: number, numbers: number | number[] = []) =>
    [numbers].flat().some((number) => names[number]?.heading === heading);
  const sayingsOf = sayingsByHeading(headings);
  headings.forEach((heading, place) => {
    firstNames[place] = names.length;
    addName(heading.label, 'label', place);
    for (const term of namesLeadingTo(heading)) addName(term, 'entry term', place);
    for (const saying of sayingsOf(heading)) addName(saying, 'saying', place);
    for (const word of noteWords(heading.scopeNote)) {
      const { sense } = know(word);
      if (sense.lastNoted === place) continue;
      sense.lastNoted = place;
      sense.notes.push(place);
      if (sense.lastNamed !== place) sense.headings += 1;
    }
  });
  firstNames[headings.length] = names.length;
  const masses = Float64Array.from(left, (words) => words * EMPTY_MASS);
  for (const sense of senses.values()) {
    sense.weight = Math.log(1 + headings.length / sense.headings);
    for (const number of sense.names) masses[number] = (masses[number] ?? 0) + sense.weight;
  }
  for (const sense of senses.values()) {
    if (sense.names.length > COMMON) sense.names = lightestFirst(sense.names, masses);
  }
  const words = [...known.keys()].sort().flatMap((word) => {
    const { sense, inName } = know(word);
    return inName ? [[word, sense.folded] as const] : [];
  });
  return { tree, names, masses, joined, firstNames, senses, words };
}

/** What people say for each heading: by its label, or by an entry term that is the label of no other heading. */
function sayingsByHeading(headings: readonly Heading[]): (heading: Heading) => string[] {
  const labels = new Set(headings.map(({ label }) => joinedName(label)));
  return ({ label, entryTerms }) => {
    const others = entryTerms.map(joinedName).filter((name) => !labels.has(name));
    return [joinedName(label), ...others].flatMap((name) => sayingsByName().get(name) ?? []);
  };
}

let byName: Map<string, string[]> | null = null;

/** What people say, by the name they say it for; worked out once. */
function sayingsByName(): ReadonlyMap<string, readonly string[]> {
  if (byName !== null) return byName;
  byName = new Map();
  for (const { name, sayings } of SAYINGS) {
    const key = joinedName(name);
    byName.set(key, [...(byName.get(key) ?? []), ...sayings]);
  }
  return byName;
}

/** What is known of a word as written, so that each is worked out once. */
interface KnownWord {
  sense: Sense;
  spelled: string;
  /** whether it says nothing about a subject */
  isEmpty: boolean;
  /** whether a name holds it, and not only a note */
  inName: boolean;
}

/** A folded word while names are gone through. */
interface Sense extends WordSense {
  folded: string;
  weight: number;
  names: number[];
  notes: number[];
  /** how many headings hold it, in a name or the note */
  headings: number;
  /** the last name, the last heading by a name, and the last by its note, so that each counts once */
  lastName: number;
  lastNamed: number;
  lastNoted: number;
}

function senseCalled(senses: Map<string, Sense>, folded: string): Sense {
  let sense = senses.get(folded);
  if (sense === undefined) {
    sense = {
      folded,
      weight: Number.NaN,
      names: [],
      notes: [],
      headings: 0,
      lastName: -1,
      lastNamed: -1,
      lastNoted: -1,
    };
    senses.set(folded, sense);
  }
  return sense;
}

/** The lightest `COMMON` of a long list before the others; their order among one another does not matter. */
function lightestFirst(numbers: readonly number[], masses: Float64Array): number[] {
  const massOf = (number: number) => masses[number] ?? 0;
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
