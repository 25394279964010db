import type { Readable } from 'node:stream';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { LedgerContent } from '@even-lantern/core';
import { listedOf } from '../ledger/ledgerSummary.js';
import { newFeedToken } from '../schedules/feedToken.js';
import type { FileProgress, PackageTaken, Person, StandingHere, TakingOver } from '@even-lantern/contract';
import { AddedDatabasesService } from '../addedDatabases/addedDatabasesService.js';
import { Configuration } from '../configuration/configuration.js';
import { badInput, conflict } from '../http/problem.js';
import { IncomingFiles } from '../files/incomingFiles.js';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import type { TableDescription } from '../store/description.js';
import {
  LedgerEntryRow,
  OccurrenceRow,
  PersonRow,
  ReviewRow,
  RunRow,
  ScheduleRow,
} from '../store/entities.js';
import { insertRaw, type RawRow } from '../store/rawRows.js';
import { removeScratch, ScratchStore } from '../store/scratchStore.js';
import { tableNamed, TABLES_OF_PACKAGES } from '../store/tables.js';
import { Store } from '../store/store.js';
import { OutOfMemory, WorkerPool } from '../workers/workerPool.js';
import type { PackageRead, PackageTask } from './packageInFile.js';
import { pathOf, TABLE_VERSIONS, tableShapes } from './packageTables.js';
import { packageOf } from './packageWriting.js';
import { BATCH, batchesOf, newOnes, takeOver } from './sharedRows.js';
import { entriesIn, linesIn, MOST_FILES, openZip } from './zip.js';

const MOST_MEMORY_MB = 900;

/** What was kept of a package. */
type Kept = Omit<PackageTaken, 'seal' | 'unvouched'>;

/** A whole review as one file, and back again. */
@Injectable()
export class PackagesService implements OnApplicationShutdown {
  private readonly pool: WorkerPool<PackageTask, PackageRead>;
  /** the reviews that are being taken in */
  private readonly inHand = new Set<string>();

