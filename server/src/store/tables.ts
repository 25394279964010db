/** What is derived from the descriptions of the tables: their order, and which rows belong to a review. */
import { In, type EntityManager, type ObjectLiteral } from 'typeorm';
import { descriptionOf, type EntityClass, type TableDescription } from './description.js';
import { AddedDatabaseRow, ENTITIES, PersonRow, ReviewRow } from './entities.js';

/** All tables, so that each stands behind those that it refers to. */
export const TABLES: readonly TableDescription[] = inOrderOfReference(ENTITIES.map(descriptionOf));

/** Those of one review, which go with it. */
export const TABLES_OF_REVIEWS = TABLES.filter(({ owner }) => owner === 'review');

/** Those that a package of a review has: its own, and what comes along with them. */
export const TABLES_OF_PACKAGES = TABLES.filter(({ owner }) => owner !== 'installation');

const byName = new Map(TABLES.map((table) => [table.name, table]));

/** @throws Error for a name that no table has */
export function tableNamed(name: string): TableDescription {
  const table = byName.get(name);
  if (table === undefined) throw new Error(`There is no table ${name}.`);
  return table;
}

/** By column, the name of the table whose id it holds. */
export function referencesOf({ refersTo }: TableDescription): Record<string, string> {
  return Object.fromEntries(
    Object.entries(refersTo).map(([column, entity]) => [column, descriptionOf(entity()).name]),
  );
}

/** The columns of a table that name a person. */
export function peopleIn({ refersTo }: TableDescription): string[] {
  return Object.entries(refersTo).flatMap(([column, entity]) => (entity() === PersonRow ? [column] : []));
}

/**
 * By which column the rows of a table belong to a review: `id` of the review itself, a column that names it, or one that
 * names a row of another of its tables.
 */
export function ownerColumn({ name, entity, refersTo, owner }: TableDescription): {
  column: string;
  of: EntityClass | null;
} {
  if (entity === ReviewRow) return { column: 'id', of: null };
  const columns = Object.entries(refersTo);
  const direct = columns.find(([, other]) => other() === ReviewRow);
  if (direct !== undefined) return { column: direct[0], of: ReviewRow };
  const through = columns.find(([, other]) => descriptionOf(other()).owner === 'review');
  if (owner !== 'review' || through === undefined) throw new Error(`${name} belongs to no review.`);
  return { column: through[0], of: through[1]() };
}

/** The id of the review that a row belongs to; null for a row that is not there. */
export async function reviewOfRow(
  manager: EntityManager,
  entity: EntityClass,
  id: string,
): Promise<string | null> {
  const { column, of } = ownerColumn(descriptionOf(entity));
  if (of === null) return id;
  const row = await manager.findOne<ObjectLiteral>(entity, {
    where: { id },
    select: { id: true, [column]: true },
  });
  if (row === null) return null;
  const next = String(row[column]);
  return of === ReviewRow ? next : reviewOfRow(manager, of, next);
}

/** Ids of owners, as far as they have been asked for. */
export type OwnerIds = Map<EntityClass, string[]>;

/** Which rows of a table belong to a review, as a condition. @param known is filled with what had to be asked for */
export async function rowsOfReview(
  manager: EntityManager,
  table: TableDescription,
  reviewId: string,
  known: OwnerIds = new Map(),
): Promise<ObjectLiteral> {
  const { column, of } = ownerColumn(table);
  if (of === null || of === ReviewRow) return { [column]: reviewId };
  let ids = known.get(of);
  if (ids === undefined) {
    const where = await rowsOfReview(manager, descriptionOf(of), reviewId, known);
    const rows = await manager.find<ObjectLiteral>(of, { where, select: { id: true } });
    ids = rows.map((row) => String(row['id']));
    known.set(of, ids);
  }
  return { [column]: In(ids) };
}

/** The added databases that a review names. */
export async function addedDatabasesOf(manager: EntityManager, reviewId: string): Promise<string[]> {
  const named = new Set<string>();
  for (const table of TABLES_OF_REVIEWS) {
    for (const column of table.databases) {
      const where = await rowsOfReview(manager, table, reviewId);
      const rows = await manager.find<ObjectLiteral>(table.entity, { where, select: { [column]: true } });
      for (const row of rows) named.add(String(row[column]));
    }
  }
  const added = await manager.find(AddedDatabaseRow, { where: { id: In([...named]) }, select: { id: true } });
  return added.map(({ id }) => id);
}

function inOrderOfReference(tables: readonly TableDescription[]): TableDescription[] {
  const ordered: TableDescription[] = [];
  const place = (table: TableDescription): void => {
    if (ordered.includes(table)) return;
    for (const other of Object.values(table.refersTo)) {
      // A table may refer to itself.
      if (other() !== table.entity) place(descriptionOf(other()));
    }
    ordered.push(table);
  };
  for (const table of tables) place(table);
  return ordered;
}
