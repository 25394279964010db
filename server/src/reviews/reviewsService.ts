import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  frameworkOf,
  lanesOfQuestion,
  type Framework,
  type FrameworkId,
  type LaneOfQuestion,
} from '@even-lantern/core';
import type {
  ElementChange,
  KeptReviewLane,
  NewReview,
  Person,
  Review,
  ReviewChange,
  ReviewElement,
  ReviewLimit,
  ReviewOwnLine,
  Wording,
} from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { changeVersion } from '../edits/changeVersion.js';
import { notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { ElementRow, ReviewRow, TermRow, WordingRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { acceptedFindings } from './acceptedFindings.js';
import { addElement, elementOf, elementRows, keepWording } from './elementRows.js';
import { laneOf, lanesInOrder } from './laneRows.js';
import { limitOf, limitsInOrder } from './limitRows.js';
import { ownLineOf, ownLinesInOrder } from './ownLineRows.js';
import { itemsOnShelf, shelfItemOf } from './shelfItemRows.js';

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
      ladder: review.ladder,
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

/** A lane that is searched. */
export type ReviewLane = LaneOfQuestion<ReviewElement, KeptReviewLane>;

export function lanesOf(review: Review): ReviewLane[] {
  return lanesOfQuestion(review.elements, review.lanes);
}
