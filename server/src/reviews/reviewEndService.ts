import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import type { ReviewDeletion, ReviewHoldings } from '@even-lantern/contract';
import { In, IsNull, Not, type ObjectLiteral } from 'typeorm';
import { badInput, conflict, notFound } from '../http/problem.js';
import type { TableDescription } from '../store/description.js';
import {
  LaneRow,
  LedgerEntryRow,
  RecordCountRow,
  ReviewRow,
  RunRow,
  ShelfItemRow,
  TermRow,
} from '../store/entities.js';
import { rowsOfReview, TABLES_OF_REVIEWS, type OwnerIds } from '../store/tables.js';
import { Store } from '../store/store.js';
import { ReviewsService } from './reviewsService.js';

/** Rows that go in one change, so that others need not wait for a review of 100,000 records. */
const AT_ONCE = 200;
const MOST_ROUNDS = 5;

/** Deleting reviews. One that is deleted is gone at once for everybody; what it held goes bit by bit. */
@Injectable()
export class ReviewEndService implements OnApplicationBootstrap {
  private readonly logger = new Logger('reviews');
  private going: Promise<void> = Promise.resolve();

  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** What was left of reviews when the program stopped goes now. */
  async onApplicationBootstrap(): Promise<void> {
    // Its key alone: whatever else is kept of it, it goes.
    const deleted = await this.store.read.find(ReviewRow, {
      select: { id: true },
      where: { deletedAt: Not(IsNull()) },
    });
    for (const { id } of deleted) this.empty(id);
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.going;
  }

  /** When all that was deleted is gone. */
  settled(): Promise<void> {
    return this.going;
  }

  async holdings(id: string): Promise<ReviewHoldings> {
    const { read } = this.store;
    await this.reviews.expect(id);
    const lanes = await read.findBy(LaneRow, { reviewId: id, removedAt: IsNull() });
    const terms = await read.findBy(TermRow, {
      laneId: In(lanes.map((lane) => lane.id)),
      removedAt: IsNull(),
    });
    const counts = await read.findBy(RecordCountRow, { reviewId: id });
    const records = counts.reduce((sum, { number }) => sum + number, 0);
    const undecided = counts.find(({ decision }) => decision === 'undecided')?.number ?? 0;
    return {
      lanes: lanes.filter((lane) => terms.some(({ laneId }) => laneId === lane.id)).length,
      terms: terms.length,
      onShelf: await read.countBy(ShelfItemRow, { reviewId: id, removedAt: IsNull() }),
      ledgerEntries: await read.countBy(LedgerEntryRow, { reviewId: id }),
      records,
      decided: records - undecided,
    };
  }

  /** @throws ProblemException where the title is not typed as it is, or a search is running */
  async delete(id: string, { title }: ReviewDeletion): Promise<void> {
    await this.store.write(async (manager) => {
      // No more of it than is needed, so that one that cannot be read can be deleted too.
      const review = await manager.findOne(ReviewRow, {
        select: { id: true, title: true },
        where: { id, deletedAt: IsNull() },
      });
      if (review === null) throw notFound('This review');
      if (title.trim() !== review.title) {
        const message = `Type the title as it stands to delete the review: ${review.title}`;
        throw badInput([{ path: 'title', message }]);
      }
      if ((await manager.countBy(RunRow, { reviewId: id, status: 'running' })) > 0) {
        throw conflict('A search of this review is running.', 'Nothing was deleted. Stop it first, or wait.');
      }
      await manager.update(ReviewRow, { id }, { deletedAt: new Date().toISOString() });
    });
    this.empty(id);
  }

  /** Removes a review of which only a part was taken in, and which nobody has seen. */
  async discard(id: string): Promise<void> {
    if (await this.store.read.existsBy(ReviewRow, { id, deletedAt: Not(IsNull()) })) this.empty(id);
  }

  /** Removes what a deleted review held, one review after the other. */
  private empty(id: string): void {
    this.going = this.going.then(async () => {
      for (let round = 1; ; round += 1) {
        try {
          await this.removeAll(id);
          return;
        } catch (error) {
          if (round < MOST_ROUNDS) continue;
          const why = error instanceof Error ? error.message : String(error);
          this.logger.error(`What is left of the deleted review ${id} goes at the next start: ${why}`);
          return;
        }
      }
    });
  }

  /** What refers to others goes before them, and the review last. */
  private async removeAll(id: string): Promise<void> {
    const owners: OwnerIds = new Map();
    for (const table of [...TABLES_OF_REVIEWS].reverse()) {
      await this.removeRows(table, await rowsOfReview(this.store.read, table, id, owners));
    }
  }

  private async removeRows({ entity }: TableDescription, where: ObjectLiteral): Promise<void> {
    const keys = this.store.read.connection
      .getMetadata(entity)
      .primaryColumns.map(({ propertyName }) => propertyName);
    const select = Object.fromEntries(keys.map((key) => [key, true]));
    for (;;) {
      const left = await this.store.write(async (manager) => {
        const rows = await manager.find<ObjectLiteral>(entity, { select, where, take: AT_ONCE });
        for (const criteria of byFirstKey(rows, keys)) await manager.delete(entity, criteria);
        return rows.length === AT_ONCE;
      });
      if (!left) return;
      await othersFirst();
    }
  }
}

/** Rows as conditions: where their key is of two columns, one condition for each value of the first. */
function byFirstKey(
  rows: readonly ObjectLiteral[],
  [first = 'id', second]: readonly string[],
): ObjectLiteral[] {
  if (rows.length === 0) return [];
  const valuesOf = (some: readonly ObjectLiteral[], key: string) => In(some.map((row) => row[key] as string));
  if (second === undefined) return [{ [first]: valuesOf(rows, first) }];
  const owners = new Set(rows.map((row) => row[first] as string));
  return [...owners].map((owner) => {
    const own = rows.filter((row) => row[first] === owner);
    return { [first]: owner, [second]: valuesOf(own, second) };
  });
}
