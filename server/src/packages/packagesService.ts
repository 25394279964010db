import type { Readable } from 'node:stream';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { FileProgress, PackageTaken } from '@even-lantern/contract';
import { In, type EntityManager } from 'typeorm';
import { Configuration } from '../configuration/configuration.js';
import { badInput, conflict } from '../http/problem.js';
import { IncomingFiles } from '../files/incomingFiles.js';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { ReviewRow, RunRow, ScheduleRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { OutOfMemory, WorkerPool } from '../workers/workerPool.js';
import { pathOf, type PackageRead, type PackageTask } from './packageInFile.js';
import { PACKAGE_TABLES, TABLES_AS_OF, tableShapes } from './packageTables.js';
import { packageOf } from './packageWriting.js';
import { entriesIn, linesIn, openZip } from './zip.js';

const MOST_MEMORY_MB = 900;
const MOST_FILES = 100;
/** Rows that are kept in one change, so that others are served in between. */
const BATCH = 60;

type Row = Record<string, unknown>;

/** A whole review as one file, and back again. */
@Injectable()
export class PackagesService implements OnApplicationShutdown {
  private readonly pool: WorkerPool<PackageTask, PackageRead>;

  constructor(
    configuration: Configuration,
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly reviewEnd: ReviewEndService,
    private readonly files: IncomingFiles,
  ) {
    this.pool = new WorkerPool(configuration.program('packages/packageTask'), { memoryMb: MOST_MEMORY_MB });
  }

  onApplicationShutdown(): Promise<void> {
    return this.pool.close();
  }

  /**
   * Writes the package of a review as it is now.
   * @param into is given the file as it is made
   */
  async write(
    reviewId: string,
    into: (stream: NodeJS.ReadableStream) => void,
    signal: AbortSignal,
  ): Promise<void> {
    await this.reviews.expect(reviewId);
    if (await this.store.read.existsBy(RunRow, { reviewId, status: 'running' })) {
      throw conflict(
        'A search of this review is running.',
        'A package holds whole runs only. Wait for it to end, or stop it.',
      );
    }
    await this.store.snapshot(async (manager) => {
      const { stream, done } = packageOf(manager, reviewId, () => undefined, signal);
      into(stream);
      await done;
    });
  }

  /** Takes in a package: all of it or nothing. */
  async take(source: Readable, job: string): Promise<PackageTaken> {
    return this.files.asItIs(source, job, async (path, tell, signal) => {
      tell({ phase: 'reading', bytes: 0, total: null });
      const shapes = tableShapes(this.store.read);
      const { crate, troubles } = await this.looked({ path, shapes, tablesAsOf: TABLES_AS_OF }, signal);
      if (crate === null) {
        throw badInput(troubles.map((message) => ({ path: 'file', message })));
      }
      const { id } = crate;
      const before = await this.store.read.findOneBy(ReviewRow, { id });
      if (before !== null) {
        throw conflict(
          before.deletedAt === null
            ? `This review is here already: ${before.title}.`
            : 'This review was here, and is being deleted.',
          before.deletedAt === null
            ? 'Nothing was changed. Delete it first if the package is to take its place.'
            : 'Nothing was changed. Try again in a minute.',
        );
      }
      try {
        return await this.keep(path, id, tell, signal);
      } catch (error) {
        // What was kept so far is hidden, and goes bit by bit.
        await this.reviewEnd.discard(id);
        throw error;
      }
    });
  }

  private async looked(task: PackageTask, signal: AbortSignal): Promise<PackageRead> {
    try {
      return await this.pool.run(task, { signal });
    } catch (error) {
      if (!(error instanceof OutOfMemory)) throw error;
      const message = `It takes more than ${MOST_MEMORY_MB} MB of memory to look through.`;
      throw badInput([{ path: 'file', message }]);
    }
  }

  /** Keeps rows that were looked through; the review is hidden until all of them are there. */
  private async keep(
    path: string,
    id: string,
    tell: (progress: Partial<FileProgress>) => void,
    signal: AbortSignal,
  ): Promise<PackageTaken> {
    const zip = await openZip(path);
    try {
      const entries = await entriesIn(zip, MOST_FILES);
      let rows = 0;
      const shared = new Map<string, Row[]>();
      for (const [name, { shared: isShared }] of Object.entries(PACKAGE_TABLES)) {
        const entry = entries.get(pathOf(name));
        if (entry === undefined) continue;
        let batch: Row[] = [];
        const flush = async () => {
          const some = batch;
          batch = [];
          if (some.length === 0) return;
          await this.store.write(async (manager) =>
            insert(manager, name, isShared === true ? await newOnes(manager, name, some) : some),
          );
          rows += some.length;
          tell({ phase: 'keeping', records: rows });
          await othersFirst();
        };
        for await (const line of linesIn(zip, entry)) {
          signal.throwIfAborted();
          const row = JSON.parse(line) as Row;
          if (isShared === true && name !== 'person') {
            let some = shared.get(name);
            if (some === undefined) shared.set(name, (some = []));
            some.push(row);
            continue;
          }
          batch.push(name === 'review' ? { ...row, deletedAt: new Date().toISOString() } : row);
          if (batch.length >= BATCH) await flush();
        }
        await flush();
      }
      return await this.store.write(async (manager) => {
        for (const [name, some] of shared) {
          for (const batch of batchesOf(await newOnes(manager, name, some))) {
            await insert(manager, name, batch);
            // Whoever reads is answered meanwhile.
            await othersFirst();
          }
        }
        // Two installations would tell of the same new records: who took it here says which goes on.
        const { affected } = await manager.update(
          ScheduleRow,
          { reviewId: id, state: 'active' },
          { state: 'paused', nextAt: null },
        );
        // Not as an edit, which would give it a later version.
        const { driver } = manager.connection;
        const shown = `UPDATE review SET "deletedAt" = NULL WHERE id = ${driver.createParameter('id', 0)}`;
        await manager.query(shown, [id]);
        const { title } = await this.reviews.get(id, manager);
        return { id, title, rows, paused: affected ?? 0 };
      });
    } finally {
      zip.close();
    }
  }
}

/** Of rows that are not of the review alone, those that are not there; numbered behind those that are. */
async function newOnes(manager: EntityManager, name: string, rows: readonly Row[]): Promise<Row[]> {
  const table = PACKAGE_TABLES[name];
  if (table === undefined) return [];
  const there = new Set<unknown>();
  for (const batch of batchesOf(rows)) {
    const found = await manager.find(table.entity, {
      where: { id: In(batch.map(({ id }) => id)) },
      select: { id: true },
    });
    for (const { id } of found) there.add(id);
  }
  /** the last number that is taken, by database */
  const last = new Map<unknown, number>();
  const numbered: Row[] = [];
  for (const row of rows) {
    if (there.has(row['id'])) continue;
    if (!('position' in row)) {
      numbered.push(row);
      continue;
    }
    const { database } = row;
    const before =
      last.get(database) ??
      (await manager.maximum(table.entity, 'position', database === undefined ? {} : { database })) ??
      0;
    last.set(database, before + 1);
    numbered.push({ ...row, position: before + 1 });
  }
  return numbered;
}

function batchesOf(rows: readonly Row[]): Row[][] {
  return Array.from({ length: Math.ceil(rows.length / BATCH) }, (_, i) =>
    rows.slice(i * BATCH, (i + 1) * BATCH),
  );
}

/** Puts rows in as they are. */
async function insert(manager: EntityManager, name: string, rows: readonly Row[]): Promise<void> {
  const table = PACKAGE_TABLES[name];
  if (table === undefined) return;
  const { connection } = manager;
  const { columns, tableName } = connection.getMetadata(table.entity);
  const { driver } = connection;
  const names = columns.map(({ databaseName }) => driver.escape(databaseName)).join(', ');
  const places = columns.map((_column, i) => driver.createParameter('value', i)).join(', ');
  const text = `INSERT INTO ${driver.escape(tableName)} (${names}) VALUES (${places})`;
  for (const row of rows) {
    const values = columns.map((column) => {
      const value: unknown = row[column.propertyName];
      return driver.preparePersistentValue(value, column) as unknown;
    });
    await manager.query(text, values);
  }
}
