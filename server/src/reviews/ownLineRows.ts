/** Rows of lines that people wrote themselves. */
import type { ReviewOwnLine } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { OwnLineRow } from '../store/entities.js';

export function ownLinesInOrder(manager: EntityManager, reviewId: string): Promise<OwnLineRow[]> {
  return manager.find(OwnLineRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function ownLineOf(row: OwnLineRow, changedBy: string): ReviewOwnLine {
  const { id, role, on, text, note, changedAt, version } = row;
  return { id, role, on, text, note, changedAt, changedBy, version };
}
