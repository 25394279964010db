/**
 * From what a person types, down to a whole clause, to the headings it may mean, each with the reason.
 *
 * Names (labels and entry terms) and scope notes are indexed by the folded words they hold. A name scores by how
 * much of it was typed and how much of what was typed it covers, rare words counting for more; a heading by its best
 * name, and a little for typed words that its other names and its note hold.
 */
import { foldWord, slips } from '../spelling/index.js';
import { textKey } from '../text/index.js';
import { COMMON, joinedKey, type LookupIndex, type Name } from './lookupIndex.js';
import { contentWords, isPeople, lookupWords, senseOf } from './lookupWords.js';
import type { Heading } from './model.js';
import { relatedTo } from './relatedWords.js';

export type LookupReason =
  | 'same label'
  | 'entry term'
  | 'other form of a label'
  | 'other form of an entry term'
  | 'part of a label'
  | 'part of an entry term'
  | 'in other words'
  | 'words of the scope note'
  | 'likely misspelling';

export interface LookupHit {
  heading: Heading;
  reason: LookupReason;
  /** the label or entry term that matched best; the label where only the note did */
  matched: string;
  /** higher is surer; for ordering headings of several vocabularies among one another */
  score: number;
}

/** One of the words that a typed word may stand for. */
interface Reading {
  factor?: number;
  folded: string;
  /** 1 for the word itself, less for a guess */
  quality: number;
  misspelt: boolean;
}

interface Candidate {
  heading: number;
  name: Name | null;
  score: number;
  misspelt: boolean;
  /** whether all that was typed is all of the name */
  whole: boolean;
  covers?: number[];
}

const SAME_LABEL = 2;
const ENTRY_TERM = 1.9;
const SAID = 1.6;
const PERSON = 1;
const COMPLETE = 0;
const COMPLETE_SAID = 0;
const SPREAD = 0.25;
const SECOND = 0.1;
const THIRD = 0.7;
/** So much more when no ending had to be taken off. */
const TO_THE_LETTER = 0.2;
/** A name that holds other words than those typed counts for so much of one that holds the same. */
const ENTRY_SHARE = 0.97;
const SAID_SHARE = 0.93;
const NOTE_SHARE = 0.55;
const OTHER_NAMES_SHARE = 0.35;
const JOINED_QUALITY = 0.95;
const RELATED_QUALITY = 0.6;
const BEGUN_QUALITY = 0.8;
/** What is a word as it stands is less likely the beginning of another. */
const BEGUN_BY_A_WORD_QUALITY = 0.5;
/** How much more it counts what share of what was typed a name covers than what share of the name was typed. */
const TYPED_COUNTS = 1.3 ** 2;
const SLIP_QUALITY = [1, 0.85, 0.7] as const;
const MOST_BEGUN = 40;
/** Shares above this are all but rounding. */
const ALL = 0.999;
/** Candidates that are looked at closely. */
const PROMISING = 300;
/** Hits below this, or far below the best, are noise. */
const LEAST_SCORE = 0.22;
const LEAST_OF_BEST = 0.35;

/**
 * The headings that a typed text may mean, the surest first.
 *
 * @param limit the most headings to return
 */
export function lookUp(index: LookupIndex, typed: string, limit = 8): LookupHit[] {
  const words = lookupWords(typed);
  if (words.length === 0) return [];
  const best = new Map<number, Candidate>();
  const offer = (candidate: Candidate) => {
    const known = best.get(candidate.heading);
    if (known === undefined || known.score < candidate.score) best.set(candidate.heading, candidate);
  };
  for (const number of [index.joined.get(joinedKey(words)) ?? []].flat()) {
    const name = index.names[number];
    if (name === undefined) continue;
    const toTheLetter = textKey(name.text) === words.join(' ') ? TO_THE_LETTER : 0;
    const score = (name.isLabel ? SAME_LABEL : name.isSaying ? SAID : ENTRY_TERM) + toTheLetter;
    offer({ heading: name.heading, name, score, misspelt: false, whole: true });
  }
  const readings = readingsOf(index, words);
  const typedMass = sum(readings.map((each) => weightOf(index, each)));
  scoreNames(index, readings, typedMass).forEach(offer);
  addOtherWords(index, readings, typedMass, best);

  const ranked = spread([...best.values()].sort((a, b) => b.score - a.score || lengthOf(a) - lengthOf(b)));
  const least = Math.max(LEAST_SCORE, (ranked[0]?.score ?? 0) * LEAST_OF_BEST);
  return ranked
    .filter(({ score }) => score >= least)
    .slice(0, limit)
    .flatMap((candidate) => {
      const heading = index.tree.vocabulary.headings[candidate.heading];
      if (heading === undefined) return [];
      const { name, score } = candidate;
      return [{ heading, reason: reasonOf(candidate), matched: name?.text ?? heading.label, score }];
    });
}

