/** Cursors over several words at once, and walking several of them together. */
import { has, type DocSet } from './docSet.js';
import { PostingCursor } from './postings.js';
import { UnionCursor } from './unionCursor.js';
import type { Zone } from './zone.js';

/** The most words of one pattern that are walked side by side; the positions of more are merged in store. */
export const MAX_SIDE_BY_SIDE = 16;

export function sideBySide(zone: Zone, numbers: readonly number[]): PostingCursor | UnionCursor {
  const words = numbers.map((number) => new PostingCursor(zone, number));
  const [only] = words;
  return only !== undefined && words.length === 1 ? only : new UnionCursor(words);
}

export interface Cursor {
  doc: number;
  mask: number;
  advanceTo(target: number): boolean;
  readPositions(into: number[]): void;
}

export function openCursor(zone: Zone, numbers: readonly number[], candidates: DocSet | null): Cursor {
  return numbers.length <= MAX_SIDE_BY_SIDE
    ? sideBySide(zone, numbers)
    : mergeCursors(zone, numbers, candidates);
}

/** The postings of several words as if they were one word. */
function mergeCursors(zone: Zone, numbers: readonly number[], candidates: DocSet | null): Cursor {
  const byDocument = new Map<number, { mask: number; positions: number[] }>();
  for (const number of numbers) {
    for (const cursor = new PostingCursor(zone, number); cursor.next();) {
      if (candidates !== null && !has(candidates, cursor.doc)) continue;
      const entry = byDocument.get(cursor.doc) ?? { mask: 0, positions: [] };
      byDocument.set(cursor.doc, entry);
      entry.mask |= cursor.mask;
      cursor.readPositions(entry.positions);
    }
  }
  const docs = [...byDocument.keys()].sort((a, b) => a - b);
  let at = -1;
  const merged: Cursor = {
    doc: 0,
    mask: 0,
    advanceTo(target) {
      while (at < 0 || merged.doc < target) {
        at += 1;
        const doc = docs[at];
        if (doc === undefined) return false;
        merged.doc = doc;
        merged.mask = byDocument.get(doc)?.mask ?? 0;
      }
      return true;
    },
    readPositions(into) {
      const positions = byDocument.get(merged.doc)?.positions ?? [];
      into.push(...positions.sort((a, b) => a - b));
    },
  };
  return merged;
}

/** Calls `visit` for each document that all cursors reach. Quickest when the first has the fewest documents. */
export function forEachCommonDocument(cursors: readonly Cursor[], visit: (doc: number) => void): void {
  const [first] = cursors;
  for (let target = 0; first?.advanceTo(target) === true;) {
    target = first.doc;
    for (let i = 1; i < cursors.length; i += 1) {
      const cursor = cursors[i] ?? first;
      if (!cursor.advanceTo(target)) return;
      if (cursor.doc > target) {
        target = cursor.doc;
        break;
      }
    }
    if (target > first.doc) continue;
    visit(target);
    target += 1;
  }
}

/** Reads the positions where the words of all cursors follow one another, in their current document, ascending. */
export function readStarts(cursors: readonly Cursor[], into: number[]): void {
  into.length = 0;
  const [first] = cursors;
  first?.readPositions(into);
  for (let offset = 1; offset < cursors.length && into.length > 0; offset += 1) {
    const positions: number[] = [];
    cursors[offset]?.readPositions(positions);
    let at = 0;
    keepWhere(into, (start) => {
      while (at < positions.length && (positions[at] ?? 0) < start + offset) at += 1;
      return positions[at] === start + offset;
    });
  }
}

/** Removes what does not pass, in place. */
export function keepWhere(list: number[], passes: (value: number) => boolean): void {
  let kept = 0;
  for (const value of list) {
    if (!passes(value)) continue;
    list[kept] = value;
    kept += 1;
  }
  list.length = kept;
}
