/** Findings of checks that people accepted. Rows are only ever added; the latest about a finding counts. */
import { randomUUID } from 'node:crypto';
import { findingKey } from '@even-lantern/core';
import type { AcceptedFinding, FindingAcceptance, Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import type { PeopleService } from '../people/people.js';
import { AcceptedFindingRow } from '../store/entities.js';

/** Rows that count, of findings that stand now. */
export async function standing(
  manager: EntityManager,
  reviewId: string,
): Promise<(AcceptedFindingRow & { reason: string })[]> {
  const rows = await manager.find(AcceptedFindingRow, { where: { reviewId }, order: { position: 'ASC' } });
  const latest = new Map(rows.map((row) => [findingKey({ ...row, at: row.place }), row]));
  return [...latest.values()].filter(
    (row): row is AcceptedFindingRow & { reason: string } => row.reason !== null,
  );
}

/** Lets a finding stand; without a reason, no longer. */
export async function letStand(
  manager: EntityManager,
  reviewId: string,
  { check, at: place, detail, message, reason }: FindingAcceptance,
  person: Person,
): Promise<void> {
  const last = (await manager.maximum(AcceptedFindingRow, 'position', { reviewId })) ?? 0;
  await manager.insert(AcceptedFindingRow, {
    id: randomUUID(),
    reviewId,
    position: last + 1,
    check,
    place,
    detail,
    message,
    reason,
    at: new Date().toISOString(),
    personId: person.id,
  });
}

/** What is let stand now of what checks found, the latest about each finding. */
export async function acceptedFindings(
  manager: EntityManager,
  people: PeopleService,
  reviewId: string,
): Promise<AcceptedFinding[]> {
  const rows = await standing(manager, reviewId);
  if (rows.length === 0) return [];
  const nameOf = await people.namesOf(
    rows.map(({ personId }) => personId),
    manager,
  );
  return rows.map(({ check, place, detail, message, reason, at, personId }) => ({
    check,
    at: place,
    detail,
    message,
    reason,
    acceptedAt: at,
    acceptedBy: nameOf(personId),
  }));
}
