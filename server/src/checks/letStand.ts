/** What is let stand of what checks found. Rows are only ever added; the latest about a finding counts. */
import { randomUUID } from 'node:crypto';
import { findingKey } from '@even-lantern/core';
import type { FindingAcceptance, Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
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
