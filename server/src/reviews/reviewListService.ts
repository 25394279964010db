import { Injectable, Logger } from '@nestjs/common';
import {
  lanesOfQuestion,
  questionSentence,
  stageOf,
  type ElementKey,
  type FrameworkId,
} from '@even-lantern/core';
import type { ReviewSummary, RunStatus } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
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
import { lastOfEach } from '../store/lastOfEach.js';
import { Store } from '../store/store.js';

interface Step {
  at: string;
  personId: string;
}

/** All reviews, and where each of them stands. */
@Injectable()
export class ReviewListService {
  private readonly logger = new Logger('reviews');
  /** what was answered last, and at which state of the store: most who ask have changed nothing since */
  private last: { committed: number; reviews: Promise<ReviewSummary[]> } | null = null;

  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  /** Those that are worked on first, then those put away; each in the order in which they were begun. */
  async list(): Promise<ReviewSummary[]> {
    const committed = await this.store.committed();
    if (this.last?.committed !== committed) {
      const reviews = this.read();
      this.last = { committed, reviews };
      // What failed is tried again by the next who asks.
      reviews.catch(() => (this.last = null));
    }
    return this.last.reviews;
  }

  private async read(): Promise<ReviewSummary[]> {
    const { read } = this.store;
    const reviews = await read.find(ReviewRow, {
      // No JSON: one review of which something cannot be read must not take the others with it.
      select: { id: true, title: true, version: true, createdAt: true, putAwayAt: true, framework: true },
      where: { deletedAt: IsNull() },
      order: { createdAt: 'ASC' },
    });
    const ground = await groundOf(read);
    const standings = reviews.map((review) => this.standing(review, ground));
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

  private standing(review: ReviewRow, ground: Ground) {
    const misfit = misfitIn({ framework: review.framework }, descriptionOf(ReviewRow));
    if (misfit !== null) return unreadable(review, misfit);
    try {
      return standingOf(review, ground);
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

/** What is read of all reviews at once: asked for each, a thousand of them would take seconds. */
interface Ground {
  elements: ReadonlyMap<string, ListedElement[]>;
  /** those that have ended too */
  lanes: ReadonlyMap<string, ListedLane[]>;
  /** terms in a lane, by its id */
  terms: ReadonlyMap<string, number>;
  counts: ReadonlyMap<string, RecordCountRow[]>;
  runs: ReadonlyMap<string, Pick<RunRow, 'startedAt' | 'ranBy' | 'databaseName' | 'hits' | 'status'>>;
  /** by review, what was done last of each kind of thing that is kept with its time */
  steps: readonly ReadonlyMap<string, Step>[];
}

type ListedElement = Pick<ElementRow, 'id' | 'reviewId' | 'key' | 'text' | 'searched'>;
type ListedLane = Pick<LaneRow, 'id' | 'reviewId' | 'elementId' | 'name' | 'leftOut' | 'removedAt'>;

async function groundOf(manager: EntityManager): Promise<Ground> {
  const terms: { laneId: string; number: number | string }[] = await manager
    .createQueryBuilder(TermRow, 'term')
    .select('term.laneId', 'laneId')
    .addSelect('COUNT(*)', 'number')
    .where('term.removedAt IS NULL')
    .groupBy('term.laneId')
    .getRawMany();
  const runs = await lastOfEach(manager, RunRow, { rows: ReviewRow, column: 'reviewId' }, 'startedAt', [
    'startedAt', 'ranBy', 'databaseName', 'hits', 'status',
  ]); // prettier-ignore
  return {
    elements: byReview(
      await columnsOf<ListedElement>(manager, ElementRow, ['id', 'reviewId', 'key', 'text', 'searched']),
    ),
    lanes: byReview(
      await columnsOf<ListedLane>(manager, LaneRow, [
        'id', 'reviewId', 'elementId', 'name', 'leftOut', 'removedAt',
      ]),
    ), // prettier-ignore
    terms: new Map(terms.map(({ laneId, number }) => [laneId, Number(number)])),
    counts: byReview(await manager.find(RecordCountRow)),
    runs,
    steps: await stepsOf(manager),
  };
}

function byReview<Row extends { reviewId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const of = new Map<string, Row[]>();
  for (const row of rows) {
    const others = of.get(row.reviewId);
    if (others === undefined) of.set(row.reviewId, [row]);
    else others.push(row);
  }
  return of;
}

/** Some columns of all rows of a table, in their order, without making rows of them. */
async function columnsOf<Row extends ListedElement | ListedLane>(
  manager: EntityManager,
  entity: typeof ElementRow | typeof LaneRow,
  columns: readonly (keyof Row & string)[],
): Promise<Row[]> {
  const query = manager.createQueryBuilder<ElementRow | LaneRow>(entity, 'row').select([]);
  for (const column of columns) query.addSelect(`row.${column}`, column);
  query.orderBy('row.reviewId', 'ASC').addOrderBy('row.position', 'ASC');
  const rows = await query.getRawMany<Row>();
  // Flags come as the engine keeps them.
  return rows.map((row) =>
    'searched' in row
      ? { ...row, searched: Boolean(row.searched) }
      : { ...row, leftOut: Boolean(row.leftOut) },
  );
}

async function stepsOf(manager: EntityManager): Promise<Map<string, Step>[]> {
  const ofReview = { rows: ReviewRow, column: 'reviewId' as const };
  const changed = async (entity: typeof LimitRow | typeof OwnLineRow) =>
    stepMap(
      await lastOfEach<LimitRow | OwnLineRow, 'changedAt' | 'changedBy'>(
        manager, entity, ofReview, 'changedAt', ['changedAt', 'changedBy'],
      ),
      ({ changedAt, changedBy }) => ({ at: changedAt, personId: changedBy }),
    ); // prettier-ignore
  return [
    await changed(LimitRow),
    await changed(OwnLineRow),
    stepMap(
      await lastOfEach(manager, RunRow, ofReview, 'startedAt', ['startedAt', 'ranBy']),
      ({ startedAt, ranBy }) => ({ at: startedAt, personId: ranBy }),
    ),
    stepMap(
      await lastOfEach(manager, ShelfItemRow, ofReview, 'createdAt', ['createdAt', 'createdBy']),
      ({ createdAt, createdBy }) => ({ at: createdAt, personId: createdBy }),
    ),
    stepMap(
      await lastOfEach(manager, RecordRow, ofReview, 'decidedAt', ['decidedAt', 'decidedBy']),
      ({ decidedAt, decidedBy }) => ({ at: decidedAt ?? '', personId: decidedBy ?? '' }),
    ),
    await lastBeneath(manager, LaneEventRow, 'laneId', LaneRow),
    await lastBeneath(manager, WordingRow, 'elementId', ElementRow),
  ];
}

/** By review, the last step to any of its lanes or elements. Times are all of one length, so texts sort as they do. */
async function lastBeneath(
  manager: EntityManager,
  steps: typeof LaneEventRow | typeof WordingRow,
  of: string,
  between: typeof LaneRow | typeof ElementRow,
): Promise<Map<string, Step>> {
  const rows = await manager
    .createQueryBuilder<LaneRow | ElementRow>(between, 'owner')
    .innerJoin(steps, 'step', `step.${of} = owner.id`)
    .select('owner.reviewId', 'review')
    .addSelect(`MAX(step.at || ' ' || step.personId)`, 'last')
    .groupBy('owner.reviewId')
    .getRawMany<{ review: string; last: string }>();
  return new Map(
    rows.map(({ review, last }) => {
      const [at = '', personId = ''] = last.split(' ');
      return [review, { at, personId }];
    }),
  );
}

function stepMap<Row>(rows: ReadonlyMap<string, Row>, step: (row: Row) => Step): Map<string, Step> {
  return new Map([...rows].map(([owner, row]) => [owner, step(row)]));
}

function standingOf(
  { id: reviewId, title, version, createdAt, putAwayAt, framework }: ReviewRow,
  ground: Ground,
): Omit<ReviewSummary, 'lastChange'> & { last: Step | null } {
  const elements = ground.elements.get(reviewId) ?? [];
  const lanes = ground.lanes.get(reviewId) ?? [];
  const searched = lanesOfQuestion(
    elements.map((element) => ({ ...element, key: element.key as ElementKey })),
    lanes.filter(({ removedAt }) => removedAt === null).map((lane) => ({ ...lane, terms: [] })),
  );
  const held = searched.map(({ id }) => ground.terms.get(id) ?? 0);
  const run = ground.runs.get(reviewId);
  const counts = ground.counts.get(reviewId) ?? [];
  const sentence = questionSentence(
    elements.map(({ key, text }) => ({ key: key as ElementKey, text })),
    framework as FrameworkId,
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
    last: lastOf(ground.steps.map((steps) => steps.get(reviewId))),
  };
}

function lastOf(steps: readonly (Step | undefined)[]): Step | null {
  const done = steps.filter((step) => step !== undefined);
  return done.reduce<Step | null>((last, step) => (last === null || step.at > last.at ? step : last), null);
}
