/** Rows of the shelf. */
import type { TermOrigin } from '@even-lantern/core';
import type { ShelfItem } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { ShelfItemRow } from '../store/entities.js';

/** What is on the shelf of a review, the earliest first. */
export function itemsOnShelf(manager: EntityManager, reviewId: string): Promise<ShelfItemRow[]> {
  return manager.find(ShelfItemRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function shelfItemOf(row: ShelfItemRow): ShelfItem {
  const { id, name, contents, origin, source, version } = row;
  return {
    id,
    name,
    contents,
    origin: origin as TermOrigin,
    source,
    version,
  };
}
