import { Injectable, Logger } from '@nestjs/common';
import {
  lanesOfQuestion,
  questionSentence,
  stageOf,
  type ElementKey,
  type FrameworkId,
} from '@even-lantern/core';
import type { ReviewSummary, RunStatus } from '@even-lantern/contract';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { PeopleService } from '../people/people.js';
import {
  ElementRow,
  LaneEventRow,
  LaneRow,
  LimitRow,
  OwnLineRow,
  RecordCountRow,
  RecordRow,
  ReviewRow,
  RunRow,
  ShelfItemRow,
  TermRow,
  WordingRow,
} from '../store/entities.js';
import { descriptionOf, misfitIn, UnreadableColumn } from '../store/description.js';
import { Store } from '../store/store.js';

interface Step {
  at: string;
  personId: string;
}

/** All reviews, and where each of them stands. */
@Injectable()
export class ReviewListService {
  private readonly logger = new Logger('reviews');

  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  /** Those that are worked on first, then those put away; each in the order in which they were begun. */
  async list(): Promise<ReviewSummary[]> {
    const { read } = this.store;
    const reviews = await read.find(ReviewRow, {
      // No JSON: one review of which something cannot be read must not take the others with it.
      select: { id: true, title: true, version: true, createdAt: true, putAwayAt: true, framework: true },
      where: { deletedAt: IsNull() },
      order: { createdAt: 'ASC' },
    });
    const ground = await groundOf(read);
    const standings = await Promise.all(reviews.map((review) => this.standing(review, ground)));
    const nameOf = await this.people.namesOf(standings.flatMap(({ last }) => last?.personId ?? []));
    const summaries = standings.map(({ last, ...summary }) => ({
      ...summary,
      lastChange: last === null ? null : { at: last.at, person: nameOf(last.personId) },
    }));
    const isAway = ({ putAwayAt }: ReviewSummary) => putAwayAt !== null;
    return [...summaries.filter((each) => !isAway(each)), ...summaries.filter(isAway)];
  }

  /** Whether there is any review. */
  hasAny(): Promise<boolean> {
    return this.store.read.existsBy(ReviewRow, { deletedAt: IsNull() });
  }

  private async standing(review: ReviewRow, ground: Ground) {
    const misfit = misfitIn({ framework: review.framework }, descriptionOf(ReviewRow));
    if (misfit !== null) return unreadable(review, misfit);
    try {
      return await standingOf(this.store.read, review, ground);
    } catch (error) {
      this.logger.error(error instanceof Error ? error.stack : String(error));
      const known = error instanceof UnreadableColumn;
      return unreadable(review, known ? error.message : 'the program failed at it.');
    }
  }
}

/** A review of which nothing but its title can be told. */
function unreadable(
  { id, title, version, createdAt, putAwayAt }: ReviewRow,
  trouble: string,
): Omit<ReviewSummary, 'lastChange'> & { last: null } {
  return {
    id, title, version, createdAt, putAwayAt, trouble,
    sentence: '', stage: 'question', lanes: 0, unread: 0, lastRun: null, last: null,
  }; // prettier-ignore
}

/** What is read once for all reviews, since there are few rows of it each. */
interface Ground {
  elements: ElementRow[];
  /** those that have ended too */
  lanes: LaneRow[];
  /** terms in a lane, by its id */
  terms: ReadonlyMap<string, number>;
  counts: RecordCountRow[];
}

async function groundOf(manager: EntityManager): Promise<Ground> {
  const terms: { laneId: string; number: number | string }[] = await manager
    .createQueryBuilder(TermRow, 'term')
    .select('term.laneId', 'laneId')
    .addSelect('COUNT(*)', 'number')
    .where('term.removedAt IS NULL')
    .groupBy('term.laneId')
    .getRawMany();
  return {
    elements: await manager.find(ElementRow, { order: { position: 'ASC' } }),
    lanes: await manager.find(LaneRow),
    terms: new Map(terms.map(({ laneId, number }) => [laneId, Number(number)])),
    counts: await manager.find(RecordCountRow),
  };
}

