/** One zone of the index, finished: its streams, and what is stored twice so that frequent words are quick. */
import type { WordReader } from '../text/index.js';
import { ByteLists } from './byteLists.js';
import { collectPairs, NOT_PAIRED, type PairLists } from './pairLists.js';
import { MASK_BITS, PostingCursor, type PostingStreams } from './postings.js';
import { WordTable } from './wordTable.js';

/** The finished zone: flat typed arrays only, ready to be written to disk or passed to a worker. */
export interface Zone extends PostingStreams {
  /** for each word its place in `frequentBits`, or -1 for words that are not frequent */
  frequentSlots: Int32Array;
  /** the documents of frequent words as bits, one word after the other */
  frequentBits: Uint32Array;
  pairs: PairLists;
}

/** A word in more than one document of this many gets its documents as bits too. */
const FREQUENT_SHARE = 32;

/** Of each word while its zone is built, side by side in one array, so that they are in memory together. */
const COUNT = 0;
const LAST_DOCUMENT = 1;
/** of the document being added */
const FIELDS = 2;
const LAST_POSITION = 3;
const POSITIONS_FROM = 4;
const STRIDE = 8;

/** Collects the words of documents, which come in ascending order, into a zone. */
export class ZoneBuilder {
  private readonly table = new WordTable();
  private states = new Uint32Array(STRIDE << 10);
  /** of word n: documents in list 2n, positions in list 2n + 1 */
  private readonly lists = new ByteLists();
  /** the words of the document being added, each once */
  private touched = new Uint32Array(1 << 8);
  private touchedCount = 0;
  /** the words of all documents as they follow one another, `NOT_PAIRED` where they do not */
  private sequence = new Uint16Array(1 << 10);
  private sequenceLength = 0;
  /** where each document's words end in `sequence` */
  private readonly sequenceEnds: number[] = [];
  private nextPosition = 0;

  /**
   * Adds the present word of the reader. Words come in the order of their positions.
   * @param mask the bit of the field the word stands in
   */
  add(reader: WordReader, position: number, mask: number): void {
    const word = this.table.numberOf(reader);
    const at = word * STRIDE;
    if (at >= this.states.length) this.states = doubled(this.states);
    const { states } = this;
    const fields = states[at + FIELDS] ?? 0;
    if (fields === 0) {
      if (this.touchedCount === this.touched.length) this.touched = doubled(this.touched);
      this.touched[this.touchedCount] = word;
      this.touchedCount += 1;
      states[at + LAST_POSITION] = 0;
      states[at + POSITIONS_FROM] = this.lists.lengthOf(2 * word + 1);
    }
    states[at + FIELDS] = fields | mask;
    this.lists.append(2 * word + 1, position - (states[at + LAST_POSITION] ?? 0));
    states[at + LAST_POSITION] = position;
    if (position !== this.nextPosition) this.follow(NOT_PAIRED);
    this.follow(word < NOT_PAIRED ? word : NOT_PAIRED);
    this.nextPosition = position + 1;
  }

  endDocument(): void {
    const doc = this.sequenceEnds.length;
    const { states, lists, touched } = this;
    for (let i = 0; i < this.touchedCount; i += 1) {
      const word = touched[i] ?? 0;
      const at = word * STRIDE;
      const positionBytes = lists.lengthOf(2 * word + 1) - (states[at + POSITIONS_FROM] ?? 0);
      lists.append(2 * word, doc - (states[at + LAST_DOCUMENT] ?? 0));
      lists.append(2 * word, (positionBytes << MASK_BITS) | (states[at + FIELDS] ?? 0));
      states[at + LAST_DOCUMENT] = doc;
      states[at + COUNT] = (states[at + COUNT] ?? 0) + 1;
      states[at + FIELDS] = 0;
    }
    this.touchedCount = 0;
    this.follow(NOT_PAIRED);
    this.sequenceEnds.push(this.sequenceLength);
    this.nextPosition = 0;
  }

  finish(): Zone {
    const { lists, states } = this;
    const unsorted = this.table.words();
    const order = [...unsorted.keys()].sort((a, b) => byCodeUnits(unsorted[a] ?? '', unsorted[b] ?? ''));
    const documentCounts = new Uint32Array(order.length);
    const documentStarts = new Uint32Array(order.length + 1);
    const positionStarts = new Uint32Array(order.length + 1);
    const numbers = new Uint32Array(order.length);
    order.forEach((word, number) => {
      numbers[word] = number;
      documentCounts[number] = states[word * STRIDE + COUNT] ?? 0;
      documentStarts[number + 1] = (documentStarts[number] ?? 0) + lists.lengthOf(2 * word);
      positionStarts[number + 1] = (positionStarts[number] ?? 0) + lists.lengthOf(2 * word + 1);
    });
    const documents = new Uint8Array(documentStarts[order.length] ?? 0);
    const positions = new Uint8Array(positionStarts[order.length] ?? 0);
    order.forEach((word, number) => {
      lists.copy(2 * word, documents, documentStarts[number] ?? 0);
      lists.copy(2 * word + 1, positions, positionStarts[number] ?? 0);
    });
    const words = order.map((word) => unsorted[word] ?? '');
    const zone = { words, documentCounts, documentStarts, positionStarts, documents, positions };
    const sequence = { words: this.sequence, ends: this.sequenceEnds, numbers };
    return {
      ...zone,
      ...frequentWords(zone, this.sequenceEnds.length),
      pairs: collectPairs(documentCounts, sequence),
    };
  }

  private follow(word: number): void {
    if (this.sequenceLength === this.sequence.length) {
      const grown = new Uint16Array(this.sequence.length * 2);
      grown.set(this.sequence);
      this.sequence = grown;
    }
    this.sequence[this.sequenceLength] = word;
    this.sequenceLength += 1;
  }
}

function doubled(numbers: Uint32Array): Uint32Array<ArrayBuffer> {
  const grown = new Uint32Array(numbers.length * 2);
  grown.set(numbers);
  return grown;
}

function frequentWords(zone: PostingStreams, size: number): Pick<Zone, 'frequentSlots' | 'frequentBits'> {
  const frequentSlots = new Int32Array(zone.words.length).fill(-1);
  const wordsPerSet = (size + 31) >>> 5;
  let slots = 0;
  zone.documentCounts.forEach((count, number) => {
    if (count * FREQUENT_SHARE <= size) return;
    frequentSlots[number] = slots;
    slots += 1;
  });
  const frequentBits = new Uint32Array(slots * wordsPerSet);
  frequentSlots.forEach((slot, number) => {
    if (slot === -1) return;
    const bits = frequentBits.subarray(slot * wordsPerSet, (slot + 1) * wordsPerSet);
    const cursor = new PostingCursor(zone, number);
    while (cursor.next()) bits[cursor.doc >>> 5] = (bits[cursor.doc >>> 5] ?? 0) | (1 << (cursor.doc & 31));
  });
  return { frequentSlots, frequentBits };
}

/** The documents of a frequent word as bits, shared with the index: not to be changed. Null for other words. */
export function frequentBitsOf(zone: Zone, number: number, size: number): Uint32Array | null {
  const slot = zone.frequentSlots[number] ?? -1;
  const wordsPerSet = (size + 31) >>> 5;
  return slot === -1 ? null : zone.frequentBits.subarray(slot * wordsPerSet, (slot + 1) * wordsPerSet);
}

function byCodeUnits(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
