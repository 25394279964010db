/**
 * Rows of a package that are not of its review alone: databases that were added, counts entered by hand, settled headings.
 * What people of this installation said stays as it is: what a package says otherwise is kept beside it, and told.
 */
import { counted } from '@even-lantern/core';
import { In, type EntityManager, type ObjectLiteral } from 'typeorm';
import type { EntityClass, TableDescription } from '../store/description.js';
import { AddedDatabaseRow, HandCountRow, SettlementRow } from '../store/entities.js';
import type { RawRow } from '../store/rawRows.js';

/** Rows that are kept in one change, so that others are served in between. */
export const BATCH = 60;
/** How many of those that differ are named. */
const NAMED = 5;

/** A verdict on headings that another installation gave, where this one has its own: it is read by nobody but people. */
const BESIDE = 'beside: ';

/** What the latest row of a kind settles, which rows settle the same, and what each says of it. */
interface Settles {
  about(row: ObjectLiteral): string;
  says(row: ObjectLiteral): string;
  /** for people */
  named(row: ObjectLiteral): string;
}

const SETTLES = new Map<EntityClass, Settles>([
  [
    SettlementRow,
    {
      about: (row) => JSON.stringify([row['vocabulary'], row['label'], row['target']]),
      says: (row) => JSON.stringify([row['targetLabel'], row['verdict']]),
      named: (row) => `“${row['label']}”`,
    },
  ],
  [
    HandCountRow,
    {
      about: (row) => JSON.stringify([row['database'], row['meaning']]),
      says: (row) => String(row['hits']),
      named: (row) => `“${String(row['string']).slice(0, 80)}”`,
    },
  ],
]);

export interface NewOnes {
  rows: RawRow[];
  /** what is said otherwise here, and stands, in sentences */
  standing: string[];
}

/**
 * Of rows that are not of the review alone, those that are not there. Later rows overrule earlier ones, so those about
 * what is settled here already stand before all others, and the rest behind them.
 */
export async function newOnes(
  manager: EntityManager,
  { entity }: TableDescription,
  rows: readonly RawRow[],
): Promise<NewOnes> {
  const there = await known(manager, entity, rows);
  const fresh = rows.filter(({ id }) => !there.has(id));
  const standing = await otherwiseHere(manager, entity, rows, there);
  const settles = SETTLES.get(entity);
  const here = settles === undefined ? null : await saidHere(manager, entity, settles);
  const ends = await positionsOf(manager, entity, fresh);
  const differing = new Set<string>();
  const numbered = fresh.map((row): RawRow => {
    const said = settles === undefined ? undefined : here?.get(settles.about(row));
    const end = 'position' in row ? ends.get(row['database'] ?? null) : undefined;
    if (settles === undefined || said === undefined) {
      return end === undefined ? row : { ...row, position: (end.last += 1) };
    }
    const isOther = !said.has(settles.says(row));
    if (isOther) differing.add(settles.named(row));
    const beside: RawRow =
      isOther && entity === SettlementRow ? { verdict: BESIDE + String(row['verdict']) } : {};
    return { ...row, ...beside, ...(end === undefined ? {} : { position: (end.first -= 1) }) };
  });
  return { rows: numbered, standing: [...standing, ...differingText(entity, [...differing])] };
}

async function known(
  manager: EntityManager,
  entity: EntityClass,
  rows: readonly RawRow[],
): Promise<Map<unknown, ObjectLiteral>> {
  const there = new Map<unknown, ObjectLiteral>();
  for (const batch of batchesOf(rows)) {
    const found = await manager.find<ObjectLiteral>(entity, { where: { id: In(batch.map(({ id }) => id)) } });
    for (const row of found) there.set(row['id'], row);
  }
  return there;
}

/** Databases that are described otherwise here. */
async function otherwiseHere(
  _manager: EntityManager,
  entity: EntityClass,
  rows: readonly RawRow[],
  there: ReadonlyMap<unknown, ObjectLiteral>,
): Promise<string[]> {
  if (entity !== AddedDatabaseRow) return [];
  return rows.flatMap((row) => {
    const own = there.get(row['id']);
    if (
      own === undefined ||
      JSON.stringify(own['content']) === JSON.stringify(JSON.parse(String(row['content'])))
    )
      return [];
    return [`The database “${row['id']}” is described otherwise here. The description here stays.`];
  });
}

/** What is said here, by what it is about. */
async function saidHere(
  manager: EntityManager,
  entity: EntityClass,
  { about, says }: Settles,
): Promise<Map<string, Set<string>>> {
  const here = new Map<string, Set<string>>();
  for (const row of await manager.find<ObjectLiteral>(entity)) {
    const key = about(row);
    here.set(key, (here.get(key) ?? new Set()).add(says(row)));
  }
  return here;
}

/** The first and the last position that are taken, by database where rows have one. */
async function positionsOf(
  manager: EntityManager,
  entity: EntityClass,
  rows: readonly RawRow[],
): Promise<Map<unknown, { first: number; last: number }>> {
  const ends = new Map<unknown, { first: number; last: number }>();
  for (const row of rows) {
    const database = row['database'] ?? null;
    if (!('position' in row) || ends.has(database)) continue;
    const where = database === null ? {} : { database };
    const [first, last] = [
      await manager.minimum<ObjectLiteral>(entity, 'position' as never, where),
      await manager.maximum<ObjectLiteral>(entity, 'position' as never, where),
    ];
    ends.set(database, { first: Math.min(first ?? 1, 1), last: last ?? 0 });
  }
  return ends;
}

function differingText(entity: EntityClass, differing: readonly string[]): string[] {
  if (differing.length === 0) return [];
  const named = differing.slice(0, NAMED).join(', ') + (differing.length > NAMED ? ' and others' : '');
  const what =
    entity === SettlementRow
      ? `${counted(differing.length, 'of its headings is', 'of its headings are')} settled otherwise here`
      : `${counted(differing.length, 'of its strings was', 'of its strings were')} counted otherwise by hand here`;
  return [`${what}: ${named}. What is here stands. What the package says is kept, and counts for nothing.`];
}

export function batchesOf(rows: readonly RawRow[]): RawRow[][] {
  return Array.from({ length: Math.ceil(rows.length / BATCH) }, (_, i) =>
    rows.slice(i * BATCH, (i + 1) * BATCH),
  );
}
