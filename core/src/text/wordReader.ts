/**
 * The words of a text as bytes, one after the other, with their hashes: what an index of many records is built from.
 * No string is made for a word that is known already. The words are those of `tokenise`, which is the rule; a test
 * holds the two together.
 */
import { BORDER, foldingOf } from './folding.js';

/** Part of every platform's globals, though not of the language. */
declare const TextEncoder: new () => {
  encode(text: string): Uint8Array;
  encodeInto(text: string, into: Uint8Array): { read: number; written: number };
};

const encoder = new TextEncoder();

/** For each byte of UTF-8 what it is folded to: letters and digits to lower case, `OTHER` beyond ASCII, others 0. */
const OTHER = 255;
const FOLDED = Uint8Array.from({ length: 256 }, (_, byte) => {
  if (byte > 127) return OTHER;
  const char = String.fromCharCode(byte);
  return /[A-Za-z0-9]/.test(char) ? char.toLowerCase().charCodeAt(0) : 0;
});

/** From how many characters on the platform's encoder is quicker than copying codes. */
const LONG = 60;

const SMALL_S = 115;
const APOSTROPHE = 39;
/** The other apostrophes as UTF-8, to be found before a possessive `s`. */
const APOSTROPHE_BYTES = ['’', 'ʼ', '＇'].map((char) => encoder.encode(char));

/** The pieces of a code point as UTF-8, a border as no bytes. */
interface FoldedBytes {
  pieces: readonly Uint8Array[];
  mark: boolean;
}
const foldedBytes = new Map<number, FoldedBytes>();

function foldedBytesOf(codePoint: number): FoldedBytes {
  const known = foldedBytes.get(codePoint);
  if (known !== undefined) return known;
  const { pieces, mark } = foldingOf(String.fromCodePoint(codePoint));
  const folded = {
    pieces: pieces.map((piece) => (piece === BORDER ? new Uint8Array() : encoder.encode(piece))),
    mark,
  };
  foldedBytes.set(codePoint, folded);
  return folded;
}

/** Reads one text after another. After `next()` returned true, the word is `word[0]` to before `word[length]`. */
export class WordReader {
  word = new Uint8Array(1 << 10);
  length = 0;
  /** of the word's bytes; equal words have equal hashes in one reader */
  hash = 0;
  private text = new Uint8Array(1 << 10);
  private end = 0;
  private at = 0;
  /** how many pieces of the code point at `at` are read already */
  private piecesRead = 0;
  /** where the last run of letters ended, kept or dropped */
  private lastEnd = -1;

  /** @param seed a number that whoever writes the texts does not know, so that nobody can make all hashes collide */
  constructor(private readonly seed: number) {}

  /** Begins a text. */
  read(text: string): void {
    const most = text.length * 3 + 1; // no UTF-16 code unit takes more than three bytes
    if (this.text.length < most) this.text = new Uint8Array(most * 2);
    if (this.word.length < most) this.word = new Uint8Array(most * 2);
    this.end = text.length < LONG ? copyAscii(text, this.text) : -1;
    if (this.end === -1) this.end = encoder.encodeInto(text, this.text).written;
    this.text[this.end] = 0; // a border, so that runs of letters end here
    this.at = 0;
    this.piecesRead = 0;
    this.lastEnd = -1;
  }

  /** Moves to the next word of the text. */
  next(): boolean {
    const { text, end } = this;
    let { word, at } = this;
    let length = 0;
    let hash = this.seed;
    let start = at;
    let wordEnd = at;
    for (;;) {
      let folded = FOLDED[text[at] ?? 0] ?? 0;
      if (folded === 0) {
        if (length > 0) {
          if (!this.isPossessive(length, start)) break;
          this.lastEnd = wordEnd;
          length = 0;
          hash = this.seed;
        }
        if (at >= end) {
          this.at = at;
          return false;
        }
        at += 1;
        continue;
      }
      if (folded !== OTHER) {
        if (length === 0) start = at;
        do {
          word[length] = folded;
          length += 1;
          hash = Math.imul(hash ^ folded, 0x01000193);
          at += 1;
          folded = FOLDED[text[at] ?? 0] ?? 0;
        } while (folded !== 0 && folded !== OTHER);
        wordEnd = at;
        continue;
      }
      const codePoint = codePointAt(text, at);
      const after = at + bytesOf(codePoint);
      const { pieces, mark } = foldedBytesOf(codePoint);
      if (mark) wordEnd = after;
      let closed = false;
      for (; this.piecesRead < pieces.length && !closed; this.piecesRead += 1) {
        const piece = pieces[this.piecesRead] ?? new Uint8Array();
        if (piece.length === 0) {
          if (length === 0) continue;
          closed = !this.isPossessive(length, start);
          if (!closed) {
            this.lastEnd = wordEnd;
            length = 0;
            hash = this.seed;
          }
          continue;
        }
        if (length === 0) start = at;
        if (length + piece.length + (end - at) > word.length)
          this.word = word = larger(word, length + (end - at));
        for (const byte of piece) {
          word[length] = byte;
          length += 1;
          hash = Math.imul(hash ^ byte, 0x01000193);
        }
        wordEnd = after;
      }
      if (closed) break;
      this.piecesRead = 0;
      at = after;
    }
    this.lastEnd = wordEnd;
    this.at = at;
    this.length = length;
    hash ^= hash >>> 15;
    hash = Math.imul(hash, 0x2c1b3c6d);
    this.hash = hash ^ (hash >>> 13);
    return true;
  }

  /** Whether the word is an `s` that only an apostrophe parts from the word before it. */
  private isPossessive(length: number, start: number): boolean {
    const { text, word, lastEnd } = this;
    if (length !== 1 || word[0] !== SMALL_S || lastEnd < 0) return false;
    if (start === lastEnd + 1) return text[lastEnd] === APOSTROPHE;
    return APOSTROPHE_BYTES.some(
      (bytes) => start === lastEnd + bytes.length && bytes.every((byte, i) => text[lastEnd + i] === byte),
    );
  }
}

/** Copies a text's codes; returns how many, or -1 when one of them is not ASCII. */
function copyAscii(text: string, into: Uint8Array): number {
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    if (code > 127) return -1;
    into[i] = code;
  }
  return text.length;
}

function codePointAt(bytes: Uint8Array, at: number): number {
  const first = bytes[at] ?? 0;
  const following = (i: number) => (bytes[at + i] ?? 0) & 0x3f;
  if (first < 0xe0) return ((first & 0x1f) << 6) | following(1);
  if (first < 0xf0) return ((first & 0x0f) << 12) | (following(1) << 6) | following(2);
  return ((first & 0x07) << 18) | (following(1) << 12) | (following(2) << 6) | following(3);
}

function bytesOf(codePoint: number): number {
  return codePoint < 0x800 ? 2 : codePoint < 0x10000 ? 3 : 4;
}

function larger(bytes: Uint8Array, least: number): Uint8Array<ArrayBuffer> {
  const grown = new Uint8Array(Math.max(bytes.length, least) * 2);
  grown.set(bytes);
  return grown;
}
