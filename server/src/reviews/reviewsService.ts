import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  ELEMENT_KEYS,
  frameworkOf,
  lanesOfQuestion,
  type ElementKey,
  type Framework,
  type FrameworkId,
  type LaneOfQuestion,
  type TermContent,
  type TermOrigin,
} from '@even-lantern/core';
import {
  MOST_LANES,
  type AcceptedFinding,
  type ElementChange,
  type KeptReviewLane,
  type NewReview,
  type Person,
  type Review,
  type ReviewChange,
  type ReviewElement,
  type ReviewLimit,
  type ReviewOwnLine,
  type ReviewTerm,
  type ShelfItem,
  type Wording,
} from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { conflict, notFound } from '../application/problem.js';
import { standing } from '../checks/letStand.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../store/changeVersion.js';
import {
  ElementRow,
  LaneRow,
  LimitRow,
  OwnLineRow,
  ReviewRow,
  ShelfItemRow,
  TermRow,
  WordingRow,
} from '../store/entities.js';
import { Store } from '../store/store.js';

const FIRST_FRAMEWORK = 'pico';

@Injectable()
export class ReviewsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  async create({ title }: NewReview, person: Person): Promise<Review> {
    const id = randomUUID();
    return this.store.write(async (manager) => {
      const review = {
        id,
        title: title.trim(),
        framework: FIRST_FRAMEWORK,
        createdAt: new Date().toISOString(),
        createdBy: person.id,
        putAwayAt: null,
        deletedAt: null,
        ladder: null,
        linesFor: 'term' as const,
        version: 1,
      };
      await manager.insert(ReviewRow, review);
      const { elements, searchedAtFirst } = frameworkOf(FIRST_FRAMEWORK);
      for (const key of elements) await addElement(manager, id, key, searchedAtFirst.includes(key));
      return this.get(id, manager);
    });
  }

  /** @throws ProblemException where there is no such review */
  async expect(id: string, manager = this.store.read): Promise<ReviewRow> {
    const review = await manager.findOneBy(ReviewRow, { id, deletedAt: IsNull() });
    if (review === null) throw notFound('This review');
    return review;
  }

  /** @param manager of the change that this is part of */
  async get(id: string, manager = this.store.read): Promise<Review> {
    const review = await this.expect(id, manager);
    const elements = await elementRows(manager, id);
    const lanes = await lanesInOrder(manager, id);
    const terms = await manager.find(TermRow, {
      where: { laneId: In(lanes.map((lane) => lane.id)), removedAt: IsNull() },
      order: { position: 'ASC' },
    });
    return {
      id,
      title: review.title,
      version: review.version,
      framework: review.framework as FrameworkId,
      linesFor: review.linesFor,
      elements: elements.map(elementOf),
      lanes: lanes.map((lane) =>
        laneOf(
          lane,
          terms.filter((term) => term.laneId === lane.id),
        ),
      ),
      shelf: (await itemsOnShelf(manager, id)).map(shelfItemOf),
      limits: await this.limits(id, manager),
      ownLines: await this.ownLines(id, manager),
      accepted: await acceptedFindings(manager, this.people, id),
      ladder: review.ladder === null ? null : (JSON.parse(review.ladder) as Review['ladder']),
    };
  }

  /** Renames a review, frames its question in another way, or puts it away. Whatever was written stays. */
  async change(
    id: string,
    { title, framework, putAway, linesFor }: ReviewChange,
    version: number,
  ): Promise<Review> {
    return this.store.write(async (manager) => {
      const columns = {
        ...(title === undefined ? {} : { title: title.trim() }),
        ...(framework === undefined ? {} : { framework }),
        ...(linesFor === undefined ? {} : { linesFor }),
        ...(putAway === undefined ? {} : { putAwayAt: putAway ? new Date().toISOString() : null }),
      };
      await changeVersion(manager, ReviewRow, { id, version }, columns, 'review', (row) => row);
      if (framework !== undefined) await this.frame(manager, id, frameworkOf(framework));
      return this.get(id, manager);
    });
  }

  /** Adds the elements that a framework has and the review lacks, and no longer searches on empty ones it has not. */
  private async frame(manager: EntityManager, id: string, framework: Framework): Promise<void> {
    const rows = await manager.findBy(ElementRow, { reviewId: id });
    const missing = framework.elements.filter((key) => !rows.some((row) => row.key === key));
    const lanes = await lanesInOrder(manager, id);
    const termsOf = (elements: readonly ElementRow[]) => {
      const ids = elements.map((element) => element.id);
      const own = lanes.filter(({ elementId }) => elementId !== null && ids.includes(elementId));
      return manager.countBy(TermRow, { laneId: In(own.map((lane) => lane.id)), removedAt: IsNull() });
    };
    const searchedTerms = await termsOf(rows.filter(({ searched }) => searched));
    // An empty lane would leave a strategy that has been worked on without its count.
    const atFirst = searchedTerms > 0 ? [] : framework.searchedAtFirst;
    for (const key of missing) await addElement(manager, id, key, atFirst.includes(key));
    for (const row of rows) {
      const own = (framework.elements as readonly string[]).includes(row.key);
      const used = row.text !== '' || (await termsOf([row])) > 0;
      if (own || used || !row.searched) continue;
      await manager.update(ElementRow, { id: row.id }, { searched: false, version: row.version + 1 });
    }
  }

  async changeElement(
    id: string,
    change: ElementChange,
    version: number,
    person: Person,
  ): Promise<ReviewElement> {
    return this.store.write(async (manager) => {
      const element = await changeVersion(manager, ElementRow, { id, version }, change, 'element', elementOf);
      if (change.text !== undefined) await keepWording(manager, id, change.text, person);
      return element;
    });
  }

  /** What an element said before, the latest first; the present wording is not among them. */
  async wordings(elementId: string): Promise<Wording[]> {
    const element = await this.store.read.getRepository(ElementRow).findOneBy({ id: elementId });
    if (element === null) throw notFound('This element');
    const rows = await this.store.read
      .getRepository(WordingRow)
      .find({ where: { elementId }, order: { position: 'DESC' } });
    const nameOf = await this.people.namesOf(rows.map(({ personId }) => personId));
    return rows
      .filter(({ text }, i) => text !== '' && !(i === 0 && text === element.text))
      .map(({ text, at, personId }) => ({ text, at, person: nameOf(personId) }));
  }

  /** The limits of a review, in their order. */
  async limits(reviewId: string, manager = this.store.read): Promise<ReviewLimit[]> {
    const rows = await limitsInOrder(manager, reviewId);
    if (rows.length === 0) return [];
    const nameOf = await this.people.namesOf(
      rows.map(({ changedBy }) => changedBy),
      manager,
    );
    return rows.map((row) => limitOf(row, nameOf(row.changedBy)));
  }

  /** The lines of people’s own of a review, in their order. */
  async ownLines(reviewId: string, manager = this.store.read): Promise<ReviewOwnLine[]> {
    const rows = await ownLinesInOrder(manager, reviewId);
    if (rows.length === 0) return [];
    const nameOf = await this.people.namesOf(
      rows.map(({ changedBy }) => changedBy),
      manager,
    );
    return rows.map((row) => ownLineOf(row, nameOf(row.changedBy)));
  }

  /** The lanes of a review that are searched. */
  async lanes(reviewId: string): Promise<ReviewLane[]> {
    return lanesOf(await this.get(reviewId));
  }
}

