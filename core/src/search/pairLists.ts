/**
 * Pairs of frequent words: for every two of them that stand next to each other somewhere, the documents where they
 * do. A phrase of common words is what costs most to find from positions alone, and what there are few of to store.
 */
import { MOST_BYTES, write } from './postingBlocks.js';
import { DOCUMENT, NUMBERED, type WordSequence } from './wordSequence.js';

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

/** About so many pairs are sorted at a time: six bytes each. */
const BATCH = 1 << 22;

/**
 * Collects the pairs: sorted by their first word, as many first words at a time as `BATCH` allows, then by the second.
 * Both sorts count first, and keep the order of the documents.
 * @param counts documents of each word of the zone
 * @param numbers the number in the zone of each word of the sequence
 */
export function collectPairs(counts: Uint32Array, sequence: WordSequence, numbers: Uint32Array): PairLists {
  const paired = [...counts.keys()]
    .filter((number) => (counts[number] ?? 0) * PAIRED_SHARE > sequence.documents)
    .sort((a, b) => (counts[b] ?? 0) - (counts[a] ?? 0))
    .slice(0, MAX_PAIRED);
  const isPaired = new Uint8Array(counts.length);
  for (const number of paired) isPaired[number] = 1;
  // Frequent words come early. One whose number takes more than two bytes in the sequence is not paired.
  for (const number of numbers.subarray(NUMBERED)) isPaired[number] = 0;
  const slots = new Int32Array(counts.length).fill(-1);
  let frequent = 0;
  isPaired.forEach((is, number) => {
    if (is === 0) return;
    slots[number] = frequent;
    frequent += 1;
  });
  /** by what stands in the sequence; -1 for borders too */
  const slotOf = new Int32Array(1 << 16).fill(-1);
  numbers.subarray(0, NUMBERED).forEach((number, word) => (slotOf[word] = slots[number] ?? -1));
  return { slots, frequent, ...pairDocuments(sequence, slotOf, frequent) };
}

type PairDocuments = Pick<PairLists, 'keys' | 'starts' | 'documents'>;

function pairDocuments(sequence: WordSequence, slotOf: Int32Array, frequent: number): PairDocuments {
  const starts = startsByFirst(sequence, slotOf, frequent);
  const startOf = (slot: number) => starts[slot] ?? 0;
  const batches: [from: number, to: number][] = [];
  for (let from = 0; from < frequent;) {
    let to = from + 1;
    while (to < frequent && startOf(to + 1) - startOf(from) <= BATCH) to += 1;
    batches.push([from, to]);
    from = to;
  }
  const largest = Math.max(0, ...batches.map(([from, to]) => startOf(to) - startOf(from)));
  const pairs: Pairs = { seconds: new Uint16Array(largest), docs: new Uint32Array(largest) };
  const writer = new PairWriter(frequent, startOf(frequent));
  for (const [from, to] of batches) {
    const base = startOf(from);
    /** by slot; those before the range are not asked for */
    const next = Uint32Array.from(starts.subarray(0, to), (start) => Math.max(start, base) - base);
    let doc = 0;
    for (const piece of sequence.pieces) doc = sortByFirst(piece, slotOf, next, from, pairs, doc);
    for (let first = from; first < to; first += 1) {
      const [begin, end] = [startOf(first) - base, startOf(first + 1) - base];
      writer.write(first, pairs.seconds.subarray(begin, end), pairs.docs.subarray(begin, end));
    }
  }
  return writer.finish();
}

/** Where each slot's pairs begin when all are sorted by their first word; one entry more than slots. */
function startsByFirst(sequence: WordSequence, slotOf: Int32Array, frequent: number): Uint32Array {
  const starts = new Uint32Array(frequent + 1);
  for (const piece of sequence.pieces) countFirsts(piece, slotOf, starts);
  for (let slot = 0; slot < frequent; slot += 1)
    starts[slot + 1] = (starts[slot + 1] ?? 0) + (starts[slot] ?? 0);
  return starts;
}

