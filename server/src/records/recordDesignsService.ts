import { createHash } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, Logger, type BeforeApplicationShutdown } from '@nestjs/common';
import { DECISIONS, type Decision, type DesignCounts, type RecordCounts } from '@even-lantern/contract';
import { In, IsNull } from 'typeorm';
import { Configuration } from '../configuration/configuration.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DesignPassRow, RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { DesignContent } from '../designs/designContent.js';
import { WorkerPool } from '../workers/workerPool.js';
import type { DesignTask } from './designTask.js';

/** Records told at a time. A change of so many rows is over before anybody notices. */
const AT_ONCE = 100;
const MOST_MS = 30_000;
/** Between two changes, so that others have their turn. */
const PAUSE_MS = 2;

/**
 * The likely designs of the records of a review, worked out when somebody asks and kept with the records. What a person
 * judged is left as it is; what a database says otherwise later is told anew.
 */
@Injectable()
export class RecordDesignsService implements BeforeApplicationShutdown {
  private readonly logger = new Logger('designs');
  private readonly pool: WorkerPool<DesignTask, string[]>;
  /** the reviews that are being worked on */
  private readonly going = new Map<string, Promise<void>>();
  /** why the last work on a review ended before it was done */
  private readonly troubles = new Map<string, string>();
  private stopped = false;

  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly content: DesignContent,
    configuration: Configuration,
  ) {
    this.pool = new WorkerPool(configuration.program('records/designTask'));
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.stopped = true;
    await Promise.all(this.going.values());
    await this.pool.close();
  }

  /** When the work on a review is over, for whatever reason. */
  async settled(reviewId: string): Promise<void> {
    await this.going.get(reviewId);
  }

  /** How many records there are of each design. Those that are not told yet begin to be. */
  async counts(reviewId: string): Promise<DesignCounts> {
    await this.reviews.expect(reviewId);
    const rows = await this.store.read
      .createQueryBuilder(RecordRow, 'record')
      .select('record.design', 'design')
      .addSelect('record.decision', 'decision')
      .addSelect('COUNT(*)', 'number')
      .where('record.reviewId = :reviewId', { reviewId })
      .groupBy('record.design')
      .addGroupBy('record.decision')
      .getRawMany<{ design: string | null; decision: string; number: number | string }>();
    const designs = new Map<string, RecordCounts>();
    let pending = 0;
    for (const { design, decision, number } of rows) {
      if (design === null) {
        pending += Number(number);
        continue;
      }
      const counts = designs.get(design) ?? none();
      counts[decision as Decision] += Number(number);
      designs.set(design, counts);
    }
    const trouble = this.troubles.get(reviewId) ?? null;
    const byTheseRules = (await this.rulesOf(reviewId)) === (await this.digest());
    if (!byTheseRules) {
      // What other rules told is nothing to narrow by.
      pending = rows.reduce((sum, { number }) => sum + Number(number), 0);
      designs.clear();
    }
    if (pending > 0) this.begin(reviewId);
    return {
      designs: [...designs].map(([design, records]) => ({ design, records })),
      pending,
      trouble: pending > 0 ? trouble : null,
    };
  }

  private begin(reviewId: string): void {
    if (this.stopped || this.going.has(reviewId)) return;
    this.troubles.delete(reviewId);
    const work = this.work(reviewId)
      .catch((error: unknown) => {
        const why = error instanceof Error ? error.message : String(error);
        this.logger.warn(`The designs of the records of review ${reviewId} could not be told: ${why}`);
        this.troubles.set(reviewId, 'The designs could not be worked out. Nothing else is touched by it.');
      })
      .finally(() => this.going.delete(reviewId));
    this.going.set(reviewId, work);
  }

  private async work(reviewId: string): Promise<void> {
    const { rules, taxonomy } = await this.content.get();
    await this.forgetOtherRules(reviewId);
    while (!this.stopped) {
      const rows = await this.store.read.find(RecordRow, {
        where: { reviewId, design: IsNull() },
        select: { id: true, record: true, lastRunId: true, lastSearchId: true },
        take: AT_ONCE,
      });
      if (rows.length === 0) return;
      const task = { rules, taxonomy, records: rows.map(({ record }) => record) };
      const designs = await this.pool.run(task, { signal: AbortSignal.timeout(MOST_MS) });
      await this.store.write(async (manager) => {
        for (const [i, { id, lastRunId, lastSearchId }] of rows.entries()) {
          // What somebody judged or a run brought meanwhile goes before it.
          const where = {
            id,
            lastRunId: lastRunId ?? IsNull(),
            lastSearchId: lastSearchId ?? IsNull(),
            design: IsNull(),
            designJudged: false,
          };
          await manager.update(RecordRow, where, { design: designs[i] ?? '' });
        }
      });
      await pause(PAUSE_MS);
    }
  }

  /** What other rules told, those of an earlier release of the program, is told anew. */
  private async forgetOtherRules(reviewId: string): Promise<void> {
    const [known, rules] = [await this.rulesOf(reviewId), await this.digest()];
    if (known === rules) return;
    for (let after = ''; known !== null && !this.stopped;) {
      const rows = await this.store.read
        .createQueryBuilder(RecordRow, 'record')
        .select('record.id', 'id')
        .where('record.reviewId = :reviewId AND record.id > :after', { reviewId, after })
        .orderBy('record.id')
        .limit(AT_ONCE)
        .getRawMany<{ id: string }>();
      const last = rows.at(-1);
      if (last === undefined) break;
      const where = { id: In(rows.map(({ id }) => id)), designJudged: false };
      await this.store.write((manager) => manager.update(RecordRow, where, { design: null }));
      after = last.id;
      await pause(PAUSE_MS);
    }
    if (this.stopped) return;
    await this.store.write((manager) => manager.upsert(DesignPassRow, { reviewId, rules }, ['reviewId']));
  }

  /** The rules that told the designs of a review; null where none did yet. */
  private async rulesOf(reviewId: string): Promise<string | null> {
    return (await this.store.read.findOneBy(DesignPassRow, { reviewId }))?.rules ?? null;
  }

  private async digest(): Promise<string> {
    const { rules, turtle } = await this.content.get();
    return createHash('sha256').update(rules).update(turtle).digest('hex');
  }
}

function none(): RecordCounts {
  return Object.fromEntries(DECISIONS.map((each) => [each, 0])) as RecordCounts;
}
