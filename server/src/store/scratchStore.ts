/** A store for a while, in which rows of earlier tables are brought up to those of now by the steps that did so for stores. */
import { rm } from 'node:fs/promises';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { DataSource, type EntityManager, type ObjectLiteral } from 'typeorm';
import type { TableDescription } from './description.js';
import { ENTITIES } from './entities.js';
import { MIGRATIONS } from './migrations/index.js';
import { rawRowOf, type RawRow } from './rawRows.js';

const AT_A_TIME = 200;

/** The columns and the key of a table. */
export interface TableColumns {
  columns: Record<string, { type: 'string' | 'number' | 'boolean'; nullable: boolean }>;
  key: string[];
}

/** Statements for rows, prepared once for each table and kind of row. */
interface Statements {
  prepare(text: string): { run(values: unknown[]): void };
}

export class ScratchStore {
  private readonly statements = new Map<string, { run(values: unknown[]): void }>();

  private constructor(
    private source: DataSource,
    private readonly path: string,
  ) {}

  /** An empty store with the tables of an earlier version. @param version the name of the step that made them */
  static async open(path: string, version: string): Promise<ScratchStore> {
    const last = MIGRATIONS.findIndex(({ name }) => name === version);
    const source = new DataSource({
      ...connectionTo(path),
      migrations: MIGRATIONS.slice(0, last + 1),
    });
    await source.initialize();
    await source.runMigrations();
    // The rows are known to hang together; those of a table that refers to itself come in no order.
    await source.query('PRAGMA foreign_keys = OFF');
    return new ScratchStore(source, path);
  }

  /** One that was brought up, for reading. */
  static async reopen(path: string): Promise<ScratchStore> {
    return new ScratchStore(
      await new DataSource({ ...connectionTo(path), entities: ENTITIES }).initialize(),
      path,
    );
  }

  async columns(): Promise<Record<string, TableColumns>> {
    const tables = await this.source.query<{ name: string }[]>(
      `SELECT name FROM sqlite_master WHERE type = 'table'`,
    );
    const described: Record<string, TableColumns> = {};
    for (const { name } of tables) {
      const columns = await this.source.query<{ name: string; type: string; notnull: number; pk: number }[]>(
        `PRAGMA table_info("${name}")`,
      );
      described[name] = {
        columns: Object.fromEntries(
          columns.map((column) => [
            column.name,
            {
              type: typeOf(column.type),
              nullable: column.notnull === 0,
            },
          ]),
        ),
        key: columns.filter(({ pk }) => pk > 0).map((column) => column.name),
      };
    }
    return described;
  }

  insert(table: string, row: RawRow): void {
    const names = Object.keys(row);
    const key = `${table} ${names.join(' ')}`;
    let statement = this.statements.get(key);
    if (statement === undefined) {
      const { databaseConnection } = this.source.driver as unknown as { databaseConnection: Statements };
      const columns = names.map((each) => `"${each}"`).join(', ');
      const places = names.map(() => '?').join(', ');
      statement = databaseConnection.prepare(`INSERT INTO "${table}" (${columns}) VALUES (${places})`);
      this.statements.set(key, statement);
    }
    statement.run(Object.values(row).map((value) => (typeof value === 'boolean' ? Number(value) : value)));
  }

  /** Runs the steps that came after. */
  async bringUp(): Promise<void> {
    await this.source.destroy();
    this.source = new DataSource({ ...connectionTo(this.path), migrations: MIGRATIONS });
    await this.source.initialize();
    await this.source.runMigrations();
  }

  /** The rows of a table, as they stand. */
  async *rows({ entity }: TableDescription): AsyncIterable<RawRow> {
    const { manager } = this.source;
    for (let last = 0; ;) {
      const rows = await this.page(manager, entity, last);
      for (const row of rows) yield rawRowOf(manager, entity, row);
      if (rows.length < AT_A_TIME) return;
      last = Number(rows.at(-1)?.['place']);
      await othersFirst();
    }
  }

  private page(
    manager: EntityManager,
    entity: TableDescription['entity'],
    after: number,
  ): Promise<ObjectLiteral[]> {
    const { columns, tableName } = manager.connection.getMetadata(entity);
    const names = columns.map(({ databaseName }) => `"${databaseName}"`).join(', ');
    return manager.query<ObjectLiteral[]>(
      `SELECT rowid AS place, ${names} FROM "${tableName}" WHERE rowid > ? ORDER BY rowid LIMIT ${AT_A_TIME}`,
      [after],
    );
  }

  async close(): Promise<void> {
    if (this.source.isInitialized) await this.source.destroy();
  }
}

/** Removes the file of a scratch store, if it is there. */
export async function removeScratch(path: string): Promise<void> {
  for (const ending of ['', '-journal', '-wal', '-shm']) await rm(`${path}${ending}`, { force: true });
}

function typeOf(declared: string): 'string' | 'number' | 'boolean' {
  const type = declared.toLowerCase();
  return type === 'integer' ? 'number' : type === 'boolean' ? 'boolean' : 'string';
}

/** What is lost with a crash is made again. */
function connectionTo(path: string) {
  return {
    type: 'better-sqlite3',
    database: path,
    synchronize: false,
    prepareDatabase: (database: { pragma(text: string): void }) => {
      database.pragma('journal_mode = OFF');
      database.pragma('synchronous = OFF');
    },
  } as const;
}
