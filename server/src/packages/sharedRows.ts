/**
 * Rows of a package that are not of its review alone: databases that were added, counts entered by hand, settled headings.
 * What people of this installation said stays as it is: what a package says otherwise is kept beside it, and told.
 */
import { randomUUID } from 'node:crypto';
import type { PackagedAnswer, Person, StandingHere } from '@even-lantern/contract';
import { counted } from '@even-lantern/core';
import { In, Like, type EntityManager, type ObjectLiteral } from 'typeorm';
import type { EntityClass, TableDescription } from '../store/description.js';
import { AddedDatabaseRow, HandCountRow, SettlementRow } from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import type { RawRow } from '../store/rawRows.js';

/** Rows that are kept in one change, so that others are served in between. */
export const BATCH = 30;
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
      named: (row) => `“${row['label']}” (in the package: ${settledText(row)})`,
    },
  ],
  [
    HandCountRow,
    {
      about: (row) => JSON.stringify([row['database'], row['meaning']]),
      says: (row) => String(row['hits']),
      named: (row) => `“${String(row['string']).slice(0, 80)}” (in the package: ${row['hits']})`,
    },
  ],
]);

function settledText(row: ObjectLiteral): string {
  const heading = row['targetLabel'] === null ? 'no heading' : `“${row['targetLabel']}”`;
  switch (row['verdict']) {
    case 'words':
      return 'words instead';
    case 'open':
      return 'left open';
    default:
      return `${heading} ${row['verdict']}`;
  }
}

export interface NewOnes {
  rows: RawRow[];
  /** what is said otherwise here */
  standing: StandingHere[];
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
  const differing: RawRow[] = [];
  const numbered = fresh.map((row): RawRow => {
    const said = settles === undefined ? undefined : here?.get(settles.about(row));
    const end = 'position' in row ? ends.get(row['database'] ?? null) : undefined;
    if (settles === undefined || said === undefined) {
      return end === undefined ? row : { ...row, position: (end.last += 1) };
    }
    const isOther = !said.has(settles.says(row));
    if (isOther) differing.push(row);
    const beside: RawRow =
      isOther && entity === SettlementRow ? { verdict: BESIDE + String(row['verdict']) } : {};
    return { ...row, ...beside, ...(end === undefined ? {} : { position: (end.first -= 1) }) };
  });
  return { rows: numbered, standing: [...standing, ...differingFrom(entity, differing)] };
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
): Promise<StandingHere[]> {
  if (entity !== AddedDatabaseRow) return [];
  return rows.flatMap((row) => {
    const own = there.get(row['id']);
    if (
      own === undefined ||
      JSON.stringify(own['content']) === JSON.stringify(JSON.parse(String(row['content'])))
    )
      return [];
    const text = `The database “${row['id']}” is described otherwise here. The description here stays.`;
    return [{ text, instead: [] }];
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

function differingFrom(entity: EntityClass, rows: readonly RawRow[]): StandingHere[] {
  const settles = SETTLES.get(entity);
  if (settles === undefined || rows.length === 0) return [];
  const differing = [...new Set(rows.map((row) => settles.named(row)))];
  const named = differing.slice(0, NAMED).join(', ') + (differing.length > NAMED ? ' and others' : '');
  const isHeading = entity === SettlementRow;
  const what = isHeading
    ? `${counted(differing.length, 'of its headings is', 'of its headings are')} settled otherwise here`
    : `${counted(differing.length, 'of its strings was', 'of its strings were')} counted otherwise by hand here`;
  const text = `${what}: ${named}. What is here stands until somebody takes over what the package says.`;
  const kind = isHeading ? 'settled heading' : 'count by hand';
  return [{ text, instead: rows.map(({ id }) => ({ kind, id: String(id) })) }];
}

/**
 * Takes over what packages say otherwise than this installation: said anew, by whoever chose it, so that it is the latest.
 *
 * @returns how many were still there to be taken over
 */
export async function takeOver(
  manager: EntityManager,
  answers: readonly PackagedAnswer[],
  person: Person,
): Promise<number> {
  const idsOf = (kind: PackagedAnswer['kind']) =>
    answers.filter((each) => each.kind === kind).map(({ id }) => id);
  const anew = { at: new Date().toISOString(), personId: person.id };
  let taken = 0;
  let last = (await manager.maximum(SettlementRow, 'position')) ?? 0;
  await inBatches(idsOf('settled heading'), async (ids) => {
    const rows = await manager.find(SettlementRow, {
      where: { id: In(ids), verdict: Like(`${BESIDE}%`) },
      order: { position: 'ASC' },
    });
    for (const row of rows) {
      const verdict = row.verdict.slice(BESIDE.length);
      const replaced = verdict === 'refused' ? [] : await counterpartsOf(manager, row);
      for (const said of [...replaced.map((each) => ({ ...each, verdict: 'open' })), { ...row, verdict }]) {
        await manager.insert(SettlementRow, { ...said, ...anew, id: randomUUID(), position: (last += 1) });
      }
    }
    taken += rows.length;
  });
  await inBatches(idsOf('count by hand'), async (ids) => {
    const rows = await manager.find(HandCountRow, { where: { id: In(ids) }, order: { position: 'ASC' } });
    for (const row of rows) {
      const { database } = row;
      const position = 1 + ((await manager.maximum(HandCountRow, 'position', { database })) ?? 0);
      await manager.insert(HandCountRow, { ...row, ...anew, id: randomUUID(), position });
    }
    taken += rows.length;
  });
  return taken;
}

/** What is in force of other counterparts of a heading: with another one, they are taken back. */
async function counterpartsOf(
  manager: EntityManager,
  { vocabulary, label, target, targetLabel }: SettlementRow,
): Promise<SettlementRow[]> {
  const rows = await manager.find(SettlementRow, {
    where: { vocabulary, label, target },
    order: { position: 'ASC' },
  });
  const latest = new Map(rows.map((row) => [row.targetLabel, row]));
  return [...latest.values()].filter(
    (row) => row.targetLabel !== targetLabel && ['confirmed', 'words'].includes(row.verdict),
  );
}

export function batchesOf(rows: readonly RawRow[]): RawRow[][] {
  return Array.from({ length: Math.ceil(rows.length / BATCH) }, (_, i) =>
    rows.slice(i * BATCH, (i + 1) * BATCH),
  );
}
