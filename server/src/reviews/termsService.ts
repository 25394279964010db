import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { ElementKey, LanesDocument, TermContent } from '@even-lantern/core';
import type { LaneEvent, LanesRead, NewTerm, Person, ReviewTerm, TermChange } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { notFound } from '../application/problem.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../store/changeVersion.js';
import { ElementRow, LaneEventRow, ReviewRow, TermRow } from '../store/entities.js';
import { newElement, termOf } from './reviewsService.js';
import { Store } from '../store/store.js';

type Step = Omit<LaneEvent, 'at' | 'person'> & { elementId: string };

/** The terms of lanes, and the history of what was done to them. */
@Injectable()
export class TermsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  async add(reviewId: string, { elementId, content, origin }: NewTerm, person: Person): Promise<ReviewTerm> {
    return this.store.write(async (manager) => {
      const element = await manager.findOneBy(ElementRow, { id: elementId, reviewId });
      if (element === null) throw notFound('This lane');
      const parts = { content: JSON.stringify(content), origin, heldBack: null };
      const row = await newRow(manager, elementId, parts, person);
      await note(manager, person, {
        elementId,
        termId: row.id,
        what: 'added',
        content,
        before: null,
        reason: null,
      });
      return termOf(row);
    });
  }

  async change(id: string, change: TermChange, version: number, person: Person): Promise<ReviewTerm> {
    return this.store.write(async (manager) => {
      const before = await manager.findOneBy(TermRow, { id });
      if (before === null) throw notFound('This term');
      const { content, removed, heldBack, elementId } = change;
      const moves = elementId !== undefined && elementId !== before.elementId;
      if (moves) await this.expectSameReview(manager, before.elementId, elementId);
      const columns = {
        ...(content === undefined ? {} : { content: JSON.stringify(content) }),
        ...(removed === undefined ? {} : { removedAt: removed ? new Date().toISOString() : null }),
        ...(heldBack === undefined ? {} : { heldBack }),
        ...(moves ? { elementId, position: await nextPosition(manager, elementId) } : {}),
      };
      const term = await changeVersion(manager, TermRow, { id, version }, columns, 'term', termOf);
      for (const step of stepsBetween(before, change, term, moves)) await note(manager, person, step);
      return term;
    });
  }

  /** Adds the terms of exported lanes to the elements of the same name, all of them or none. */
  async addLanes(reviewId: string, { lanes }: LanesDocument, person: Person): Promise<LanesRead> {
    return this.store.write(async (manager) => {
      let [added, present] = [0, 0];
      for (const { element: key, name, terms } of lanes) {
        const element = await ensureElement(manager, reviewId, key, name);
        const there = await manager.findBy(TermRow, { elementId: element.id, removedAt: IsNull() });
        const known = new Set(there.map(({ content }) => content));
        for (const { content, origin, heldBack } of terms) {
          const text = JSON.stringify(content);
          if (known.has(text)) {
            present += 1;
            continue;
          }
          known.add(text);
          const row = await newRow(manager, element.id, { content: text, origin, heldBack }, person);
          const step = { elementId: element.id, termId: row.id, content, before: null };
          await note(manager, person, { ...step, what: 'added', reason: null });
          if (heldBack !== null)
            await note(manager, person, { ...step, what: 'held back', reason: heldBack });
          added += 1;
        }
      }
      return { added, present };
    });
  }

  /** What was done in a lane, the earliest first. */
  async history(elementId: string): Promise<LaneEvent[]> {
    const events = await this.store.read
      .getRepository(LaneEventRow)
      .find({ where: { elementId }, order: { position: 'ASC' } });
    const nameOf = await this.people.namesOf(events.map(({ personId }) => personId));
    return events.map(({ at, personId, termId, what, content, before, reason }) => ({
      at,
      person: nameOf(personId),
      termId,
      what: what as LaneEvent['what'],
      content: JSON.parse(content) as TermContent,
      before: before === null ? null : (JSON.parse(before) as TermContent),
      reason,
    }));
  }

  private async expectSameReview(manager: EntityManager, from: string, to: string): Promise<void> {
    const [here, there] = await Promise.all([from, to].map((id) => manager.findOneBy(ElementRow, { id })));
    if (there == null || here?.reviewId !== there.reviewId) throw notFound('This lane');
  }
}

/** The steps of history that one change makes. */
function stepsBetween(before: TermRow, change: TermChange, term: ReviewTerm, moves: boolean): Step[] {
  const { content } = term;
  const earlier = JSON.parse(before.content) as TermContent;
  const step = (what: Step['what'], parts: Partial<Step> = {}): Step => ({
    elementId: term.elementId,
    termId: term.id,
    what,
    content,
    before: null,
    reason: null,
    ...parts,
  });
  const steps: Step[] = [];
  if (moves) {
    steps.push(step('moved away', { elementId: before.elementId, content: earlier }), step('moved here'));
  }
  if (change.content !== undefined && JSON.stringify(content) !== before.content) {
    steps.push(step('changed', { before: earlier }));
  }
  if (change.heldBack !== undefined && change.heldBack !== before.heldBack) {
    steps.push(
      change.heldBack === null ? step('searched again') : step('held back', { reason: change.heldBack }),
    );
  }
  if (change.removed !== undefined && change.removed !== (before.removedAt !== null)) {
    steps.push(step(change.removed ? 'taken out' : 'put back'));
  }
  return steps;
}

/** The element of a review with a key; made, searched on and named when the review has none yet. */
async function ensureElement(
  manager: EntityManager,
  reviewId: string,
  key: string,
  name: string,
): Promise<{ id: string }> {
  const review = await manager.findOneBy(ReviewRow, { id: reviewId });
  if (review === null) throw notFound('This review');
  const known = await manager.findOneBy(ElementRow, { reviewId, key });
  if (known === null) {
    const element = { ...newElement(reviewId, key as ElementKey, true), text: name };
    await manager.insert(ElementRow, element);
    return element;
  }
  if (!known.searched || known.text === '') {
    const change = {
      searched: true,
      text: known.text === '' ? name : known.text,
      version: known.version + 1,
    };
    await manager.update(ElementRow, { id: known.id }, change);
  }
  return known;
}

async function newRow(
  manager: EntityManager,
  elementId: string,
  parts: Pick<TermRow, 'content' | 'origin' | 'heldBack'>,
  person: Person,
): Promise<TermRow> {
  const row = {
    ...parts,
    id: randomUUID(),
    elementId,
    position: await nextPosition(manager, elementId),
    createdAt: new Date().toISOString(),
    createdBy: person.id,
    removedAt: null,
    version: 1,
  };
  await manager.insert(TermRow, row);
  return row;
}

async function note(manager: EntityManager, person: Person, step: Step): Promise<void> {
  const { elementId, content, before, ...rest } = step;
  await manager.insert(LaneEventRow, {
    ...rest,
    id: randomUUID(),
    elementId,
    position: ((await manager.maximum(LaneEventRow, 'position', { elementId })) ?? 0) + 1,
    at: new Date().toISOString(),
    personId: person.id,
    content: JSON.stringify(content),
    before: before === null ? null : JSON.stringify(before),
  });
}

async function nextPosition(manager: EntityManager, elementId: string): Promise<number> {
  return ((await manager.maximum(TermRow, 'position', { elementId })) ?? 0) + 1;
}
