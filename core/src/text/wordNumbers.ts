/**
 * Texts as numbers: each word gets one in the order in which words first come. What an index of many records is built
 * from, so texts are read as bytes, and no string is made for a word that is known. The words are those of `tokenise`,
 * which is the rule; a test holds the two together.
 */
import { BORDER, foldingOf } from './folding.js';

/** Part of every platform's globals, though not of the language. */
declare const TextEncoder: new () => {
  encode(text: string): Uint8Array;
  encodeInto(text: string, into: Uint8Array): { read: number; written: number };
};
declare const TextDecoder: new () => { decode(bytes: Uint8Array): string };

const encoder = new TextEncoder();

const LAST_ASCII = 127;

/** For each byte of UTF-8 what it is folded to: letters and digits of ASCII to lower case, others to nought. */
const FOLDED = Uint8Array.from({ length: 256 }, (_, byte) => {
  if (byte > LAST_ASCII) return 0;
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

/**
 * Words are kept, hashed and compared four bytes at a time, the last group being what is left over. No word holds a
 * nought, so words whose groups are equal are equal.
 */
const QUAD = 4;

/** At each place of the table of hashes: the hash, one more than the word's number or nought, and its first quads. */
const PLACE = 4;
const NUMBER = 1;
const FIRST_QUAD = 2;
const SECOND_QUAD = 3;

export class WordNumbers {
  /** how many words have a number */
  size = 0;
  /** after `read`, the numbers of the words of the text, in their order */
  numbers = new Uint32Array(1 << 8);
  private text = new Uint8Array(1 << 10);
  private view = new DataView(this.text.buffer);
  /** the word being read, by four bytes */
  private word = new Int32Array(1 << 8);
  /** the same, byte by byte, where it is not plain */
  private bytes = new Uint8Array(QUAD << 8);
  /** a table of hashes; at most every second place is taken */
  private table = new Int32Array(PLACE << 9);
  /** the bytes of all words by four, and where those of each begin; one start more than words */
  private quads = new Int32Array(1 << 10);
  private starts = new Uint32Array((1 << 8) + 1);
  /** how many words of the text have been read */
  private count = 0;
  /** where the last run of letters ended, kept or dropped */
  private lastEnd = -1;

  /** @param seed whoever writes the texts must not know it, or they could make all hashes collide */
  constructor(private readonly seed = Math.floor(Math.random() * 2 ** 32) | 0) {}

  /** Reads a text into `numbers`; returns how many words it has. */
  read(given: string): number {
    const end = this.encode(given);
    const { text, view, word } = this;
    this.count = 0;
    this.lastEnd = -1;
    for (let at = 0; ;) {
      let folded = FOLDED[text[at] ?? 0] ?? 0;
      if (folded === 0) {
        if ((text[at] ?? 0) > LAST_ASCII) at = this.readAny(at, end);
        else if (at >= end) return this.count;
        else at += 1;
        continue;
      }
      // The fast path: a word of plain letters, four at a time.
      const start = at;
      let quads = 0;
      let four = view.getInt32(at);
      let letters = lettersOf(four);
      while (letters === ALL) {
        word[quads] = four | SMALL;
        quads += 1;
        at += QUAD;
        four = view.getInt32(at);
        letters = lettersOf(four);
      }
      let held = Math.clz32(~letters & ALL) >>> 3;
      let quad = held === 0 ? 0 : (four | SMALL) >>> (32 - 8 * held);
      at += held;
      // Digits, and what follows them.
      for (folded = FOLDED[text[at] ?? 0] ?? 0; folded !== 0; folded = FOLDED[text[at] ?? 0] ?? 0) {
        quad = (quad << 8) | folded;
        held += 1;
        at += 1;
        if (held < QUAD) continue;
        word[quads] = quad;
        quads += 1;
        quad = 0;
        held = 0;
      }
      if ((text[at] ?? 0) > LAST_ASCII && !beginsWithBorder(foldedBytesOf(codePointAt(text, at)))) {
        at = this.readAny(start, end);
        continue;
      }
      if (quad !== 0) {
        word[quads] = quad;
        quads += 1;
      }
      this.keep(quads, start, at);
    }
  }

  /** All words, by number. */
  words(): string[] {
    const decoder = new TextDecoder();
    return Array.from({ length: this.size }, (_, number) => {
      const bytes: number[] = [];
      for (const quad of this.quads.subarray(this.starts[number], this.starts[number + 1])) {
        for (let shift = 24; shift >= 0; shift -= 8)
          if (quad >>> shift !== 0) bytes.push((quad >>> shift) & 255);
      }
      return decoder.decode(Uint8Array.from(bytes));
    });
  }

  /** Puts a text into `this.text` as UTF-8, with borders behind it; returns how many bytes it has. */
  private encode(given: string): number {
    const most = given.length * 3 + QUAD; // no UTF-16 code unit takes more than three bytes
    if (this.text.length < most) {
      this.text = new Uint8Array(most * 2);
      this.view = new DataView(this.text.buffer);
    }
    this.makeRoom(most);
    let end = given.length < LONG ? copyAscii(given, this.text) : -1;
    if (end === -1) end = encoder.encodeInto(given, this.text).written;
    this.view.setInt32(end, 0);
    return end;
  }

  /** Reads all up to the next ASCII character that is no letter and no digit; returns where that is. */
  private readAny(from: number, end: number): number {
    const { text } = this;
    let { bytes } = this;
    let length = 0;
    let start = from;
    /** where the last letter of the word ends, or the last mark on it */
    let wordEnd = from;
    for (let at = from; ;) {
      const byte = text[at] ?? 0;
      if (byte <= LAST_ASCII) {
        const folded = FOLDED[byte] ?? 0;
        if (folded === 0) {
          this.keepBytes(length, start, wordEnd);
          return at;
        }
        if (length === 0) start = at;
        bytes[length] = folded;
        length += 1;
        at += 1;
        wordEnd = at;
        continue;
      }
      const codePoint = codePointAt(text, at);
      const after = at + bytesOf(codePoint);
      const { pieces, mark } = foldedBytesOf(codePoint);
      if (mark) wordEnd = after;
      for (const piece of pieces) {
        if (piece.length === 0) {
          this.keepBytes(length, start, wordEnd);
          length = 0;
          continue;
        }
        if (length === 0) start = at;
        this.makeRoom(length + piece.length + (end - at));
        ({ bytes } = this);
        bytes.set(piece, length);
        length += piece.length;
        wordEnd = after;
      }
      at = after;
    }
  }

  /** Keeps the word of the first so many of `bytes`, if there are any. */
  private keepBytes(length: number, start: number, end: number): void {
    if (length === 0) return;
    let quad = 0;
    for (let i = 0; i < length; i += 1) {
      quad = (quad << 8) | (this.bytes[i] ?? 0);
      if (i % QUAD !== QUAD - 1 && i + 1 !== length) continue;
      this.word[Math.floor(i / QUAD)] = quad;
      quad = 0;
    }
    this.keep(Math.ceil(length / QUAD), start, end);
  }

  /** Adds the number of the word that has been read, unless it is a possessive. */
  private keep(quads: number, start: number, end: number): void {
    const possessive =
      quads === 1 && this.word[0] === SMALL_S && isPossessive(this.text, this.lastEnd, start);
    this.lastEnd = end;
    if (possessive) return;
    if (this.count === this.numbers.length) this.numbers = grown(this.numbers, this.count);
    this.numbers[this.count] = this.numberOf(quads);
    this.count += 1;
  }

  /** The number of the present word, which takes so many quads; a new one if it has none. */
  private numberOf(quadCount: number): number {
    const { word, table } = this;
    const first = word[0] ?? 0;
    const second = quadCount > 1 ? (word[1] ?? 0) : 0;
    // Each quad is stirred in before the next one is, so that their order counts; most words have two.
    let hash = Math.imul(this.seed ^ first, 0x2c1b3c6d);
    hash = Math.imul(hash ^ (hash >>> 15) ^ second, 0x2c1b3c6d);
    for (let i = 2; i < quadCount; i += 1)
      hash = Math.imul(hash ^ (hash >>> 15) ^ (word[i] ?? 0), 0x2c1b3c6d);
    hash ^= hash >>> 15;
    const mask = table.length - 1;
    let place = (hash << 2) & mask;
    for (let held = table[place + NUMBER] ?? 0; held !== 0; held = table[place + NUMBER] ?? 0) {
      if (
        table[place] === hash &&
        table[place + FIRST_QUAD] === first &&
        table[place + SECOND_QUAD] === second &&
        (quadCount <= 2 || this.isWord(held - 1, quadCount))
      ) {
        return held - 1;
      }
      place = (place + PLACE) & mask;
    }
    return this.add(hash, quadCount);
  }

  /** Whether the present word, which takes so many quads, has this number. */
  private isWord(number: number, quadCount: number): boolean {
    const { word, quads, starts } = this;
    const from = starts[number] ?? 0;
    if ((starts[number + 1] ?? 0) - from !== quadCount) return false;
    for (let i = 0; i < quadCount; i += 1) if (quads[from + i] !== word[i]) return false;
    return true;
  }

  /** Gives the present word, which is not in the table, the next number. */
  private add(hash: number, quadCount: number): number {
    const number = this.size;
    const start = this.starts[number] ?? 0;
    if (start + quadCount > this.quads.length) {
      const larger = new Int32Array((start + quadCount) * 2);
      larger.set(this.quads);
      this.quads = larger;
    }
    this.quads.set(this.word.subarray(0, quadCount), start);
    if (number + 1 === this.starts.length) this.starts = grown(this.starts, number + 2);
    this.starts[number + 1] = start + quadCount;
    this.size += 1;
    if (this.size * 2 * PLACE > this.table.length) this.growTable();
    this.store(hash, number);
    return number;
  }

  private growTable(): void {
    const { table } = this;
    this.table = new Int32Array(table.length * 2);
    for (let place = 0; place < table.length; place += PLACE) {
      const held = table[place + NUMBER] ?? 0;
      if (held !== 0) this.store(table[place] ?? 0, held - 1);
    }
  }

  private store(hash: number, number: number): void {
    const { table, quads, starts } = this;
    const mask = table.length - 1;
    let place = (hash << 2) & mask;
    while (table[place + NUMBER] !== 0) place = (place + PLACE) & mask;
    const from = starts[number] ?? 0;
    table[place] = hash;
    table[place + NUMBER] = number + 1;
    table[place + FIRST_QUAD] = quads[from] ?? 0;
    table[place + SECOND_QUAD] = (starts[number + 1] ?? 0) - from > 1 ? (quads[from + 1] ?? 0) : 0;
  }

  /** Makes room for a word of so many bytes. */
  private makeRoom(bytes: number): void {
    if (bytes <= this.word.length * QUAD) return;
    const word = new Int32Array(bytes);
    word.set(this.word);
    this.word = word;
    const larger = new Uint8Array(bytes * QUAD);
    larger.set(this.bytes);
    this.bytes = larger;
  }
}

/** The bit that tells small letters of ASCII from capital ones, and the highest bit, in each of four bytes. */
const SMALL = 0x20202020;
const ALL = 0x80808080 | 0;

/** The highest bit of each of four bytes that is a letter of ASCII. */
function lettersOf(four: number): number {
  const seven = (four | SMALL) & 0x7f7f7f7f;
  // Adding brings what is an a or more, and what is more than a z, to the highest bit; nothing is carried over.
  return (seven + 0x1f1f1f1f) & ~(seven + 0x05050505) & ~four & ALL;
}

function beginsWithBorder({ pieces }: FoldedBytes): boolean {
  return pieces[0]?.length === 0;
}

/** Whether an `s` that begins at `start` is parted by an apostrophe alone from the run of letters before it. */
function isPossessive(text: Uint8Array, lastEnd: number, start: number): boolean {
  if (lastEnd < 0) return false;
  if (start === lastEnd + 1) return text[lastEnd] === APOSTROPHE;
  return APOSTROPHE_BYTES.some(
    (bytes) => start === lastEnd + bytes.length && bytes.every((byte, i) => text[lastEnd + i] === byte),
  );
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

function grown(numbers: Uint32Array, least: number): Uint32Array<ArrayBuffer> {
  const larger = new Uint32Array(Math.max(numbers.length, least) * 2);
  larger.set(numbers);
  return larger;
}
