import { randomUUID } from 'node:crypto';
import {
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import {
  describeLine,
  resultFingerprint,
  DIALECTS,
  translateLine,
  type BibRecord,
  type Dialect,
  type DialectContext,
  type Line,
  type LedgerLine,
} from '@even-lantern/core';
import type { NewDatabase, NewRun, Person, Run, RunStatus } from '@even-lantern/contract';
import { BehaviorSubject, type Observable } from 'rxjs';
import { APPLICATION_VERSION } from '../application/version.js';
import { badInput, conflict, notFound } from '../application/problem.js';
import { DatabaseError, type Asking } from '../databases/databaseConnector.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { within } from '../databases/patience.js';
import { ReadingService } from '../databases/readingService.js';
import { AddedDatabaseRow, PersonRow, RecordRow, RunRecordRow, RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { LedgerService } from './ledgerService.js';

interface ActiveRun {
  progress: BehaviorSubject<Run>;
  stop: AbortController;
  done: Promise<void>;
}

/** Behind the dialect in the ledger, where a person asked. */
const BY_HAND = ', asked by hand: counts entered, records from exported files';
/** How long a run waits for the database to tell its release. */
const PATIENCE_MS = 4000;
const STOPPED_BY_PERSON = 'stopped by the person who ran it';

/**
 * Run and log: counts every line, fetches the records of the last, and closes with a ledger entry, whatever
 * happens. What a cut-off run had is kept.
 */
@Injectable()
export class RunsService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger('runs');
  private readonly active = new Map<string, ActiveRun>();

  constructor(
    private readonly store: Store,
    private readonly ledger: LedgerService,
    private readonly readings: ReadingService,
    private readonly databases: DatabasesService,
  ) {}

  /** Runs that the last process left open are closed as interrupted. */
  async onApplicationBootstrap(): Promise<void> {
    const open = await this.store.read.getRepository(RunRow).findBy({ status: 'running' });
    for (const row of open) await this.close(row, 'interrupted', 'the application stopped during the run');
  }

  /** Before the store closes: what goes on is closed as interrupted. */
  async beforeApplicationShutdown(): Promise<void> {
    for (const run of this.active.values()) run.stop.abort('the application stopped during the run');
    await Promise.all([...this.active.values()].map(({ done }) => done));
  }

  /** Starts a run and returns at once; `progress` tells how it goes. */
  async start(
    reviewId: string,
    { database: databaseId, timeZone, release }: NewRun,
    person: Person,
  ): Promise<Run> {
    // What is logged names the release, so the database is asked how it is now; a slow one is not waited for.
    if (this.databases.knows(databaseId)) {
      await within(PATIENCE_MS, this.databases.refresh(databaseId), undefined);
    }
    const reading = await this.readings.ofReview(reviewId, databaseId, release);
    const { lanes, database, dialect, context, strategies } = reading;
    const { lines, problems } = strategies.meant;
    // What is said otherwise is logged with the lines, though strings are printed from what is meant.
    const changes = strategies.said.lines.map((line) => line.changes);
    // An unfinished term would make the log say less than the screen, so it is settled first.
    if (problems.length > 0) {
      throw badInput(
        problems.map(({ termId, laneId, message }) => ({ path: termId ?? laneId ?? '', message })),
      );
    }
    const { description } = database;
    await this.sureOfWhole(database, lines, dialect, context);
    if (release !== undefined && release !== description.release && !description.releases.includes(release)) {
      const message = `${description.name} does not answer for the release “${release}”.`;
      throw badInput([{ path: 'release', message }]);
    }
    const row: RunRow = {
      id: randomUUID(),
      reviewId,
      database: database.id,
      databaseName: description.name,
      release: release ?? description.release,
      queryType: dialect?.id ?? 'cql',
      status: 'running',
      startedAt: new Date().toISOString(),
      timeZone,
      ranBy: person.id,
      lines: JSON.stringify(
        lines.map((line, i): LedgerLine => ({
          number: line.number,
          description: [describeLine(line, lanes), ...(changes[i] ?? [])].join('; '),
          string: translateLine(line, lines, dialect, context).alone.text,
          hits: null,
        })),
      ),
      hits: null,
      fetched: 0,
      reason: null,
    };
    await this.store.write(async (manager) => {
      if (await manager.existsBy(RunRow, { reviewId, status: 'running' })) {
        throw conflict('A search of this review is running already.', 'Wait for it to end, or stop it.');
      }
      await manager.insert(RunRow, row);
    });
    const stop = new AbortController();
    const progress = new BehaviorSubject(runOf(row));
    const done = this.carryOut(row, database, progress, stop.signal).finally(() => {
      this.active.delete(row.id);
      progress.complete();
    });
    this.active.set(row.id, { progress, stop, done });
    return runOf(row);
  }

  /** What a person asks by hand is run when the whole has been counted, or nothing could be fetched for it. */
  private async sureOfWhole(
    { description, connector }: OpenDatabase,
    lines: readonly Line[],
    dialect: Dialect | null,
    context: DialectContext,
  ): Promise<void> {
    const last = lines.at(-1);
    if (description.reached !== 'hand' || last === undefined) return;
    try {
      await connector.count(translateLine(last, lines, dialect, context).alone.text);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      const message = `Enter what the whole strategy finds in ${description.name} first: L${last.number} has no count.`;
      throw badInput([{ path: 'database', message }]);
    }
  }

  async get(id: string): Promise<Run> {
    const row = await this.store.read.getRepository(RunRow).findOneBy({ id });
    if (row === null) throw notFound('This run');
    return runOf(row);
  }

  async running(reviewId: string): Promise<Run | null> {
    const row = await this.store.read.getRepository(RunRow).findOneBy({ reviewId, status: 'running' });
    return row === null ? null : runOf(row);
  }

  /** The states of a run as they come, ending with its last. */
  async progress(id: string): Promise<Observable<Run>> {
    return this.active.get(id)?.progress ?? new BehaviorSubject(await this.get(id));
  }

  async stop(id: string): Promise<Run> {
    const run = this.active.get(id);
    run?.stop.abort(STOPPED_BY_PERSON);
    await run?.done;
    return this.get(id);
  }

  /** Waits until a run has ended. */
  async finished(id: string): Promise<Run> {
    await this.active.get(id)?.done;
    return this.get(id);
  }

  private async carryOut(
    row: RunRow,
    database: OpenDatabase,
    progress: BehaviorSubject<Run>,
    signal: AbortSignal,
  ): Promise<void> {
    try {
      await this.countLines(row, database, progress, signal);
      await this.fetchRecords(row, database, progress, signal);
      await this.close(row, 'complete', null);
    } catch (error) {
      const reason = signal.aborted
        ? String(signal.reason)
        : error instanceof DatabaseError
          ? `${row.databaseName}: ${error.message}`
          : 'the application failed during the run';
      if (!(error instanceof DatabaseError))
        this.logger.error(error instanceof Error ? error.stack : String(error));
      await this.close(row, 'interrupted', reason);
    }
    progress.next(runOf(row));
  }

  private async countLines(
    row: RunRow,
    { connector, description }: OpenDatabase,
    progress: BehaviorSubject<Run>,
    signal: AbortSignal,
  ): Promise<void> {
    const lines = linesOf(row);
    for (const line of lines) {
      try {
        const { hits, release } = await connector.count(line.string, signal, askingOf(row));
        this.sameRelease(row, release);
        line.hits = hits;
        row.hits = hits;
      } catch (error) {
        // Where a person asks, some lines may be left uncounted; the last never is.
        const left = description.reached === 'hand' && error instanceof DatabaseError && error.refused;
        if (!left || line === lines.at(-1)) throw error;
      }
      await this.save(row, lines, progress);
    }
  }

  private async fetchRecords(
    row: RunRow,
    { connector, description }: OpenDatabase,
    progress: BehaviorSubject<Run>,
    signal: AbortSignal,
  ): Promise<void> {
    const lines = linesOf(row);
    const whole = lines.at(-1);
    while (whole !== undefined && row.fetched < (whole.hits ?? 0)) {
      const page = { start: row.fetched + 1, size: description.pageCap };
      const { records, hits, release } = await connector.search(whole.string, page, signal, askingOf(row));
      this.sameRelease(row, release);
      if (hits !== whole.hits) {
        throw new DatabaseError(`the count changed from ${whole.hits} to ${hits} between two pages`, false);
      }
      if (records.length === 0) {
        throw new DatabaseError(
          `the database gave ${row.fetched} of ${whole.hits} records and then no more`,
          false,
        );
      }
      await this.keep(row, records);
      row.fetched += records.length;
      await this.save(row, lines, progress);
    }
  }

  /** Keeps a page of records. A record found before keeps its decision and takes on what the database says now. */
  private async keep(row: RunRow, records: readonly BibRecord[]): Promise<void> {
    await this.store.write(async (manager) => {
      for (const [i, record] of records.entries()) {
        const rank = row.fetched + i + 1;
        const own = { reviewId: row.reviewId, database: row.database, accession: record.accession };
        const shown = {
          lastRunId: row.id,
          rank,
          title: record.title,
          year: record.year,
          journal: record.journal,
          record: JSON.stringify(record),
        };
        const known = await manager.findOne(RecordRow, { where: own, select: { id: true } });
        if (known !== null) await manager.update(RecordRow, { id: known.id }, shown);
        else {
          const undecided = { decision: 'undecided', decidedBy: null, decidedAt: null };
          await manager.insert(RecordRow, { id: randomUUID(), ...own, ...shown, ...undecided });
        }
        await manager.insert(RunRecordRow, { runId: row.id, accession: record.accession, rank });
      }
    });
  }

  private async save(
    row: RunRow,
    lines: readonly LedgerLine[],
    progress: BehaviorSubject<Run>,
  ): Promise<void> {
    row.lines = JSON.stringify(lines);
    const { hits, fetched } = row;
    const change = { lines: row.lines, hits, fetched };
    await this.store.write((manager) => manager.update(RunRow, { id: row.id }, change));
    progress.next(runOf(row));
  }

  private async close(
    row: RunRow,
    status: Exclude<RunStatus, 'running'>,
    reason: string | null,
  ): Promise<void> {
    row.status = status;
    row.reason = reason;
    const lines = linesOf(row);
    row.hits = lines.at(-1)?.hits ?? null;
    await this.store.write(async (manager) => {
      const found = await manager.find(RunRecordRow, {
        where: { runId: row.id },
        select: { accession: true },
      });
      const person = await manager.findOneByOrFail(PersonRow, { id: row.ranBy });
      const added = await manager.findOneBy(AddedDatabaseRow, { id: row.database });
      const byHand = added !== null && (JSON.parse(added.content) as Pick<NewDatabase, 'how'>).how === 'hand';
      await this.ledger.append(manager, row.reviewId, row.id, {
        outcome: status,
        reason,
        database: row.database,
        databaseName: row.databaseName,
        release: row.release,
        dialect: (DIALECTS.get(row.queryType)?.form ?? 'CQL') + (byHand ? BY_HAND : ''),
        lines,
        hits: row.hits,
        fetched: found.length,
        fingerprint: resultFingerprint(found.map(({ accession }) => accession)),
        startedAt: row.startedAt,
        timeZone: row.timeZone,
        durationMs: Date.now() - Date.parse(row.startedAt),
        ranBy: person.name,
        applicationVersion: APPLICATION_VERSION,
      });
      await manager.update(RunRow, { id: row.id }, { status, reason, hits: row.hits, fetched: found.length });
    });
  }

  private sameRelease(row: RunRow, release: string): void {
    if (release !== row.release) {
      throw new DatabaseError(
        `the database moved from release ${row.release} to ${release} during the run`,
        false,
      );
    }
  }
}

function askingOf({ queryType, release }: RunRow): Asking {
  // A database that has but one release may give it no date.
  return { queryType, ...(release === '' ? {} : { release }) };
}

function linesOf(row: RunRow): LedgerLine[] {
  return JSON.parse(row.lines) as LedgerLine[];
}

function runOf(row: RunRow): Run {
  const lines = linesOf(row);
  return {
    id: row.id,
    reviewId: row.reviewId,
    database: row.database,
    status: row.status as RunStatus,
    linesCounted: lines.filter((line) => line.hits !== null).length,
    linesTotal: lines.length,
    hits: lines.at(-1)?.hits ?? null,
    fetched: row.fetched,
    reason: row.reason,
  };
}
