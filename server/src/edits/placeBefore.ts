import type { EntityManager, EntityTarget } from 'typeorm';
import { notFound } from '../http/problem.js';

/**
 * Puts a row before another of a list whose order is kept in `position`.
 *
 * @param rows of the list, in their order
 * @param before null for the end
 * @param what the rows are called, for people
 * @throws ProblemException where either row is not in the list
 */
export async function placeBefore<Row extends { id: string; position: number }>(
  manager: EntityManager,
  entity: EntityTarget<Row>,
  rows: readonly Row[],
  id: string,
  before: string | null,
  what: string,
): Promise<void> {
  const moved = rows.find((row) => row.id === id);
  const others = rows.filter((row) => row.id !== id);
  const at = before === null ? others.length : others.findIndex((row) => row.id === before);
  if (moved === undefined || at === -1) throw notFound(`This ${what}`);
  const ordered = [...others.slice(0, at), moved, ...others.slice(at)];
  for (const [i, row] of ordered.entries()) {
    if (row.position !== i + 1) {
      await manager.getRepository(entity).update({ id: row.id } as never, { position: i + 1 } as never);
    }
  }
}
