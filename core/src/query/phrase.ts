/**
 * Reading what a person types as words: `"night shift*"`, `wom?n`, `Meniere's disease`. The same reading serves
 * a term in a lane and a term in CQL.
 */
import { tokenise } from '../text/index.js';
import { MAX_TERM_LENGTH, MIN_LETTERS_BEFORE_ANY_ENDING, type WordPattern } from './model.js';

export type PhraseProblem =
  'empty' | 'too-long' | 'unbalanced-quote' | 'pattern-too-short' | 'star-not-at-end' | 'no-letters';

export interface PhraseError {
  problem: PhraseProblem;
  message: string;
  /** UTF-16 offset into the text */
  at: number;
}

export type PhraseResult = { ok: true; phrase: WordPattern[] } | { ok: false; error: PhraseError };

/**
 * Reads a phrase: words next to each other, with `*` for any ending and `?` for one unknown letter.
 * Surrounding double quotes are taken off. A backslash makes the next character plain.
 *
 * @returns the patterns, or where the text is wrong and how to mend it
 */
export function parsePhrase(text: string): PhraseResult {
  const fail = (problem: PhraseProblem, message: string, at = 0): PhraseResult => ({
    ok: false,
    error: { problem, message, at },
  });
  if (text.length > MAX_TERM_LENGTH) {
    return fail(
      'too-long',
      `This term has ${text.length} characters; ${MAX_TERM_LENGTH} is the most. Split it into several terms.`,
      MAX_TERM_LENGTH,
    );
  }
  const quotes = countQuotes(text);
  let inner = text;
  let offset = 0;
  if (quotes.length > 0) {
    const trimmedStart = text.length - text.trimStart().length;
    const trimmedEnd = text.trimEnd().length - 1;
    const first = quotes[0] ?? 0;
    if (quotes.length === 2 && first === trimmedStart && quotes[1] === trimmedEnd) {
      inner = text.slice(trimmedStart + 1, trimmedEnd);
      offset = trimmedStart + 1;
    } else if (quotes.length % 2 === 1) {
      return fail(
        'unbalanced-quote',
        'A quotation mark is not closed. Close it, or take it away.',
        quotes.at(-1) ?? 0,
      );
    } else {
      return fail(
        'unbalanced-quote',
        'Quotation marks may only stand around the whole term. Add each phrase as a term of its own.',
        first === trimmedStart ? (quotes[1] ?? 0) : first,
      );
    }
  }
  if (inner.trim() === '') {
    return fail('empty', 'This term is empty. Write a word or a phrase.', offset);
  }

  const phrase: WordPattern[] = [];
  for (const token of tokenise(withoutEscapes(inner), { masks: true })) {
    const anyEnding = token.word.endsWith('*');
    const pattern = token.word.replace(/\*+$/, '');
    const at = offset + token.start;
    if (pattern.includes('*')) {
      const message = 'A * may stand only at the end of a word. For one unknown letter use ?.';
      return fail('star-not-at-end', message, at + pattern.indexOf('*'));
    }
    const letters = pattern.replaceAll('?', '').length;
    if (anyEnding && letters < MIN_LETTERS_BEFORE_ANY_ENDING) {
      const message = `“${pattern}*” is unfinished: write at least ${MIN_LETTERS_BEFORE_ANY_ENDING} letters before the *.`;
      return fail('pattern-too-short', message, at);
    }
    if (letters === 0) {
      const message = 'A ? stands for one unknown letter inside a word; it needs letters around it.';
      return fail('pattern-too-short', message, at);
    }
    phrase.push({ text: pattern, anyEnding });
  }
  if (phrase.length === 0) {
    return fail('no-letters', 'There is no letter or digit in this term, so nothing could match it.', offset);
  }
  return { ok: true, phrase };
}

/** The text that `parsePhrase` reads back to the same patterns. */
export function printPhrase(phrase: readonly WordPattern[]): string {
  return phrase.map((pattern) => pattern.text + (pattern.anyEnding ? '*' : '')).join(' ');
}

/** Whether a normalised word matches a pattern. */
export function matchesPattern(word: string, pattern: WordPattern): boolean {
  const { text, anyEnding } = pattern;
  if (anyEnding ? word.length < text.length : word.length !== text.length) return false;
  if (!text.includes('?')) return word.startsWith(text);
  for (let i = 0; i < text.length; i += 1) {
    if (text[i] !== '?' && text[i] !== word[i]) return false;
  }
  return true;
}

function countQuotes(text: string): number[] {
  const at: number[] = [];
  for (let i = 0; i < text.length; i += 1) {
    if (text[i] === '\\') i += 1;
    else if (text[i] === '"') at.push(i);
  }
  return at;
}

/** Escaped marks and quotes become borders between words; offsets stay as they are. */
function withoutEscapes(text: string): string {
  return text.replace(/\\([\s\S])/g, (_, char: string) => (/[*?"\\^]/.test(char) ? '  ' : ` ${char}`));
}
