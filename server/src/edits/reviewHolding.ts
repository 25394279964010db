import type { EntityManager } from 'typeorm';
import { ElementRow, LaneRow, LimitRow, OwnLineRow, ShelfItemRow, TermRow } from '../store/entities.js';

const PARTS = {
  element: ElementRow,
  lane: LaneRow,
  limit: LimitRow,
  ownLine: OwnLineRow,
  shelfItem: ShelfItemRow,
} as const;

/** What a review holds and people edit by its own id. */
export type PartOfReview = keyof typeof PARTS | 'term';

/** @returns the id of the review that holds it; null for what is not there */
export async function reviewHolding(
  read: EntityManager,
  part: PartOfReview,
  id: string,
): Promise<string | null> {
  if (part !== 'term')
    return (await read.findOneBy<{ id: string; reviewId: string }>(PARTS[part], { id }))?.reviewId ?? null;
  const term = await read.findOneBy(TermRow, { id });
  return term === null ? null : reviewHolding(read, 'lane', term.laneId);
}
