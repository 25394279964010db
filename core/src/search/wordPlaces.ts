/**
 * Where the positions of a frequent word begin, posting by posting. Two frequent words are looked for beside each other
 * again and again while a strategy is written, and the streams tell this only from their beginning on. It is read once,
 * and kept for as long as there is room.
 */
import { BoundedMemory } from './boundedMemory.js';
import { MASK, MASK_BITS } from './postings.js';
import type { Zone } from './zone.js';

/** Of one zone; a hundred of the commonest words of a million records. */
const MOST_BYTES = 64 * 2 ** 20;

/** by the word’s number */
const known = new WeakMap<Zone, BoundedMemory<number, Uint32Array>>();

/**
 * @returns for each document of the word, in order: where its positions begin within those of the word and, in the
 *   lowest three bits, the mask of the fields it stands in; and one more, where they end
 */
export function placesOf(zone: Zone, number: number): Uint32Array {
  let kept = known.get(zone);
  if (kept === undefined) known.set(zone, (kept = new BoundedMemory(MOST_BYTES)));
  return kept.get(
    number,
    () => readPlaces(zone, number),
    ({ byteLength }) => byteLength,
  );
}

function readPlaces(zone: Zone, number: number): Uint32Array {
  const { documents } = zone;
  const places = new Uint32Array((zone.documentCounts[number] ?? 0) + 1);
  const end = zone.documentStarts[number + 1] ?? 0;
  let next = 0;
  let i = 0;
  for (let at = zone.documentStarts[number] ?? 0; at < end; i += 1) {
    while ((documents[at++] ?? 0) > 127); // which document it is, is not asked here
    let byte = documents[at++] ?? 0;
    let value = byte & 127;
    for (let shift = 7; byte > 127; shift += 7) value |= ((byte = documents[at++] ?? 0) & 127) << shift;
    places[i] = (next << MASK_BITS) | (value & MASK);
    next += value >>> MASK_BITS;
  }
  places[i] = next << MASK_BITS;
  return places;
}
