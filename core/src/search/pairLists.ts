/**
 * Pairs of frequent words: for every two of them that stand next to each other somewhere, the documents where they
 * do. A phrase of common words is what costs most to find from positions alone, and what there are few of to store.
 */
import { MOST_BYTES } from './byteLists.js';

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
 * Stands in a sequence where one word does not follow another, which is so behind each document too, and for words
 * whose number is not below it: frequent words come early, and two bytes hold their numbers.
 */
export const NOT_PAIRED = 0xffff;

/** The most pairs that are sorted at a time: six bytes each. */
const BATCH = 1 << 24;

/** The words of all documents, one after the other, by the number they had while the zone was built. */
export interface WordSequence {
  words: Uint16Array;
  /** where each document's words end */
  ends: readonly number[];
  /** the number in the zone of each word */
  numbers: Uint32Array;
}

/**
 * Collects the pairs: sorted by their first word, as many first words at a time as `BATCH` allows, then by the second.
 * Both sorts count first, and keep the order of the documents.
 * @param counts documents of each word of the zone
 */
export function collectPairs(counts: Uint32Array, sequence: WordSequence): PairLists {
  const size = sequence.ends.length;
  const paired = [...counts.keys()]
    .filter((number) => (counts[number] ?? 0) * PAIRED_SHARE > size)
    .sort((a, b) => (counts[b] ?? 0) - (counts[a] ?? 0))
    .slice(0, MAX_PAIRED);
  const isPaired = new Uint8Array(counts.length);
  for (const number of paired) isPaired[number] = 1;
  // Words that came so late that the sequence does not tell them apart are left out.
  for (const number of sequence.numbers.subarray(NOT_PAIRED)) isPaired[number] = 0;
  const slots = new Int32Array(counts.length).fill(-1);
  let frequent = 0;
  isPaired.forEach((is, number) => {
    if (is === 0) return;
    slots[number] = frequent;
    frequent += 1;
  });
  return { slots, frequent, ...pairDocuments(sequence, slots, frequent) };
}

type PairDocuments = Pick<PairLists, 'keys' | 'starts' | 'documents'>;

function pairDocuments(sequence: WordSequence, slots: Int32Array, frequent: number): PairDocuments {
  const slotOf = new Int32Array(NOT_PAIRED + 1).fill(-1);
  sequence.numbers.subarray(0, NOT_PAIRED).forEach((number, word) => (slotOf[word] = slots[number] ?? -1));
  const starts = startsByFirst(sequence, slotOf, frequent);
  const written = new PairWriter(frequent);
  for (let from = 0; from < frequent;) {
    let to = from + 1;
    while (to < frequent && (starts[to + 1] ?? 0) - (starts[from] ?? 0) <= BATCH) to += 1;
    const batch = pairsOf(sequence, slotOf, starts, from, to);
    for (let first = from; first < to; first += 1) {
      const begin = (starts[first] ?? 0) - (starts[from] ?? 0);
      const end = (starts[first + 1] ?? 0) - (starts[from] ?? 0);
      written.write(first, batch.seconds.subarray(begin, end), batch.docs.subarray(begin, end));
    }
    from = to;
  }
  return written.finish();
}

/** Where each slot's pairs begin when all are sorted by their first word; one entry more than slots. */
function startsByFirst({ words, ends }: WordSequence, slotOf: Int32Array, frequent: number): Float64Array {
  const starts = new Float64Array(frequent + 1);
  let before = -1;
  const end = ends.at(-1) ?? 0;
  for (let i = 0; i < end; i += 1) {
    const slot = slotOf[words[i] ?? NOT_PAIRED] ?? -1;
    if (before !== -1 && slot !== -1) starts[before + 1] = (starts[before + 1] ?? 0) + 1;
    before = slot;
  }
  for (let slot = 0; slot < frequent; slot += 1)
    starts[slot + 1] = (starts[slot + 1] ?? 0) + (starts[slot] ?? 0);
  return starts;
}

/** The second words and the documents of the pairs whose first word has a slot in the range, sorted by the first. */
function pairsOf(
  { words, ends }: WordSequence,
  slotOf: Int32Array,
  starts: Float64Array,
  from: number,
  to: number,
): { seconds: Uint16Array; docs: Uint32Array } {
  const base = starts[from] ?? 0;
  const size = (starts[to] ?? 0) - base;
  const seconds = new Uint16Array(size);
  const docs = new Uint32Array(size);
  const next = Float64Array.from(starts.subarray(from, to), (start) => start - base);
  let at = 0;
  let before = -1;
  for (let doc = 0; doc < ends.length; doc += 1) {
    const end = ends[doc] ?? 0;
    for (; at < end; at += 1) {
      const slot = slotOf[words[at] ?? NOT_PAIRED] ?? -1;
      if (slot !== -1 && before >= from && before < to) {
        const place = next[before - from] ?? 0;
        next[before - from] = place + 1;
        seconds[place] = slot;
        docs[place] = doc;
      }
      before = slot;
    }
  }
  return { seconds, docs };
}

/** Writes the pairs of one first word after another. */
class PairWriter {
  private readonly keys: number[] = [];
  private readonly starts: number[] = [0];
  private documents = new Uint8Array(1 << 12);
  private length = 0;
  /** where the pairs of each second word begin, and later end, among those of the first */
  private readonly places: Uint32Array;
  private sorted = new Uint32Array(1 << 10);

  constructor(private readonly frequent: number) {
    this.places = new Uint32Array(frequent + 1);
  }

  write(first: number, seconds: Uint16Array, docs: Uint32Array): void {
    const { places, frequent } = this;
    if (this.sorted.length < docs.length) this.sorted = new Uint32Array(docs.length * 2);
    const { sorted } = this;
    places.fill(0);
    for (let i = 0; i < seconds.length; i += 1)
      places[(seconds[i] ?? 0) + 1] = (places[(seconds[i] ?? 0) + 1] ?? 0) + 1;
    for (let slot = 0; slot < frequent; slot += 1)
      places[slot + 1] = (places[slot + 1] ?? 0) + (places[slot] ?? 0);
    for (let i = 0; i < seconds.length; i += 1) {
      const second = seconds[i] ?? 0;
      const place = places[second] ?? 0;
      sorted[place] = docs[i] ?? 0;
      places[second] = place + 1;
    }
    let at = 0;
    for (let second = 0; second < frequent; second += 1) {
      const end = places[second] ?? 0;
      if (at === end) continue;
      this.writeDocuments(sorted, at, end);
      this.keys.push(first * frequent + second);
      this.starts.push(this.length);
      at = end;
    }
  }

  finish(): PairDocuments {
    return {
      keys: Uint32Array.from(this.keys),
      starts: Uint32Array.from(this.starts),
      documents: this.documents.slice(0, this.length),
    };
  }

  /** Each document once, as differences. */
  private writeDocuments(sorted: Uint32Array, from: number, to: number): void {
    if (this.length + (to - from) * MOST_BYTES > this.documents.length) {
      const grown = new Uint8Array((this.length + (to - from) * MOST_BYTES) * 2);
      grown.set(this.documents);
      this.documents = grown;
    }
    const { documents } = this;
    let { length } = this;
    let last = -1;
    for (let i = from; i < to; i += 1) {
      const doc = sorted[i] ?? 0;
      if (doc === last) continue;
      let rest = last === -1 ? doc : doc - last;
      last = doc;
      while (rest > 127) {
        documents[length] = (rest & 127) | 128;
        length += 1;
        rest >>>= 7;
      }
      documents[length] = rest;
      length += 1;
    }
    this.length = length;
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
