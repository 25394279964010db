import { createHash, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { withLanesOf, type StrategyState, type Term, type TermOrigin } from '@even-lantern/core';
import type { Person, StrategyVersion, StrategyVersionWithState } from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { soonAfter } from '../edits/soonAfter.js';
import { badInput, notFound } from '../http/problem.js';
import { writtenLines } from '../strategies/writtenLines.js';
import { PeopleService } from '../people/people.js';
import { lanesInOrder } from '../reviews/laneRows.js';
import { limitsInOrder } from '../reviews/limitRows.js';
import { ownLinesInOrder } from '../reviews/ownLineRows.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { ElementRow, ReviewRow, StrategyVersionRow, TermRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { restore } from './restore.js';

/** What one person changes within this time is one state. */
const ONE_STATE_MS = 120_000;

/**
 * The states of strategies. One is kept after each change (`VersionKeeper`), so that any can be looked at and gone back
 * to. Quick changes of one person, one after the other, are one state, unless somebody named it.
 */
@Injectable()
export class VersionsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /**
   * Keeps the present state, if it is not kept yet.
   * @param asOne whether it may be one state with what the same person changed just before, and changes next
   * @returns the version that it is; null for a strategy in which nothing was written yet
   */
  keep(reviewId: string, personId: string, asOne = true): Promise<string | null> {
    return this.store.write((manager) => keepIn(manager, reviewId, personId, asOne));
  }

  /** The latest first. */
  async list(reviewId: string): Promise<StrategyVersion[]> {
    await this.reviews.expect(reviewId);
    const rows = await this.store.read.find(StrategyVersionRow, {
      where: { reviewId },
      order: { position: 'DESC' },
      select: { id: true, position: true, digest: true, name: true, namedBy: true, at: true, personId: true },
    });
    const present = digestOf(await stateOf(this.store.read, reviewId));
    const nameOf = await this.people.namesOf(rows.flatMap(peopleOf));
    const latest = rows.find(({ digest }) => digest === present)?.id;
    return rows.map((row) => shown(row, nameOf, row.id === latest));
  }

  async get(reviewId: string, id: string): Promise<StrategyVersionWithState> {
    const row = await this.expect(reviewId, id);
    const nameOf = await this.people.namesOf(peopleOf(row));
    const present = digestOf(await stateOf(this.store.read, reviewId)) === row.digest;
    return { ...shown(row, nameOf, present), state: row.state };
  }

  async name(reviewId: string, id: string, name: string, person: Person): Promise<StrategyVersion[]> {
    await this.expect(reviewId, id);
    const named = { name: name.trim(), namedBy: name.trim() === '' ? null : person.id };
    await this.store.write((manager) => manager.update(StrategyVersionRow, { id, reviewId }, named));
    return this.list(reviewId);
  }

  /**
   * Makes the strategy what it was in a version. That is an edit of its own: what was there before is kept as a version,
   * and can be gone back to.
   * @param lanes the ids of those that alone are to be as they were; all of the strategy where none are named
   * @returns the version that was left
   */
  async goBack(
    reviewId: string,
    id: string,
    person: Person,
    lanes?: readonly string[],
  ): Promise<{ left: string }> {
    return this.store.write(async (manager) => {
      const row = await manager.findOneBy(StrategyVersionRow, { id, reviewId });
      if (row === null) throw notFound('This version');
      const left = await keepIn(manager, reviewId, person.id, false);
      const then = row.state;
      const missing = lanes?.find((lane) => then.lanes.every((each) => each.id !== lane));
      if (missing !== undefined)
        throw badInput([{ path: 'lanes', message: 'This version has no such lane.' }]);
      const target = lanes === undefined ? then : withLanesOf(await stateOf(manager, reviewId), then, lanes);
      await restore(manager, reviewId, target, person);
      await keepIn(manager, reviewId, person.id, false);
      return { left: left ?? '' };
    });
  }

  private async expect(reviewId: string, id: string): Promise<StrategyVersionRow> {
    const row = await this.store.read.findOneBy(StrategyVersionRow, { id, reviewId });
    if (row === null) throw notFound('This version');
    return row;
  }
}

