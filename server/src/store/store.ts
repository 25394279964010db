/**
 * The store: one writer, and reading beside it.
 *
 * All changes go through `write`, one after the other, each in a transaction of its own that begins by taking the lock
 * for writing; what belongs together, with its checks, is one such change. `read` is a connection of its own, so it sees
 * only what is committed and never what a change is in the middle of. On an engine with a pool, such as PostgreSQL,
 * the same calls would be transactions of the pool.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { OnApplicationShutdown } from '@nestjs/common';
import pLimit from 'p-limit';
import { DataSource, type EntityManager } from 'typeorm';
import { ENTITIES } from './entities.js';
import { lockFolder, type FolderLock } from './folderLock.js';
import { MIGRATIONS } from './migrations/index.js';
import { isNumberTaken, StoreTrouble, storeTroubleIn } from './storeTrouble.js';

/** How long the driver waits for a lock, with everything else waiting: the rest of the wait is ours, and holds nobody up. */
const BUSY_MS = 50;
/** How long a change waits for a store that another program holds. */
const TIMEOUT_MS = 10_000;
const AGAIN_MS = 200;
/** How often a change is tried whose number somebody else took. */
const MOST_TRIES = 3;
/** Of each connection: the indexes of a review of 100,000 records fit into it. */
const CACHE_KB = 64_000;
/** So much is written back at a time: the whole program waits meanwhile. */
const CHECKPOINT_PAGES = 300;

/**
 * Looks at a change from within its transaction. Asked when the change is handed in, it answers null where it has nothing
 * to look at; otherwise with what is called before the change, which gives what is called after it.
 */
export type WriteWatch = () => ((manager: EntityManager) => Promise<() => Promise<void>>) | null;

export interface WriteOptions {
  /** how long to wait for a store that another program holds, in milliseconds */
  timeoutMs?: number;
}

export class Store implements OnApplicationShutdown {
  private readonly queue = pLimit(1);
  private readonly writing = new AsyncLocalStorage<true>();
  private watch: WriteWatch = () => null;
  private closing: Promise<void> | null = null;

  constructor(
    private readonly writer: DataSource,
    private readonly reader: DataSource,
    private readonly lock: FolderLock,
    private readonly openReader: () => Promise<DataSource>,
  ) {}

  /** For reading alone: what is committed. */
  get read(): EntityManager {
    return this.reader.manager;
  }

  /** A number that is another one as soon as anything was committed, by this program or by another one. */
  async committed(): Promise<number> {
    const [row] = await this.reader.query<{ data_version: number }[]>('PRAGMA data_version');
    return row?.data_version ?? 0;
  }

  /** What is committed now, on a connection of its own that stays at this moment, whatever is changed meanwhile. */
  async snapshot<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const source = await this.openReader();
    try {
      await source.query('BEGIN');
      return await work(source.manager);
    } finally {
      await source.destroy();
    }
  }

  /** From now on, changes are looked at by `watch`. What it writes belongs to the change; where it fails, so does that. */
  watchWrites(watch: WriteWatch): void {
    this.watch = watch;
  }

  /**
   * Makes a change: all of it or, when `work` fails, nothing. Reads that the change depends on belong into `work`, and
   * so does what is answered of it, so that nobody is told that something failed which is saved.
   *
   * @throws StoreTrouble when the store cannot take it; and whatever `work` throws
   */
  write<T>(
    work: (manager: EntityManager) => Promise<T>,
    { timeoutMs = TIMEOUT_MS }: WriteOptions = {},
  ): Promise<T> {
    if (this.writing.getStore() === true) {
      throw new Error('A change within a change would wait for itself: use the manager of the outer one.');
    }
    const until = performance.now() + timeoutMs;
    const begins = this.watch();
    const watched = async (manager: EntityManager): Promise<T> => {
      const ends = await begins?.(manager);
      const result = await work(manager);
      await ends?.();
      return result;
    };
    return this.queue(() => this.writing.run(true, () => this.changeOrAgain(watched, until)));
  }

  onApplicationShutdown(): Promise<void> {
    return this.close();
  }

  /** Waits for the changes that go on, then closes the file. However often it is asked for, it is done once. */
  close(): Promise<void> {
    return (this.closing ??= this.end());
  }

  private async end(): Promise<void> {
    await this.queue(() => this.reader.destroy());
    await this.writer.destroy();
    this.writing.disable();
    this.lock.release();
  }

  /**
   * Rows are numbered by one more than the last. Where another process took the number meanwhile, all of it is done
   * again, on what stands there now.
   */
  private async changeOrAgain<T>(work: (manager: EntityManager) => Promise<T>, until: number): Promise<T> {
    for (let tries = 1; ; tries += 1) {
      try {
        return await this.change(work, until);
      } catch (error) {
        if (tries === MOST_TRIES || !isNumberTaken(error)) throw error;
      }
    }
  }

  private async change<T>(work: (manager: EntityManager) => Promise<T>, until: number): Promise<T> {
    await this.begin(until);
    try {
      const result = await work(this.writer.manager);
      await this.writer.query('COMMIT');
      return result;
    } catch (error) {
      await this.rollBack();
      throw storeTroubleIn(error) ?? error;
    }
  }

  private async begin(until: number): Promise<void> {
    for (;;) {
      try {
        await this.writer.query('BEGIN IMMEDIATE');
        return;
      } catch (error) {
        const trouble = storeTroubleIn(error);
        if (trouble?.kind !== 'locked' || performance.now() >= until) throw trouble ?? error;
        await pause(AGAIN_MS);
      }
    }
  }

  private async rollBack(): Promise<void> {
    try {
      await this.writer.query('ROLLBACK');
    } catch {
      // A full disk makes the engine roll back by itself.
    }
  }
}

