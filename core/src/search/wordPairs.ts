/**
 * Two words close to each other: what most phrases and most of `near` come down to, and where a strategy spends most
 * of its time. The streams of both words are read in one loop with local variables only; see `postings.ts` for their
 * form.
 */
import { MASK, MASK_BITS, type PostingStreams } from './postings.js';

/** Whether a position of a document lies in a field that counts. */
export type FieldTest = (doc: number, position: number) => boolean;

/** One of the two words: its number in the zone, which fields count for it, and their test, null when all do. */
export interface PairedWord {
  number: number;
  mask: number;
  inField: FieldTest | null;
}

/**
 * Sets the bits of the documents where the second word stands at most `distance` words behind the first, or, unless
 * ordered, before it. One behind the other is a phrase.
 *
 * @param distance at most `SECTION_GAP - 1`, so that both words stand in one section, and so in one field
 */
export function markPair(
  bits: Uint32Array,
  zone: PostingStreams,
  first: PairedWord,
  second: PairedWord,
  { distance, ordered }: { distance: number; ordered: boolean },
): void {
  const { documents, positions } = zone;
  const { mask: firstMask, inField: firstInField } = first;
  const { mask: secondMask, inField: secondInField } = second;
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
    let p = nextPositionsA;
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
    if (docA !== docB || (maskA & firstMask) === 0 || (maskB & secondMask) === 0) continue;

    // Each place of the first word meets the next of the second that is behind it, and the other way round; if any
    // two are close enough, two of these are.
    let q = positionsB;
    byte = positions[p++] ?? 0;
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
        (firstInField === null || firstInField(docA, a)) &&
        (secondInField === null || secondInField(docA, b))
      ) {
        bits[docA >>> 5] = (bits[docA >>> 5] ?? 0) | (1 << (docA & 31));
        break;
      }
      if (apart > 0) {
        if (p >= nextPositionsA) break;
        byte = positions[p++] ?? 0;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[p++] ?? 0) & 127) << shift;
        a += value;
      } else {
        if (q >= nextPositionsB) break;
        byte = positions[q++] ?? 0;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[q++] ?? 0) & 127) << shift;
        b += value;
      }
    }
  }
}
