/**
 * One zone of the positional index: words that share one run of positions, with a dictionary and two streams of
 * bytes. Zone `text` holds title, abstract and keywords; each other text field has a zone of its own.
 *
 * Per word and document the first stream holds two numbers: the document as a difference; and, in one, the byte
 * length of its positions and, in the lowest three bits, a mask of the fields it occurs in. The second stream holds
 * the positions as differences. All numbers are variable-length, seven bits a byte. A record of 200 words takes some
 * 500 bytes this way.
 */

/** Words of two sections lie this far apart at least: more than the widest `near`. */
export const SECTION_GAP = 128;

/** The words of a zone and where they stand. */
export interface PostingStreams {
  /** the words in ascending order of UTF-16 code units */
  words: readonly string[];
  /** documents that hold each word */
  documentCounts: Uint32Array;
  /** where each word's bytes begin in `documents` and `positions`; one entry more than words */
  documentStarts: Uint32Array;
  positionStarts: Uint32Array;
  documents: Uint8Array;
  positions: Uint8Array;
}

/** How many bits of a posting's second number hold the mask. */
export const MASK_BITS = 3;
export const MASK = (1 << MASK_BITS) - 1;

/** The number of a word in the dictionary, or -1. */
export function wordNumber(zone: PostingStreams, word: string): number {
  const at = firstWordFrom(zone, word);
  return zone.words[at] === word ? at : -1;
}

/** The number of the first word that is not before `word`. */
export function firstWordFrom(zone: PostingStreams, word: string): number {
  let low = 0;
  let high = zone.words.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((zone.words[middle] ?? '') < word) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Sets the bits of the documents in which a word stands in one of the fields of the mask. */
export function markDocuments(bits: Uint32Array, zone: PostingStreams, number: number, mask: number): void {
  const { documents } = zone;
  const end = zone.documentStarts[number + 1] ?? 0;
  let doc = 0;
  for (let at = zone.documentStarts[number] ?? 0; at < end;) {
    let byte = documents[at++] ?? 0;
    let value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[at++] ?? 0) & 127) << shift;
    doc += value;
    byte = documents[at++] ?? 0;
    if ((byte & mask) !== 0) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
    while (byte > 127) byte = documents[at++] ?? 0; // the lowest bits, with the fields, come first
  }
}

/** Walks the documents of one word in ascending order. Read the public fields after `next()` returned true. */
export class PostingCursor {
  /** how many documents there are in all */
  readonly documents: number;
  doc = 0;
  mask = 0;
  /** after `nextPosition()` returned true */
  position = 0;
  private readonly documentBytes: Uint8Array;
  private readonly positionBytes: Uint8Array;
  private started = false;
  private at: number;
  private readonly end: number;
  private positionsAt: number;
  private positionsEnd: number;

  constructor(zone: PostingStreams, number: number) {
    this.documents = zone.documentCounts[number] ?? 0;
    this.documentBytes = zone.documents;
    this.positionBytes = zone.positions;
    this.at = zone.documentStarts[number] ?? 0;
    this.end = zone.documentStarts[number + 1] ?? 0;
    this.positionsAt = zone.positionStarts[number] ?? 0;
    this.positionsEnd = this.positionsAt;
  }

  next(): boolean {
    return this.advanceTo(this.started ? this.doc + 1 : 0);
  }

  /** Moves to the first document that is not before the target; stays when it is there already. */
  advanceTo(target: number): boolean {
    if (this.started && this.doc >= target) return true;
    // Local copies: this loop is what searching for phrases spends its time in.
    const bytes = this.documentBytes;
    const { end } = this;
    let { at, doc } = this;
    let positionsEnd = this.positionsEnd;
    let positionsAt = positionsEnd;
    let tail = 0;
    do {
      if (at >= end) {
        this.at = end;
        return false;
      }
      let byte = bytes[at] ?? 0;
      at += 1;
      let value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) {
        byte = bytes[at] ?? 0;
        at += 1;
        value |= (byte & 127) << shift;
      }
      doc += value;
      byte = bytes[at] ?? 0;
      at += 1;
      tail = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) {
        byte = bytes[at] ?? 0;
        at += 1;
        tail |= (byte & 127) << shift;
      }
      positionsAt = positionsEnd;
      positionsEnd += tail >>> MASK_BITS;
    } while (doc < target);
    this.started = true;
    this.at = at;
    this.doc = doc;
    this.mask = tail & MASK;
    this.position = 0;
    this.positionsAt = positionsAt;
    this.positionsEnd = positionsEnd;
    return true;
  }

  /** Appends the positions of the current document, ascending. */
  readPositions(into: number[]): void {
    while (this.nextPosition()) into.push(this.position);
  }

  /** Moves `position` to the next one in the current document. */
  nextPosition(): boolean {
    if (this.positionsAt >= this.positionsEnd) return false;
    const bytes = this.positionBytes;
    let byte = bytes[this.positionsAt] ?? 0;
    this.positionsAt += 1;
    let value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) {
      byte = bytes[this.positionsAt] ?? 0;
      this.positionsAt += 1;
      value |= (byte & 127) << shift;
    }
    this.position += value;
    return true;
  }
}
