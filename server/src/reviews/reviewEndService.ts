import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import type { ReviewDeletion, ReviewHoldings } from '@even-lantern/contract';
import { In, IsNull, Not, type EntityManager, type EntityTarget } from 'typeorm';
import { badInput, conflict } from '../http/problem.js';
import {
  AcceptedFindingRow,
  DatabaseChoiceRow,
  DesignJudgementRow,
  DesignPassRow,
  EditStepRow,
  ElementRow,
  LaneEventRow,
  LaneRow,
  LedgerEntryRow,
  LimitRow,
  LineTextRow,
  PeerCommentRow,
  PeerReviewRow,
  PointJudgementRow,
  RecordCountRow,
  RecordRow,
  RecordStateRow,
  DriftRow,
  FiringRow,
  ScheduleRow,
  ReviewRow,
  RunRecordRow,
  OwnLineRow,
  RunRow,
  ShelfItemRow,
  StrategyVersionRow,
  TermRow,
  WordingRow,
} from '../store/entities.js';
import { Store } from '../store/store.js';
import { ReviewsService } from './reviewsService.js';

/** Rows that go in one change, so that others need not wait for a review of 100,000 records. */
const AT_ONCE = 200;
const MOST_ROUNDS = 5;

/** What belongs to rows that belong to a review, and how. What refers to others goes before them. */
const OF_PEER_REVIEWS = [PointJudgementRow, PeerCommentRow] as const;
const OF_LANES = [LaneEventRow, TermRow] as const;
const OF_REVIEWS = [
  LedgerEntryRow,
  RecordStateRow,
  DriftRow,
  FiringRow,
  ScheduleRow,
  DesignJudgementRow,
  RecordRow,
  RunRow,
  LineTextRow,
  DatabaseChoiceRow,
  ShelfItemRow,
  LimitRow,
  OwnLineRow,
  AcceptedFindingRow,
  StrategyVersionRow,
  EditStepRow,
  PeerReviewRow,
  LaneRow,
] as const;

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
    const deleted = await this.store.read.findBy(ReviewRow, { deletedAt: Not(IsNull()) });
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
      const review = await this.reviews.expect(id, manager);
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

  private async removeAll(id: string): Promise<void> {
    const { read } = this.store;
    const laneIds = (await read.findBy(LaneRow, { reviewId: id })).map((lane) => lane.id);
    const elementIds = (await read.findBy(ElementRow, { reviewId: id })).map((element) => element.id);
    for (const { id: runId } of await read.findBy(RunRow, { reviewId: id })) await this.removeFound(runId);
    for (const table of OF_LANES) await this.removeRows(table, { laneId: In(laneIds) });
    const peerReviews = await read.findBy(PeerReviewRow, { reviewId: id });
    const ofPeerReviews = { peerReviewId: In(peerReviews.map((each) => each.id)) };
    for (const table of OF_PEER_REVIEWS) await this.removeRows(table, ofPeerReviews);
    for (const table of OF_REVIEWS) await this.removeRows(table, { reviewId: id });
    await this.removeRows(WordingRow, { elementId: In(elementIds) });
    await this.removeRows(ElementRow, { reviewId: id });
    await this.store.write(async (manager) => {
      await manager.delete(RecordCountRow, { reviewId: id });
      await manager.delete(DesignPassRow, { reviewId: id });
      await manager.delete(ReviewRow, { id });
    });
  }

  private async removeRows(table: EntityTarget<{ id: string }>, where: object): Promise<void> {
    const some = (manager: EntityManager) =>
      manager.find(table, { select: { id: true }, where, take: AT_ONCE });
    for (;;) {
      const left = await this.store.write(async (manager) => {
        const ids = (await some(manager)).map(({ id }) => id);
        if (ids.length > 0) await manager.delete(table, { id: In(ids) });
        return ids.length === AT_ONCE;
      });
      if (!left) return;
      await othersFirst();
    }
  }

  private async removeFound(runId: string): Promise<void> {
    for (;;) {
      const left = await this.store.write(async (manager) => {
        const rows = await manager.find(RunRecordRow, { where: { runId }, take: AT_ONCE });
        const accessions = rows.map(({ accession }) => accession);
        if (accessions.length > 0) await manager.delete(RunRecordRow, { runId, accession: In(accessions) });
        return accessions.length === AT_ONCE;
      });
      if (!left) return;
      await othersFirst();
    }
  }
}
