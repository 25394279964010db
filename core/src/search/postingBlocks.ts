/**
 * From the words of documents as they stand to the postings of each word. Words are gathered in blocks of some
 * thousand documents; a full block is sorted by word, by counting, and written as streams of bytes; at the end the
 * streams of all blocks are put together word by word. So each block is worked on within the processor's cache, and
 * what is kept is as small as the result. See `postings.ts` for the form of the streams.
 */
import { MASK, MASK_BITS, type PostingStreams } from './postings.js';

/** What a block is gathered in has room for so many words in the end, more only where a single document needs it. */
const MOST_ROOM = 1 << 17;
/** A block ends when fewer would fit in than most documents have. */
const BLOCK = MOST_ROOM - (1 << 12);
const FIRST_ROOM = 1 << 10;
/** The most bytes of one number. */
export const MOST_BYTES = 5;

/** Stands where no word follows, and for a word whose number is not below it: frequent words come early. */
export const NO_FOLLOWER = 0x7fff;
/** The bit of a follower that says that its place is the first in a document. */
export const NEW_DOCUMENT = 0x8000;

/** A finished block: for each of its words, ascending by number, its streams, and where it stands. */
export interface Block {
  words: Uint32Array;
  counts: Uint32Array;
  /** the first document, which the stream does not hold, and the last */
  firsts: Uint32Array;
  lasts: Uint32Array;
  documentEnds: Uint32Array;
  positionEnds: Uint32Array;
  documents: Uint8Array;
  positions: Uint8Array;
  /** where each word's places end in `followers` */
  placeEnds: Uint32Array;
  /** for each place, by word and then as they came, the number of the word right behind it, and `NEW_DOCUMENT` */
  followers: Uint16Array;
}

export class PostingBlocks {
  private readonly blocks: Block[] = [];
  private documents = 0;
  /** of the present block, as they came: words, their documents, and positions with the field's bit behind */
  private words = new Uint32Array(FIRST_ROOM);
  private docs = new Uint32Array(FIRST_ROOM);
  private places = new Uint32Array(FIRST_ROOM);
  private length = 0;

  /** @param room may be shared: what is in it counts only while a block ends */
  constructor(private readonly room: SortingRoom) {}

  /**
   * Adds the words of one section of the present document, in order: the first `count` of the numbers.
   * @param position of the first
   * @param mask the bit of the field
   */
  section(numbers: Uint32Array, count: number, position: number, mask: number): void {
    if (this.length + count > this.words.length) this.makeRoom(this.length + count);
    const { words, docs, places, length, documents: doc } = this;
    for (let i = 0; i < count; i += 1) {
      words[length + i] = numbers[i] ?? 0;
      docs[length + i] = doc;
      places[length + i] = ((position + i) << MASK_BITS) | mask;
    }
    this.length = length + count;
  }

  endDocument(): void {
    this.documents += 1;
    if (this.length >= BLOCK) this.turn();
  }

  /** All blocks. Call it once, when all is added. */
  end(): readonly Block[] {
    this.turn();
    return this.blocks;
  }

