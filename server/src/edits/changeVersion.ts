import type { EntityManager, EntityTarget } from 'typeorm';
import { changedMeanwhile, notFound } from '../http/problem.js';

/**
 * Changes a row only if it is still at the version the change was made on, and raises the version.
 *
 * @param what the row is called, for people
 * @param show how the row is shown, to the one who changed it or to the one who came too late
 * @throws ProblemException when there is no such row, or somebody else changed it meanwhile
 */
export async function changeVersion<Row extends { id: string; version: number }, Shown>(
  manager: EntityManager,
  entity: EntityTarget<Row>,
  { id, version }: { id: string; version: number },
  change: Partial<Row>,
  what: string,
  show: (row: Row) => Shown,
): Promise<Shown> {
  const result = await manager
    .createQueryBuilder()
    .update(entity)
    .set({ ...change, version: version + 1 } as never)
    .where('id = :id AND version = :version', { id, version })
    .updateEntity(false)
    .execute();
  const row = await manager.getRepository(entity).findOne({ where: { id } as never });
  if (row === null) throw notFound(`This ${what}`);
  if (result.affected === 0) throw changedMeanwhile(what, show(row));
  return show(row);
}
