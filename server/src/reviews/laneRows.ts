/** Rows of lanes and terms. */
import { randomUUID } from 'node:crypto';
import { ELEMENT_KEYS, type TermOrigin } from '@even-lantern/core';
import { MOST_LANES, type KeptReviewLane, type ReviewTerm } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { conflict } from '../http/problem.js';
import { LaneRow, TermRow } from '../store/entities.js';

/** Adds a lane behind all others. */
export async function addLane(
  manager: EntityManager,
  parts: Pick<LaneRow, 'reviewId' | 'elementId' | 'name' | 'leftOut'>,
): Promise<LaneRow> {
  const last = (await manager.maximum(LaneRow, 'position', { reviewId: parts.reviewId })) ?? 0;
  const lane = { ...parts, id: randomUUID(), position: last + 1, removedAt: null, version: 1 };
  await manager.insert(LaneRow, lane);
  return lane;
}

/** @throws ProblemException when a review has as many lanes as it may */
export async function expectRoom(manager: EntityManager, reviewId: string): Promise<void> {
  const filled = await manager.countBy(LaneRow, { reviewId, removedAt: IsNull(), elementId: IsNull() });
  const inAll = await manager.countBy(LaneRow, { reviewId, removedAt: IsNull() });
  // Each element has a lane from the first, which need not be used.
  if (filled < MOST_LANES && inAll < MOST_LANES + ELEMENT_KEYS.length) return;
  throw conflict(
    `A review has at most ${MOST_LANES} lanes.`,
    'Nothing was changed. Join lanes, or put what is not searched on the shelf.',
  );
}

export function lanesInOrder(manager: EntityManager, reviewId: string): Promise<LaneRow[]> {
  return manager.find(LaneRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function laneOf(row: LaneRow, terms: readonly TermRow[]): KeptReviewLane {
  const { id, elementId, name, leftOut, version } = row;
  return { id, elementId, name, leftOut, version, terms: terms.map(termOf) };
}

export function termOf(row: TermRow): ReviewTerm {
  return {
    id: row.id,
    laneId: row.laneId,
    content: row.content,
    origin: row.origin as TermOrigin,
    heldBack: row.heldBack,
    version: row.version,
  };
}