  /**
   * The streams of all words, in another order; after `end`.
   * @param words the words in that order, as strings
   * @param numbers the place in that order of each word
   */
  streams(words: readonly string[], numbers: Uint32Array): PostingStreams {
    const documentCounts = new Uint32Array(words.length);
    const documentStarts = new Uint32Array(words.length + 1);
    const positionStarts = new Uint32Array(words.length + 1);
    const lasts = new Uint32Array(words.length);
    for (const block of this.blocks) {
      let documentsAt = 0;
      let positionsAt = 0;
      block.words.forEach((word, i) => {
        const number = numbers[word] ?? 0;
        const first = bytesOf((block.firsts[i] ?? 0) - (lasts[number] ?? 0));
        const [documentEnd, positionEnd] = [block.documentEnds[i] ?? 0, block.positionEnds[i] ?? 0];
        documentCounts[number] = (documentCounts[number] ?? 0) + (block.counts[i] ?? 0);
        documentStarts[number + 1] = (documentStarts[number + 1] ?? 0) + first + documentEnd - documentsAt;
        positionStarts[number + 1] = (positionStarts[number + 1] ?? 0) + positionEnd - positionsAt;
        lasts[number] = block.lasts[i] ?? 0;
        documentsAt = documentEnd;
        positionsAt = positionEnd;
      });
    }
    for (let number = 0; number < words.length; number += 1) {
      documentStarts[number + 1] = (documentStarts[number + 1] ?? 0) + (documentStarts[number] ?? 0);
      positionStarts[number + 1] = (positionStarts[number + 1] ?? 0) + (positionStarts[number] ?? 0);
    }
    const documents = new Uint8Array(documentStarts[words.length] ?? 0);
    const positions = new Uint8Array(positionStarts[words.length] ?? 0);
    const documentsTo = documentStarts.slice();
    const positionsTo = positionStarts.slice();
    lasts.fill(0);
    for (const block of this.blocks) {
      let documentsAt = 0;
      let positionsAt = 0;
      block.words.forEach((word, i) => {
        const number = numbers[word] ?? 0;
        const [documentEnd, positionEnd] = [block.documentEnds[i] ?? 0, block.positionEnds[i] ?? 0];
        const difference = (block.firsts[i] ?? 0) - (lasts[number] ?? 0);
        const to = write(documents, documentsTo[number] ?? 0, difference);
        documentsTo[number] = copy(block.documents, documentsAt, documentEnd, documents, to);
        positionsTo[number] = copy(
          block.positions,
          positionsAt,
          positionEnd,
          positions,
          positionsTo[number] ?? 0,
        );
        lasts[number] = block.lasts[i] ?? 0;
        documentsAt = documentEnd;
        positionsAt = positionEnd;
      });
    }
    return { words, documentCounts, documentStarts, positionStarts, documents, positions };
  }

  /** Ends the present block. */
  private turn(): void {
    const { words, docs, places, length, room } = this;
    const gathered = { words, docs, places, length };
    const counts = countsOf(gathered);
    /** where the places of each word begin, and, when they are sorted, end */
    const ends = new Uint32Array(counts.length);
    let different = 0;
    let sum = 0;
    counts.forEach((count, word) => {
      ends[word] = sum;
      sum += count;
      if (count > 0) different += 1;
    });
    room.take(length);
    const followers = new Uint16Array(length);
    sortByWord(gathered, ends, room, followers);
    this.blocks.push(blockOf(ends, different, room, followers));
    this.length = 0;
  }

  private makeRoom(least: number): void {
    this.words = larger(this.words, least);
    this.docs = larger(this.docs, least);
    this.places = larger(this.places, least);
  }
}

/** Words as they came, so many of them. */
interface Gathered {
  words: Uint32Array;
  docs: Uint32Array;
  places: Uint32Array;
  length: number;
}

/** What blocks are sorted and written in, one after the other. */
export class SortingRoom {
  docs = new Uint32Array();
  places = new Uint32Array();
  documents = new Uint8Array();
  positions = new Uint8Array();

  take(words: number): void {
    if (this.docs.length >= words) return;
    this.docs = new Uint32Array(words);
    this.places = new Uint32Array(words);
    this.documents = new Uint8Array(words * 2 * MOST_BYTES);
    this.positions = new Uint8Array(words * MOST_BYTES);
  }
}

/** How often each word stands there, by number. */
function countsOf({ words, length }: Gathered): Uint32Array {
  let highest = -1;
  for (let i = 0; i < length; i += 1) highest = Math.max(highest, words[i] ?? 0);
  const counts = new Uint32Array(highest + 1);
  for (let i = 0; i < length; i += 1) counts[words[i] ?? 0] = (counts[words[i] ?? 0] ?? 0) + 1;
  return counts;
}

/** Puts documents and places in the order of their words; those of one word stay in the order in which they came. */
function sortByWord(
  { words, docs, places, length }: Gathered,
  starts: Uint32Array,
  into: SortingRoom,
  followers: Uint16Array,
): void {
  const { docs: sortedDocs, places: sortedPlaces } = into;
  let word = words[0] ?? 0;
  let doc = docs[0] ?? 0;
  let place = places[0] ?? 0;
  for (let i = 0; i < length; i += 1) {
    const to = starts[word] ?? 0;
    starts[word] = to + 1;
    sortedDocs[to] = doc;
    sortedPlaces[to] = place;
    const last = i + 1 === length;
    const next = last ? NO_FOLLOWER : (words[i + 1] ?? 0);
    const nextDoc = last ? 0 : (docs[i + 1] ?? 0);
    const nextPlace = last ? 0 : (places[i + 1] ?? 0);
    // In one section the field is the same, so only the position differs.
    const follows = nextPlace === place + (1 << MASK_BITS) && nextDoc === doc && next < NO_FOLLOWER;
    followers[to] = follows ? next : NO_FOLLOWER;
    word = next;
    doc = nextDoc;
    place = nextPlace;
  }
}

