/** What edits change, out of the rows of a review and back into them. */
import type { EditableState, ElementKey, FrameworkId, TermContent } from '@even-lantern/core';
import type { Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { itemsOnShelf, keepWording } from '../reviews/reviewsService.js';
import { ElementRow, ReviewRow, ShelfItemRow } from '../store/entities.js';
import { restore, restoreRows } from '../versions/restore.js';
import { stateOf } from '../versions/versionsService.js';

export async function editableStateOf(
  manager: EntityManager,
  { id: reviewId, framework }: Pick<ReviewRow, 'id' | 'framework'>,
): Promise<EditableState> {
  const elements = await manager.find(ElementRow, { where: { reviewId }, order: { position: 'ASC' } });
  const { searched: _searched, ...strategy } = await stateOf(manager, reviewId);
  const shelf = await itemsOnShelf(manager, reviewId);
  return {
    framework: framework as FrameworkId,
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
      contents: JSON.parse(contents) as TermContent[],
    })),
  };
}

/** Makes a review what it was, as an edit: rows are never deleted, and each that changes has a later version. */
export async function restoreEditable(
  manager: EntityManager,
  reviewId: string,
  { framework, elements, strategy, shelf }: EditableState,
  person: Person,
): Promise<void> {
  const review = await manager.findOneByOrFail(ReviewRow, { id: reviewId });
  if (review.framework !== framework) {
    await manager.update(ReviewRow, { id: reviewId }, { framework, version: review.version + 1 });
  }
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
    shelf.map(({ id, name, contents }) => ({ id, name, contents: JSON.stringify(contents) })),
  );
}