function spread(ranked: Candidate[]): Candidate[] {
  const left = ranked.slice(0, 30);
  const result: Candidate[] = [];
  const covered: number[] = [];
  while (left.length > 0) {
    let [bestAt, bestWorth] = [0, -1];
    left.forEach(({ score, covers = [] }, i) => {
      let [all, again] = [0, 0];
      covers.forEach((weight, word) => {
        all += weight;
        again += Math.min(weight, covered[word] ?? 0);
      });
      const worth = score * (1 - SPREAD * (all === 0 ? 0 : again / all));
      if (worth > bestWorth) [bestAt, bestWorth] = [i, worth];
    });
    const [next] = left.splice(bestAt, 1);
    if (next === undefined) break;
    result.push(next);
    next.covers?.forEach((weight, word) => {
      covered[word] = Math.max(covered[word] ?? 0, weight);
    });
  }
  return [...result, ...ranked.slice(30)];
}

function reasonOf({ name, score, misspelt, whole }: Candidate): LookupReason {
  if (name === null) return 'words of the scope note';
  if (misspelt) return 'likely misspelling';
  if (name.isSaying) return 'in other words';
  if (score >= ENTRY_TERM) return name.isLabel ? 'same label' : 'entry term';
  if (whole) return name.isLabel ? 'other form of a label' : 'other form of an entry term';
  return name.isLabel ? 'part of a label' : 'part of an entry term';
}

/** For each typed word that means something, what it may stand for; the surest first. */
function readingsOf(index: LookupIndex, words: readonly string[]): Reading[][] {
  const meant = contentWords(words);
  return meant.map((word, i) => {
    const folded = senseOf(word);
    const readings: Reading[] = [{ folded, quality: 1, misspelt: false, factor: isPeople(word) && !meant.every(isPeople) ? PERSON : 1 }];
    for (const other of relatedTo(folded)) {
      readings.push({ folded: other, quality: RELATED_QUALITY, misspelt: false });
    }
    for (const pair of [`${meant[i - 1] ?? ''}${word}`, `${word}${meant[i + 1] ?? ''}`]) {
      const together = foldWord(pair);
      if (pair !== word && index.senses.has(together)) {
        readings.push({ folded: together, quality: JOINED_QUALITY, misspelt: false });
      }
    }
    if (i === meant.length - 1 && word.length > 2) readings.push(...begunWith(index, word));
    if (index.senses.has(folded) || readings.length > 1) return readings;
    const apart = split(index, word);
    return [...readings, ...(apart.length > 0 ? apart : misspellingsOf(index, word))];
  });
}

/** Words that begin with the one that is still being typed. */
function begunWith(index: LookupIndex, start: string): Reading[] {
  const found = new Set<string>();
  for (let i = firstFrom(index.words, start); i < index.words.length && found.size < MOST_BEGUN; i += 1) {
    const [word, folded] = index.words[i] ?? ['', ''];
    if (!word.startsWith(start)) break;
    if (word !== start) found.add(folded);
  }
  found.delete(senseOf(start));
  const quality = isWritten(index, start) ? BEGUN_BY_A_WORD_QUALITY : BEGUN_QUALITY;
  return [...found].map((folded) => ({ folded, quality, misspelt: false }));
}

