/** What edits change, out of the rows of a review and back into them. */
import { isDeepStrictEqual } from 'node:util';
import {
  findingKey,
  type EditableState,
  type ElementKey,
  type FrameworkId,
  type LetStand,
} from '@even-lantern/core';
import type { Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { letStand, standing } from '../reviews/acceptedFindings.js';
import { itemsOnShelf } from '../reviews/shelfItemRows.js';
import { keepWording } from '../reviews/elementRows.js';
import { ElementRow, ReviewRow, ShelfItemRow } from '../store/entities.js';
import { restore, restoreRows } from '../versions/restore.js';
import { stateOf } from '../versions/versionsService.js';

export async function editableStateOf(
  manager: EntityManager,
  { id: reviewId, framework, linesFor, ladder }: Pick<ReviewRow, 'id' | 'framework' | 'linesFor' | 'ladder'>,
): Promise<EditableState> {
  const elements = await manager.find(ElementRow, { where: { reviewId }, order: { position: 'ASC' } });
  const { searched: _searched, ...strategy } = await stateOf(manager, reviewId);
  const shelf = await itemsOnShelf(manager, reviewId);
  return {
    framework: framework as FrameworkId,
    linesFor,
    ladder,
    accepted: (await standing(manager, reviewId)).map(({ check, place, detail, message, reason }) => ({
      check,
      at: place,
      detail,
      message,
      reason,
    })),
    elements: elements.map(({ id, key, text, note, searched }) => ({
      id,
      key: key as ElementKey,
      text,
      searched,
      note,
    })),
    strategy,
    shelf: shelf.map(({ id, name, contents }) => ({
      id,
      name,
      contents,
    })),
  };
}

/** Makes a review what it was, as an edit: rows are never deleted, and each that changes has a later version. */
export async function restoreEditable(
  manager: EntityManager,
  reviewId: string,
  state: EditableState,
  person: Person,
): Promise<void> {
  const { elements, strategy, shelf } = state;
  await restoreReview(manager, reviewId, state);
  await restoreFindings(manager, reviewId, state.accepted, person);
  for (const row of await manager.findBy(ElementRow, { reviewId })) {
    const was = elements.find(({ id }) => id === row.id);
    if (was === undefined || (was.text === row.text && was.note === row.note)) continue;
    const { text, note } = was;
    await manager.update(ElementRow, { id: row.id }, { text, note, version: row.version + 1 });
    if (text !== row.text) await keepWording(manager, row.id, text, person);
  }
  const searched = elements.filter((element) => element.searched).map(({ id }) => id);
  await restore(manager, reviewId, { ...strategy, searched }, person);
  await restoreRows(
    manager,
    ShelfItemRow,
    await manager.findBy(ShelfItemRow, { reviewId }),
    shelf.map(({ id, name, contents }) => ({ id, name, contents })),
  );
}

async function restoreReview(
  manager: EntityManager,
  reviewId: string,
  { framework, linesFor, ladder }: EditableState,
): Promise<void> {
  const review = await manager.findOneByOrFail(ReviewRow, { id: reviewId });
  if (
    review.framework === framework &&
    review.linesFor === linesFor &&
    isDeepStrictEqual(review.ladder, ladder)
  )
    return;
  const version = review.version + 1;
  const rungs = ladder?.map((rung) => ({ ...rung, designs: [...rung.designs] })) ?? null;
  await manager.update(ReviewRow, { id: reviewId }, { framework, linesFor, ladder: rungs, version });
}

async function restoreFindings(
  manager: EntityManager,
  reviewId: string,
  accepted: readonly LetStand[],
  person: Person,
): Promise<void> {
  const now = await standing(manager, reviewId);
  const reasons = new Map(now.map((row) => [findingKey({ ...row, at: row.place }), row.reason]));
  for (const finding of accepted) {
    if (reasons.get(findingKey(finding)) !== finding.reason)
      await letStand(manager, reviewId, finding, person);
  }
  const kept = new Set(accepted.map(findingKey));
  for (const { check, place: at, detail, message } of now) {
    const finding = { check, at, detail, message };
    if (!kept.has(findingKey(finding)))
      await letStand(manager, reviewId, { ...finding, reason: null }, person);
  }
}
