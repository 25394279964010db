/** The tables of a package, derived from their descriptions. */
import { In, type EntityManager, type ObjectLiteral } from 'typeorm';
import { AddedDatabaseRow } from '../store/entities.js';
import type { JsonShape, TableDescription } from '../store/description.js';
import { MIGRATIONS } from '../store/migrations/index.js';
import {
  addedDatabasesOf,
  referencesOf,
  rowsOfReview,
  TABLES_OF_PACKAGES,
  type OwnerIds,
} from '../store/tables.js';

/** The versions of the tables, the earliest first: the names of the steps that made them. */
export const TABLE_VERSIONS = MIGRATIONS.map(({ name }) => name);

/** The version of the tables that this program has. */
export const TABLES_AS_OF = TABLE_VERSIONS.at(-1) ?? '';

/** A column of a table, as whoever checks rows needs it. */
export interface ColumnShape {
  type: 'string' | 'number' | 'boolean';
  nullable: boolean;
}

/** A table, as plain data, so that a worker thread can check rows without the store. */
export interface TableShape {
  formerly: readonly string[];
  columns: Record<string, ColumnShape>;
  key: string[];
  refersTo: Record<string, string>;
  /** columns whose text is JSON, with what that is */
  json: Record<string, JsonShape>;
}

const NUMBERS = new Set<unknown>(['integer', Number]);
const BOOLEANS = new Set<unknown>(['boolean', Boolean]);

export function tableShapes(manager: EntityManager): Record<string, TableShape> {
  return Object.fromEntries(
    TABLES_OF_PACKAGES.map((table) => {
      const { columns, primaryColumns } = manager.connection.getMetadata(table.entity);
      const shape = columns.map(({ propertyName, type, isNullable }): [string, ColumnShape] => [
        propertyName,
        {
          type: NUMBERS.has(type) ? 'number' : BOOLEANS.has(type) ? 'boolean' : 'string',
          nullable: isNullable,
        },
      ]);
      return [
        table.name,
        {
          formerly: table.formerly,
          columns: Object.fromEntries(shape),
          key: primaryColumns.map(({ propertyName }) => propertyName),
          refersTo: referencesOf(table),
          json: table.json,
        },
      ];
    }),
  );
}

/** What a review owns, as far as it has been asked for. */
export interface Owned {
  reviewId: string;
  ids: OwnerIds;
  addedDatabases: string[];
}

export async function ownedBy(manager: EntityManager, reviewId: string): Promise<Owned> {
  return { reviewId, ids: new Map(), addedDatabases: await addedDatabasesOf(manager, reviewId) };
}

/** Which rows of a table the package of a review holds, as a condition. People are gathered from what others name. */
export async function rowsInPackage(
  manager: EntityManager,
  table: TableDescription,
  { reviewId, ids, addedDatabases }: Owned,
): Promise<ObjectLiteral> {
  if (table.owner === 'review') return rowsOfReview(manager, table, reviewId, ids);
  if (table.owner === 'along with reviews') return {};
  const naming = Object.entries(table.refersTo).find(([, other]) => other() === AddedDatabaseRow);
  return { [naming?.[0] ?? 'id']: In(addedDatabases) };
}

/** Where the rows of a table are in a package. */
export function pathOf(table: string): string {
  return `data/${table}.ndjson`;
}
