/** How well names and notes of headings fit what was typed. */
import { COMMON, type LookupIndex, type Name } from './lookupIndex.js';
import { lookupWords } from './lookupWords.js';
import type { TypedWord } from './typedWords.js';

/** A heading that may be meant. */
export interface Candidate {
  /** its place in the vocabulary */
  heading: number;
  /** the name that fits best; null where only the note fits */
  name: Name | null;
  score: number;
  misspelt: boolean;
  /** whether all that was typed is all of the name */
  whole: boolean;
  /** for each typed word, how much of its weight names of the heading hold; empty where all of a name was typed */
  covers: number[];
}

/** What fits in part scores no more than this. */
const MOST_IN_PART = 1.5;
/** A name that holds other words than those typed counts for so much of one that holds the same. */
const ENTRY_SHARE = 0.97;
const SAYING_SHARE = 0.93;
const NOTE_SHARE = 0.55;
const OTHER_NAMES_SHARE = 0.35;
/** What names beyond the best add: so much of the second, and of each after it so much of the one before. */
const SECOND_SHARE = 0.1;
const NEXT_SHARE = 0.7;
/** Names of a heading that count. */
const MOST_NAMES = 4;
/** What a name gains when typed words stand in it just as they are. */
const AS_WRITTEN = 0.05;
/** How much more it counts what share of what was typed a name covers than what share of the name was typed. */
const TYPED_COUNTS = 2.5;
/** Shares above this are all but rounding. */
const ALL = 0.999;
/** Candidates that are looked at closely. */
const PROMISING = 300;

/** Every heading of which a name holds a typed word, by its best names. */
export function scoreNames(index: LookupIndex, typed: readonly TypedWord[]): Candidate[] {
  const typedMass = massOf(typed);
  const best = new Map<number, { candidate: Candidate; scores: number[] }>();
  for (const [number, { ofName, ofTyped, misspelt }] of coverage(index, typed)) {
    const name = index.names[number];
    const mass = index.masses[number] ?? 0;
    if (name === undefined || mass === 0 || typedMass === 0) continue;
    const shareOfName = Math.min(ofName / mass, 1);
    const shareOfTyped = Math.min(ofTyped / typedMass, 1);
    const both =
      ((1 + TYPED_COUNTS) * shareOfName * shareOfTyped) / (TYPED_COUNTS * shareOfName + shareOfTyped);
    const score = both * (name.isLabel ? 1 : name.isSaying ? SAYING_SHARE : ENTRY_SHARE);
    const whole = shareOfName > ALL && shareOfTyped > ALL;
    const candidate = { heading: name.heading, name, score, misspelt, whole, covers: [] };
    const known = best.get(name.heading);
    if (known === undefined) {
      best.set(name.heading, { candidate, scores: [score] });
      continue;
    }
    known.scores.push(score);
    if (known.candidate.score < score) known.candidate = candidate;
  }
  return [...best.values()].map(({ candidate, scores }) => ({ ...candidate, score: together(scores) }));
}

/** The best score, and a little for those that come next. */
function together(scores: number[]): number {
  if (scores.length === 1) return scores[0] ?? 0;
  const [best = 0, ...next] = scores.sort((a, b) => b - a).slice(0, MOST_NAMES);
  return next.reduce((total, score, i) => total + SECOND_SHARE * NEXT_SHARE ** i * score, best);
}

interface Coverage {
  /** covered weight of the name, and of what was typed */
  ofName: number;
  ofTyped: number;
  /** the typed word that was counted last, so that none counts twice */
  last: number;
  misspelt: boolean;
}

/** By the number of each name that holds a typed word. Words in very many names only raise what rarer ones found. */
function coverage(index: LookupIndex, typed: readonly TypedWord[]): Map<number, Coverage> {
  const found = new Map<number, Coverage>();
  const rarestFirst = typed.map((word, i) => ({ ...word, i })).sort((a, b) => b.weight - a.weight);
  for (const { readings, i, weight } of rarestFirst) {
    const earlier = found.size > 0 ? [...found.keys()] : null;
    for (const { folded, quality, misspelt } of readings) {
      const { weight: own = 0, names = [] } = index.senses.get(folded) ?? {};
      const raise = (number: number) => {
        let covered = found.get(number);
        if (covered === undefined)
          found.set(number, (covered = { ofName: 0, ofTyped: 0, last: -1, misspelt: false }));
        if (covered.last === i) return;
        covered.last = i;
        covered.ofName += own * quality;
        covered.ofTyped += weight * quality;
        covered.misspelt ||= misspelt;
      };
      if (names.length <= COMMON) names.forEach(raise);
      else if (earlier === null) firstOfMany(index, names, typed, i).forEach(raise);
      else
        for (const number of earlier)
          if (index.names[number]?.folded.includes(folded) === true) raise(number);
    }
  }
  return found;
}

