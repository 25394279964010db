import { randomUUID } from 'node:crypto';
import {
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import { counted, type LedgerLine } from '@even-lantern/core';
import type {
  NewRun,
  NewRuns,
  Person,
  RepeatedRun,
  Run,
  RunMark,
  RunStatus,
  StartedRuns,
} from '@even-lantern/contract';
import { BehaviorSubject, merge, of, type Observable } from 'rxjs';
import { IsNull, type EntityManager } from 'typeorm';
import { conflict, notFound, problemOf } from '../http/problem.js';
import { DatabaseError, type SearchAnswer } from '../connectors/databaseConnector.js';
import type { OpenDatabase } from '../databases/databasesService.js';
import { LedgerEntryRow, ReviewRow, RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { StoreTrouble } from '../store/storeTrouble.js';
import { FoundRecords, type RankedRecord } from '../records/foundRecords.js';
import { asSource, keepRecords } from '../records/keepRecords.js';
import { LONG_TIMEOUT, RunClosing } from './runClosing.js';
import { RunPlanning, tooManyText, type PlannedRun } from './runPlanning.js';
import { searchOptionsOf, linesOf, runOf } from './runState.js';

interface ActiveRun {
  progress: BehaviorSubject<Run>;
  stop: AbortController;
  done: Promise<void>;
}

const CUT_OFF = 'the application stopped during the run';
const STOPPED_BY_PERSON = 'stopped by the person who ran it';

/** What is written in the change that begins a run. */
export type AlsoWritten = (manager: EntityManager, runId: string) => Promise<void>;

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
    private readonly closing: RunClosing,
    private readonly planning: RunPlanning,
  ) {}

  /** Runs that the last process left open are closed as interrupted. */
  async onApplicationBootstrap(): Promise<void> {
    const open = await this.store.read.getRepository(RunRow).findBy({ status: 'running' });
    for (const row of open) {
      try {
        await this.closing.close(row, 'interrupted', CUT_OFF, null);
      } catch (error) {
        // One that cannot be closed must not keep the program from starting; stopping it tries again.
        this.logger.error(
          `Run ${row.id} cannot be closed: ${error instanceof Error ? error.message : String(error)}`,
        );
      }
    }
  }

  /** Before the store closes: what goes on is closed as interrupted. */
  async beforeApplicationShutdown(): Promise<void> {
    for (const run of this.active.values()) run.stop.abort(CUT_OFF);
    await Promise.all([...this.active.values()].map(({ done }) => done));
  }

  /** Starts a run and returns at once; `progress` tells how it goes. */
  async start(reviewId: string, run: NewRun, person: Person): Promise<Run> {
    const kept = await this.planning.keptState(reviewId, person);
    return this.begin(await this.planning.ofStrategy(reviewId, run, kept, person));
  }

  /** Starts runs of one state of the strategy in several databases; what is not settled in one holds up no other. */
  async startTogether(
    reviewId: string,
    { databases, ...about }: NewRuns,
    person: Person,
  ): Promise<StartedRuns> {
    const kept = await this.planning.keptState(reviewId, person);
    const together = randomUUID();
    const outcomes = await Promise.all(
      databases.map(async (database): Promise<Run | StartedRuns['refused'][number]> => {
        try {
          return await this.begin(
            await this.planning.ofStrategy(reviewId, { ...about, database }, kept, person, together),
          );
        } catch (error) {
          return { database, problem: problemOf(error) };
        }
      }),
    );
    return {
      started: outcomes.flatMap((each) => ('problem' in each ? [] : [each])),
      refused: outcomes.flatMap((each) => ('problem' in each ? [each] : [])),
    };
  }

  /** Runs what an entry ran, against the release of then or the present one. */
  async repeat(
    reviewId: string,
    entry: number,
    run: RepeatedRun,
    person: Person,
    also: AlsoWritten = () => Promise.resolve(),
  ): Promise<Run> {
    return this.begin(await this.planning.ofEntry(reviewId, entry, run, person), also);
  }

  /** From here on it is in the store, and ends with an entry whatever happens. */
  private async begin(
    { row, database }: PlannedRun,
    also: AlsoWritten = () => Promise.resolve(),
  ): Promise<Run> {
    await this.store.write(async (manager) => {
      const { reviewId } = row;
      if (!(await manager.existsBy(ReviewRow, { id: reviewId, deletedAt: IsNull() })))
        throw notFound('This review');
      if (await manager.existsBy(RunRow, { reviewId, database: row.database, status: 'running' })) {
        throw conflict(
          `A search of this review is running in ${row.databaseName} already.`,
          'Wait for it to end, or stop it.',
        );
      }
      await manager.insert(RunRow, row);
      await also(manager, row.id);
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

  async get(id: string): Promise<Run> {
    const row = await this.store.read.getRepository(RunRow).findOneBy({ id });
    if (row === null) throw notFound('This run');
    const logged = await this.store.read.findOne(LedgerEntryRow, {
      where: { runId: id },
      select: { entry: true },
    });
    return runOf(row, logged?.entry ?? null);
  }

  /** Those that go on now, in the order in which they began. */
  async running(reviewId: string): Promise<Run[]> {
    const rows = await this.store.read.find(RunRow, {
      where: { reviewId, status: 'running' },
      order: { startedAt: 'ASC', database: 'ASC' },
    });
    return rows.map(runOf);
  }

  /** The states of a run as they come, ending with its last. */
  async progress(id: string): Promise<Observable<Run>> {
    return this.active.get(id)?.progress ?? of(await this.get(id));
  }

  /** The states of all runs that go on in a review, as they come; ends when they have ended. */
  progressOfReview(reviewId: string): Observable<Run> {
    const going = [...this.active.values()].filter(({ progress }) => progress.value.reviewId === reviewId);
    return merge(...going.map(({ progress }) => progress));
  }

  /** Stops a run; one that was left open by something else is closed. */
  async stop(id: string): Promise<Run> {
    const run = this.active.get(id);
    if (run !== undefined) {
      run.stop.abort(STOPPED_BY_PERSON);
      await run.done;
      return this.get(id);
    }
    const row = await this.store.read.findOneBy(RunRow, { id, status: 'running' });
    if (row !== null) await this.closing.close(row, 'interrupted', STOPPED_BY_PERSON, null);
    return this.get(id);
  }

  /** What marks the records that the runs of a review found, by run. */
  async marks(reviewId: string): Promise<Record<string, RunMark[]>> {
    const rows = await this.store.read.find(RunRow, {
      where: { reviewId },
      select: { id: true, marks: true },
    });
    return Object.fromEntries(rows.flatMap(({ id, marks }) => (marks === null ? [] : [[id, marks]])));
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
    const found = new FoundRecords();
    let ended: { status: Exclude<RunStatus, 'running'>; reason: string | null };
    try {
      await this.countLines(row, database, progress, signal);
      await this.fetchRecords(row, database, found, progress, signal);
      ended = { status: 'complete', reason: null };
    } catch (error) {
      ended = { status: 'interrupted', reason: this.reasonOf(error, row, signal) };
    }
    const entry = await this.closing.closeSurely(row, ended.status, ended.reason, found);
    progress.next(runOf(row, entry));
  }

  private reasonOf(error: unknown, row: RunRow, signal: AbortSignal): string {
    if (signal.aborted) return String(signal.reason);
    if (error instanceof DatabaseError) return `${row.databaseName}: ${error.message}`;
    if (error instanceof StoreTrouble) return error.message;
    this.logger.error(error instanceof Error ? error.stack : String(error));
    return 'the application failed during the run';
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
        const { hits, release } = await connector.count(line.string, signal, searchOptionsOf(row));
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
    found: FoundRecords,
    progress: BehaviorSubject<Run>,
    signal: AbortSignal,
  ): Promise<void> {
    const lines = linesOf(row);
    const whole = lines.at(-1);
    const hits = whole?.hits ?? 0;
    if (hits > row.most) {
      throw new DatabaseError(tooManyText(hits, row.most), true);
    }
    // Where the database estimates, it is asked until it gives no more.
    let estimated: boolean = false;
    let ranOut = false;
    while (whole !== undefined && (estimated ? found.given < row.most : found.given < hits)) {
      const left: number = estimated ? row.most - found.given : hits - found.given;
      const page = { start: found.given + 1, size: Math.min(description.pageCap, left) };
      const answer: SearchAnswer | null = await connector
        .search(whole.string, page, signal, searchOptionsOf(row))
        .catch((error: unknown) => {
          if (estimated && isBeyondTheLast(error)) return null;
          throw error;
        });
      if (answer === null) break;
      this.sameRelease(row, answer.release);
      estimated ||= answer.estimated === true;
      if (!estimated && answer.hits !== hits) {
        throw new DatabaseError(`the count changed from ${hits} to ${answer.hits} between two pages`, false);
      }
      if (answer.records.length === 0) {
        if (estimated) break;
        throw new DatabaseError(
          `the database gave ${found.given} of ${hits} records and then no more`,
          false,
        );
      }
      const fresh = found.take(answer.records, page.size);
      row.remarks = [...found.remarks(), ...(estimated ? [estimateRemark(hits)] : [])];
      await this.keep(row, fresh);
      row.fetched = found.size;
      await this.save(row, lines, progress);
      if (fresh.length === 0 && found.again > 0) throw repeatedPages(found, hits);
      ranOut = estimated && found.given >= row.most;
    }
    if (found.again > 0) throw repeatedPages(found, hits);
    if (ranOut) {
      const message = `it gave ${counted(row.most, 'record')}, as many as it was asked for, and may have more: its count is an estimate`;
      throw new DatabaseError(message, false);
    }
  }

  private async keep(row: RunRow, records: readonly RankedRecord[]): Promise<void> {
    if (records.length > 0)
      await this.store.write((manager) => keepRecords(manager, asSource(row), records), LONG_TIMEOUT);
  }

  private async save(row: RunRow, lines: LedgerLine[], progress: BehaviorSubject<Run>): Promise<void> {
    row.lines = lines;
    row.lastAt = new Date().toISOString();
    const { hits, fetched, remarks, lastAt } = row;
    const change = { lines: row.lines, hits, fetched, remarks, lastAt };
    await this.store.write((manager) => manager.update(RunRow, { id: row.id }, change), LONG_TIMEOUT);
    progress.next(runOf(row));
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

function estimateRemark(hits: number): string {
  return `The database estimates its counts; it estimated ${counted(hits, 'record')} here.`;
}

/** SRU 2.0, diagnostic 61: the first record that was asked for is beyond the last. */
function isBeyondTheLast(error: unknown): boolean {
  return error instanceof DatabaseError && error.diagnostic === 61;
}

/** What came again took the place of something else. */
function repeatedPages(found: FoundRecords, hits: number): DatabaseError {
  const [came, others] =
    found.again === 1
      ? ['one record once more that had come on an earlier page', 'one that never came']
      : [`${found.again} records once more that had come on earlier pages`, 'as many that never came'];
  return new DatabaseError(
    `the database gave ${came}, probably in place of ${others}: ${found.size} of ${hits} records are here`,
    false,
  );
}
