/** When parts are near one another in a document: every pair within the distance, and none over another. */
import type { NearQuery } from '../query/index.js';

/**
 * Begins of the first part in every valid combination.
 * @param lists begins of each part in one document
 */
export function nearStarts(query: NearQuery, lists: readonly (readonly number[])[]): number[] {
  const lengths = query.parts.map((part) => part.phrase.length);
  const chosen: number[] = [];
  const fits = (part: number, start: number): boolean => {
    for (let other = 0; other < part; other += 1) {
      const otherStart = chosen[other] ?? 0;
      const otherEnd = otherStart + (lengths[other] ?? 1) - 1;
      const end = start + (lengths[part] ?? 1) - 1;
      const after = start - otherEnd;
      const before = otherStart - end;
      const gap = after > 0 ? after : query.ordered ? 0 : before;
      if (gap < 1 || gap > query.distance) return false;
    }
    return true;
  };
  const place = (part: number): boolean => {
    if (part === lists.length) return true;
    for (const start of lists[part] ?? []) {
      if (!fits(part, start)) continue;
      chosen[part] = start;
      if (place(part + 1)) return true;
    }
    return false;
  };
  return (lists[0] ?? []).filter((start) => {
    chosen[0] = start;
    return place(1);
  });
}

/** A test for one document after another: whether the parts, given the places where each begins, are near. */
export function nearTest(query: NearQuery): (lists: readonly (readonly number[])[]) => boolean {
  if (query.parts.length !== 2) return (lists) => nearStarts(query, lists).length > 0;
  const [firstLength = 1, secondLength = 1] = query.parts.map((part) => part.phrase.length);
  const { distance, ordered } = query;
  return (lists) => {
    const [firsts = [], seconds = []] = lists;
    let low = 0;
    for (const first of firsts) {
      // Ascending lists: what lies too far before one begin lies too far before all later ones.
      while (low < seconds.length && (seconds[low] ?? 0) + secondLength - 1 + distance < first) low += 1;
      for (let i = low; i < seconds.length; i += 1) {
        const second = seconds[i] ?? 0;
        const after = second - (first + firstLength - 1);
        if (after > distance) break;
        if (after > 0) return true;
        if (!ordered && first - (second + secondLength - 1) > 0) return true;
      }
    }
    return false;
  };
}
