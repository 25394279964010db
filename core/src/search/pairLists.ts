/**
 * Pairs of frequent words: for every two of them that stand next to each other somewhere, the documents where they
 * do. A phrase of common words is what costs most to find from positions alone, and what there are few of to store.
 */
import { MOST_BYTES, NO_FOLLOWER, write, type Block } from './postingBlocks.js';

export interface PairLists {
  /** for each word of the zone its number among the frequent ones, or -1 */
  slots: Int32Array;
  /** how many words are frequent */
  frequent: number;
  /** `slot of the first word * frequent + slot of the second`, ascending */
  keys: Uint32Array;
  /** where each pair's bytes begin in `documents`; one entry more than keys */
  starts: Uint32Array;
  /** the documents of each pair as differences, seven bits a byte */
  documents: Uint8Array;
}

/** A word in more than one document of this many is paired. */
const PAIRED_SHARE = 128;

/** At most so many words, the most frequent ones: the table of all pairs grows with the square. */
const MAX_PAIRED = 4096;

/**
 * Collects the pairs from the places of the words of finished blocks, first word by first word.
 * @param counts documents of each word of the zone
 * @param order the number in the blocks of each word of the zone
 * @param size how many documents there are
 */
export function collectPairs(
  counts: Uint32Array,
  blocks: readonly Block[],
  order: readonly number[],
  size: number,
): PairLists {
  const paired = [...counts.keys()]
    // Frequent words come early; one that comes too late for two bytes is not told as a follower.
    .filter((number) => (counts[number] ?? 0) * PAIRED_SHARE > size && (order[number] ?? 0) < NO_FOLLOWER)
    .sort((a, b) => (counts[b] ?? 0) - (counts[a] ?? 0))
    .slice(0, MAX_PAIRED)
    .sort((a, b) => a - b);
  const slots = new Int32Array(counts.length).fill(-1);
  /** by number in the blocks; none for no follower */
  const slotOf = new Int32Array(NO_FOLLOWER + 1).fill(-1);
  paired.forEach((number, slot) => {
    slots[number] = slot;
    slotOf[order[number] ?? 0] = slot;
  });
  const places = placesOf(blocks, slotOf, paired.length);
  const writer = new PairWriter(paired.length);
  for (let slot = 0; slot < paired.length; slot += 1) {
    blocks.forEach((block, i) => {
      const at = (i * paired.length + slot) * 2;
      writer.gather(block, slotOf, places[at] ?? 0, places[at + 1] ?? 0);
    });
    writer.write(slot);
  }
  return { slots, frequent: paired.length, ...writer.finish() };
}

/** For each block and slot where the word's places begin and end. */
function placesOf(blocks: readonly Block[], slotOf: Int32Array, frequent: number): Uint32Array {
  const places = new Uint32Array(blocks.length * frequent * 2);
  blocks.forEach(({ words, placeEnds }, i) => {
    for (let entry = 0; entry < words.length; entry += 1) {
      const word = words[entry] ?? 0;
      const slot = word < NO_FOLLOWER ? (slotOf[word] ?? -1) : -1;
      if (slot === -1) continue;
      const at = (i * frequent + slot) * 2;
      places[at] = entry === 0 ? 0 : (placeEnds[entry - 1] ?? 0);
      places[at + 1] = placeEnds[entry] ?? 0;
    }
  });
  return places;
}

/** Gathers what follows one first word after another, and writes it sorted by the second. */
class PairWriter {
  private readonly keys: number[] = [];
  private readonly starts: number[] = [0];
  private documents = new Uint8Array(1 << 12);
  private length = 0;
  /** of the present first word: second words and documents, in the order of these; and how many */
  private seconds = new Uint16Array(1 << 10);
  private docs = new Uint32Array(1 << 10);
  private gathered = 0;
  /** the documents in the order of the second words, and where each one's end */
  private sorted = new Uint32Array(1 << 10);
  private readonly ends: Uint32Array;

