/** Rows of terms, and of what was done to them. */
import { randomUUID } from 'node:crypto';
import { sameTerm, type TermContent } from '@even-lantern/core';
import type { LaneEvent, Person } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { LaneEventRow, TermRow } from '../store/entities.js';

export type Step = Omit<LaneEvent, 'at' | 'person'> & { laneId: string };

/** Adds a term to a lane, with the steps of its history. */
export async function newTerm(
  manager: EntityManager,
  laneId: string,
  parts: Pick<TermRow, 'content' | 'origin' | 'heldBack'>,
  person: Person,
): Promise<TermRow> {
  const row = {
    ...parts,
    id: randomUUID(),
    laneId,
    position: await nextTermPosition(manager, laneId),
    createdAt: new Date().toISOString(),
    createdBy: person.id,
    removedAt: null,
    version: 1,
  };
  await manager.insert(TermRow, row);
  await noteStep(manager, person, laneId, row, 'added');
  if (row.heldBack !== null) await noteStep(manager, person, laneId, row, 'held back', row.heldBack);
  return row;
}

/** Adds the terms that a lane does not hold yet. */
export async function addMissing(
  manager: EntityManager,
  laneId: string,
  terms: readonly { content: TermContent; origin: string; heldBack: string | null }[],
  person: Person,
): Promise<TermRow[]> {
  const there = await manager.findBy(TermRow, { laneId, removedAt: IsNull() });
  const known = there.map(({ content }) => content);
  const added: TermRow[] = [];
  for (const { content, origin, heldBack } of terms) {
    if (known.some((each) => sameTerm(each, content))) continue;
    known.push(content);
    added.push(await newTerm(manager, laneId, { content, origin, heldBack }, person));
  }
  return added;
}

export async function nextTermPosition(manager: EntityManager, laneId: string): Promise<number> {
  return ((await manager.maximum(TermRow, 'position', { laneId })) ?? 0) + 1;
}

/** Notes a step that leaves a term as it is. */
export function noteStep(
  manager: EntityManager,
  person: Person,
  laneId: string,
  term: Pick<TermRow, 'id' | 'content'>,
  what: Step['what'],
  reason: string | null = null,
): Promise<void> {
  const { id: termId, content } = term;
  return note(manager, person, { laneId, termId, what, content, before: null, reason });
}

export async function note(manager: EntityManager, person: Person, step: Step): Promise<void> {
  const { laneId, content, before, ...rest } = step;
  await manager.insert(LaneEventRow, {
    ...rest,
    id: randomUUID(),
    laneId,
    position: ((await manager.maximum(LaneEventRow, 'position', { laneId })) ?? 0) + 1,
    at: new Date().toISOString(),
    personId: person.id,
    content,
    before,
  });
}