/**
 * Keeps the present state, as part of another change, if it is not kept yet.
 * @returns the version that it is; null for a strategy in which nothing was written yet
 */
export async function keepIn(
  manager: EntityManager,
  reviewId: string,
  personId: string,
  asOne: boolean,
): Promise<string | null> {
  // One that was deleted meanwhile has no versions.
  if (!(await manager.existsBy(ReviewRow, { id: reviewId, deletedAt: IsNull() }))) return null;
  const state = await stateOf(manager, reviewId);
  const digest = digestOf(state);
  const [last] = await manager.find(StrategyVersionRow, {
    where: { reviewId },
    order: { position: 'DESC' },
    take: 1,
  });
  if (last?.digest === digest) {
    if (!asOne && !last.fixed) await manager.update(StrategyVersionRow, { id: last.id }, { fixed: true });
    return last.id;
  }
  // A strategy in which nothing was written yet is no version.
  if (last === undefined && isEmpty(state)) return null;
  const at = new Date().toISOString();
  const goesOn =
    last !== undefined &&
    !last.fixed &&
    last.personId === personId &&
    last.name === '' &&
    soonAfter(last.at, at, ONE_STATE_MS);
  if (goesOn) {
    const change = { digest, state, fixed: !asOne };
    await manager.update(StrategyVersionRow, { id: last.id }, change);
    return last.id;
  }
  const id = randomUUID();
  const position = (last?.position ?? 0) + 1;
  const row = {
    id,
    reviewId,
    position,
    digest,
    state,
    name: '',
    namedBy: null,
    at,
    personId,
    fixed: !asOne,
  };
  await manager.insert(StrategyVersionRow, row);
  return id;
}

/** The state of a strategy as it is now. */
export async function stateOf(manager: EntityManager, reviewId: string): Promise<StrategyState> {
  const elements = await manager.find(ElementRow, {
    where: { reviewId, searched: true },
    order: { position: 'ASC' },
    select: { id: true },
  });
  const lanes = await lanesInOrder(manager, reviewId);
  const terms = await manager.find(TermRow, {
    where: { laneId: In(lanes.map(({ id }) => id)), removedAt: IsNull() },
    order: { position: 'ASC' },
  });
  return {
    searched: elements.map(({ id }) => id),
    lanes: lanes.map(({ id, elementId, name, leftOut }) => ({
      id,
      elementId,
      name,
      leftOut,
      terms: terms.filter(({ laneId }) => laneId === id).map(termState),
    })),
    ownLines: (await ownLinesInOrder(manager, reviewId)).map(({ id, role, on, text, note }) => ({
      id,
      role,
      on,
      text,
      note,
    })),
    limits: (await limitsInOrder(manager, reviewId)).map(({ id, kind, content, reason, on, ways }) => ({
      id,
      kind,
      values: content,
      reason,
      on,
      ways,
    })),
    written: await writtenLines(manager, reviewId),
  };
}

function termState({ id, content, origin, heldBack }: TermRow): Term {
  return { id, content, origin: origin as TermOrigin, heldBack };
}

function isEmpty({ lanes, ownLines, limits, written }: StrategyState): boolean {
  return (
    lanes.every(({ terms }) => terms.length === 0) && ownLines.length + limits.length + written.length === 0
  );
}

export function digestOf(state: StrategyState): string {
  return createHash('sha256').update(JSON.stringify(state)).digest('hex');
}

type ListedVersion = Pick<StrategyVersionRow, 'id' | 'position' | 'name' | 'namedBy' | 'at' | 'personId'>;

const peopleOf = ({ personId, namedBy }: ListedVersion) =>
  namedBy === null ? [personId] : [personId, namedBy];

function shown(
  { id, position, name, namedBy, at, personId }: ListedVersion,
  nameOf: (person: string) => string,
  present: boolean,
): StrategyVersion {
  const by = namedBy === null ? null : nameOf(namedBy);
  return { id, number: position, name, namedBy: by, at, person: nameOf(personId), present };
}
