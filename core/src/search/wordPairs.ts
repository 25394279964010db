/**
 * Two words next to each other: what most phrases come down to, and where a strategy spends most of its time.
 * The streams of both words are read in one loop with local variables only; see `postings.ts` for their form.
 */
import { MASK, MASK_BITS, type PostingStreams } from './postings.js';

/**
 * Sets the bits of the documents where word `second` comes right after word `first`.
 *
 * @param mask which fields of the zone count
 * @param inField whether a position lies in such a field, or null when all do
 */
export function markPair(
  bits: Uint32Array,
  zone: PostingStreams,
  first: number,
  second: number,
  mask: number,
  inField: ((doc: number, position: number) => boolean) | null,
): void {
  const { documents, positions } = zone;
  let atA = zone.documentStarts[first] ?? 0;
  let atB = zone.documentStarts[second] ?? 0;
  const endA = zone.documentStarts[first + 1] ?? 0;
  const endB = zone.documentStarts[second + 1] ?? 0;
  let positionsA = zone.positionStarts[first] ?? 0;
  let positionsB = zone.positionStarts[second] ?? 0;
  let nextPositionsA = positionsA;
  let nextPositionsB = positionsB;
  let docA = 0;
  let docB = 0;
  let maskA = 0;
  let maskB = 0;
  let readB = false;
  while (atA < endA) {
    let byte = documents[atA++] ?? 0;
    let value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atA++] ?? 0) & 127) << shift;
    docA += value;
    byte = documents[atA++] ?? 0;
    value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atA++] ?? 0) & 127) << shift;
    maskA = value & MASK;
    positionsA = nextPositionsA;
    nextPositionsA += value >>> MASK_BITS;

    while (!readB || docB < docA) {
      if (atB >= endB) return;
      readB = true;
      byte = documents[atB++] ?? 0;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atB++] ?? 0) & 127) << shift;
      docB += value;
      byte = documents[atB++] ?? 0;
      value = byte & 127;
      for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[atB++] ?? 0) & 127) << shift;
      maskB = value & MASK;
      positionsB = nextPositionsB;
      nextPositionsB += value >>> MASK_BITS;
    }
    if (docA !== docB || (maskA & maskB & mask) === 0) continue;

    let a = 0;
    let b = 0;
    let p = positionsA;
    let q = positionsB;
    let needA = true;
    let needB = true;
    for (;;) {
      if (needA) {
        if (p >= nextPositionsA) break;
        byte = positions[p++] ?? 0;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[p++] ?? 0) & 127) << shift;
        a += value;
      }
      if (needB) {
        if (q >= nextPositionsB) break;
        byte = positions[q++] ?? 0;
        value = byte & 127;
        for (let shift = 7; byte > 127; shift += 7) value |= ((byte = positions[q++] ?? 0) & 127) << shift;
        b += value;
      }
      if (b === a + 1 && (inField === null || inField(docA, a))) {
        bits[docA >>> 5] = (bits[docA >>> 5] ?? 0) | (1 << (docA & 31));
        break;
      }
      needB = b <= a;
      needA = !needB;
    }
  }
}
