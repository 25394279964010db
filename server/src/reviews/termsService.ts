import { Injectable } from '@nestjs/common';
import {
  describeTerm,
  EARLIER_LANES_FORM,
  nameOfLane,
  sameTerm,
  type ElementKey,
  type LaneDocument,
  type LanesDocument,
  type TermContent,
} from '@even-lantern/core';
import type { LaneEvent, LanesRead, NewTerm, Person, ReviewTerm, TermChange } from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { conflict, notFound } from '../application/problem.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../store/changeVersion.js';
import { ElementRow, LaneEventRow, LaneRow, ReviewRow, TermRow } from '../store/entities.js';
import { addElement, addLane, expectRoom, lanesInOrder, termOf } from './reviewsService.js';
import { addMissing, newTerm, nextTermPosition, note, type Step } from './termSteps.js';
import { putOnShelf } from './shelfRows.js';
import { Store } from '../store/store.js';

/** The terms of lanes, and the history of what was done to them. */
@Injectable()
export class TermsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  /** @throws ProblemException when the lane holds the term already, with where it stands */
  async add(reviewId: string, { laneId, content, origin }: NewTerm, person: Person): Promise<ReviewTerm> {
    return this.store.write(async (manager) => {
      const lane = await manager.findOneBy(LaneRow, { id: laneId, reviewId, removedAt: IsNull() });
      if (lane === null) throw notFound('This lane');
      await refuseTwice(manager, laneId, content);
      const parts = { content: JSON.stringify(content), origin, heldBack: null };
      return termOf(await newTerm(manager, laneId, parts, person));
    });
  }

  async change(id: string, change: TermChange, version: number, person: Person): Promise<ReviewTerm> {
    return this.store.write(async (manager) => {
      const before = await manager.findOneBy(TermRow, { id });
      if (before === null) throw notFound('This term');
      const { content, removed, heldBack, laneId } = change;
      const moves = laneId !== undefined && laneId !== before.laneId;
      if (moves) await this.expectSameReview(manager, before.laneId, laneId);
      if (moves || content !== undefined || removed === false) {
        const wanted = content ?? (JSON.parse(before.content) as TermContent);
        await refuseTwice(manager, laneId ?? before.laneId, wanted, id);
      }
      const columns = {
        ...(content === undefined ? {} : { content: JSON.stringify(content) }),
        // Taken out a second time, by a key that was pressed twice, it went at the first.
        ...(removed === undefined
          ? {}
          : { removedAt: removed ? (before.removedAt ?? new Date().toISOString()) : null }),
        ...(heldBack === undefined ? {} : { heldBack }),
        ...(moves ? { laneId, position: await nextTermPosition(manager, laneId) } : {}),
      };
      const term = await changeVersion(manager, TermRow, { id, version }, columns, 'term', termOf);
      for (const step of stepsBetween(before, change, term, moves)) await note(manager, person, step);
      return term;
    });
  }

  /** Adds the terms of exported lanes to the lanes of the same name, which are begun where they are missing; all or none. */
  async addLanes(reviewId: string, document: LanesDocument, person: Person): Promise<LanesRead> {
    return this.store.write(async (manager) => {
      let [added, present] = [0, 0];
      for (const lane of document.lanes) {
        const laneId = await laneForDocument(manager, reviewId, document, lane);
        const { length } = await addMissing(manager, laneId, lane.terms, person);
        added += length;
        present += lane.terms.length - length;
      }
      const { shelf = [] } = document;
      for (const item of shelf) {
        if (await putOnShelf(manager, reviewId, item, person)) added += item.contents.length;
        else present += item.contents.length;
      }
      return { added, present };
    });
  }

  /** What was done in a lane, and to its terms while they were elsewhere, the earliest first. */
  async history(laneId: string): Promise<LaneEvent[]> {
    const terms = await this.store.read.find(TermRow, { where: { laneId }, select: { id: true } });
    const found = await this.store.read.find(LaneEventRow, {
      where: [{ laneId }, { termId: In(terms.map(({ id }) => id)) }],
      order: { at: 'ASC', position: 'ASC' },
    });
    // A term that moved here went away from elsewhere, which need not be told twice.
    const events = found.filter((event) => event.laneId === laneId || !event.what.startsWith('moved'));
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
    const [here, there] = await Promise.all(
      [from, to].map((id) => manager.findOneBy(LaneRow, { id, removedAt: IsNull() })),
    );
    if (there == null || here?.reviewId !== there.reviewId) throw notFound('This lane');
  }
}

