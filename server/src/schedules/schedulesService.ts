import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type {
  Occurrence,
  OccurrencePart,
  NewSchedule,
  Person,
  Schedule,
  ScheduleChange,
} from '@even-lantern/contract';
import { In, Not, type EntityManager } from 'typeorm';
import { badInput, changedMeanwhile, notFound } from '../http/problem.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { PeopleService } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { OccurrenceRow, ScheduleRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { runContent } from '../runs/runPlanning.js';
import { nextTime } from './recurrence.js';
import { newFeedToken } from './feedToken.js';

/** Firings that are told with a schedule. */
const FIRINGS_TOLD = 10;

/** Searches that are run again by themselves: set, changed, paused and ended. */
@Injectable()
export class SchedulesService {
  constructor(
    private readonly store: Store,
    private readonly ledger: LedgerService,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /** Those of a review, the latest first; those that were ended too. */
  async list(reviewId: string, manager = this.store.read): Promise<Schedule[]> {
    await this.reviews.expect(reviewId, manager);
    const rows = await manager.find(ScheduleRow, { where: { reviewId }, order: { createdAt: 'DESC' } });
    return this.shown(rows, manager);
  }

  /** The schedule that a feed belongs to. */
  async ofToken(token: string): Promise<Schedule> {
    const rows = await this.store.read.findBy(ScheduleRow, { token });
    const [schedule] = await this.shown(rows, this.store.read);
    if (schedule === undefined) throw notFound('This feed');
    // A review that was deleted takes its feeds with it.
    await this.reviews.expect(schedule.reviewId);
    return schedule;
  }

  async get(id: string): Promise<Schedule> {
    const [schedule] = await this.shown(await this.store.read.findBy(ScheduleRow, { id }), this.store.read);
    if (schedule === undefined) throw notFound('This schedule');
    return schedule;
  }

  add(reviewId: string, { entries, ...recurrence }: NewSchedule, person: Person): Promise<Schedule[]> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const databases = new Set<string>();
      for (const number of entries) {
        const { content } = await this.ledger.entry(manager, reviewId, number);
        const { database, databaseName } = runContent(content);
        if (databases.has(database)) {
          throw badInput([{ path: 'entries', message: `Choose one entry of ${databaseName} alone.` }]);
        }
        databases.add(database);
      }
      const now = new Date();
      await manager.insert(ScheduleRow, {
        id: randomUUID(),
        reviewId,
        entries,
        recurrence,
        state: 'active',
        nextAt: nextTime(recurrence, now).toISOString(),
        token: newFeedToken(),
        createdAt: now.toISOString(),
        createdBy: person.id,
        version: 1,
      });
      return this.list(reviewId, manager);
    });
  }

  change(id: string, version: number, { recurrence, state }: ScheduleChange): Promise<Schedule[]> {
    return this.store.write(async (manager) => {
      const row = await manager.findOneBy(ScheduleRow, { id });
      if (row === null) throw notFound('This schedule');
      if (row.version !== version) {
        const [current] = await this.shown([row], manager);
        throw changedMeanwhile('schedule', current);
      }
      const next = {
        recurrence: recurrence ?? row.recurrence,
        state: state ?? row.state,
      };
      if (row.state === 'ended' && next.state === 'ended' && recurrence !== undefined) {
        throw badInput([{ path: 'state', message: 'This schedule was ended. Begin it again first.' }]);
      }
      await manager.update(
        ScheduleRow,
        { id },
        {
          recurrence: next.recurrence,
          state: next.state,
          nextAt: next.state === 'active' ? nextTime(next.recurrence, new Date()).toISOString() : null,
          version: version + 1,
        },
      );
      // What still waits from before is not tried any more where nobody wants it.
      if (next.state !== 'active') {
        const trouble = `the schedule was ${next.state} before it could be run`;
        const waits = { scheduleId: id, status: 'waits' as const };
        await manager.update(OccurrenceRow, waits, { status: 'failed', againAt: null, trouble });
      }
      return this.list(row.reviewId, manager);
    });
  }

  /** Notes that somebody has looked at what a schedule brought. */
  see(id: string): Promise<Schedule[]> {
    return this.store.write(async (manager) => {
      const row = await manager.findOneBy(ScheduleRow, { id });
      if (row === null) throw notFound('This schedule');
      await manager.update(
        OccurrenceRow,
        { scheduleId: id, status: Not(In(['waits', 'running'])) },
        { seen: true },
      );
      return this.list(row.reviewId, manager);
    });
  }

  private async shown(rows: readonly ScheduleRow[], manager: EntityManager): Promise<Schedule[]> {
    if (rows.length === 0) return [];
    const nameOf = await this.people.namesOf(
      rows.map(({ createdBy }) => createdBy),
      manager,
    );
    return Promise.all(
      rows.map(async (row): Promise<Schedule> => {
        const { id, reviewId, state, nextAt, createdAt, createdBy, version, token } = row;
        const numbers = row.entries;
        const entries = await Promise.all(
          numbers.map(async (entry) => {
            const { content } = await this.ledger.entry(manager, reviewId, entry);
            return { entry, databaseName: runContent(content).databaseName };
          }),
        );
        const unseen = await manager.sum(OccurrenceRow, 'freshCount', { scheduleId: id, seen: false });
        return {
          ...row.recurrence,
          id,
          reviewId,
          entries,
          state,
          nextAt,
          createdAt,
          createdBy: nameOf(createdBy),
          version,
          feed: `/api/feeds/${token}.atom`,
          occurrences: await occurrencesOf(manager, id, numbers.length),
          unseen: unseen ?? 0,
        };
      }),
    );
  }
}

async function occurrencesOf(
  manager: EntityManager,
  scheduleId: string,
  entries: number,
): Promise<Occurrence[]> {
  const rows = await manager.find(OccurrenceRow, {
    where: { scheduleId },
    order: { dueAt: 'DESC', entry: 'ASC' },
    take: FIRINGS_TOLD * entries,
  });
  const occurrences = new Map<string, Occurrence>();
  for (const row of rows) {
    const { dueAt, missed, freshCount, seen } = row;
    const occurrence = occurrences.get(dueAt) ?? { dueAt, missed, parts: [], fresh: 0, seen: true };
    occurrence.parts.push(partOf(row));
    occurrence.fresh += freshCount;
    occurrence.seen &&= seen;
    occurrences.set(dueAt, occurrence);
  }
  return [...occurrences.values()];
}

function partOf({
  databaseName,
  status,
  became,
  freshCount,
  trouble,
  againAt,
}: OccurrenceRow): OccurrencePart {
  const fresh = status === 'done' ? freshCount : null;
  return { databaseName, status, entry: became, fresh, trouble, againAt };
}
