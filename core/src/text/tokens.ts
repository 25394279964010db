/**
 * How text becomes words. Everything that indexes, matches or highlights text goes through `tokenise`, so that
 * a count and the marks on a page can never disagree about what a word is.
 *
 * The rule: NFKC, lower case, no diacritics; a word is a run of letters and digits; a possessive `'s` is dropped.
 */

/** One word, with the half-open range of UTF-16 offsets it came from in the original text. */
export interface Token {
  word: string;
  start: number;
  end: number;
}

const LETTER_OR_DIGIT = /[\p{L}\p{N}]/u;
const MARK = /\p{M}/gu;
const ONLY_MARKS = /^\p{M}+$/u;
const APOSTROPHES = new Set(["'", '’', 'ʼ', '＇']);

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

/** The letters and digits of one code point, normalised; other characters of the result are kept as borders. */
const normalisedCodePoints = new Map<string, string>();

function normaliseCodePoint(char: string): string {
  const known = normalisedCodePoints.get(char);
  if (known !== undefined) return known;
  const normal = char.normalize('NFKC').toLowerCase().normalize('NFD').replace(MARK, '').replaceAll('ς', 'σ');
  normalisedCodePoints.set(char, normal);
  return normal;
}

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
  if (text.length >= LONG && isAscii(text)) forEachAsciiWord(text, visit, letters);
  else forEachAnyWord(text, visit, letters);
}

/** From how many characters on reading bytes is worth taking them out of the string first. */
const LONG = 100;

/** Part of every platform's globals, though not of the language. */
declare const TextEncoder: new () => {
  encodeInto(text: string, into: Uint8Array): { read: number; written: number };
};

const encoder = new TextEncoder();
let asciiCodes = new Uint8Array(1 << 14);

/** Whether a text is all ASCII; if so, `asciiCodes` holds it. Reading bytes is twice as fast as reading a string. */
function isAscii(text: string): boolean {
  if (asciiCodes.length < text.length) asciiCodes = new Uint8Array(text.length * 2);
  const { read, written } = encoder.encodeInto(text, asciiCodes);
  return read === text.length && written === text.length;
}

function forEachAsciiWord(text: string, visit: Visit, letters: number): void {
  const codes = asciiCodes.slice(0, text.length);
  let lastEnd = -1;
  for (let at = 0; at < codes.length;) {
    let kind = ASCII_KINDS[codes[at] ?? 0] ?? 0;
    if ((kind & letters) === 0) {
      at += 1;
      continue;
    }
    let after = at + 1;
    let kinds = kind;
    for (; after < codes.length; after += 1) {
      kind = ASCII_KINDS[codes[after] ?? 0] ?? 0;
      if ((kind & letters) === 0) break;
      kinds |= kind;
    }
    const run = text.slice(at, after);
    const word = (kinds & CAPITAL) === 0 ? run : run.toLowerCase();
    const possessive = word === 's' && at > 0 && lastEnd === at - 1 && codes[at - 1] === 39;
    if (!possessive) visit(word, at, after);
    lastEnd = after;
    at = after;
  }
}

function forEachAnyWord(text: string, visit: Visit, letters: number): void {
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
    if (APOSTROPHES.has(char)) {
      close();
      afterApostrophe = true;
    } else if (ONLY_MARKS.test(char)) {
      // A combining mark belongs to the letter before it and leaves no trace.
      if (word !== '') end = next;
    } else {
      for (const normal of normaliseCodePoint(char)) {
        if (LETTER_OR_DIGIT.test(normal)) {
          if (word === '') {
            start = at;
            wordStartsAfterApostrophe = afterApostrophe;
          }
          word += normal;
          end = next;
        } else {
          close();
        }
      }
      afterApostrophe = false;
    }
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