/** The steps of history that one change makes. */
function stepsBetween(before: TermRow, change: TermChange, term: ReviewTerm, moves: boolean): Step[] {
  const { content } = term;
  const earlier = JSON.parse(before.content) as TermContent;
  const step = (what: Step['what'], parts: Partial<Step> = {}): Step => ({
    laneId: term.laneId,
    termId: term.id,
    what,
    content,
    before: null,
    reason: null,
    ...parts,
  });
  const steps: Step[] = [];
  if (moves) {
    steps.push(step('moved away', { laneId: before.laneId, content: earlier }), step('moved here'));
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

/** @param except a term that may be the same, being the one at hand */
async function refuseTwice(
  manager: EntityManager,
  laneId: string,
  content: TermContent,
  except?: string,
): Promise<void> {
  const there = await manager.findBy(TermRow, { laneId, removedAt: IsNull() });
  const same = there.find(
    (row) => row.id !== except && sameTerm(JSON.parse(row.content) as TermContent, content),
  );
  if (same !== undefined) throw alreadyThere(termOf(same));
}

function alreadyThere(term: ReviewTerm) {
  const { text } = describeTerm(term.content);
  return conflict(
    `This lane holds ${text} already.`,
    term.heldBack === null
      ? 'Nothing was changed.'
      : `It is held back: ${term.heldBack}. Search on it again instead.`,
    { current: term },
  );
}

/** The lane that one of a document belongs to; begun, and its element made and searched on, where it is missing. */
export async function laneForDocument(
  manager: EntityManager,
  reviewId: string,
  { form, lanes: all }: Pick<LanesDocument, 'lanes'> & { form: string },
  { element: key, name, leftOut = false }: LaneDocument,
): Promise<string> {
  const review = await manager.findOneBy(ReviewRow, { id: reviewId });
  if (review === null) throw notFound('This review');
  const element = key === null ? null : await elementForDocument(manager, reviewId, key as ElementKey);
  const own = (await lanesInOrder(manager, reviewId)).filter(
    ({ elementId }) => elementId === (element?.id ?? null),
  );
  const [first] = own;
  const alone = all.filter((lane) => lane.element === key).length === 1;
  if (element !== null && element.text === '' && alone) {
    element.text = name;
    await manager.update(ElementRow, { id: element.id }, { text: name, version: element.version + 1 });
  }
  if (form === EARLIER_LANES_FORM && first !== undefined) return first.id;
  const shape = element === null ? null : { ...element, key: element.key as ElementKey };
  const known = own.find((lane) => nameOfLane(lane, shape) === name);
  if (known !== undefined) return known.id;
  const [only] = own.length === 1 && element !== null ? own : [];
  if (
    only !== undefined &&
    (await manager.countBy(TermRow, { laneId: only.id, removedAt: IsNull() })) === 0
  ) {
    await manager.update(LaneRow, { id: only.id }, { name, leftOut, version: only.version + 1 });
    return only.id;
  }
  await expectRoom(manager, reviewId);
  return (await addLane(manager, { reviewId, elementId: element?.id ?? null, name, leftOut })).id;
}

/** The element of a review with a key, searched on. */
async function elementForDocument(
  manager: EntityManager,
  reviewId: string,
  key: ElementKey,
): Promise<ElementRow> {
  const known = await manager.findOneBy(ElementRow, { reviewId, key });
  if (known === null) return addElement(manager, reviewId, key, true);
  if (!known.searched) {
    known.searched = true;
    known.version += 1;
    await manager.update(ElementRow, { id: known.id }, { searched: true, version: known.version });
  }
  return known;
}
