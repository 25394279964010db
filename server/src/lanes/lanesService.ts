import { Injectable } from '@nestjs/common';
import { nameOfLane, type ElementKey, sameTerm } from '@even-lantern/core';
import type { KeptReviewLane, LaneChange, MergedLane, NewLane, Person, Review } from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { badInput, changedMeanwhile, conflict, notFound } from '../http/problem.js';
import { ElementRow, LaneRow, TermRow } from '../store/entities.js';
import { placeBefore } from '../edits/placeBefore.js';
import { Store } from '../store/store.js';
import { addLane, expectRoom, laneOf, lanesInOrder } from '../reviews/laneRows.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { newTerm, nextTermPosition, noteStep } from './termSteps.js';

/** Beginning, splitting, joining, naming, moving and ending lanes. Terms and their histories are never lost by it. */
@Injectable()
export class LanesService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** @returns the review, and which lane of it is new */
  create(
    reviewId: string,
    { elementId, name, take, copyOf }: NewLane,
    person: Person,
  ): Promise<{ laneId: string; review: Review }> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      await expectElement(manager, reviewId, elementId);
      await expectRoom(manager, reviewId);
      const source = take?.laneId ?? copyOf;
      const from = source === undefined ? null : await expectLane(manager, source, reviewId);
      const lane = await addLane(manager, { reviewId, elementId, name, leftOut: from?.leftOut ?? false });
      if (from !== null && from.elementId === elementId) await placeBehind(manager, lane.id, from);
      if (take !== undefined && from !== null) {
        await this.raise(manager, from, take.version);
        await takeChosen(manager, from, lane.id, take.termIds, person);
      }
      if (copyOf !== undefined) await copyTerms(manager, copyOf, lane.id, person);
      return { laneId: lane.id, review: await this.reviews.get(reviewId, manager) };
    });
  }

  change(id: string, change: LaneChange, version: number): Promise<Review> {
    return this.store.write(async (manager) => {
      const lane = await expectLane(manager, id);
      const { name, leftOut, elementId, before } = change;
      await this.raise(manager, lane, version);
      if (elementId !== undefined) await expectElement(manager, lane.reviewId, elementId);
      const columns = {
        ...(name === undefined ? {} : { name }),
        ...(leftOut === undefined ? {} : { leftOut }),
        ...(elementId === undefined ? {} : { elementId }),
      };
      if (Object.keys(columns).length > 0) await manager.update(LaneRow, { id }, columns);
      if (before !== undefined) await placeLaneBefore(manager, lane.reviewId, id, before);
      if (elementId !== undefined && elementId !== lane.elementId) {
        await keepOneLane(manager, lane.reviewId, lane.elementId);
        await takePlace(manager, id, elementId);
      }
      return this.reviews.get(lane.reviewId, manager);
    });
  }

  /** Joins a lane to another of the review. A term that both hold is kept in the other one. */
  merge(
    id: string,
    into: string,
    version: number,
    person: Person,
  ): Promise<{ merged: MergedLane; review: Review }> {
    return this.store.write(async (manager) => {
      const lane = await expectLane(manager, id);
      const other = await expectLane(manager, into, lane.reviewId);
      if (id === into) throw badInput([{ path: 'into', message: 'A lane cannot be joined to itself.' }]);
      await this.raise(manager, lane, version);
      const there = await termsIn(manager, into);
      const isThere = ({ content }: TermRow) => there.some((other) => sameTerm(other.content, content));
      const terms = await termsIn(manager, id);
      const takenOut = terms.filter(isThere);
      const moved = terms.filter((term) => !isThere(term));
      for (const term of takenOut) {
        const columns = { removedAt: new Date().toISOString(), version: term.version + 1 };
        await manager.update(TermRow, { id: term.id }, columns);
        await noteStep(manager, person, id, term, 'taken out');
      }
      for (const term of moved) await moveTerm(manager, term, other.id, person);
      await manager.update(LaneRow, { id }, { removedAt: new Date().toISOString() });
      await keepOneLane(manager, lane.reviewId, lane.elementId);
      const idsOf = (rows: readonly TermRow[]) => rows.map((row) => row.id);
      const merged = { laneId: id, into, moved: idsOf(moved), takenOut: idsOf(takenOut) };
      return { merged, review: await this.reviews.get(lane.reviewId, manager) };
    });
  }

  /** Ends a lane with all its terms. Both are kept, so that undo brings them back. */
  remove(id: string, version: number): Promise<Review> {
    return this.store.write(async (manager) => {
      const lane = await expectLane(manager, id);
      await this.raise(manager, lane, version);
      await manager.update(LaneRow, { id }, { removedAt: new Date().toISOString() });
      await keepOneLane(manager, lane.reviewId, lane.elementId);
      return this.reviews.get(lane.reviewId, manager);
    });
  }

  /** Raises a lane's version. @throws ProblemException when it is no longer the one that was seen */
  private async raise(manager: EntityManager, lane: LaneRow, version: number): Promise<void> {
    if (lane.version !== version) {
      const element = await manager.findOneBy(ElementRow, { id: lane.elementId ?? '' });
      const name = nameOfLane(lane, element === null ? null : { ...element, key: element.key as ElementKey });
      throw changedMeanwhile(`lane “${name}”`, await shownLane(manager, lane));
    }
    await manager.update(LaneRow, { id: lane.id }, { version: version + 1 });
  }
}

