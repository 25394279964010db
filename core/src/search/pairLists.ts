/**
 * Pairs of frequent words: for every two of them that stand next to each other somewhere, the documents where they
 * do. A phrase of common words is what costs most to find from positions alone, and what there are few of to store.
 */
import { ByteList, PostingCursor, type PostingStreams } from './postings.js';

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

/** Positions held in one table at a time. */
const TABLE_SIZE = 1 << 20;

interface List {
  key: number;
  documents: ByteList;
  last: number;
}

/**
 * Collects the pairs from the positions of a finished zone, some thousand documents at a time.
 * @param spans one more than the last position, for each document
 */
export function collectPairs(zone: PostingStreams, spans: readonly number[]): PairLists {
  const size = spans.length;
  const counts = zone.documentCounts;
  const numbers = [...counts.keys()]
    .filter((number) => (counts[number] ?? 0) * PAIRED_SHARE > size)
    .sort((a, b) => (counts[b] ?? 0) - (counts[a] ?? 0))
    .slice(0, MAX_PAIRED)
    .sort((a, b) => a - b);
  const slots = new Int32Array(zone.words.length).fill(-1);
  numbers.forEach((number, slot) => (slots[number] = slot));
  const cursors = numbers.map((number) => new PostingCursor(zone, number));
  const lists: List[] = [];
  /** by key, one more than the place in `lists`; nought for none */
  const listOf = new Uint32Array(numbers.length * numbers.length);
  for (let from = 0; from < size;) {
    let to = from;
    let places = 1;
    const bases: number[] = [];
    while (to < size && (to === from || places + (spans[to] ?? 0) < TABLE_SIZE)) {
      bases.push(places);
      places += (spans[to] ?? 0) + 1; // so that the last word of one document does not touch the next
      to += 1;
    }
    collectBlock(cursors, { from, to, bases, places }, (key, doc) => {
      let list = lists[(listOf[key] ?? 0) - 1];
      if (list === undefined) {
        list = { key, documents: new ByteList(), last: 0 };
        list.documents.push(doc);
        listOf[key] = lists.push(list);
      } else if (list.last !== doc) list.documents.push(doc - list.last);
      list.last = doc;
    });
    from = to;
  }
  return { slots, frequent: numbers.length, ...packed(lists) };
}

/** Documents `from` to before `to`, whose positions stand in one table from their base on. */
interface Block {
  from: number;
  to: number;
  bases: readonly number[];
  places: number;
}

function collectBlock(
  cursors: readonly PostingCursor[],
  block: Block,
  add: (key: number, doc: number) => void,
): void {
  const slotAt = new Int32Array(block.places + 1).fill(-1);
  // Where frequent words stand, first by word, then by document and position; and the documents.
  const places = new Int32Array(block.places);
  const docs = new Int32Array(block.places);
  const ends = new Int32Array(cursors.length);
  let found = 0;
  cursors.forEach((cursor, slot) => {
    for (let more = cursor.advanceTo(block.from); more && cursor.doc < block.to; more = cursor.next()) {
      const base = block.bases[cursor.doc - block.from] ?? 0;
      while (cursor.nextPosition()) {
        slotAt[base + cursor.position] = slot;
        places[found] = base + cursor.position;
        docs[found] = cursor.doc;
        found += 1;
      }
    }
    ends[slot] = found;
  });
  let at = 0;
  ends.forEach((end, slot) => {
    for (; at < end; at += 1) {
      const second = slotAt[(places[at] ?? 0) + 1] ?? -1;
      if (second !== -1) add(slot * cursors.length + second, docs[at] ?? 0);
    }
  });
}

function packed(lists: List[]): Pick<PairLists, 'keys' | 'starts' | 'documents'> {
  lists.sort((a, b) => a.key - b.key);
  const keys = Uint32Array.from(lists, ({ key }) => key);
  const starts = new Uint32Array(lists.length + 1);
  lists.forEach((list, i) => (starts[i + 1] = (starts[i] ?? 0) + list.documents.length));
  const documents = new Uint8Array(starts[lists.length] ?? 0);
  lists.forEach((list, i) =>
    documents.set(list.documents.bytes.subarray(0, list.documents.length), starts[i]),
  );
  return { keys, starts, documents };
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
