/** How much the names of two headings of different vocabularies say that they are the same. */
import { contentWords, joinedName, lookupWords, senseOf } from '../vocabulary/index.js';
import type { Heading, VocabularyTree } from '../vocabulary/index.js';

/** A vocabulary made ready for comparing with others. */
export interface CrosswalkIndex {
  tree: VocabularyTree;
  /** the headings that a name leads to, by the name in one spelling */
  byName: ReadonlyMap<string, readonly NamedHeading[]>;
  /** headings whose names hold a word, by the folded word */
  byWord: ReadonlyMap<string, readonly Heading[]>;
  /** how much a folded word tells: more for rare ones */
  weights: ReadonlyMap<string, number>;
}

interface NamedHeading {
  heading: Heading;
  /** the name as it is written */
  name: string;
  isLabel: boolean;
}

/** A name that both headings have. */
export interface SharedName {
  own: string;
  other: string;
  ownIsLabel: boolean;
  otherIsLabel: boolean;
}

export interface Correspondence {
  heading: Heading;
  /** from 0 to 1 */
  strength: number;
  names: SharedName[];
  /** where no name is the same, the best part of one: words that both hold */
  words: string[];
}

const LABELS_SAME = 1;
const LABEL_AND_ENTRY_TERM = 0.8;
const ENTRY_TERMS_SAME = 0.5;
/** What one sure piece of evidence is worth; several add up towards 1. */
const WORTH = 0.75;
/** A name must have so much in common with another, and that is then worth so much. */
const LEAST_IN_COMMON = 0.55;
const IN_COMMON = 0.6;
/** A word in more headings than this brings none in by itself. */
const COMMON = 60;

export function indexForCrosswalk(tree: VocabularyTree): CrosswalkIndex {
  const byName = new Map<string, NamedHeading[]>();
  const byWord = new Map<string, Heading[]>();
  for (const heading of tree.vocabulary.headings) {
    const words = new Set<string>();
    for (const [i, name] of namesOf(heading).entries()) {
      const key = joinedName(name);
      const known = byName.get(key) ?? [];
      if (known.length === 0) byName.set(key, known);
      if (!known.some((each) => each.heading === heading)) known.push({ heading, name, isLabel: i === 0 });
      for (const word of foldedWords(name)) words.add(word);
    }
    for (const word of words) {
      const list = byWord.get(word);
      if (list === undefined) byWord.set(word, [heading]);
      else list.push(heading);
    }
  }
  const all = tree.vocabulary.headings.length;
  const weights = new Map([...byWord].map(([word, list]) => [word, Math.log(1 + all / list.length)]));
  return { tree, byName, byWord, weights };
}

/**
 * The headings of another vocabulary that share names with one, or words of names, the strongest first.
 *
 * Evidence is put together as if each piece were independent: 1 − Π(1 − worth). A name that leads to several
 * headings on either side counts for less.
 */
export function correspondences(
  own: CrosswalkIndex,
  heading: Heading,
  other: CrosswalkIndex,
): Correspondence[] {
  const shared = new Map<Heading, { names: SharedName[]; doubt: number }>();
  const seen = new Set<string>();
  for (const [i, name] of namesOf(heading).entries()) {
    const key = joinedName(name);
    if (seen.has(key)) continue;
    seen.add(key);
    const others = other.byName.get(key) ?? [];
    const spread = Math.sqrt(others.length * Math.max(own.byName.get(key)?.length ?? 1, 1));
    for (const { heading: found, name: otherName, isLabel } of others) {
      const kind =
        i === 0 && isLabel ? LABELS_SAME : i === 0 || isLabel ? LABEL_AND_ENTRY_TERM : ENTRY_TERMS_SAME;
      const known = shared.get(found) ?? { names: [], doubt: 1 };
      known.names.push({ own: name, other: otherName, ownIsLabel: i === 0, otherIsLabel: isLabel });
      known.doubt *= 1 - (WORTH * kind) / spread;
      shared.set(found, known);
    }
  }
  for (const found of alikeInWords(heading, other)) {
    if (!shared.has(found)) shared.set(found, { names: [], doubt: 1 });
  }
  return [...shared]
    .map(([found, { names, doubt }]): Correspondence => {
      const common = wordsInCommon(heading, found, other);
      const partly = names.length === 0 || common.share < 1 ? common.share * IN_COMMON : 0;
      return {
        heading: found,
        strength: 1 - doubt * (1 - partly),
        names,
        words: names.length === 0 ? common.words : [],
      };
    })
    .filter(({ strength }) => strength > 0)
    .sort((a, b) => b.strength - a.strength || a.heading.label.localeCompare(b.heading.label, 'en'));
}

/** Headings that hold one of the rarer words of the label. */
function alikeInWords(heading: Heading, other: CrosswalkIndex): Set<Heading> {
  const found = new Set<Heading>();
  for (const word of foldedWords(heading.label)) {
    const holders = other.byWord.get(word) ?? [];
    if (holders.length <= COMMON) holders.forEach((each) => found.add(each));
  }
  return found;
}

/** How much of the label and of the best name of another heading is the same, by weight of words (Dice). */
function wordsInCommon(
  heading: Heading,
  found: Heading,
  other: CrosswalkIndex,
): { share: number; words: string[] } {
  const weigh = (words: Iterable<string>) => {
    let sum = 0;
    for (const word of words) sum += other.weights.get(word) ?? UNKNOWN_WEIGHT;
    return sum;
  };
  const own = foldedWords(heading.label);
  const ownWeight = weigh(own);
  let best = { share: 0, words: [] as string[] };
  for (const name of namesOf(found)) {
    const theirs = foldedWords(name);
    const common = [...own].filter((word) => theirs.has(word));
    const share = (2 * weigh(common)) / (ownWeight + weigh(theirs));
    if (share > best.share) best = { share, words: contentWords(lookupWords(name)) };
  }
  return best.share >= LEAST_IN_COMMON ? best : { share: 0, words: [] };
}

/** A word that the other vocabulary does not have counts as a rare one. */
const UNKNOWN_WEIGHT = 5;

function namesOf(heading: Heading): string[] {
  return [heading.label, ...heading.entryTerms];
}

function foldedWords(name: string): Set<string> {
  return new Set(contentWords(lookupWords(name)).map(senseOf));
}
