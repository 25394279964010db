/** One zone of the index, finished: its streams, and what is stored twice so that frequent words are quick. */
import { collectPairs, type PairLists } from './pairLists.js';
import { ByteList, MASK_BITS, PostingCursor, type PostingStreams } from './postings.js';

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

interface Entry {
  documents: ByteList;
  positions: ByteList;
  count: number;
  lastDocument: number;
  /** of the document being added */
  mask: number;
  lastPosition: number;
  positionsFrom: number;
}

/** Collects the words of documents, which come in ascending order, into a zone. */
export class ZoneBuilder {
  private readonly entries = new Map<string, Entry>();
  private touched: Entry[] = [];
  /** one more than the last position of each document */
  private readonly spans: number[] = [];
  private span = 0;

  /** Words come in the order of their positions.
   * @param mask the bit of the field the word stands in */
  add(word: string, position: number, mask: number): void {
    let entry = this.entries.get(word);
    if (entry === undefined) {
      entry = {
        documents: new ByteList(),
        positions: new ByteList(),
        count: 0,
        lastDocument: 0,
        mask: 0,
        lastPosition: 0,
        positionsFrom: 0,
      };
      this.entries.set(word, entry);
    }
    if (entry.mask === 0) {
      this.touched.push(entry);
      entry.lastPosition = 0;
      entry.positionsFrom = entry.positions.length;
    }
    entry.mask |= mask;
    entry.positions.push(position - entry.lastPosition);
    entry.lastPosition = position;
    this.span = position + 1;
  }

  endDocument(): void {
    const doc = this.spans.length;
    for (const entry of this.touched) {
      entry.documents.push(doc - entry.lastDocument);
      entry.documents.push(((entry.positions.length - entry.positionsFrom) << MASK_BITS) | entry.mask);
      entry.lastDocument = doc;
      entry.count += 1;
      entry.mask = 0;
    }
    this.touched = [];
    this.spans.push(this.span);
    this.span = 0;
  }

  finish(): Zone {
    const words = [...this.entries.keys()].sort(byCodeUnits);
    const documentCounts = new Uint32Array(words.length);
    const documentStarts = new Uint32Array(words.length + 1);
    const positionStarts = new Uint32Array(words.length + 1);
    const sorted = words.map((word) => this.entries.get(word) as Entry); // every word is a key of the map
    sorted.forEach((entry, i) => {
      documentCounts[i] = entry.count;
      documentStarts[i + 1] = (documentStarts[i] ?? 0) + entry.documents.length;
      positionStarts[i + 1] = (positionStarts[i] ?? 0) + entry.positions.length;
    });
    const documents = new Uint8Array(documentStarts[words.length] ?? 0);
    const positions = new Uint8Array(positionStarts[words.length] ?? 0);
    sorted.forEach((entry, i) => {
      documents.set(entry.documents.bytes.subarray(0, entry.documents.length), documentStarts[i]);
      positions.set(entry.positions.bytes.subarray(0, entry.positions.length), positionStarts[i]);
    });
    this.entries.clear();
    const zone = { words, documentCounts, documentStarts, positionStarts, documents, positions };
    return { ...zone, ...frequentWords(zone, this.spans.length), pairs: collectPairs(zone, this.spans) };
  }
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