async function shownLane(manager: EntityManager, lane: LaneRow): Promise<KeptReviewLane> {
  return laneOf(lane, await termsIn(manager, lane.id));
}

/** @throws ProblemException where there is no such lane, in this review */
export async function expectLane(manager: EntityManager, id: string, reviewId?: string): Promise<LaneRow> {
  const lane = await manager.findOneBy(LaneRow, { id, removedAt: IsNull() });
  if (lane === null || (reviewId !== undefined && lane.reviewId !== reviewId)) throw notFound('This lane');
  return lane;
}

export async function expectElement(
  manager: EntityManager,
  reviewId: string,
  elementId: string | null,
): Promise<void> {
  if (elementId === null) return;
  const element = await manager.findOneBy(ElementRow, { id: elementId, reviewId });
  if (element === null) throw notFound('This element');
}

function termsIn(manager: EntityManager, laneId: string): Promise<TermRow[]> {
  return manager.find(TermRow, { where: { laneId, removedAt: IsNull() }, order: { position: 'ASC' } });
}

/** Moves terms that somebody chose out of a lane, which keeps at least one. */
async function takeChosen(
  manager: EntityManager,
  from: LaneRow,
  to: string,
  termIds: readonly string[],
  person: Person,
): Promise<void> {
  const terms = await termsIn(manager, from.id);
  const chosen = terms.filter(({ id }) => termIds.includes(id));
  if (chosen.length < termIds.length) {
    throw conflict(
      'Somebody has moved or taken out some of these terms meanwhile.',
      'Nothing was changed. Look at the lane again, and choose anew.',
    );
  }
  if (chosen.length === terms.length) {
    const message = 'All its terms would go, and nothing would be left. Leave one, or rename the lane.';
    throw badInput([{ path: 'take.termIds', message }]);
  }
  for (const term of chosen) await moveTerm(manager, term, to, person);
}

async function moveTerm(
  manager: EntityManager,
  term: TermRow,
  laneId: string,
  person: Person,
): Promise<void> {
  const position = await nextTermPosition(manager, laneId);
  await manager.update(TermRow, { id: term.id }, { laneId, position, version: term.version + 1 });
  await noteStep(manager, person, term.laneId, term, 'moved away');
  await noteStep(manager, person, laneId, term, 'moved here');
}

async function copyTerms(manager: EntityManager, from: string, to: string, person: Person): Promise<void> {
  for (const { content, origin, heldBack } of await termsIn(manager, from)) {
    await newTerm(manager, to, { content, origin, heldBack }, person);
  }
}

async function placeBehind(manager: EntityManager, id: string, other: LaneRow): Promise<void> {
  const lanes = await lanesInOrder(manager, other.reviewId);
  const next = lanes[lanes.findIndex((lane) => lane.id === other.id) + 1];
  await placeLaneBefore(manager, other.reviewId, id, next?.id === id ? null : (next?.id ?? null));
}

/** @param before null for the end */
async function placeLaneBefore(
  manager: EntityManager,
  reviewId: string,
  id: string,
  before: string | null,
): Promise<void> {
  await placeBefore(manager, LaneRow, await lanesInOrder(manager, reviewId), id, before, 'lane');
}

/** An element has one lane at least. One whose last lane went gets an empty one, and is no longer searched on. */
async function keepOneLane(
  manager: EntityManager,
  reviewId: string,
  elementId: string | null,
): Promise<void> {
  if (elementId === null || (await manager.countBy(LaneRow, { elementId, removedAt: IsNull() })) > 0) return;
  await addLane(manager, { reviewId, elementId, name: '', leftOut: false });
  const element = await manager.findOneByOrFail(ElementRow, { id: elementId });
  if (element.searched)
    await manager.update(ElementRow, { id: elementId }, { searched: false, version: element.version + 1 });
}

/** A lane that comes to an element whose only other lanes are empty and nameless takes their place, and is searched. */
export async function takePlace(manager: EntityManager, id: string, elementId: string | null): Promise<void> {
  if (elementId === null) return;
  const lanes = await manager.findBy(LaneRow, { elementId, removedAt: IsNull() });
  const others = lanes.filter((lane) => lane.id !== id).map((lane) => lane.id);
  const named = lanes.some((lane) => lane.id !== id && lane.name !== '');
  if (others.length === 0 || named || (await manager.countBy(TermRow, { laneId: In(others) })) > 0) return;
  await manager.update(LaneRow, { id: In(others) }, { removedAt: new Date().toISOString() });
  const element = await manager.findOneByOrFail(ElementRow, { id: elementId });
  if (!element.searched)
    await manager.update(ElementRow, { id: elementId }, { searched: true, version: element.version + 1 });
}