/** The two known words that an unknown one is made of. */
function split(index: LookupIndex, word: string): Reading[] {
  for (let at = 2; at <= word.length - 3; at += 1) {
    const halves = [word.slice(0, at), word.slice(at)];
    if (!halves.every((half) => isWritten(index, half))) continue;
    return contentWords(halves).map((half) => ({
      folded: senseOf(half),
      quality: JOINED_QUALITY,
      misspelt: false,
    }));
  }
  return [];
}

/** Whether a name holds a word just as it is. */
function isWritten(index: LookupIndex, word: string): boolean {
  return index.words[firstFrom(index.words, word)]?.[0] === word;
}

function misspellingsOf(index: LookupIndex, word: string): Reading[] {
  const most = word.length < 4 ? 0 : word.length < 7 ? 1 : 2;
  if (most === 0) return [];
  const found = new Map<string, number>();
  const first = word.charAt(0);
  for (let i = firstFrom(index.words, first); i < index.words.length; i += 1) {
    const [known, folded] = index.words[i] ?? ['', ''];
    if (!known.startsWith(first)) break;
    const distance = slips(word, known, most);
    if (distance <= most) found.set(folded, Math.min(distance, found.get(folded) ?? distance));
  }
  const least = Math.min(...found.values());
  return [...found]
    .filter(([, distance]) => distance === least)
    .map(([folded, distance]) => ({ folded, quality: SLIP_QUALITY[distance] ?? 0, misspelt: true }));
}

/** How much a typed word counts: what its surest known reading does, or much when nothing is known of it. */
function weightOf(index: LookupIndex, readings: readonly Reading[]): number {
  for (const { folded } of readings) {
    const sense = index.senses.get(folded);
    if (sense !== undefined) return sense.weight * (readings[0]?.factor ?? 1);
  }
  return (Math.log(1 + index.tree.vocabulary.headings.length) / 2) ** 1;
}

interface Score {
  /** covered weight of the name, and of what was typed */
  ofName: number;
  ofTyped: number;
  /** the typed word that was counted last, so that none counts twice */
  last: number;
  misspelt: boolean;
}

/** The best name of each heading. Rare words come first; words in very many names then only raise what those found. */
function scoreNames(index: LookupIndex, readings: readonly Reading[][], typedMass: number): Candidate[] {
  const found = new Map<number, Score>();
  const rarestFirst = readings
    .map((alternatives, i) => ({ alternatives, i, weight: weightOf(index, alternatives) }))
    .sort((a, b) => b.weight - a.weight);
  for (const { alternatives, i, weight } of rarestFirst) {
    const earlier = found.size > 0 ? [...found.keys()] : null;
    for (const { folded, quality, misspelt } of alternatives) {
      const { weight: own = 0, names = [] } = index.senses.get(folded) ?? {};
      const raiseScore = (number: number) => {
        let score = found.get(number);
        if (score === undefined)
          found.set(number, (score = { ofName: 0, ofTyped: 0, last: -1, misspelt: false }));
        if (score.last === i) return;
        score.last = i;
        score.ofName += own * quality;
        score.ofTyped += weight * quality;
        score.misspelt ||= misspelt;
      };
      if (names.length <= COMMON) names.forEach(raiseScore);
      else if (earlier === null) firstOfMany(index, names, readings, i).forEach(raiseScore);
      else
        for (const number of earlier)
          if (index.names[number]?.folded.includes(folded) === true) raiseScore(number);
    }
  }
  const best = new Map<number, Candidate>();
  const evidence = new Map<number, number[]>();
  for (const [number, { ofName, ofTyped, misspelt }] of found) {
    const name = index.names[number];
    const mass = index.masses[number] ?? 0;
    if (name === undefined || mass === 0 || typedMass === 0) continue;
    const shareOfName = Math.min(ofName / mass, 1);
    const shareOfTyped = Math.min(ofTyped / typedMass, 1);
    const both =
      ((1 + TYPED_COUNTS) * shareOfName * shareOfTyped) / (TYPED_COUNTS * shareOfName + shareOfTyped);
    const complete = shareOfName > ALL ? (name.isSaying ? COMPLETE_SAID : COMPLETE) * Math.min(1, mass / 8) : 0;
    const score = both * (name.isLabel ? 1 : name.isSaying ? SAID_SHARE : ENTRY_SHARE) + complete;
    const known = best.get(name.heading);
    const more = evidence.get(name.heading) ?? [0, 0, 0, 0];
    more.push(score); more.sort((a, b) => b - a); more.length = 4;
    evidence.set(name.heading, more);
    if (known === undefined || known.score < score) {
      const whole = shareOfName > ALL && shareOfTyped > ALL;
      best.set(name.heading, { heading: name.heading, name, score, misspelt, whole });
    }
  }
  for (const candidate of best.values()) {
    const [, second = 0, third = 0, fourth = 0] = evidence.get(candidate.heading) ?? [];
    candidate.score += SECOND * (second + THIRD * third + THIRD ** 2 * fourth);
  }
  return [...best.values()];
}

