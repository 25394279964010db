/**
 * An index as bytes, to be kept on disk: a head of JSON, and behind it the typed arrays as they lie in memory, so that
 * loading copies none of them.
 */
import type { DocSet } from './docSet.js';
import type { HeadingPostings, SearchIndex, ZoneName } from './searchIndex.js';
import type { Zone } from './zone.js';

/** Raised whenever what is stored changes its shape. */
const FORMAT = 2;
const ALIGNMENT = 8;

const KINDS = { u8: Uint8Array, u16: Uint16Array, u32: Uint32Array, i16: Int16Array, i32: Int32Array };
type Kind = keyof typeof KINDS;
type Stored = Uint8Array | Uint16Array | Uint32Array | Int16Array | Int32Array;

/** Where an array lies: its kind, its first byte behind the head, and how many numbers it has. */
type Place = [kind: Kind, at: number, length: number];
type StoredSet = { size: number; sorted: Place | null; bits: Place | null };

interface Head {
  format: number;
  /** bytes behind the head */
  bytes: number;
  size: number;
  meanLengths: SearchIndex['meanLengths'];
  arrays: Record<'abstractStarts' | 'keywordStarts' | 'lengths' | 'years', Place>;
  zones: Record<string, { words: Place; frequent: number; arrays: Record<string, Place> }>;
  headings: [key: string, any: StoredSet, central: StoredSet][];
  limits: [field: string, values: [value: string, documents: StoredSet][]][];
}

/** Writes an index as bytes that `loadIndex` reads on a machine of the same byte order. */
export function storeIndex(index: SearchIndex): Uint8Array {
  const parts: Stored[] = [];
  let end = 0;
  const place = (array: Stored): Place => {
    const kind = (Object.keys(KINDS) as Kind[]).find((each) => array instanceof KINDS[each]);
    if (kind === undefined) throw new RangeError('an array of a kind that is not stored');
    const at = end;
    parts.push(array);
    end += aligned(array.byteLength);
    return [kind, at, array.length];
  };
  const set = ({ size, sorted, bits }: DocSet): StoredSet => ({
    size,
    sorted: sorted === null ? null : place(sorted),
    bits: bits === null ? null : place(bits),
  });
  const zones: Head['zones'] = {};
  for (const [name, zone] of Object.entries(index.zones)) {
    const { words, pairs } = zone;
    zones[name] = {
      words: place(new TextEncoder().encode(words.join('\n'))),
      frequent: pairs.frequent,
      arrays: {
        documentCounts: place(zone.documentCounts),
        documentStarts: place(zone.documentStarts),
        positionStarts: place(zone.positionStarts),
        documents: place(zone.documents),
        positions: place(zone.positions),
        frequentSlots: place(zone.frequentSlots),
        frequentBits: place(zone.frequentBits),
        pairSlots: place(pairs.slots),
        pairKeys: place(pairs.keys),
        pairStarts: place(pairs.starts),
        pairDocuments: place(pairs.documents),
      },
    };
  }
  const head: Head = {
    format: FORMAT,
    bytes: 0,
    size: index.size,
    meanLengths: index.meanLengths,
    arrays: {
      abstractStarts: place(index.abstractStarts),
      keywordStarts: place(index.keywordStarts),
      lengths: place(index.lengths),
      years: place(index.years),
    },
    zones,
    headings: [...index.headings].map(([key, { any, central }]) => [key, set(any), set(central)]),
    limits: [...index.limits].map(([field, values]) => [
      field,
      [...values].map(([value, documents]) => [value, set(documents)]),
    ]),
  };
  head.bytes = end;
  const headBytes = new TextEncoder().encode(JSON.stringify(head));
  const start = aligned(4 + headBytes.length);
  const bytes = new Uint8Array(start + end);
  new DataView(bytes.buffer).setUint32(0, headBytes.length, true);
  bytes.set(headBytes, 4);
  let at = start;
  for (const part of parts) {
    bytes.set(new Uint8Array(part.buffer, part.byteOffset, part.byteLength), at);
    at += aligned(part.byteLength);
  }
  return bytes;
}

/**
 * Reads what `storeIndex` wrote. The arrays of the index are views of the bytes, which must not change afterwards.
 * @returns null for bytes of another format or cut short
 */
export function loadIndex(given: Uint8Array): SearchIndex | null {
  // Views need their own alignment; a buffer read from a file has it unless it is part of a larger one.
  const bytes = given.byteOffset % ALIGNMENT === 0 ? given : given.slice();
  if (bytes.length < 4) return null;
  const headLength = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0, true);
  const head = readHead(bytes.subarray(4, 4 + headLength));
  if (head === null) return null;
  const start = aligned(4 + headLength);
  if (bytes.length < start + head.bytes) return null;
  const array = <T extends Stored>([kind, at, length]: Place): T =>
    new KINDS[kind](bytes.buffer as ArrayBuffer, bytes.byteOffset + start + at, length) as Stored as T;
  const set = ({ size, sorted, bits }: StoredSet): DocSet => ({
    universe: head.size,
    size,
    sorted: sorted === null ? null : array<Uint32Array>(sorted),
    bits: bits === null ? null : array<Uint32Array>(bits),
  });
  return {
    size: head.size,
    meanLengths: head.meanLengths,
    abstractStarts: array(head.arrays.abstractStarts),
    keywordStarts: array(head.arrays.keywordStarts),
    lengths: array(head.arrays.lengths),
    years: array(head.arrays.years),
    zones: Object.fromEntries(
      Object.entries(head.zones).map(([name, stored]) => [name, zoneOf(stored, array)]),
    ) as Record<ZoneName, Zone>,
    headings: new Map(
      head.headings.map(([key, any, central]): [string, HeadingPostings] => [
        key,
        { any: set(any), central: set(central) },
      ]),
    ),
    limits: new Map(
      head.limits.map(([field, values]) => [
        field,
        new Map(values.map(([value, documents]) => [value, set(documents)])),
      ]),
    ),
  };
}

function zoneOf(
  { words, frequent, arrays }: Head['zones'][string],
  array: <T extends Stored>(place: Place) => T,
): Zone {
  const named = <T extends Stored>(name: string): T => {
    const place = arrays[name];
    if (place === undefined) throw new RangeError(`the array ${name} is missing`);
    return array<T>(place);
  };
  const text = new TextDecoder().decode(array<Uint8Array>(words));
  return {
    words: text === '' ? [] : text.split('\n'),
    documentCounts: named('documentCounts'),
    documentStarts: named('documentStarts'),
    positionStarts: named('positionStarts'),
    documents: named('documents'),
    positions: named('positions'),
    frequentSlots: named('frequentSlots'),
    frequentBits: named('frequentBits'),
    pairs: {
      slots: named('pairSlots'),
      frequent,
      keys: named('pairKeys'),
      starts: named('pairStarts'),
      documents: named('pairDocuments'),
    },
  };
}

function readHead(bytes: Uint8Array): Head | null {
  try {
    const head = JSON.parse(new TextDecoder().decode(bytes)) as Head;
    return head.format === FORMAT ? head : null;
  } catch {
    return null;
  }
}

function aligned(length: number): number {
  return Math.ceil(length / ALIGNMENT) * ALIGNMENT;
}
