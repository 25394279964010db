/** What several checks look at. */
import { parsePhrase, type WordPattern } from '../query/index.js';
import {
  searchedTerms,
  termKey,
  type Lane,
  type LineKey,
  type Term,
  type TermContent,
} from '../strategy/index.js';
import type { CheckedLine, CheckedStrategy } from './check.js';

export type WordsContent = Extract<TermContent, { kind: 'words' }>;
export type HeadingContent = Extract<TermContent, { kind: 'heading' }>;

export interface Placed<Content extends TermContent> {
  term: Term;
  content: Content;
  lane: Lane;
  at: LineKey;
}

/** The words that are searched, each with its lane. */
export function wordsOf({ lanes }: Pick<CheckedStrategy, 'lanes'>): Placed<WordsContent>[] {
  return placed(lanes).flatMap((each) =>
    each.content.kind === 'words' ? [{ ...each, content: each.content }] : [],
  );
}

/** The headings that are searched, each with its lane. */
export function headingsOf({ lanes }: Pick<CheckedStrategy, 'lanes'>): Placed<HeadingContent>[] {
  return placed(lanes).flatMap((each) =>
    each.content.kind === 'heading' ? [{ ...each, content: each.content }] : [],
  );
}

function placed(lanes: readonly Lane[]): Placed<TermContent>[] {
  return lanes.flatMap((lane) =>
    searchedTerms(lane).map((term) => ({ term, content: term.content, lane, at: termKey(term.id) })),
  );
}

export function lineAt({ lines }: CheckedStrategy, key: LineKey): CheckedLine | undefined {
  return lines.find((line) => line.key === key);
}

/** The words of a term; none where it is unfinished. */
export function patternsOf({ text }: WordsContent): WordPattern[] {
  const parsed = parsePhrase(text);
  return parsed.ok ? parsed.phrase : [];
}

/** Words as people type them, a phrase in quotation marks. */
export function typed(patterns: readonly WordPattern[]): string {
  const text = patterns.map((each) => each.text + (each.anyEnding ? '*' : '')).join(' ');
  return patterns.length > 1 ? `"${text}"` : text;
}

/** So few letters before `*` begin words of many kinds. */
export const SHORT_STEM = 3;

/** The letters by which the words of an index are asked for. */
export function beginning(word: string): string {
  return word.slice(0, 3);
}

export function quoted(text: string): string {
  return `“${text.replaceAll('"', '')}”`;
}

/** Whether all that one phrase of patterns finds another finds too, word by word from a place on. */
export function covers(wide: readonly WordPattern[], narrow: readonly WordPattern[], at = 0): boolean {
  return wide.every((each, i) => {
    const other = narrow[at + i];
    if (other === undefined || each.text.includes('?')) return false;
    return each.anyEnding ? other.text.startsWith(each.text) : !other.anyEnding && other.text === each.text;
  });
}
