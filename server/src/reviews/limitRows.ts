/** Rows of limits. */
import type { ReviewLimit } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { LimitRow } from '../store/entities.js';

export function limitsInOrder(manager: EntityManager, reviewId: string): Promise<LimitRow[]> {
  return manager.find(LimitRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function limitOf(row: LimitRow, changedBy: string): ReviewLimit {
  const { id, kind, content, reason, on, ways, changedAt, version } = row;
  return {
    id,
    kind,
    values: content,
    reason,
    on,
    ways,
    changedAt,
    changedBy,
    version,
  };
}
