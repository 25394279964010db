/** How many records of a review stand at each decision: kept beside them, so that nobody has to count a hundred thousand. */
import { DECISIONS, type Decision, type RecordCounts } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { RecordCountRow } from '../store/entities.js';

export async function countsOf(manager: EntityManager, reviewId: string): Promise<RecordCounts> {
  const rows = await manager.findBy(RecordCountRow, { reviewId });
  const counts = new Map(rows.map(({ decision, number }) => [decision, number]));
  return Object.fromEntries(DECISIONS.map((each) => [each, counts.get(each) ?? 0])) as RecordCounts;
}

/** Within the change that adds records, or moves them from one decision to another, by a negative number. */
export async function addToCount(
  manager: EntityManager,
  reviewId: string,
  decision: Decision,
  more: number,
): Promise<void> {
  if (more === 0) return;
  const changed = await manager.increment(RecordCountRow, { reviewId, decision }, 'number', more);
  if (changed.affected === 0) await manager.insert(RecordCountRow, { reviewId, decision, number: more });
}