/**
 * Opens the store, bringing its tables up to date first.
 * @throws StoreTrouble where it cannot be used, in words for a person
 */
export async function openStore(path: string): Promise<Store> {
  let lock: FolderLock | null = null;
  const opened: DataSource[] = [];
  try {
    mkdirSync(dirname(path), { recursive: true });
    lock = lockFolder(dirname(path));
    await bringUp(path);
    const writer = sourceOf(
      path,
      'synchronous = FULL',
      `cache_size = -${CACHE_KB}`,
      `wal_autocheckpoint = ${CHECKPOINT_PAGES}`,
    );
    opened.push(writer);
    await writer.initialize();
    const reader = sourceOf(path, 'query_only = ON', `cache_size = -${CACHE_KB}`);
    opened.push(reader);
    await reader.initialize();
    return new Store(writer, reader, lock, () => sourceOf(path, 'query_only = ON').initialize());
  } catch (error) {
    await Promise.allSettled(opened.map((source) => source.destroy()));
    lock?.release();
    throw storeTroubleIn(error) ?? error;
  }
}

/** Brings the tables up to date. Steps know tables as they were, so they are run without the entities of now. */
async function bringUp(path: string): Promise<void> {
  const { entities: _none, ...options } = optionsOf(path, ['synchronous = FULL']);
  const source = new DataSource({ ...options, migrations: MIGRATIONS });
  await source.initialize();
  try {
    await refuseNewer(source);
    await source.runMigrations();
  } finally {
    await source.destroy();
  }
}

/** @param pragmas what this connection has of its own */
function sourceOf(path: string, ...pragmas: string[]): DataSource {
  return new DataSource(optionsOf(path, pragmas));
}

function optionsOf(path: string, pragmas: readonly string[]) {
  return {
    type: 'better-sqlite3' as const,
    database: path,
    entities: ENTITIES,
    synchronize: false,
    enableWAL: true,
    timeout: BUSY_MS,
    prepareDatabase: (database: { pragma(text: string): void }) => {
      database.pragma('foreign_keys = ON');
      for (const pragma of pragmas) database.pragma(pragma);
    },
  };
}

/** A store that a later release has changed is left alone: this one would misread it. */
async function refuseNewer(writer: DataSource): Promise<void> {
  const [table] = await writer.query<unknown[]>(
    `SELECT name FROM sqlite_master WHERE type = 'table' AND name = 'migrations'`,
  );
  if (table === undefined) return;
  const rows = await writer.query<{ name: string }[]>('SELECT name FROM migrations');
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  if (rows.every(({ name }) => known.has(name))) return;
  throw new StoreTrouble(
    'newer',
    'This data folder was written by a later release of Even Lantern.',
    'Nothing was changed. Start that release, or choose another folder with EVEN_LANTERN_DATA.',
  );
}