/** Adds to the entry behind each slot how often a paired word follows it. */
function countFirsts(piece: Uint16Array, slotOf: Int32Array, starts: Uint32Array): void {
  let before = -1;
  for (let i = 0; i < piece.length; i += 1) {
    const slot = slotOf[piece[i] ?? 0] ?? -1;
    if ((before | slot) >= 0) starts[before + 1] = (starts[before + 1] ?? 0) + 1;
    before = slot;
  }
}

/** Pairs sorted by their first word: second words and documents. */
interface Pairs {
  seconds: Uint16Array;
  docs: Uint32Array;
}

/**
 * Puts the pairs of a piece where they belong among those sorted by their first word.
 * @param next where the next pair of each slot belongs
 * @param from slots before it are left out, and so are those behind the end of `next`
 * @param firstDoc the document that the piece begins in
 * @returns the document that it ends in
 */
function sortByFirst(
  piece: Uint16Array,
  slotOf: Int32Array,
  next: Uint32Array,
  from: number,
  { seconds, docs }: Pairs,
  firstDoc: number,
): number {
  const to = next.length;
  let doc = firstDoc;
  let before = -1;
  for (let i = 0; i < piece.length; i += 1) {
    const word = piece[i] ?? 0;
    const slot = slotOf[word] ?? -1;
    if (slot < 0) {
      if (word === DOCUMENT) doc += 1;
    } else if (before >= from && before < to) {
      const place = next[before] ?? 0;
      next[before] = place + 1;
      seconds[place] = slot;
      docs[place] = doc;
    }
    before = slot;
  }
  return doc;
}

/** Writes the pairs of one first word after another. */
class PairWriter {
  private readonly keys: number[] = [];
  private readonly starts: number[] = [0];
  private documents: Uint8Array;
  private length = 0;
  /** where the pairs of each second word begin, and later end, among those of the first */
  private readonly places: Uint32Array;
  private sorted = new Uint32Array(1 << 10);

  /** @param expected about how many bytes will be written */
  constructor(
    private readonly frequent: number,
    expected: number,
  ) {
    this.documents = new Uint8Array(expected);
    this.places = new Uint32Array(frequent + 1);
  }

  write(first: number, seconds: Uint16Array, docs: Uint32Array): void {
    const { places, frequent } = this;
    if (this.sorted.length < docs.length) this.sorted = new Uint32Array(docs.length * 2);
    const { sorted } = this;
    places.fill(0);
    sortBySecond(seconds, docs, places, sorted);
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
    const most = this.length + (to - from) * MOST_BYTES;
    if (most > this.documents.length) {
      const larger = new Uint8Array(most * 2);
      larger.set(this.documents);
      this.documents = larger;
    }
    let last = -1;
    for (let i = from; i < to; i += 1) {
      const doc = sorted[i] ?? 0;
      if (doc === last) continue;
      this.length = write(this.documents, this.length, last === -1 ? doc : doc - last);
      last = doc;
    }
  }
}

/**
 * Puts documents in the order of their second words.
 * @param ends noughts; afterwards where the documents of each second word end
 */
function sortBySecond(seconds: Uint16Array, docs: Uint32Array, ends: Uint32Array, sorted: Uint32Array): void {
  for (let i = 0; i < seconds.length; i += 1) {
    const after = (seconds[i] ?? 0) + 1;
    ends[after] = (ends[after] ?? 0) + 1;
  }
  for (let i = 1; i < ends.length; i += 1) ends[i] = (ends[i] ?? 0) + (ends[i - 1] ?? 0);
  for (let i = 0; i < seconds.length; i += 1) {
    const second = seconds[i] ?? 0;
    const place = ends[second] ?? 0;
    sorted[place] = docs[i] ?? 0;
    ends[second] = place + 1;
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
