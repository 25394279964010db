import { randomUUID } from 'node:crypto';
import {
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import type { Person } from '@even-lantern/contract';
import { In, IsNull, LessThan, LessThanOrEqual, MoreThan, Not } from 'typeorm';
import { problemOf } from '../http/problem.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { runContent } from '../runs/runPlanning.js';
import { RunsService } from '../runs/runsService.js';
import {
  OccurrenceRow,
  type FreshRecord,
  LedgerEntryRow,
  PersonRow,
  RecordRow,
  ReviewRow,
  RunRecordRow,
  RunRow,
  ScheduleRow,
} from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { Store } from '../store/store.js';
import { nextTime, timesBetween } from './recurrence.js';

/** How often it is looked at what is due. */
const LOOK_EVERY_MS = 5000;
const MINUTE_MS = 60_000;
/** After how many minutes what failed is tried again, one time after the other. */
const AGAIN_AFTER_MINUTES = [1, 5, 15, 60, 180, 360, 720];

/**
 * Runs what is due, also while nobody has a page open, and after a restart. Each time is a row of its own, which is
 * written in the change that moves the schedule on: so it fires once, whatever happens in between.
 */
@Injectable()
export class Scheduler implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger('schedules');
  private timer: NodeJS.Timeout | null = null;
  private looking: Promise<void> = Promise.resolve();
  private readonly going = new Set<Promise<void>>();
  private ended = false;

  constructor(
    private readonly store: Store,
    private readonly ledger: LedgerService,
    private readonly runs: RunsService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    for (const occurrence of await this.store.read.findBy(OccurrenceRow, { status: 'running' })) {
      const run = await this.store.read.findOneBy(RunRow, { id: occurrence.runId ?? '' });
      // A run that had ended well is not made again; what was cut off is tried again.
      if (run?.status === 'complete') await this.done(occurrence, run.id);
      else await this.cutOff(occurrence.id);
    }
    this.timer = setInterval(() => void this.look(), LOOK_EVERY_MS);
    this.timer.unref();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended = true;
    if (this.timer !== null) clearInterval(this.timer);
    await this.looking;
    await Promise.all(this.going);
  }

  /** Fires what is due at a time, and tries again what waits. @returns when all of it has been started */
  look(now = new Date()): Promise<void> {
    this.looking = this.looking
      .then(() => (this.ended ? undefined : this.fireWhatIsDue(now)))
      .catch((error: unknown) => {
        // The store may be locked or full: the next look does it.
        this.logger.error(error instanceof Error ? error.message : String(error));
      });
    return this.looking;
  }

  /** Waits until what was started has ended. */
  async settled(): Promise<void> {
    await this.looking;
    await Promise.all(this.going);
  }

  private async fireWhatIsDue(now: Date): Promise<void> {
    await this.wakeThoseTooFarAhead(now);
    const due = await this.store.read.find(ScheduleRow, {
      where: { state: 'active', nextAt: LessThanOrEqual(now.toISOString()) },
      select: { id: true },
    });
    for (const { id } of due) await this.fire(id, now);
    const waiting = await this.store.read.find(OccurrenceRow, {
      where: { status: 'waits', againAt: LessThanOrEqual(now.toISOString()) },
    });
    for (const occurrence of waiting) {
      const carried = this.carryOut(occurrence, now).finally(() => this.going.delete(carried));
      this.going.add(carried);
    }
    // So that a occurrence that is looked at again has left the state of waiting.
    await Promise.all([...this.starting]);
  }

  /**
   * A clock that ran far ahead leaves times that nobody would live to see. One of two times ahead is left alone: where
   * the clock was set back a little, the next has been dealt with already.
   */
  private async wakeThoseTooFarAhead(now: Date): Promise<void> {
    const schedules = await this.store.read.find(ScheduleRow, {
      where: { state: 'active', nextAt: MoreThan(now.toISOString()) },
      select: { id: true, nextAt: true, recurrence: true },
    });
    for (const { id, nextAt, recurrence } of schedules) {
      const next = nextTime(recurrence, now);
      if (nextAt === null || Date.parse(nextAt) <= nextTime(recurrence, next).getTime()) continue;
      await this.store.write((manager) =>
        manager.update(ScheduleRow, { id, nextAt }, { nextAt: next.toISOString() }),
      );
    }
    const longest = Math.max(...AGAIN_AFTER_MINUTES) * MINUTE_MS;
    const againAt = MoreThan(new Date(now.getTime() + longest).toISOString());
    const waiting = await this.store.read.find(OccurrenceRow, {
      where: { status: 'waits', againAt },
      select: { id: true },
    });
    for (const { id } of waiting) {
      await this.store.write((manager) =>
        manager.update(OccurrenceRow, { id, status: 'waits', againAt }, { againAt: now.toISOString() }),
      );
    }
  }

  private readonly starting = new Set<Promise<unknown>>();

  /** Writes down that a schedule was due, and when it is next. */
  private fire(id: string, now: Date): Promise<void> {
    return this.store.write(async (manager) => {
      const schedule = await manager.findOneBy(ScheduleRow, {
        id,
        state: 'active',
        nextAt: LessThanOrEqual(now.toISOString()),
      });
      if (schedule?.nextAt == null) return;
      const { reviewId, nextAt: dueAt } = schedule;
      const recurrence = schedule.recurrence;
      const nextAt = nextTime(recurrence, now).toISOString();
      const missed = timesBetween(recurrence, new Date(dueAt), now);
      await manager.update(ScheduleRow, { id }, { nextAt });
      if (!(await manager.existsBy(ReviewRow, { id: reviewId, deletedAt: IsNull() }))) return;
      for (const entry of schedule.entries) {
        const { content } = await this.ledger.entry(manager, reviewId, entry);
        await manager.insert(OccurrenceRow, {
          id: randomUUID(),
          reviewId,
          scheduleId: id,
          dueAt,
          entry,
          databaseName: runContent(content).databaseName,
          status: 'waits',
          missed,
          tries: 0,
          againAt: now.toISOString(),
          runId: null,
          became: null,
          fresh: null,
          freshCount: 0,
          trouble: null,
          seen: false,
        });
      }
    });
  }

  private async carryOut(occurrence: OccurrenceRow, now: Date): Promise<void> {
    let begun: () => void = () => undefined;
    const beginning = new Promise<void>((resolve) => (begun = resolve));
    this.starting.add(beginning);
    try {
      const runId = await this.begin(occurrence);
      begun();
      if (runId === null) return;
      const run = await this.runs.finished(runId);
      if (run.status === 'complete') await this.done(occurrence, runId);
      // A run that was stopped with the program is tried again by the next one.
      else if (!this.ended) await this.again(occurrence, now, `${run.databaseName}: ${run.reason ?? ''}`);
    } catch (error) {
      const { title, detail } = problemOf(error);
      await this.again(occurrence, now, [title, ...(detail === undefined ? [] : [detail])].join(' '));
    } finally {
      begun();
      this.starting.delete(beginning);
    }
  }

  /** Starts the run; the occurrence is no longer waiting from the moment the run is in the store. */
  private async begin(occurrence: OccurrenceRow): Promise<string | null> {
    const { read } = this.store;
    const schedule = await read.findOneByOrFail(ScheduleRow, { id: occurrence.scheduleId });
    const person = await read.findOneByOrFail(PersonRow, { id: schedule.createdBy });
    const { timeZone } = schedule.recurrence;
    // What it is compared with is what this schedule found last.
    const [last] = await read.find(OccurrenceRow, {
      where: {
        scheduleId: occurrence.scheduleId,
        entry: occurrence.entry,
        status: 'done',
        became: Not(IsNull()),
      },
      // By the order of the ledger: clocks can be set back.
      order: { became: 'DESC' },
      take: 1,
    });
    const by: Person = { id: person.id, name: person.name };
    const run = await this.runs.repeat(
      occurrence.reviewId,
      last?.became ?? occurrence.entry,
      { release: 'present', timeZone, purpose: 'Run on schedule' },
      by,
      async (manager, runId) => {
        const change = { status: 'running' as const, runId, tries: occurrence.tries + 1, againAt: null };
        const { affected } = await manager.update(
          OccurrenceRow,
          { id: occurrence.id, status: 'waits' },
          change,
        );
        if (affected === 0) throw new Error('This time was dealt with already.');
      },
    );
    return run.id;
  }

  private async done(occurrence: OccurrenceRow, runId: string): Promise<void> {
    const fresh = await this.freshIn(occurrence.reviewId, runId);
    await this.store.write(async (manager) => {
      const entry = await manager.findOneBy(LedgerEntryRow, { runId });
      await manager.update(
        OccurrenceRow,
        { id: occurrence.id },
        {
          status: 'done',
          became: entry?.entry ?? null,
          fresh,
          freshCount: fresh.length,
          trouble: null,
        },
      );
    });
  }

  /** The records of a run that no run found in that database which the review’s ledger has before it. */
  private async freshIn(reviewId: string, runId: string): Promise<FreshRecord[]> {
    const { read } = this.store;
    const run = await read.findOneByOrFail(RunRow, { id: runId });
    const own = await read.findOneByOrFail(LedgerEntryRow, { runId });
    const earlier = await read.find(LedgerEntryRow, {
      where: { reviewId, entry: LessThan(own.entry), runId: Not(IsNull()) },
      select: { runId: true },
    });
    const logged = new Set(earlier.map(({ runId: each }) => each));
    const runs = await read.find(RunRow, {
      where: { reviewId, database: run.database },
      select: { id: true },
    });
    const before = runs.filter(({ id }) => logged.has(id));
    const found = await read.find(RunRecordRow, { where: { runId }, select: { accession: true } });
    const known = new Set<string>();
    for (const { id } of before) {
      const rows = await read.find(RunRecordRow, { where: { runId: id }, select: { accession: true } });
      for (const { accession } of rows) known.add(accession);
    }
    const fresh: FreshRecord[] = [];
    const accessions = found.map(({ accession }) => accession).filter((each) => !known.has(each));
    await inBatches(accessions, async (batch) => {
      const rows = await read.find(RecordRow, {
        where: { reviewId, database: run.database, accession: In([...batch]) },
        select: { accession: true, title: true, year: true },
      });
      fresh.push(...rows.map(({ accession, title, year }) => ({ accession, title, year })));
    });
    return fresh;
  }

  private async cutOff(id: string): Promise<void> {
    const trouble = 'the application stopped during the run';
    await this.store.write((manager) =>
      manager.update(OccurrenceRow, { id }, { status: 'waits', againAt: new Date().toISOString(), trouble }),
    );
  }

  /** Notes what went wrong, and when it is tried again; after a day it is given up, and told. */
  private async again(occurrence: OccurrenceRow, now: Date, trouble: string): Promise<void> {
    const tries = occurrence.tries + 1;
    const minutes = AGAIN_AFTER_MINUTES[tries - 1];
    await this.store.write((manager) =>
      manager.update(
        OccurrenceRow,
        { id: occurrence.id },
        {
          status: minutes === undefined ? 'failed' : 'waits',
          tries,
          againAt: minutes === undefined ? null : new Date(now.getTime() + minutes * MINUTE_MS).toISOString(),
          trouble,
        },
      ),
    );
  }
}