/** Of the very many names that hold a word, the shortest, and those that hold another typed word too. */
function firstOfMany(
  index: LookupIndex,
  names: readonly number[],
  typed: readonly TypedWord[],
  word: number,
): number[] {
  const others = new Set(
    typed.flatMap(({ readings }, i) => (i === word ? [] : readings.map(({ folded }) => folded))),
  );
  return names.filter(
    (number, i) =>
      i < COMMON || (others.size > 0 && index.names[number]?.folded.some((each) => others.has(each))),
  );
}

/** Raises headings whose other names and note hold more of what was typed, and brings in those whose note does. */
export function addOtherWords(
  index: LookupIndex,
  typed: readonly TypedWord[],
  best: Map<number, Candidate>,
): void {
  for (const { folded } of typed.flatMap(({ readings }) => readings)) {
    const noted = index.senses.get(folded)?.notes ?? [];
    if (noted.length > COMMON && best.size > 0) continue;
    for (const heading of noted) {
      if (best.has(heading)) continue;
      best.set(heading, { heading, name: null, score: 0, misspelt: false, whole: false, covers: [] });
    }
  }
  const candidates = [...best.values()].sort((a, b) => b.score - a.score);
  const promising = [
    ...candidates.slice(0, PROMISING),
    ...candidates.slice(PROMISING).filter(({ name }) => name === null),
  ];
  for (const candidate of promising) {
    if (candidate.score > MOST_IN_PART) continue;
    const { names, notes, covers } = shares(index, typed, candidate.heading);
    candidate.covers = covers;
    const { name, score } = candidate;
    if (name === null) candidate.score = notes * NOTE_SHARE;
    else {
      const others = OTHER_NAMES_SHARE * names + NOTE_SHARE * notes * names;
      candidate.score = Math.min(score + others + AS_WRITTEN * asWritten(name, typed), MOST_IN_PART);
    }
  }
}

/** The share of the typed words that stand in a name just as they are, not in another form. */
function asWritten(name: Name, typed: readonly TypedWord[]): number {
  const words = new Set(lookupWords(name.text));
  const standing = typed.filter(({ word }) => words.has(word));
  return massOf(standing) / massOf(typed);
}

/** How much of what was typed the names of a heading hold between them, and how much beyond that its note. */
function shares(
  index: LookupIndex,
  typed: readonly TypedWord[],
  heading: number,
): { names: number; notes: number; covers: number[] } {
  const own = new Set<string>();
  for (let i = index.firstNames[heading] ?? 0; i < (index.firstNames[heading + 1] ?? 0); i += 1) {
    index.names[i]?.folded.forEach((word) => own.add(word));
  }
  let inNote = 0;
  const covers = typed.map(({ readings, weight }) => {
    const best = (holds: (word: string) => boolean) =>
      Math.max(0, ...readings.filter(({ folded }) => holds(folded)).map(({ quality }) => quality));
    const byName = best((word) => own.has(word));
    if (byName === 0)
      inNote += weight * best((word) => includesSorted(index.senses.get(word)?.notes, heading));
    return weight * byName;
  });
  const mass = massOf(typed);
  const inNames = covers.reduce((total, weight) => total + weight, 0);
  return { names: inNames / mass, notes: inNote / mass, covers };
}

function massOf(typed: readonly TypedWord[]): number {
  return typed.reduce((total, { weight }) => total + weight, 0);
}

/** Whether a list in rising order holds a number. */
function includesSorted(numbers: readonly number[] = [], number: number): boolean {
  let [low, high] = [0, numbers.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((numbers[middle] ?? 0) < number) low = middle + 1;
    else high = middle;
  }
  return numbers[low] === number;
}
