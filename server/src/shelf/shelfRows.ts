/** Rows of the shelf. */
import { randomUUID } from 'node:crypto';
import { sameTerm, type TermContent } from '@even-lantern/core';
import { MOST_ON_SHELF, type NewShelfItem, type Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { conflict } from '../http/problem.js';
import { ShelfItemRow } from '../store/entities.js';
import { itemsOnShelf } from '../reviews/shelfItemRows.js';

/** @returns the new row, or null where the same is on the shelf already */
export async function putOnShelf(
  manager: EntityManager,
  reviewId: string,
  { name, contents, origin, source }: NewShelfItem,
  person: Person,
): Promise<ShelfItemRow | null> {
  const there = await itemsOnShelf(manager, reviewId);
  if (there.some((row) => sameContents(contentsOf(row), contents))) return null;
  if (there.length >= MOST_ON_SHELF) {
    throw conflict(
      `The shelf holds ${MOST_ON_SHELF} items, which is as many as it can.`,
      'Nothing was changed. Take some off, or into lanes.',
    );
  }
  const row = {
    id: randomUUID(),
    reviewId,
    position: ((await manager.maximum(ShelfItemRow, 'position', { reviewId })) ?? 0) + 1,
    name: name.trim(),
    contents,
    origin,
    source,
    createdAt: new Date().toISOString(),
    createdBy: person.id,
    removedAt: null,
    version: 1,
  };
  await manager.insert(ShelfItemRow, row);
  return row;
}

/** The item of a shelf that holds just these terms. */
export async function sameOnShelf(
  manager: EntityManager,
  reviewId: string,
  contents: readonly TermContent[],
): Promise<ShelfItemRow | undefined> {
  return (await itemsOnShelf(manager, reviewId)).find((row) => sameContents(contentsOf(row), contents));
}

export function contentsOf({ contents }: ShelfItemRow): TermContent[] {
  return contents;
}

function sameContents(ones: readonly TermContent[], others: readonly TermContent[]): boolean {
  return ones.length === others.length && ones.every((one) => others.some((other) => sameTerm(one, other)));
}
