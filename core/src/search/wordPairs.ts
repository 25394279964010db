/**
 * Two words close to each other: what most phrases and most of `near` come down to, and where a strategy spends most
 * of its time. The streams of both words are read with local variables only; see `postings.ts` for their form.
 */
import { MASK, MASK_BITS } from './postings.js';
import { countOnes } from './docSet.js';
import { placesOf } from './wordPlaces.js';
import { frequentBitsOf, type Zone } from './zone.js';

/** Whether a position of a document lies in a field that counts. */
export type FieldTest = (doc: number, position: number) => boolean;

/** One of the two words: its number in the zone, which fields count for it, and their test, null when all do. */
export interface PairedWord {
  number: number;
  mask: number;
  inField: FieldTest | null;
}

/** How two words are to stand to each other. */
export interface Closeness {
  /** at most `SECTION_GAP - 1`, so that both words stand in one section, and so in one field */
  distance: number;
  ordered: boolean;
}

/**
 * Sets the bits of the documents where the second word stands at most `distance` words behind the first, or, unless
 * ordered, before it. One behind the other is a phrase.
 *
 * @param size how many documents there are
 */
export function markPair(
  bits: Uint32Array,
  zone: Zone,
  size: number,
  first: PairedWord,
  second: PairedWord,
  closeness: Closeness,
): void {
  const firstBits = frequentBitsOf(zone, first.number, size);
  const secondBits = frequentBitsOf(zone, second.number, size);
  if (firstBits === null || secondBits === null) {
    markSideBySide(bits, zone, first, second, closeness);
    return;
  }
  // Which documents have both is known from their bits; how many come before tells where the positions of each begin.
  const firstPlaces = placesOf(zone, first.number);
  const secondPlaces = placesOf(zone, second.number);
  const firstStart = zone.positionStarts[first.number] ?? 0;
  const secondStart = zone.positionStarts[second.number] ?? 0;
  let firstBefore = 0;
  let secondBefore = 0;
  for (let at = 0; at < bits.length; at += 1) {
    const a = firstBits[at] ?? 0;
    const b = secondBits[at] ?? 0;
    for (let both = a & b; both !== 0; both &= both - 1) {
      const bit = both & -both;
      const i = firstBefore + countOnes(a & (bit - 1));
      const j = secondBefore + countOnes(b & (bit - 1));
      const p = firstPlaces[i] ?? 0;
      const q = secondPlaces[j] ?? 0;
      if ((p & MASK & first.mask) === 0 || (q & MASK & second.mask) === 0) continue;
      const doc = (at << 5) | (31 - Math.clz32(bit));
      if (
        meet(
          zone.positions,
          firstStart + (p >>> MASK_BITS),
          firstStart + ((firstPlaces[i + 1] ?? 0) >>> MASK_BITS),
          secondStart + (q >>> MASK_BITS),
          secondStart + ((secondPlaces[j + 1] ?? 0) >>> MASK_BITS),
          closeness,
          doc,
          (p & MASK & ~first.mask) === 0 ? null : first.inField,
          (q & MASK & ~second.mask) === 0 ? null : second.inField,
        )
      ) {
        bits[at] = (bits[at] ?? 0) | bit;
      }
    }
    firstBefore += countOnes(a);
    secondBefore += countOnes(b);
  }
}

/**
 * Whether two words stand close enough in a document.
 *
 * Each place of the first word meets the next of the second that is behind it, and the other way round; if any two are
 * close enough, two of these are.
 *
 * @param p where the positions of the first begin, up to `pEnd`; of the second, from `q` to `qEnd`
 */
function meet(
  positions: Uint8Array,
  p: number,
  pEnd: number,
  q: number,
  qEnd: number,
  { distance, ordered }: Closeness,
  doc: number,
  firstInField: FieldTest | null,
  secondInField: FieldTest | null,
): boolean {
  let byte = positions[p++] ?? 0;
  let a = byte & 127;
  for (let shift = 7; byte > 127; shift += 7) a |= ((byte = positions[p++] ?? 0) & 127) << shift;
  byte = positions[q++] ?? 0;
  let b = byte & 127;
  for (let shift = 7; byte > 127; shift += 7) b |= ((byte = positions[q++] ?? 0) & 127) << shift;
  for (;;) {
    const apart = b - a;
    const near = apart > 0 ? apart <= distance : !ordered && apart < 0 && -apart <= distance;
    if (
      near &&
      (firstInField === null || firstInField(doc, a)) &&
      (secondInField === null || secondInField(doc, b))
    ) {
      return true;
    }
    let value;
    if (apart > 0) {
      if (p >= pEnd) return false;
      byte = positions[p++] ?? 0;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[p++] ?? 0) & 127) << shift;
      a += value;
    } else {
      if (q >= qEnd) return false;
      byte = positions[q++] ?? 0;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[q++] ?? 0) & 127) << shift;
      b += value;
    }
  }
}

/** For words of which one is seldom: both streams are read together. */
function markSideBySide(
  bits: Uint32Array,
  zone: Zone,
  first: PairedWord,
  second: PairedWord,
  closeness: Closeness,
): void {
  const { documents, positions } = zone;
  let atA = zone.documentStarts[first.number] ?? 0;
  let atB = zone.documentStarts[second.number] ?? 0;
  const endA = zone.documentStarts[first.number + 1] ?? 0;
  const endB = zone.documentStarts[second.number + 1] ?? 0;
  let nextPositionsA = zone.positionStarts[first.number] ?? 0;
  let nextPositionsB = zone.positionStarts[second.number] ?? 0;
  let docA = 0;
  let docB = -1;
  let readB = false;
  let maskB = 0;
  let positionsB = nextPositionsB;
  while (atA < endA) {
    // Nearly always both numbers take one byte.
    let byte = documents[atA] ?? 0;
    let value = documents[atA + 1] ?? 0;
    if ((byte | value) < 128) {
      atA += 2;
      docA += byte;
    } else {
      atA += 1;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atA++] ?? 0) & 127) << shift;
      docA += value;
      byte = documents[atA++] ?? 0;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atA++] ?? 0) & 127) << shift;
    }
    const maskA = value & MASK;
    const positionsA = nextPositionsA;
    nextPositionsA += value >>> MASK_BITS;

    while (docB < docA) {
      if (atB >= endB) return;
      byte = documents[atB] ?? 0;
      value = documents[atB + 1] ?? 0;
      if ((byte | value) < 128) {
        atB += 2;
        docB += byte;
      } else {
        atB += 1;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atB++] ?? 0) & 127) << shift;
        docB += value;
        byte = documents[atB++] ?? 0;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atB++] ?? 0) & 127) << shift;
      }
      if (!readB) {
        docB += 1; // the first one is no difference
        readB = true;
      }
      maskB = value & MASK;
      positionsB = nextPositionsB;
      nextPositionsB += value >>> MASK_BITS;
    }
    if (docA !== docB || (maskA & first.mask) === 0 || (maskB & second.mask) === 0) continue;
    if (
      meet(
        positions,
        positionsA,
        nextPositionsA,
        positionsB,
        nextPositionsB,
        closeness,
        docA,
        first.inField,
        second.inField,
      )
    ) {
      bits[docA >>> 5] = (bits[docA >>> 5] ?? 0) | (1 << (docA & 31));
    }
  }
}