async function standingOf(
  manager: EntityManager,
  review: ReviewRow,
  ground: Ground,
): Promise<Omit<ReviewSummary, 'lastChange'> & { last: Step | null }> {
  const { id: reviewId, title, version, createdAt, putAwayAt } = review;
  const framework = review.framework as FrameworkId;
  const own = <T extends { reviewId: string }>(rows: readonly T[]) =>
    rows.filter((row) => row.reviewId === reviewId);
  const elements = own(ground.elements);
  const allLanes = own(ground.lanes);
  const lanes = allLanes.filter(({ removedAt }) => removedAt === null);
  const searched = lanesOfQuestion(
    elements.map((element) => ({ ...element, key: element.key as ElementKey })),
    lanes.map((lane) => ({ ...lane, terms: [] })),
  );
  const held = searched.map(({ id }) => ground.terms.get(id) ?? 0);
  const [run] = await manager.find(RunRow, {
    select: { startedAt: true, ranBy: true, databaseName: true, hits: true, status: true },
    where: { reviewId },
    order: { startedAt: 'DESC' },
    take: 1,
  });
  const counts = own(ground.counts);
  const sentence = questionSentence(
    elements.map(({ key, text }) => ({ key: key as ElementKey, text })),
    framework,
  );
  return {
    id: reviewId,
    title,
    version,
    createdAt,
    putAwayAt,
    trouble: null,
    sentence,
    stage: stageOf({
      written: elements.some(({ text }) => text.trim() !== ''),
      terms: held.reduce((sum, each) => sum + each, 0),
      runs: run === undefined ? 0 : 1,
      records: counts.reduce((sum, { number }) => sum + number, 0),
    }),
    lanes: held.filter((each) => each > 0).length,
    unread: counts.find(({ decision }) => decision === 'undecided')?.number ?? 0,
    lastRun:
      run === undefined
        ? null
        : {
            at: run.startedAt,
            databaseName: run.databaseName,
            hits: run.hits,
            status: run.status as RunStatus,
          },
    last: await lastStep(manager, reviewId, { elements, lanes: allLanes }, run),
  };
}

/** The last thing that somebody did in a review, of all that is kept with its time. */
async function lastStep(
  manager: EntityManager,
  reviewId: string,
  { elements, lanes }: { elements: readonly ElementRow[]; lanes: readonly LaneRow[] },
  run: RunRow | undefined,
): Promise<Step | null> {
  const [event] = await manager.find(LaneEventRow, {
    select: { at: true, personId: true },
    where: { laneId: In(lanes.map(({ id }) => id)) },
    order: { at: 'DESC' },
    take: 1,
  });
  const [wording] = await manager.find(WordingRow, {
    select: { at: true, personId: true },
    where: { elementId: In(elements.map(({ id }) => id)) },
    order: { at: 'DESC' },
    take: 1,
  });
  const [shelved] = await manager.find(ShelfItemRow, {
    select: { createdAt: true, createdBy: true },
    where: { reviewId },
    order: { createdAt: 'DESC' },
    take: 1,
  });
  const [decided] = await manager.find(RecordRow, {
    select: { decidedAt: true, decidedBy: true },
    where: { reviewId, decidedAt: Not(IsNull()) },
    order: { decidedAt: 'DESC' },
    take: 1,
  });
  const [limit, own] = await Promise.all(
    [LimitRow, OwnLineRow].map(async (entity) => {
      const [row] = await manager.find<LimitRow | OwnLineRow>(entity, {
        select: { changedAt: true, changedBy: true },
        where: { reviewId },
        order: { changedAt: 'DESC' },
        take: 1,
      });
      return row === undefined ? null : { at: row.changedAt, personId: row.changedBy };
    }),
  );
  const steps: (Step | null)[] = [
    limit ?? null,
    own ?? null,
    event ?? null,
    wording ?? null,
    run === undefined ? null : { at: run.startedAt, personId: run.ranBy },
    shelved === undefined ? null : { at: shelved.createdAt, personId: shelved.createdBy },
    decided?.decidedAt == null ? null : { at: decided.decidedAt, personId: decided.decidedBy ?? '' },
  ];
  return steps.reduce(
    (last, step) => (step !== null && (last === null || step.at > last.at) ? step : last),
    null,
  );
}