function elementRows(manager: EntityManager, reviewId: string): Promise<ElementRow[]> {
  return manager.find(ElementRow, { where: { reviewId }, order: { position: 'ASC' } });
}

/** A lane that is searched. */
export type ReviewLane = LaneOfQuestion<ReviewElement, KeptReviewLane>;

export function lanesOf(review: Review): ReviewLane[] {
  return lanesOfQuestion(review.elements, review.lanes);
}

/** Adds an element, with its first lane. */
export async function addElement(
  manager: EntityManager,
  reviewId: string,
  key: ElementKey,
  searched: boolean,
): Promise<ElementRow> {
  const position = ELEMENT_KEYS.indexOf(key);
  const element = { id: randomUUID(), reviewId, key, position, text: '', note: '', searched, version: 1 };
  await manager.insert(ElementRow, element);
  await addLane(manager, { reviewId, elementId: element.id, name: '', leftOut: false });
  return element;
}

/** Adds a lane behind all others. */
export async function addLane(
  manager: EntityManager,
  parts: Pick<LaneRow, 'reviewId' | 'elementId' | 'name' | 'leftOut'>,
): Promise<LaneRow> {
  const last = (await manager.maximum(LaneRow, 'position', { reviewId: parts.reviewId })) ?? 0;
  const lane = { ...parts, id: randomUUID(), position: last + 1, removedAt: null, version: 1 };
  await manager.insert(LaneRow, lane);
  return lane;
}

