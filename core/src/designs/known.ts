/** A filter held against records whose designs are known. */
import type { FilterCounts } from './figures.js';
import type { DesignTree } from './taxonomy.js';

/** Fewer records of a design than this, or fewer others, say nothing about a filter. */
export const LEAST_KNOWN = 10;

/**
 * Counts what a filter finds of the records of some designs and of others.
 *
 * @param found the places of the records that it finds
 * @param designs the design of each record by its place; null where it is not known, so that the record does not count
 * @param wantedDesigns the designs that are wanted, any of which will do, with all their kinds
 */
export function filterCounts(
  found: Iterable<number>,
  designs: readonly (string | null)[],
  wantedDesigns: readonly string[],
  tree: DesignTree,
): FilterCounts {
  const withKinds = new Set(wantedDesigns.flatMap((design) => [design, ...tree.below(design)]));
  const counts: FilterCounts = { right: 0, wrong: 0, missed: 0, passed: 0 };
  const among = new Set(found);
  for (const [place, known] of designs.entries()) {
    if (known === null) continue;
    if (withKinds.has(known)) counts[among.has(place) ? 'right' : 'missed'] += 1;
    else counts[among.has(place) ? 'wrong' : 'passed'] += 1;
  }
  return counts;
}

/** Whether enough records of a design, and enough others, are known to measure filters on them. */
export function enoughKnown({ right, wrong, missed, passed }: FilterCounts): boolean {
  return right + missed >= LEAST_KNOWN && wrong + passed >= LEAST_KNOWN;
}
