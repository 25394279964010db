import { Injectable } from '@nestjs/common';
import {
  type NewConcepts,
  type NewShelfItem,
  type Person,
  type Review,
  type ShelfItem,
  type ShelfMoved,
} from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { conflict, notFound } from '../http/problem.js';
import { changeVersion } from '../edits/changeVersion.js';
import { ElementRow, ShelfItemRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { expectElement, expectLane, takePlace } from '../lanes/lanesService.js';
import { addLane, expectRoom, termOf } from '../reviews/laneRows.js';
import { keepWording } from '../reviews/elementRows.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { shelfItemOf } from '../reviews/shelfItemRows.js';
import { contentsOf, putOnShelf, sameOnShelf } from './shelfRows.js';
import { addMissing } from '../lanes/termSteps.js';

/** The shelf of a review, and concepts that become lanes with all their terms at once. */
@Injectable()
export class ShelfService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** @throws ProblemException when the shelf holds the same already, with where it is */
  put(reviewId: string, item: NewShelfItem, person: Person): Promise<ShelfItem> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const row = await putOnShelf(manager, reviewId, item, person);
      if (row !== null) return shelfItemOf(row);
      const same = await sameOnShelf(manager, reviewId, item.contents);
      throw conflict(`${item.name} is on the shelf already.`, 'Nothing was changed.', {
        current: same === undefined ? undefined : shelfItemOf(same),
      });
    });
  }

  /** Takes an item off the shelf; it is kept, so that undo puts it back. */
  takeOff(id: string, version: number): Promise<ShelfItem> {
    const columns = { removedAt: new Date().toISOString() };
    return this.store.write((manager) =>
      changeVersion(manager, ShelfItemRow, { id, version }, columns, 'item of the shelf', shelfItemOf),
    );
  }

  /** Moves an item into a lane: terms that the lane lacks are added. */
  move(id: string, laneId: string, version: number, person: Person): Promise<ShelfMoved> {
    return this.store.write(async (manager) => {
      const item = await expectItem(manager, id);
      await expectLane(manager, laneId, item.reviewId);
      await takeOff(manager, id, version);
      const contents = contentsOf(item);
      const terms = await addMissing(
        manager,
        laneId,
        contents.map((content) => ({ content, origin: item.origin, heldBack: null })),
        person,
      );
      return { terms: terms.map(termOf), present: contents.length - terms.length };
    });
  }

  /** Makes concepts lanes, and writes the elements that say nothing yet; all or none. @returns the new lanes, in order */
  make(
    reviewId: string,
    { concepts, texts }: NewConcepts,
    person: Person,
  ): Promise<{ laneIds: string[]; review: Review }> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      for (const { elementId, text } of texts) {
        await expectElement(manager, reviewId, elementId);
        await writeEmpty(manager, elementId, text, person);
      }
      const laneIds: string[] = [];
      for (const { elementId, name, terms, leftOut = false, fromShelf } of concepts) {
        await expectElement(manager, reviewId, elementId);
        await expectRoom(manager, reviewId);
        const lane = await addLane(manager, { reviewId, elementId, name, leftOut });
        const searched = terms.map((term) => ({ ...term, heldBack: null }));
        await addMissing(manager, lane.id, searched, person);
        await takePlace(manager, lane.id, elementId);
        if (elementId !== null) await searchOn(manager, elementId);
        if (fromShelf !== undefined) {
          const item = await expectItem(manager, fromShelf, reviewId);
          await takeOff(manager, item.id, item.version);
        }
        laneIds.push(lane.id);
      }
      return { laneIds, review: await this.reviews.get(reviewId, manager) };
    });
  }
}

/** @throws ProblemException where no such item is on a shelf, of this review */
async function expectItem(manager: EntityManager, id: string, reviewId?: string): Promise<ShelfItemRow> {
  const item = await manager.findOneBy(ShelfItemRow, { id });
  if (item === null || (reviewId !== undefined && item.reviewId !== reviewId))
    throw notFound('This item of the shelf');
  if (item.removedAt !== null) {
    throw conflict(
      `${item.name} is no longer on the shelf.`,
      'Nothing was changed. Look at the shelf again.',
    );
  }
  return item;
}

async function takeOff(manager: EntityManager, id: string, version: number): Promise<void> {
  const columns = { removedAt: new Date().toISOString() };
  await changeVersion(manager, ShelfItemRow, { id, version }, columns, 'item of the shelf', shelfItemOf);
}

/** What somebody wrote meanwhile is left as it is. */
async function writeEmpty(manager: EntityManager, id: string, text: string, person: Person): Promise<void> {
  const element = await manager.findOneByOrFail(ElementRow, { id });
  if (element.text.trim() !== '') return;
  await manager.update(ElementRow, { id }, { text, version: element.version + 1 });
  await keepWording(manager, id, text, person);
}

async function searchOn(manager: EntityManager, id: string): Promise<void> {
  const element = await manager.findOneByOrFail(ElementRow, { id });
  if (element.searched) return;
  await manager.update(ElementRow, { id }, { searched: true, version: element.version + 1 });
}
