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
  Person,
  Review,
  ReviewChange,
  ReviewElement,
  ReviewSummary,
  ReviewTerm,
} from '@even-lantern/contract';
import { DataSource, In, IsNull } from 'typeorm';
import { notFound } from '../application/problem.js';
import { changeVersion } from '../store/changeVersion.js';
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
    await changeVersion(
      this.store.manager,
      ReviewRow,
      { id, version },
      { title: title.trim() },
      'review',
      (row) => row,
    );
    return this.get(id);
  }

  async changeElement(
    id: string,
    change: ElementChange,
    version: number,
  ): Promise<Omit<ReviewElement, 'terms'>> {
    return this.store.transaction((manager) =>
      changeVersion(manager, ElementRow, { id, version }, change, 'element', elementOf),
    );
  }

  /** The lanes of a review: its searched elements with their terms. */
  async lanes(reviewId: string): Promise<Lane[]> {
    return lanesOf(await this.get(reviewId));
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

export function termOf(row: TermRow): ReviewTerm {
  return {
    id: row.id,
    elementId: row.elementId,
    content: JSON.parse(row.content) as TermContent,
    origin: row.origin as TermOrigin,
    heldBack: row.heldBack,
    version: row.version,
  };
}
