import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  ELEMENTS,
  questionSentence,
  type ElementKey,
  type Lane,
  type TermContent,
  type TermOrigin,
} from '@even-lantern/core';
import type {
  ElementChange,
  NewReview,
  NewTerm,
  Person,
  Review,
  ReviewChange,
  ReviewElement,
  ReviewSummary,
  ReviewTerm,
  TermChange,
} from '@even-lantern/contract';
import { DataSource, In, IsNull, type EntityTarget } from 'typeorm';
import { changedMeanwhile, notFound } from '../application/problem.js';
import { ElementRow, RecordRow, ReviewRow, TermRow } from '../store/entities.js';

/** Elements that a new question searches on. Comparison and outcome often narrow too much. */
const SEARCHED_AT_FIRST: readonly ElementKey[] = ['P', 'I'];

@Injectable()
export class ReviewsService {
  constructor(private readonly store: DataSource) {}

  async list(): Promise<ReviewSummary[]> {
    const reviews = await this.store.getRepository(ReviewRow).find({ order: { createdAt: 'ASC' } });
    return Promise.all(
      reviews.map(async ({ id, title, version, createdAt }) => ({
        id,
        title,
        version,
        createdAt,
        sentence: questionSentence((await this.elementRows(id)).map(elementOf)),
        unread: await this.store.getRepository(RecordRow).countBy({ reviewId: id, decision: 'undecided' }),
      })),
    );
  }

  async create({ title }: NewReview, person: Person): Promise<Review> {
    const id = randomUUID();
    await this.store.transaction(async (manager) => {
      const review = {
        id,
        title: title.trim(),
        createdAt: new Date().toISOString(),
        createdBy: person.id,
        version: 1,
      };
      await manager.insert(ReviewRow, review);
      await manager.insert(
        ElementRow,
        ELEMENTS.map(({ key }, position) => ({
          id: randomUUID(),
          reviewId: id,
          key,
          position,
          text: '',
          note: '',
          searched: SEARCHED_AT_FIRST.includes(key),
          version: 1,
        })),
      );
    });
    return this.get(id);
  }

  async get(id: string): Promise<Review> {
    const review = await this.store.getRepository(ReviewRow).findOneBy({ id });
    if (review === null) throw notFound('This review');
    const elements = await this.elementRows(id);
    const terms = await this.store.getRepository(TermRow).find({
      where: { elementId: In(elements.map((element) => element.id)), removedAt: IsNull() },
      order: { position: 'ASC' },
    });
    return {
      id,
      title: review.title,
      version: review.version,
      elements: elements.map((element) => ({
        ...elementOf(element),
        terms: terms.filter((term) => term.elementId === element.id).map(termOf),
      })),
    };
  }

  async change(id: string, { title }: ReviewChange, version: number): Promise<Review> {
    await this.update(ReviewRow, id, version, { title: title.trim() }, 'review', (row) => row);
    return this.get(id);
  }

  async changeElement(
    id: string,
    change: ElementChange,
    version: number,
  ): Promise<Omit<ReviewElement, 'terms'>> {
    return this.update(ElementRow, id, version, change, 'element', elementOf);
  }

  async addTerm(
    reviewId: string,
    { elementId, content, origin }: NewTerm,
    person: Person,
  ): Promise<ReviewTerm> {
    const element = await this.store.getRepository(ElementRow).findOneBy({ id: elementId, reviewId });
    if (element === null) throw notFound('This lane');
    const terms = this.store.getRepository(TermRow);
    const row = {
      id: randomUUID(),
      elementId,
      position: ((await terms.maximum('position', { elementId })) ?? 0) + 1,
      content: JSON.stringify(content),
      origin,
      createdAt: new Date().toISOString(),
      createdBy: person.id,
      removedAt: null,
      version: 1,
    };
    await terms.insert(row);
    return termOf(row);
  }

  async changeTerm(id: string, { content, removed }: TermChange, version: number): Promise<ReviewTerm> {
    const change = {
      ...(content === undefined ? {} : { content: JSON.stringify(content) }),
      ...(removed === undefined ? {} : { removedAt: removed ? new Date().toISOString() : null }),
    };
    return this.update(TermRow, id, version, change, 'term', termOf);
  }

  /** The lanes of a review: its searched elements with their terms. */
  async lanes(reviewId: string): Promise<Lane[]> {
    return lanesOf(await this.get(reviewId));
  }

  /** Changes a row only if it is still at the version the change was made on. */
  private async update<Row extends { id: string; version: number }, Shown>(
    entity: EntityTarget<Row>,
    id: string,
    version: number,
    change: object,
    what: string,
    show: (row: Row) => Shown,
  ): Promise<Shown> {
    return this.store.transaction(async (manager) => {
      const result = await manager
        .createQueryBuilder()
        .update(entity)
        .set({ ...change, version: version + 1 } as never)
        .where('id = :id AND version = :version', { id, version })
        .updateEntity(false)
        .execute();
      const row = await manager.getRepository(entity).findOne({ where: { id } as never });
      if (row === null) throw notFound(`This ${what}`);
      if (result.affected === 0) throw changedMeanwhile(what, show(row));
      return show(row);
    });
  }

  private elementRows(reviewId: string): Promise<ElementRow[]> {
    return this.store.getRepository(ElementRow).find({ where: { reviewId }, order: { position: 'ASC' } });
  }
}

export function lanesOf(review: Review): Lane[] {
  return review.elements
    .filter((element) => element.searched)
    .map((element) => ({
      id: element.id,
      name: element.text.trim() || (ELEMENTS.find(({ key }) => key === element.key)?.name ?? element.key),
      terms: inOrderOfKind(element.terms),
    }));
}

/** Headings first, then words, as they are shown. */
function inOrderOfKind<T extends { content: TermContent }>(terms: readonly T[]): T[] {
  return [
    ...terms.filter(({ content }) => content.kind === 'heading'),
    ...terms.filter(({ content }) => content.kind === 'words'),
  ];
}

function elementOf(row: ElementRow): ReviewElement {
  const { id, key, text, note, searched, version } = row;
  return { id, key: key as ElementKey, text, note, searched, version, terms: [] };
}

function termOf(row: TermRow): ReviewTerm {
  return {
    id: row.id,
    elementId: row.elementId,
    content: JSON.parse(row.content) as TermContent,
    origin: row.origin as TermOrigin,
    version: row.version,
  };
}