  constructor(private readonly frequent: number) {
    this.ends = new Uint32Array(frequent + 1);
  }

  /** Gathers from places `from` to before `to` of a block. */
  gather({ followers, placeDocs, firstDocument }: Block, slotOf: Int32Array, from: number, to: number): void {
    if (this.gathered + to - from > this.seconds.length) this.makeRoom(this.gathered + to - from);
    const { seconds, docs, ends } = this;
    let { gathered } = this;
    for (let i = from; i < to; i += 1) {
      const slot = slotOf[followers[i] ?? 0] ?? -1;
      if (slot < 0) continue;
      seconds[gathered] = slot;
      docs[gathered] = firstDocument + (placeDocs[i] ?? 0);
      gathered += 1;
      ends[slot + 1] = (ends[slot + 1] ?? 0) + 1;
    }
    this.gathered = gathered;
  }

  /** Writes what has been gathered. */
  write(first: number): void {
    const { seconds, docs, ends, sorted, gathered, frequent } = this;
    for (let slot = 1; slot < frequent; slot += 1) ends[slot] = (ends[slot] ?? 0) + (ends[slot - 1] ?? 0);
    for (let i = 0; i < gathered; i += 1) {
      const second = seconds[i] ?? 0;
      const place = ends[second] ?? 0;
      ends[second] = place + 1;
      sorted[place] = docs[i] ?? 0;
    }
    let at = 0;
    for (let second = 0; second < frequent; second += 1) {
      const end = ends[second] ?? 0;
      if (at === end) continue;
      this.writeDocuments(at, end);
      this.keys.push(first * frequent + second);
      this.starts.push(this.length);
      at = end;
    }
    ends.fill(0);
    this.gathered = 0;
  }

  finish(): Pick<PairLists, 'keys' | 'starts' | 'documents'> {
    return {
      keys: Uint32Array.from(this.keys),
      starts: Uint32Array.from(this.starts),
      documents: this.documents.slice(0, this.length),
    };
  }

  /** Each document once, as differences. */
  private writeDocuments(from: number, to: number): void {
    const most = this.length + (to - from) * MOST_BYTES;
    if (most > this.documents.length) {
      const larger = new Uint8Array(most * 2);
      larger.set(this.documents);
      this.documents = larger;
    }
    const { sorted, documents } = this;
    let { length } = this;
    let last = -1;
    for (let i = from; i < to; i += 1) {
      const doc = sorted[i] ?? 0;
      if (doc === last) continue;
      length = write(documents, length, last === -1 ? doc : doc - last);
      last = doc;
    }
    this.length = length;
  }

  private makeRoom(least: number): void {
    const seconds = new Uint16Array(least * 2);
    seconds.set(this.seconds);
    this.seconds = seconds;
    const docs = new Uint32Array(least * 2);
    docs.set(this.docs);
    this.docs = docs;
    this.sorted = new Uint32Array(least * 2);
  }
}

/**
 * Sets the bits of the documents where word `second` comes right after word `first`, in whichever field.
 * @returns false, and nothing set, when one of the words is not frequent
 */
export function markListedPair(bits: Uint32Array, pairs: PairLists, first: number, second: number): boolean {
  const a = pairs.slots[first] ?? -1;
  const b = pairs.slots[second] ?? -1;
  if (a === -1 || b === -1) return false;
  const key = a * pairs.frequent + b;
  const { keys, documents } = pairs;
  let low = 0;
  let high = keys.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((keys[middle] ?? 0) < key) low = middle + 1;
    else high = middle;
  }
  if (keys[low] !== key) return true;
  const end = pairs.starts[low + 1] ?? 0;
  let doc = 0;
  for (let at = pairs.starts[low] ?? 0; at < end;) {
    let byte = documents[at++] ?? 0;
    let value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[at++] ?? 0) & 127) << shift;
    doc += value;
    bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  }
  return true;
}