/** @throws ProblemException when a review has as many lanes as it may */
export async function expectRoom(manager: EntityManager, reviewId: string): Promise<void> {
  const filled = await manager.countBy(LaneRow, { reviewId, removedAt: IsNull(), elementId: IsNull() });
  const inAll = await manager.countBy(LaneRow, { reviewId, removedAt: IsNull() });
  // Each element has a lane from the first, which need not be used.
  if (filled < MOST_LANES && inAll < MOST_LANES + ELEMENT_KEYS.length) return;
  throw conflict(
    `A review has at most ${MOST_LANES} lanes.`,
    'Nothing was changed. Join lanes, or put what is not searched on the shelf.',
  );
}

export function lanesInOrder(manager: EntityManager, reviewId: string): Promise<LaneRow[]> {
  return manager.find(LaneRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

/** Writing that goes on within this time of the last is one wording. */
const ONE_WORDING_MS = 60_000;

export async function keepWording(
  manager: EntityManager,
  elementId: string,
  text: string,
  person: Person,
): Promise<void> {
  const [last] = await manager.find(WordingRow, {
    where: { elementId },
    order: { position: 'DESC' },
    take: 1,
  });
  const at = new Date().toISOString();
  if (last?.text === text) return;
  if (last?.personId === person.id && Date.now() - Date.parse(last.at) < ONE_WORDING_MS) {
    await manager.update(WordingRow, { id: last.id }, { text, at });
    return;
  }
  const position = (last?.position ?? 0) + 1;
  await manager.insert(WordingRow, { id: randomUUID(), elementId, position, text, at, personId: person.id });
}

function elementOf(row: ElementRow): ReviewElement {
  const { id, key, text, note, searched, version } = row;
  return { id, key: key as ElementKey, text, note, searched, version };
}

/** What is on the shelf of a review, the earliest first. */
export function itemsOnShelf(manager: EntityManager, reviewId: string): Promise<ShelfItemRow[]> {
  return manager.find(ShelfItemRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function shelfItemOf(row: ShelfItemRow): ShelfItem {
  const { id, name, contents, origin, source, version } = row;
  return {
    id,
    name,
    contents: JSON.parse(contents) as TermContent[],
    origin: origin as TermOrigin,
    source,
    version,
  };
}

export function limitsInOrder(manager: EntityManager, reviewId: string): Promise<LimitRow[]> {
  return manager.find(LimitRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function ownLinesInOrder(manager: EntityManager, reviewId: string): Promise<OwnLineRow[]> {
  return manager.find(OwnLineRow, { where: { reviewId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

export function ownLineOf(row: OwnLineRow, changedBy: string): ReviewOwnLine {
  const { id, role, on, text, note, changedAt, version } = row;
  return { id, role, on, text, note, changedAt, changedBy, version };
}

/** What is let stand now of what checks found, the latest about each finding. */
export async function acceptedFindings(
  manager: EntityManager,
  people: PeopleService,
  reviewId: string,
): Promise<AcceptedFinding[]> {
  const rows = await standing(manager, reviewId);
  if (rows.length === 0) return [];
  const nameOf = await people.namesOf(
    rows.map(({ personId }) => personId),
    manager,
  );
  return rows.map(({ check, place, detail, message, reason, at, personId }) => ({
    check,
    at: place,
    detail,
    message,
    reason,
    acceptedAt: at,
    acceptedBy: nameOf(personId),
  }));
}

export function limitOf(row: LimitRow, changedBy: string): ReviewLimit {
  const { id, kind, content, reason, on, ways, changedAt, version } = row;
  return {
    id,
    kind,
    values: JSON.parse(content) as ReviewLimit['values'],
    reason,
    on,
    ways: JSON.parse(ways) as ReviewLimit['ways'],
    changedAt,
    changedBy,
    version,
  };
}

export function laneOf(row: LaneRow, terms: readonly TermRow[]): KeptReviewLane {
  const { id, elementId, name, leftOut, version } = row;
  return { id, elementId, name, leftOut, version, terms: terms.map(termOf) };
}

export function termOf(row: TermRow): ReviewTerm {
  return {
    id: row.id,
    laneId: row.laneId,
    content: JSON.parse(row.content) as TermContent,
    origin: row.origin as TermOrigin,
    heldBack: row.heldBack,
    version: row.version,
  };
}