/** Of the very many names that hold a word, the shortest, and those that hold another typed word too. */
function firstOfMany(
  index: LookupIndex,
  names: readonly number[],
  readings: readonly Reading[][],
  typed: number,
): number[] {
  const others = new Set(
    readings.flatMap((alternatives, i) => (i === typed ? [] : alternatives.map(({ folded }) => folded))),
  );
  return names.filter(
    (number, i) =>
      i < COMMON || (others.size > 0 && index.names[number]?.folded.some((word) => others.has(word))),
  );
}

/** Raises headings whose other names and note hold more of what was typed, and brings in those whose note does. */
function addOtherWords(
  index: LookupIndex,
  readings: readonly Reading[][],
  typedMass: number,
  best: Map<number, Candidate>,
): void {
  for (const alternatives of readings) {
    for (const { folded } of alternatives) {
      const noted = index.senses.get(folded)?.notes ?? [];
      if (noted.length > COMMON && best.size > 0) continue;
      for (const heading of noted) {
        if (!best.has(heading)) {
          best.set(heading, { heading, name: null, score: 0, misspelt: false, whole: false });
        }
      }
    }
  }
  const shares = (heading: number) => {
    const own = index.names.slice(index.firstNames[heading], index.firstNames[heading + 1]);
    let [inNames, inNote] = [0, 0];
    const covers: number[] = [];
    for (const alternatives of readings) {
      const weight = weightOf(index, alternatives);
      const best = (holds: (word: string) => boolean) =>
        Math.max(0, ...alternatives.filter(({ folded }) => holds(folded)).map(({ quality }) => quality));
      const byName = best((word) => own.some(({ folded }) => folded.includes(word)));
      inNames += weight * byName;
      covers.push(weight * byName);
      if (byName === 0)
        inNote += weight * best((word) => includesSorted(index.senses.get(word)?.notes, heading));
    }
    return { names: inNames / typedMass, notes: inNote / typedMass, covers };
  };
  const candidates = [...best.values()].sort((a, b) => b.score - a.score);
  const promising = [
    ...candidates.slice(0, PROMISING),
    ...candidates.slice(PROMISING).filter(({ name }) => name === null),
  ];
  for (const candidate of promising) {
    if (candidate.score >= SAID) continue;
    const { names, notes, covers } = shares(candidate.heading);
    candidate.covers = covers;
    if (candidate.name === null) candidate.score = notes * NOTE_SHARE;
    else candidate.score = Math.min(candidate.score + OTHER_NAMES_SHARE * names + NOTE_SHARE * notes * names, SAID - 0.01);
  }
}

/** Whether a list in rising order holds a number. */
function includesSorted(numbers: readonly number[] = [], wanted: number): boolean {
  let [low, high] = [0, numbers.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((numbers[middle] ?? 0) < wanted) low = middle + 1;
    else high = middle;
  }
  return numbers[low] === wanted;
}

function firstFrom(words: LookupIndex['words'], start: string): number {
  let low = 0;
  let high = words.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((words[middle]?.[0] ?? '') < start) low = middle + 1;
    else high = middle;
  }
  return low;
}

function lengthOf({ name }: Candidate): number {
  return name?.text.length ?? Infinity;
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, number) => total + number, 0);
}
