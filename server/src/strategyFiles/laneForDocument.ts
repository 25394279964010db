import {
  EARLIER_LANES_FORM,
  nameOfLane,
  type ElementKey,
  type LaneDocument,
  type LanesDocument,
} from '@even-lantern/core';
import { IsNull, type EntityManager } from 'typeorm';
import { notFound } from '../http/problem.js';
import { addElement } from '../reviews/elementRows.js';
import { addLane, expectRoom, lanesInOrder } from '../reviews/laneRows.js';
import { ElementRow, LaneRow, ReviewRow, TermRow } from '../store/entities.js';

/** The lane that one of a document belongs to; begun, and its element made and searched on, where it is missing. */
export async function laneForDocument(
  manager: EntityManager,
  reviewId: string,
  { form, lanes: all }: Pick<LanesDocument, 'lanes'> & { form: string },
  { element: key, name, leftOut = false }: LaneDocument,
): Promise<string> {
  const review = await manager.findOneBy(ReviewRow, { id: reviewId });
  if (review === null) throw notFound('This review');
  const element = key === null ? null : await elementForDocument(manager, reviewId, key as ElementKey);
  const own = (await lanesInOrder(manager, reviewId)).filter(
    ({ elementId }) => elementId === (element?.id ?? null),
  );
  const [first] = own;
  const alone = all.filter((lane) => lane.element === key).length === 1;
  if (element !== null && element.text === '' && alone) {
    element.text = name;
    await manager.update(ElementRow, { id: element.id }, { text: name, version: element.version + 1 });
  }
  if (form === EARLIER_LANES_FORM && first !== undefined) return first.id;
  const shape = element === null ? null : { ...element, key: element.key as ElementKey };
  const known = own.find((lane) => nameOfLane(lane, shape) === name);
  if (known !== undefined) return known.id;
  const [only] = own.length === 1 && element !== null ? own : [];
  if (
    only !== undefined &&
    (await manager.countBy(TermRow, { laneId: only.id, removedAt: IsNull() })) === 0
  ) {
    await manager.update(LaneRow, { id: only.id }, { name, leftOut, version: only.version + 1 });
    return only.id;
  }
  await expectRoom(manager, reviewId);
  return (await addLane(manager, { reviewId, elementId: element?.id ?? null, name, leftOut })).id;
}

/** The element of a review with a key, searched on. */
async function elementForDocument(
  manager: EntityManager,
  reviewId: string,
  key: ElementKey,
): Promise<ElementRow> {
  const known = await manager.findOneBy(ElementRow, { reviewId, key });
  if (known === null) return addElement(manager, reviewId, key, true);
  if (!known.searched) {
    known.searched = true;
    known.version += 1;
    await manager.update(ElementRow, { id: known.id }, { searched: true, version: known.version });
  }
  return known;
}
