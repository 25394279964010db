/** Rows of elements of a question, and of what they said before. */
import { randomUUID } from 'node:crypto';
import { ELEMENT_KEYS, type ElementKey } from '@even-lantern/core';
import type { Person, ReviewElement } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { soonAfter } from '../edits/soonAfter.js';
import { ElementRow, WordingRow } from '../store/entities.js';
import { addLane } from './laneRows.js';

/** Writing that goes on within this time of the last is one wording. */
const ONE_WORDING_MS = 60_000;

export function elementRows(manager: EntityManager, reviewId: string): Promise<ElementRow[]> {
  return manager.find(ElementRow, { where: { reviewId }, order: { position: 'ASC' } });
}

/** Adds an element, with its first lane. */
export async function addElement(
  manager: EntityManager,
  reviewId: string,
  key: ElementKey,
  searched: boolean,
): Promise<ElementRow> {
  const position = ELEMENT_KEYS.indexOf(key);
  const element = { id: randomUUID(), reviewId, key, position, text: '', note: '', searched, version: 1 };
  await manager.insert(ElementRow, element);
  await addLane(manager, { reviewId, elementId: element.id, name: '', leftOut: false });
  return element;
}

export async function keepWording(
  manager: EntityManager,
  elementId: string,
  text: string,
  person: Person,
): Promise<void> {
  const [last] = await manager.find(WordingRow, {
    where: { elementId },
    order: { position: 'DESC' },
    take: 1,
  });
  const at = new Date().toISOString();
  if (last?.text === text) return;
  if (last?.personId === person.id && soonAfter(last.at, at, ONE_WORDING_MS)) {
    await manager.update(WordingRow, { id: last.id }, { text, at });
    return;
  }
  const position = (last?.position ?? 0) + 1;
  await manager.insert(WordingRow, { id: randomUUID(), elementId, position, text, at, personId: person.id });
}

export function elementOf(row: ElementRow): ReviewElement {
  const { id, key, text, note, searched, version } = row;
  return { id, key: key as ElementKey, text, note, searched, version };
}
