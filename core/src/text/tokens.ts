/**
 * How text becomes words. Everything that matches or highlights text goes through `tokenise`, and `WordReader`, which
 * reads the texts of an index, is held to it, so that a count and the marks on a page can never disagree about what
 * a word is.
 *
 * The rule: NFKC, lower case, no diacritics; a word is a run of letters and digits; a possessive `'s` is dropped.
 */
import { APOSTROPHES, BORDER, foldingOf } from './folding.js';

/** One word, with the half-open range of UTF-16 offsets it came from in the original text. */
export interface Token {
  word: string;
  start: number;
  end: number;
}

/** What an ASCII code is, as bits. */
const PLAIN = 1;
const CAPITAL = 2;
const MASK = 4;
const ASCII_KINDS = Uint8Array.from({ length: 128 }, (_, code) => {
  const char = String.fromCharCode(code);
  if (/[A-Z]/.test(char)) return PLAIN | CAPITAL;
  if (/[a-z0-9]/.test(char)) return PLAIN;
  return char === '*' || char === '?' ? MASK : 0;
});

/**
 * Splits text into words.
 *
 * @param text any text; offsets in the result are UTF-16 offsets into it
 * @param options.masks whether `*` and `?` count as letters, as they do in what people type
 * @returns the words in order, without possessives
 * @example tokenise("Night-shift nurses' sleep") // night, shift, nurses, sleep
 */
export function tokenise(text: string, options: { masks?: boolean } = {}): Token[] {
  const tokens: Token[] = [];
  forEachWord(text, (word, start, end) => tokens.push({ word, start, end }), options);
  return tokens;
}

type Visit = (word: string, start: number, end: number) => void;

/** Visits the words that `tokenise` lists, without making a list. */
export function forEachWord(text: string, visit: Visit, { masks = false }: { masks?: boolean } = {}): void {
  const letters = masks ? PLAIN | MASK : PLAIN;
  let word = '';
  let start = 0;
  let end = 0;
  /** where the last run of letters ended, kept or dropped */
  let lastEnd = -1;
  let wordStartsAfterApostrophe = false;
  let afterApostrophe = false;

  const close = () => {
    if (word === '') return;
    const possessive = word === 's' && wordStartsAfterApostrophe && lastEnd === start - 1;
    if (!possessive) visit(word, start, end);
    lastEnd = end;
    word = '';
  };

  for (let at = 0; at < text.length;) {
    const code = text.charCodeAt(at);
    let kind = ASCII_KINDS[code] ?? 0;
    if ((kind & letters) !== 0) {
      // The fast path: a run of plain ASCII letters and digits.
      let after = at + 1;
      let kinds = kind;
      for (; after < text.length; after += 1) {
        kind = ASCII_KINDS[text.charCodeAt(after)] ?? 0;
        if ((kind & letters) === 0) break;
        kinds |= kind;
      }
      if (word === '') {
        start = at;
        wordStartsAfterApostrophe = afterApostrophe;
      }
      const run = text.slice(at, after);
      word += (kinds & CAPITAL) === 0 ? run : run.toLowerCase();
      end = after;
      at = after;
      afterApostrophe = false;
      continue;
    }
    if (code < 128) {
      close();
      afterApostrophe = code === 39;
      at += 1;
      continue;
    }
    const char = String.fromCodePoint(text.codePointAt(at) ?? 0);
    const next = at + char.length;
    const { pieces, mark } = foldingOf(char);
    if (mark && word !== '') end = next;
    for (const piece of pieces) {
      if (piece === BORDER) {
        close();
        continue;
      }
      if (word === '') {
        start = at;
        wordStartsAfterApostrophe = afterApostrophe;
      }
      word += piece;
      end = next;
    }
    if (!mark) afterApostrophe = APOSTROPHES.has(char);
    at = next;
  }
  close();
}

/** The words of a text joined by single spaces: two texts with the same key match the same way. */
export function textKey(text: string): string {
  let key = '';
  forEachWord(text, (word) => (key = key === '' ? word : `${key} ${word}`));
  return key;
}
