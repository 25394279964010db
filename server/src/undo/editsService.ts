import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  isMoreWriting,
  joinedSteps,
  reversed,
  stepBetween,
  stepInWords,
  takeBack,
  thingsOf,
  stateOfThings,
  type EditStep,
  type Things,
} from '@even-lantern/core';
import type { EditTaken, Person } from '@even-lantern/contract';
import { IsNull, LessThanOrEqual, type EntityManager } from 'typeorm';
import { soonAfter } from '../edits/soonAfter.js';
import type { EditUnderWay } from '../edits/reviewEdit.js';
import { conflict } from '../http/problem.js';
import { EditStepRow, ReviewRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { editableStateOf, restoreEditable } from './editableRows.js';

/** How many steps of a person in a review can be taken back. */
const MOST_STEPS = 300;
/** Writing that goes on within this time is one step. */
const ONE_STEP_MS = 10_000;

/**
 * What people did to a review, step by step, each person’s apart. Steps are kept in the change that makes them, so they
 * outlast the page and the program.
 */
@Injectable()
export class EditsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** Looks at what stands before a change, and keeps what it did. */
  async watch(manager: EntityManager, editing: EditUnderWay): Promise<() => Promise<void>> {
    const before = await thingsIn(manager, editing.reviewId);
    return async () => {
      const after = await thingsIn(manager, editing.reviewId);
      if (before === null || after === null) return;
      const step = stepBetween(before, after);
      if (step !== null) await keep(manager, editing, step, before, after);
    };
  }

  /**
   * Takes back what a person did last and has not taken back yet. What others did meanwhile stays.
   * @param since only what was done later
   * @throws ProblemException where somebody has changed the same since; that step is passed over from then on
   */
  async undo(reviewId: string, since: string | null, person: Person): Promise<EditTaken> {
    await this.reviews.expect(reviewId);
    return this.take(reviewId, person, 'undone', (manager) =>
      manager
        .findOne(EditStepRow, {
          where: { reviewId, personId: person.id, standing: 'done' },
          order: { position: 'DESC' },
        })
        .then((row) => (row === null || (since !== null && row.at <= since) ? null : row)),
    );
  }

  /** Does again what a person took back last. */
  async redo(reviewId: string, person: Person): Promise<EditTaken> {
    await this.reviews.expect(reviewId);
    return this.take(reviewId, person, 'done', (manager) =>
      manager.findOne(EditStepRow, {
        where: { reviewId, personId: person.id, standing: 'undone' },
        order: { position: 'ASC' },
      }),
    );
  }

  private async take(
    reviewId: string,
    person: Person,
    standing: 'done' | 'undone',
    find: (manager: EntityManager) => Promise<EditStepRow | null>,
  ): Promise<EditTaken> {
    const taken = await this.store.write(async (manager) => {
      const row = await find(manager);
      if (row === null) return { words: null, at: null, stuck: false };
      const { id, words, at } = row;
      const step = row.step;
      const present = await thingsIn(manager, reviewId);
      const back = present && takeBack(present, standing === 'undone' ? step : reversed(step));
      if (!back?.ok) {
        await manager.update(EditStepRow, { id }, { standing: 'stuck' });
        return { words, at, stuck: true };
      }
      await restoreEditable(manager, reviewId, stateOfThings(back.things), person);
      await manager.update(EditStepRow, { id }, { standing });
      return { words, at, stuck: false };
    });
    const { stuck, ...told } = taken;
    if (!stuck) return told;
    throw conflict(
      `This could not be ${standing}: ${taken.words ?? ''}.`,
      'The same has been changed since. Nothing was lost; earlier edits can still be taken back, and versions hold every state.',
    );
  }
}

async function thingsIn(manager: EntityManager, reviewId: string) {
  const review = await manager.findOneBy(ReviewRow, { id: reviewId, deletedAt: IsNull() });
  return review === null ? null : thingsOf(await editableStateOf(manager, review));
}

/** Adds a step to those of a person. What the person had taken back can no longer be done again. */
async function keep(
  manager: EntityManager,
  { reviewId, personId, edit, words }: EditUnderWay,
  step: EditStep,
  before: Things,
  after: Things,
): Promise<void> {
  const whose = { reviewId, personId };
  await manager.delete(EditStepRow, { ...whose, standing: 'undone' });
  const last = await manager.findOne(EditStepRow, { where: whose, order: { position: 'DESC' } });
  const at = new Date().toISOString();
  if (last !== null && goesOn(last, step, edit, at)) {
    const both = joinedSteps(last.step, step);
    const description = words ?? stepInWords(both, before, after);
    await manager.update(EditStepRow, { id: last.id }, { at, step: both, words: description });
    return;
  }
  const position = (last?.position ?? 0) + 1;
  await manager.insert(EditStepRow, {
    ...whose, id: randomUUID(), position, at, edit, words: words ?? stepInWords(step, before, after),
    step, standing: 'done',
  }); // prettier-ignore
  await manager.delete(EditStepRow, { ...whose, position: LessThanOrEqual(position - MOST_STEPS) });
}

/** Whether a step goes on with the last one: it is of one edit with it, or somebody goes on writing the same text. */
function goesOn(last: EditStepRow, step: EditStep, edit: string | null, at: string): boolean {
  if (last.standing !== 'done') return false;
  if (edit !== null && edit === last.edit) return true;
  return soonAfter(last.at, at, ONE_STEP_MS) && isMoreWriting(last.step, step);
}
