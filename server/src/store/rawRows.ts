/** Rows as they stand in the store, without what entities make of them: for packages, and for tests. */
import type { EntityManager, ObjectLiteral } from 'typeorm';
import type { EntityClass } from './description.js';

/** By column: text, a number or a truth value; JSON as its text. */
export type RawRow = Record<string, string | number | boolean | null>;

/** Puts rows in as they are. */
export async function insertRaw(
  manager: EntityManager,
  entity: EntityClass,
  rows: readonly RawRow[],
): Promise<void> {
  const { driver } = manager.connection;
  const { columns, tableName } = manager.connection.getMetadata(entity);
  for (const row of rows) {
    const present = columns.filter(({ propertyName }) => row[propertyName] !== undefined);
    const names = present.map(({ databaseName }) => driver.escape(databaseName)).join(', ');
    const places = present.map((_column, i) => driver.createParameter('value', i)).join(', ');
    const text = `INSERT INTO ${driver.escape(tableName)} (${names}) VALUES (${places})`;
    await manager.query(
      text,
      present.map(({ propertyName }) => asParameter(row[propertyName] ?? null)),
    );
  }
}

/** SQLite has no truth values of its own. */
function asParameter(value: RawRow[string]): string | number | null {
  return typeof value === 'boolean' ? Number(value) : value;
}

/** The columns of an entity, as a query builder gives rows that nothing is made of. */
export function rawRowOf(manager: EntityManager, entity: EntityClass, row: ObjectLiteral): RawRow {
  const { columns } = manager.connection.getMetadata(entity);
  return Object.fromEntries(
    columns.map(({ propertyName, type }): [string, RawRow[string]] => {
      const value = row[propertyName] as RawRow[string] | undefined;
      const isTruth = type === 'boolean' || type === Boolean;
      return [propertyName, isTruth && value != null ? Boolean(value) : (value ?? null)];
    }),
  );
}
