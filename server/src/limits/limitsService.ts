import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { valuesProblem } from '@even-lantern/core';
import {
  MOST_LIMITS,
  type LimitChange,
  type NewLimit,
  type Person,
  type ReviewLimit,
} from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { badInput, conflict, notFound } from '../http/problem.js';
import { limitOf, limitsInOrder } from '../reviews/limitRows.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../edits/changeVersion.js';
import { LimitRow } from '../store/entities.js';
import { placeBefore } from '../edits/placeBefore.js';
import { Store } from '../store/store.js';

/** The limits of a review: their making, changing and moving. One that is taken away is kept, and can come back. */
@Injectable()
export class LimitsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /** Adds limits behind those there are; all or none. */
  add(reviewId: string, limits: readonly NewLimit[], person: Person): Promise<ReviewLimit[]> {
    return this.store.write((manager) => this.addIn(manager, reviewId, limits, person));
  }

  /** The same, as part of a change. */
  async addIn(
    manager: EntityManager,
    reviewId: string,
    limits: readonly NewLimit[],
    person: Person,
  ): Promise<ReviewLimit[]> {
    await this.reviews.expect(reviewId, manager);
    const present = await manager.countBy(LimitRow, { reviewId, removedAt: IsNull() });
    if (present + limits.length > MOST_LIMITS) {
      throw conflict(
        `A review has at most ${MOST_LIMITS} limits.`,
        'Nothing was added. Put values into one limit, or take one away.',
      );
    }
    let position = (await manager.maximum(LimitRow, 'position', { reviewId })) ?? 0;
    const added: ReviewLimit[] = [];
    for (const { kind, values, reason, on, ways } of limits) {
      position += 1;
      const row: LimitRow = {
        id: randomUUID(),
        reviewId,
        position,
        kind,
        content: values,
        reason: reason.trim(),
        on,
        ways,
        ...now(person),
        removedAt: null,
        version: 1,
      };
      await manager.insert(LimitRow, row);
      added.push(limitOf(row, person.name));
    }
    return added;
  }

  change(id: string, change: LimitChange, version: number, person: Person): Promise<ReviewLimit> {
    return this.store.write(async (manager) => {
      const present = await manager.findOneBy(LimitRow, { id });
      if (present === null) throw notFound('This limit');
      const { values, reason, on, ways, before, removed } = change;
      if (values !== undefined) {
        const problem = valuesProblem(present.kind, values);
        if (problem !== null) throw badInput([{ path: 'values', message: problem }]);
      }
      const columns = {
        ...(values === undefined ? {} : { content: values }),
        ...(reason === undefined ? {} : { reason: reason.trim() }),
        ...(on === undefined ? {} : { on }),
        ...(ways === undefined ? {} : { ways }),
        ...(removed === undefined ? {} : { removedAt: removed ? new Date().toISOString() : null }),
        ...now(person),
      };
      // Who came too late is told who changed it meanwhile.
      const nameOf = await this.people.namesOf([present.changedBy, person.id], manager);
      const changed = await changeVersion(manager, LimitRow, { id, version }, columns, 'limit', (row) =>
        limitOf(row, nameOf(row.changedBy)),
      );
      if (before !== undefined) {
        const limits = await limitsInOrder(manager, present.reviewId);
        await placeBefore(manager, LimitRow, limits, id, before, 'limit');
      }
      return changed;
    });
  }
}

function now(person: Person): Pick<LimitRow, 'changedAt' | 'changedBy'> {
  return { changedAt: new Date().toISOString(), changedBy: person.id };
}
