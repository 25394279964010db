/**
 * From what a person types, down to a whole clause, to the headings it may mean, each with the reason.
 *
 * Names (labels, entry terms, and what people say for those) and scope notes are indexed by the folded words they
 * hold. A name scores by how much of it was typed and how much of what was typed it covers, rare words counting for
 * more; a heading by its best names, and a little for typed words that its other names and its note hold.
 */
import { textKey } from '../text/index.js';
import { joinedKey, type LookupIndex } from './lookupIndex.js';
import { lookupWords } from './lookupWords.js';
import type { Heading } from './model.js';
import { addOtherWords, scoreNames, type Candidate } from './nameScores.js';
import { readingsOf } from './typedWords.js';

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
  /** the label, entry term or saying that matched best; the label where only the note did */
  matched: string;
  /** higher is surer; for ordering headings of several vocabularies among one another */
  score: number;
}

const SAME_LABEL = 2;
const ENTRY_TERM = 1.9;
/** What people say for a heading, as a whole. */
const SAYING = 1.6;
/** So much more when no ending had to be taken off. */
const TO_THE_LETTER = 0.2;
/** Hits below this, or far below the best, are noise. */
const LEAST_SCORE = 0.22;
const LEAST_OF_BEST = 0.35;
/** What counts for less, the second time that a typed word leads somewhere. */
const TOLD_ALREADY = 0.25;
/** Of a longer text only so much is read: it is no clause. */
const MOST_WORDS = 150;
/** Hits that are put in such an order; the others stay behind them. */
const MOST_SPREAD = 30;

/**
 * The headings that a typed text may mean, the surest first. Where it holds several things, the headings of one do
 * not push those of another out of sight.
 *
 * @param limit the most headings to return
 */
export function lookUp(index: LookupIndex, typed: string, limit = 8): LookupHit[] {
  const words = lookupWords(typed).slice(0, MOST_WORDS);
  if (words.length === 0) return [];
  const found = new Map<number, Candidate>();
  const offer = (candidate: Candidate) => {
    const known = found.get(candidate.heading);
    if (known === undefined || known.score < candidate.score) found.set(candidate.heading, candidate);
  };
  for (const number of [index.joined.get(joinedKey(words)) ?? []].flat()) {
    const name = index.names[number];
    if (name === undefined) continue;
    const toTheLetter = textKey(name.text) === words.join(' ') ? TO_THE_LETTER : 0;
    const score = (name.isLabel ? SAME_LABEL : name.isSaying ? SAYING : ENTRY_TERM) + toTheLetter;
    offer({ heading: name.heading, name, score, misspelt: false, whole: true, covers: [] });
  }
  const readings = readingsOf(index, words);
  scoreNames(index, readings).forEach(offer);
  addOtherWords(index, readings, found);

  const ranked = [...found.values()].sort((a, b) => b.score - a.score || lengthOf(a) - lengthOf(b));
  const best = ranked[0]?.score ?? 0;
  const least = Math.max(LEAST_SCORE, best * LEAST_OF_BEST);
  // Where a heading is named outright, what others are called in other words is no help.
  const isTold = ({ name, whole }: Candidate) => best < ENTRY_TERM || whole || name?.isSaying !== true;
  return spread(ranked.filter((each) => each.score >= least && isTold(each)))
    .slice(0, limit)
    .flatMap((candidate) => {
      const heading = index.tree.vocabulary.headings[candidate.heading];
      if (heading === undefined) return [];
      const { name, score } = candidate;
      return [{ heading, reason: reasonOf(candidate), matched: name?.text ?? heading.label, score }];
    });
}

/** Candidates in an order in which each counts for less by what those before it cover of the typed words. */
function spread(ranked: readonly Candidate[]): Candidate[] {
  const left = ranked.slice(0, MOST_SPREAD);
  const result: Candidate[] = [];
  const listed: number[] = [];
  while (left.length > 0) {
    const [first, ...others] = left.map((candidate) => ({ candidate, worth: worthOf(candidate, listed) }));
    if (first === undefined) break;
    const next = others.reduce((best, each) => (each.worth > best.worth ? each : best), first);
    left.splice(left.indexOf(next.candidate), 1);
    next.candidate.covers.forEach((weight, word) => (listed[word] = Math.max(listed[word] ?? 0, weight)));
    result.push({ ...next.candidate, score: next.worth });
  }
  const last = result.at(-1)?.score ?? 0;
  const others = ranked.slice(MOST_SPREAD);
  return [...result, ...others.map((each) => ({ ...each, score: Math.min(each.score, last) }))];
}

function worthOf({ score, covers }: Candidate, listed: readonly number[]): number {
  const all = sum(covers);
  if (all === 0) return score;
  const again = sum(covers.map((weight, word) => Math.min(weight, listed[word] ?? 0)));
  return score * (1 - TOLD_ALREADY * (again / all));
}

function reasonOf({ name, misspelt, whole, score }: Candidate): LookupReason {
  if (name === null) return 'words of the scope note';
  if (misspelt) return 'likely misspelling';
  if (name.isSaying) return 'in other words';
  if (score >= ENTRY_TERM) return name.isLabel ? 'same label' : 'entry term';
  if (whole) return name.isLabel ? 'other form of a label' : 'other form of an entry term';
  return name.isLabel ? 'part of a label' : 'part of an entry term';
}

function lengthOf({ name }: Candidate): number {
  return name?.text.length ?? Infinity;
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, number) => total + number, 0);
}
