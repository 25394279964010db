/** A part of a text that is a concept, and what is proposed for it. */
import type { Role } from '../question/index.js';
import { forEachWord } from '../text/index.js';
import { isPeople, lookupWords, type LookupIndex, type LookupReason } from '../vocabulary/index.js';
import type { ClauseWord, Link } from './clauseWords.js';
import { proposedWords } from './proposedWords.js';

/** A concept that a text holds. */
export interface ProposedConcept {
  /** as it is written in the text */
  text: string;
  /** half-open range of UTF-16 offsets in the text */
  from: number;
  to: number;
  /** what part of a question it seems to be; null where nothing tells */
  role: Role | null;
  headings: ProposedHeading[];
  /** free text, as people type it: phrases in quotation marks, `*` for any ending */
  words: string[];
}

export interface ProposedHeading {
  label: string;
  /** the name by which the text leads to it */
  matched: string;
  reason: LookupReason;
}

/** A run of words while a text is taken apart. */
export interface Piece {
  /** half-open range of places among the words */
  from: number;
  to: number;
  link: Link;
  headings: ProposedHeading[];
  /** how the text says it, where that is not all of its words */
  written: string[];
  weak: boolean;
}

export function conceptOf(
  index: LookupIndex,
  piece: Piece,
  words: readonly ClauseWord[],
  text: string,
): ProposedConcept {
  const { from, to, headings } = piece;
  const [start, end] = rangeOf(piece, words, text);
  const written = writtenOf(piece, words, text);
  // Words beside a name are searched together with it too; what only led to a name by a guess is not.
  const whole = text.slice(start, end);
  if (written.length === 1 && whole.includes(written[0] ?? '')) written.push(whole);
  return {
    text: whole,
    from: start,
    to: end,
    role: roleOf(words.slice(from, to)),
    headings,
    words: proposedWords(
      index.tree,
      written,
      headings.map(({ label }) => label),
    ),
  };
}

export function writtenOf(
  { written, from, to }: Piece,
  words: readonly ClauseWord[],
  text: string,
): string[] {
  return written.length > 0 ? [...written] : [textOfWords(text, words.slice(from, to))];
}

/** A run of words as it stands in the text. */
export function textOfWords(text: string, words: readonly ClauseWord[]): string {
  return text.slice(words[0]?.start ?? 0, words.at(-1)?.end ?? 0);
}

/**
 * Where a concept stands in the text: with all of its name, of which the first and the last words may say nothing, as
 * in “on call” and “worn out”.
 */
function rangeOf(
  { from, to, headings }: Piece,
  words: readonly ClauseWord[],
  text: string,
): [number, number] {
  let start = words[from]?.start ?? 0;
  let end = words[to - 1]?.end ?? 0;
  const named = lookupWords(headings[0]?.matched ?? '');
  const before = named.slice(0, Math.max(named.indexOf(words[from]?.word ?? ''), 0));
  const behind = named.slice(named.indexOf(words[to - 1]?.word ?? '') + 1);
  const gap = wordsIn(text, words[from - 1]?.end ?? 0, start);
  const beside = (from: number, to: number) => /^[\s-]+$/.test(text.slice(from, to));
  for (let word = gap.pop(); word !== undefined && word.text === before.pop(); word = gap.pop()) {
    if (!beside(word.end, start)) break;
    start = word.start;
  }
  for (const word of wordsIn(text, end, words[to]?.start ?? text.length)) {
    if (word.text !== behind.shift() || !beside(end, word.start)) break;
    end = word.end;
  }
  return [start, end];
}

function wordsIn(text: string, from: number, to: number): { text: string; start: number; end: number }[] {
  const found: { text: string; start: number; end: number }[] = [];
  forEachWord(text.slice(from, to), (word, start, end) => {
    found.push({ text: word, start: from + start, end: from + end });
  });
  return found;
}

/** Of people the question is asked, unless they are compared or do what is asked about. */
function roleOf(words: readonly ClauseWord[]): Role | null {
  const role = words[0]?.role ?? null;
  const lastWord = words.at(-1)?.word ?? '';
  return isPeople(lastWord) && (role === null || role === 'outcome') ? 'population' : role;
}
