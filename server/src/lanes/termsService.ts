import { Injectable } from '@nestjs/common';
import { describeTerm, sameTerm, type TermContent } from '@even-lantern/core';
import type { LaneEvent, NewTerm, Person, ReviewTerm, TermChange } from '@even-lantern/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { conflict, notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../edits/changeVersion.js';
import { LaneEventRow, LaneRow, TermRow } from '../store/entities.js';
import { termOf } from '../reviews/laneRows.js';
import { newTerm, nextTermPosition, note, type Step } from './termSteps.js';
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
      const parts = { content, origin, heldBack: null };
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
        const next = content ?? before.content;
        await refuseTwice(manager, laneId ?? before.laneId, next, id);
      }
      const columns = {
        ...(content === undefined ? {} : { content }),
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
      content,
      before,
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
  const earlier = before.content;
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
  if (change.content !== undefined && !sameTerm(content, earlier)) {
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
  const same = there.find((row) => row.id !== except && sameTerm(row.content, content));
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
