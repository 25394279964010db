import { Injectable } from '@nestjs/common';
import type { LanesDocument, NamedLane } from '@even-lantern/core';
import type { LanesRead, Person, Review } from '@even-lantern/contract';
import { addMissing } from '../lanes/termSteps.js';
import { lanesOf, ReviewsService } from '../reviews/reviewsService.js';
import { putOnShelf } from '../shelf/shelfRows.js';
import { Store } from '../store/store.js';
import { laneForDocument } from './laneForDocument.js';

/** Lanes as files, out and in. */
@Injectable()
export class LaneFilesService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** A review with its searched lanes, each with the key of its element. */
  async lanes(reviewId: string): Promise<{ review: Review; lanes: NamedLane[] }> {
    const review = await this.reviews.get(reviewId);
    return {
      review,
      lanes: lanesOf(review).map((lane) => ({ ...lane, element: lane.element?.key ?? null })),
    };
  }

  /** Adds the terms of exported lanes to the lanes of the same name, which are begun where they are missing; all or none. */
  async read(reviewId: string, document: LanesDocument, person: Person): Promise<LanesRead> {
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
}