function blockOf(ends: Uint32Array, different: number, room: SortingRoom, followers: Uint16Array): Block {
  const block: Block = {
    words: new Uint32Array(different),
    counts: new Uint32Array(different),
    firsts: new Uint32Array(different),
    lasts: new Uint32Array(different),
    documentEnds: new Uint32Array(different),
    positionEnds: new Uint32Array(different),
    documents: room.documents,
    positions: room.positions,
    placeEnds: new Uint32Array(different),
    followers,
  };
  let at = 0;
  let entry = 0;
  for (let word = 0; word < ends.length; word += 1) {
    const end = ends[word] ?? 0;
    if (at === end) continue;
    block.words[entry] = word;
    writeWord(block, entry, room, at, end);
    block.placeEnds[entry] = end;
    at = end;
    entry += 1;
  }
  return {
    ...block,
    documents: block.documents.slice(0, block.documentEnds.at(-1)),
    positions: block.positions.slice(0, block.positionEnds.at(-1)),
  };
}

/** Writes the streams of the block's word number `entry`, whose documents and places stand at `from` to before `to`. */
function writeWord(
  block: Block,
  entry: number,
  { docs, places }: SortingRoom,
  from: number,
  to: number,
): void {
  const { documents, positions, followers } = block;
  let documentsAt = entry === 0 ? 0 : (block.documentEnds[entry - 1] ?? 0);
  let positionsAt = entry === 0 ? 0 : (block.positionEnds[entry - 1] ?? 0);
  let last = docs[from] ?? 0;
  let count = 0;
  block.firsts[entry] = last;
  for (let at = from; at < to;) {
    const doc = docs[at] ?? 0;
    if (at !== from) documentsAt = write(documents, documentsAt, doc - last);
    last = doc;
    count += 1;
    followers[at] = (followers[at] ?? 0) | NEW_DOCUMENT;
    const positionsFrom = positionsAt;
    let mask = 0;
    let position = 0;
    do {
      const place = places[at] ?? 0;
      mask |= place;
      positionsAt = write(positions, positionsAt, (place >>> MASK_BITS) - position);
      position = place >>> MASK_BITS;
      at += 1;
    } while (at < to && docs[at] === doc);
    documentsAt = write(documents, documentsAt, ((positionsAt - positionsFrom) << MASK_BITS) | (mask & MASK));
  }
  block.counts[entry] = count;
  block.lasts[entry] = last;
  block.documentEnds[entry] = documentsAt;
  block.positionEnds[entry] = positionsAt;
}

/** Writes a number, seven bits a byte; returns where the next one begins. */
export function write(bytes: Uint8Array, at: number, value: number): number {
  if (value < 128) {
    bytes[at] = value;
    return at + 1;
  }
  let rest = value;
  let to = at;
  while (rest > 127) {
    bytes[to] = (rest & 127) | 128;
    to += 1;
    rest >>>= 7;
  }
  bytes[to] = rest;
  return to + 1;
}

function bytesOf(value: number): number {
  return value < 1 << 7 ? 1 : value < 1 << 14 ? 2 : value < 1 << 21 ? 3 : value < 1 << 28 ? 4 : MOST_BYTES;
}

/** From how many bytes on the platform's copying is quicker than a loop. */
const LONG = 64;

function copy(from: Uint8Array, start: number, end: number, into: Uint8Array, at: number): number {
  if (end - start >= LONG) into.set(from.subarray(start, end), at);
  else for (let i = start; i < end; i += 1) into[at + i - start] = from[i] ?? 0;
  return at + end - start;
}

function larger(numbers: Uint32Array, least: number): Uint32Array<ArrayBuffer> {
  const grown = new Uint32Array(Math.max(numbers.length, least) * 2);
  grown.set(numbers);
  return grown;
}
