/** What each typed word may stand for: itself, words of one meaning, words it begins, words it misspells. */
import { foldWord, slips } from '../spelling/index.js';
import type { LookupIndex } from './lookupIndex.js';
import { contentWords, isPeople, senseOf } from './lookupWords.js';
import { relatedTo } from './relatedWords.js';

/** One of the words that a typed word may stand for. */
export interface Reading {
  folded: string;
  /** 1 for the word itself, less for a guess */
  quality: number;
  misspelt: boolean;
}

/** A typed word that means something. */
export interface TypedWord {
  /** as it was typed */
  word: string;
  /** the surest first */
  readings: readonly Reading[];
  /** how much it counts: what its surest known reading does, or much when nothing is known of it */
  weight: number;
}

/** How much less a word for people in general counts beside others. */
const PEOPLE_COUNT = 0.7;
const JOINED_QUALITY = 0.95;
const RELATED_QUALITY = 0.6;
const BEGUN_QUALITY = 0.8;
/** What is a word as it stands is less likely the beginning of another. */
const BEGUN_BY_A_WORD_QUALITY = 0.5;
const SLIP_QUALITY = [1, 0.85, 0.7, 0.6] as const;
const MOST_BEGUN = 100;
/** Slips that a word whose letters stand in another order counts for. */
const LETTERS_MIXED_UP = 2;

/** For each typed word that means something, what it may stand for. */
export function readingsOf(index: LookupIndex, words: readonly string[]): TypedWord[] {
  const content = contentWords(words);
  return content.map((word, i) => {
    const readings = readingsOfWord(index, word, {
      before: content[i - 1] ?? '',
      after: content[i + 1] ?? '',
    });
    const known = readings.map(({ folded }) => index.senses.get(folded)?.weight);
    const weight =
      known.find((each) => each !== undefined) ?? Math.log(1 + index.tree.vocabulary.headings.length) / 2;
    return {
      word,
      readings,
      weight: isPeople(word) && !content.every(isPeople) ? weight * PEOPLE_COUNT : weight,
    };
  });
}

function readingsOfWord(
  index: LookupIndex,
  word: string,
  { before, after }: { before: string; after: string },
): Reading[] {
  const folded = senseOf(word);
  const sure = (quality: number) => (other: string) => ({ folded: other, quality, misspelt: false });
  const readings = [sure(1)(folded), ...[...relatedTo(folded)].map(sure(RELATED_QUALITY))];
  const pairs = [`${before}${word}`, `${word}${after}`].filter((pair) => pair !== word).map(foldWord);
  readings.push(...pairs.filter((pair) => index.senses.has(pair)).map(sure(JOINED_QUALITY)));
  if (after === '' && word.length > 2) readings.push(...begunWith(index, word));
  if (index.senses.has(folded) || readings.length > 1) return readings;
  const apart = split(index, word).map(sure(JOINED_QUALITY));
  return [...readings, ...(apart.length > 0 ? apart : misspellingsOf(index, word))];
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

/** The two known words that an unknown one is made of, folded. */
function split(index: LookupIndex, word: string): string[] {
  for (let at = 2; at <= word.length - 3; at += 1) {
    const halves = [word.slice(0, at), word.slice(at)];
    if (halves.every((half) => isWritten(index, half))) return contentWords(halves).map(senseOf);
  }
  return [];
}

/** Whether a name holds a word just as it is. */
function isWritten(index: LookupIndex, word: string): boolean {
  return index.words[firstFrom(index.words, word)]?.[0] === word;
}

function misspellingsOf(index: LookupIndex, word: string): Reading[] {
  const most = mostSlips(word);
  if (most === 0) return [];
  const found = new Map<string, number>();
  const first = word.charAt(0);
  const letters = sortedLetters(word);
  for (let i = firstFrom(index.words, first); i < index.words.length; i += 1) {
    const [known, folded] = index.words[i] ?? ['', ''];
    if (!known.startsWith(first)) break;
    // Whoever is unsure of a word often has its letters, but not their order: “diahorrea”.
    const mixedUp = known.length === word.length && sortedLetters(known) === letters;
    const distance = Math.min(slips(word, known, most), mixedUp ? LETTERS_MIXED_UP : Infinity);
    if (distance <= most) found.set(folded, Math.min(distance, found.get(folded) ?? distance));
  }
  const least = Math.min(...found.values());
  return [...found]
    .filter(([, distance]) => distance === least)
    .map(([folded, distance]) => ({ folded, quality: SLIP_QUALITY[distance] ?? 0, misspelt: true }));
}

function mostSlips({ length }: string): number {
  if (length < 4) return 0;
  if (length < 7) return 1;
  return length < 11 ? 2 : 3;
}

function sortedLetters(word: string): string {
  return [...word].sort().join('');
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