  constructor(
    configuration: Configuration,
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly reviewEnd: ReviewEndService,
    private readonly files: IncomingFiles,
    private readonly added: AddedDatabasesService,
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
      const scratch = `${path}.scratch`;
      try {
        return await this.takeFile(path, scratch, tell, signal);
      } finally {
        await removeScratch(scratch);
      }
    });
  }

  private async takeFile(
    path: string,
    scratch: string,
    tell: (progress: Partial<FileProgress>) => void,
    signal: AbortSignal,
  ): Promise<PackageTaken> {
    tell({ phase: 'reading', bytes: 0, total: null });
    const shapes = tableShapes(this.store.read);
    const task = { path, shapes, versions: TABLE_VERSIONS, scratch };
    const { crate, troubles, upgraded, unvouched } = await this.looked(task, signal);
    if (crate === null) {
      throw badInput(troubles.map((message) => ({ path: 'file', message })));
    }
    const { id } = crate;
    if (this.inHand.has(id)) {
      throw conflict(
        'This review is being taken in already.',
        'Nothing was changed. Wait until it is here, then look into it.',
      );
    }
    this.inHand.add(id);
    try {
      const taken = await this.takeReview({ id, path, scratch, upgraded }, tell, signal);
      return { ...taken, seal: crate.seal, unvouched };
    } finally {
      this.inHand.delete(id);
    }
  }

  private async takeReview(
    { id, path, scratch, upgraded }: { id: string; path: string; scratch: string; upgraded: boolean },
    tell: (progress: Partial<FileProgress>) => void,
    signal: AbortSignal,
  ): Promise<Kept> {
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
      const rows = upgraded ? await rowsInScratch(scratch) : await rowsInPackage(path);
      try {
        return await this.keep(rows, id, tell, signal);
      } finally {
        await rows.close();
      }
    } catch (error) {
      // What was kept so far is hidden, and goes bit by bit.
      await this.reviewEnd.discard(id);
      throw error;
    }
  }

  /** Takes over what a package says otherwise than this installation. @returns how much of it */
  async takeOver({ answers }: TakingOver, person: Person): Promise<{ taken: number }> {
    return { taken: await this.store.write((manager) => takeOver(manager, answers, person)) };
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
    source: RowSource,
    id: string,
    tell: (progress: Partial<FileProgress>) => void,
    signal: AbortSignal,
  ): Promise<Kept> {
    let rows = 0;
    let paused = 0;
    const shared = new Map<TableDescription, RawRow[]>();
    for (const table of TABLES_OF_PACKAGES) {
      const isOwn = table.owner === 'review';
      let batch: RawRow[] = [];
      const flush = async () => {
        const some = batch;
        batch = [];
        if (some.length === 0) return;
        await this.store.write(async (manager) =>
          insertRaw(manager, table.entity, isOwn ? some : (await newOnes(manager, table, some)).rows),
        );
        rows += some.length;
        tell({ phase: 'keeping', records: rows });
        await othersFirst();
      };
      for await (const row of source.rows(table.name)) {
        signal.throwIfAborted();
        if (!isOwn && table.entity !== PersonRow) {
          let some = shared.get(table);
          if (some === undefined) shared.set(table, (some = []));
          some.push(row);
          continue;
        }
        if (table.entity === ScheduleRow && row['state'] === 'active') paused += 1;
        batch.push(asTakenIn(table, row));
        if (batch.length >= BATCH) await flush();
      }
      await flush();
    }
    const standing: StandingHere[] = [];
    const taken = await this.store.write(async (manager) => {
      for (const [table, some] of shared) {
        const fresh = await newOnes(manager, table, some);
        standing.push(...fresh.standing);
        for (const batch of batchesOf(fresh.rows)) {
          await insertRaw(manager, table.entity, batch);
          // Whoever reads is answered meanwhile.
          await othersFirst();
        }
      }
      // Not as an edit, which would give it a later version.
      const { driver } = manager.connection;
      const shown = `UPDATE review SET "deletedAt" = NULL WHERE id = ${driver.createParameter('id', 0)}`;
      await manager.query(shown, [id]);
      const { title } = await this.reviews.get(id, manager);
      return { id, title, rows, paused, standing };
    });
    await this.added.connectNew();
    return taken;
  }
}

/** A row as it is kept here, where that is not how its package has it. */
function asTakenIn({ entity }: TableDescription, row: RawRow): RawRow {
  switch (entity) {
    case ReviewRow:
      return { ...row, deletedAt: new Date().toISOString() };
    case LedgerEntryRow: {
      // What lists tell of an entry is told from what its hash vouches for.
      const { summary, ...listed } = listedOf(JSON.parse(String(row['content'])) as LedgerContent);
      return { ...row, ...listed, summary: JSON.stringify(summary) };
    }
    case ScheduleRow:
      // Two installations would tell of the same new records, so that whoever took it in says whether it goes on here.
      return {
        ...row,
        token: newFeedToken(),
        ...(row['state'] === 'active' ? { state: 'paused', nextAt: null } : {}),
      };
    case OccurrenceRow:
      return row['status'] === 'waits' || row['status'] === 'running'
        ? { ...row, status: 'failed', againAt: null, trouble: NOT_RUN_HERE }
        : row;
    default:
      return row;
  }
}

const NOT_RUN_HERE = 'The review was taken in from a file before this search was run.';

/** Where the rows of a package come from. */
interface RowSource {
  rows(table: string): AsyncIterable<RawRow>;
  close(): Promise<void>;
}

async function rowsInPackage(path: string): Promise<RowSource> {
  const zip = await openZip(path);
  const entries = await entriesIn(zip, MOST_FILES);
  return {
    async *rows(table) {
      const entry = entries.get(pathOf(table));
      if (entry === undefined) return;
      for await (const line of linesIn(zip, entry)) yield JSON.parse(line) as RawRow;
    },
    close: () => Promise.resolve(zip.close()),
  };
}

async function rowsInScratch(path: string): Promise<RowSource> {
  const store = await ScratchStore.reopen(path);
  return { rows: (table) => store.rows(tableNamed(table)), close: () => store.close() };
}
