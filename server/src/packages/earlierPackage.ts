/** Packages of earlier tables: their rows are put into a store of those, and brought up by the steps of a data folder. */
import { misfitIn } from '../store/description.js';
import type { RawRow } from '../store/rawRows.js';
import { ScratchStore } from '../store/scratchStore.js';
import { TABLES_OF_PACKAGES } from '../store/tables.js';
import { pathOf, type TableShape } from './packageTables.js';
import { entriesIn, linesIn, MOST_FILES, openZip } from './zip.js';

/** More than these are not listed. */
export const MOST_TROUBLES = 20;

/** The tables of a package of an earlier version, and the store in which they are brought up. */
export interface Earlier {
  store: ScratchStore;
  shapes: Record<string, TableShape>;
}

/** The tables of an earlier version: its own columns, and of these what is known of them now. */
export function shapesIn(
  columns: Record<string, Pick<TableShape, 'columns' | 'key'>>,
  present: Record<string, TableShape>,
): Record<string, TableShape> {
  const nameThen = (name: string): string =>
    [name, ...(present[name]?.formerly ?? [])].find((each) => each in columns) ?? name;
  return Object.fromEntries(
    Object.entries(present).flatMap(([name, { refersTo, json }]) => {
      const then = columns[nameThen(name)];
      if (then === undefined) return [];
      const known = <T>(all: Record<string, T>) =>
        Object.entries(all).filter(([column]) => column in then.columns);
      const references = known(refersTo).map(([column, table]) => [column, nameThen(table)]);
      const shape = {
        ...then,
        formerly: [],
        refersTo: Object.fromEntries(references) as Record<string, string>,
        json: Object.fromEntries(known(json)),
      };
      return [[nameThen(name), shape]];
    }),
  );
}

/** Whether the rows of a package of an earlier version could be brought up to the tables of this program. */
export async function broughtUp(
  { store, shapes }: Earlier,
  path: string,
  troubles: string[],
): Promise<boolean> {
  try {
    await fillScratch(store, shapes, path);
  } catch (error) {
    // Rows that never stood in a store, such as two that its keys forbid.
    const why = error instanceof Error ? error.message : String(error);
    troubles.push(`Its rows cannot be brought up to the tables of this release: ${why}.`);
    return false;
  }
  return true;
}

/** Holds rows that were brought up to the tables of this program. */
export async function lookAtUpgraded(scratch: string, troubles: string[]): Promise<void> {
  const store = await ScratchStore.reopen(scratch);
  for (const table of TABLES_OF_PACKAGES) {
    let number = 0;
    for await (const row of store.rows(table)) {
      number += 1;
      const wrong = misfitIn(row, table);
      if (wrong !== null && troubles.length <= MOST_TROUBLES)
        troubles.push(`${table.name}, row ${number}: ${wrong}`);
    }
  }
  await store.close();
}

/** Puts the rows of a package into a store of its tables, and brings that up to the tables of this program. */
async function fillScratch(
  store: ScratchStore,
  shapes: Record<string, TableShape>,
  path: string,
): Promise<void> {
  const zip = await openZip(path);
  try {
    const entries = await entriesIn(zip, MOST_FILES);
    for (const name of Object.keys(shapes)) {
      const entry = entries.get(pathOf(name));
      if (entry === undefined) continue;
      for await (const line of linesIn(zip, entry)) store.insert(name, JSON.parse(line) as RawRow);
    }
  } finally {
    zip.close();
  }
  await store.bringUp();
}
