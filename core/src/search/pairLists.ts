/**
 * Pairs of frequent words: for every two of them that stand next to each other somewhere, the documents where they
 * do. A phrase of common words is what costs most to find from positions alone, and what there are few of to store.
 */
import { MOST_BYTES, NEW_DOCUMENT, NO_FOLLOWER, write, type Block } from './postingBlocks.js';

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
  const entries = entriesOf(blocks, slotOf, paired.length);
  const writer = new PairWriter(paired.length, mostPlaces(blocks, slotOf, paired.length));
  for (let slot = 0; slot < paired.length; slot += 1) {
    blocks.forEach((block, i) => {
      const entry = entries[i * paired.length + slot] ?? 0;
      if (entry > 0) writer.gather(block, entry - 1, slotOf);
    });
    writer.write(slot);
  }
  return { slots, frequent: paired.length, ...writer.finish() };
}

/** For each block and slot one more than the word's place among those of the block; nought if it is not there. */
function entriesOf(blocks: readonly Block[], slotOf: Int32Array, frequent: number): Uint32Array {
  const entries = new Uint32Array(blocks.length * frequent);
  blocks.forEach(({ words }, i) => {
    for (let entry = 0; entry < words.length; entry += 1) {
      const word = words[entry] ?? 0;
      const slot = word < NO_FOLLOWER ? (slotOf[word] ?? -1) : -1;
      if (slot !== -1) entries[i * frequent + slot] = entry + 1;
    }
  });
  return entries;
}

/** How often the paired word stands that stands most often. */
function mostPlaces(blocks: readonly Block[], slotOf: Int32Array, frequent: number): number {
  const places = new Uint32Array(frequent);
  for (const { words, placeEnds } of blocks) {
    words.forEach((word, entry) => {
      const slot = word < NO_FOLLOWER ? (slotOf[word] ?? -1) : -1;
      if (slot !== -1)
        places[slot] =
          (places[slot] ?? 0) + (placeEnds[entry] ?? 0) - (entry === 0 ? 0 : (placeEnds[entry - 1] ?? 0));
    });
  }
  return places.reduce((most, each) => Math.max(most, each), 0);
}

/** Gathers what follows one first word after another, and writes it sorted by the second. */
class PairWriter {
  private readonly keys: number[] = [];
  private readonly starts: number[] = [0];
  /** the bytes of each first word, and how many in all */
  private readonly written: Uint8Array[] = [];
  private length = 0;
  /** of the present first word: second words and documents, in the order of these; and how many */
  private readonly seconds: Uint16Array;
  private readonly docs: Uint32Array;
  private gathered = 0;
  /** the documents in the order of the second words, and where each one's end */
  private readonly sorted: Uint32Array;
  private readonly ends: Uint32Array;
  private readonly bytes: Uint8Array;

  /** @param most how often a first word stands at most */
  constructor(
    private readonly frequent: number,
    most: number,
  ) {
    this.seconds = new Uint16Array(most);
    this.docs = new Uint32Array(most);
    this.sorted = new Uint32Array(most);
    this.bytes = new Uint8Array(most * MOST_BYTES);
    this.ends = new Uint32Array(frequent + 1);
  }

  /** Gathers what follows the word at an entry of a block. */
  gather(block: Block, entry: number, slotOf: Int32Array): void {
    const { followers, documents } = block;
    const from = entry === 0 ? 0 : (block.placeEnds[entry - 1] ?? 0);
    const to = block.placeEnds[entry] ?? 0;
    const { seconds, docs, ends } = this;
    let { gathered } = this;
    let doc = block.firsts[entry] ?? 0;
    let at = entry === 0 ? 0 : (block.documentEnds[entry - 1] ?? 0);
    for (let i = from; i < to; i += 1) {
      const follower = followers[i] ?? 0;
      if (follower >= NEW_DOCUMENT && i !== from) {
        // Behind what is told of the document before stands how far this one is from it.
        while ((documents[at++] ?? 0) > 127);
        let byte = documents[at++] ?? 0;
        let value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[at++] ?? 0) & 127) << shift;
        doc += value;
      }
      const slot = slotOf[follower & NO_FOLLOWER] ?? -1;
      if (slot < 0) continue;
      seconds[gathered] = slot;
      docs[gathered] = doc;
      gathered += 1;
      ends[slot + 1] = (ends[slot + 1] ?? 0) + 1;
    }
    this.gathered = gathered;
  }

  /** Writes what has been gathered. */
  write(first: number): void {
    const { seconds, docs, ends, sorted, gathered, frequent, bytes } = this;
    for (let slot = 1; slot < frequent; slot += 1) ends[slot] = (ends[slot] ?? 0) + (ends[slot - 1] ?? 0);
    for (let i = 0; i < gathered; i += 1) {
      const second = seconds[i] ?? 0;
      const place = ends[second] ?? 0;
      ends[second] = place + 1;
      sorted[place] = docs[i] ?? 0;
    }
    let at = 0;
    let to = 0;
    for (let second = 0; second < frequent; second += 1) {
      const end = ends[second] ?? 0;
      if (at === end) continue;
      to = writeDocuments(sorted, at, end, bytes, to);
      this.keys.push(first * frequent + second);
      this.starts.push(this.length + to);
      at = end;
    }
    this.written.push(bytes.slice(0, to));
    this.length += to;
    ends.fill(0);
    this.gathered = 0;
  }

  finish(): Pick<PairLists, 'keys' | 'starts' | 'documents'> {
    const documents = new Uint8Array(this.length);
    let at = 0;
    for (const bytes of this.written) {
      documents.set(bytes, at);
      at += bytes.length;
    }
    return { keys: Uint32Array.from(this.keys), starts: Uint32Array.from(this.starts), documents };
  }
}

/** Writes sorted documents `from` to before `to`, each once, as differences; returns where the bytes end. */
function writeDocuments(
  sorted: Uint32Array,
  from: number,
  to: number,
  bytes: Uint8Array,
  start: number,
): number {
  let at = start;
  let last = 0;
  for (let i = from; i < to; i += 1) {
    const doc = sorted[i] ?? 0;
    if (doc === last && i !== from) continue;
    at = write(bytes, at, doc - last);
    last = doc;
  }
  return at;
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
