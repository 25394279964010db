import { Injectable, Logger } from '@nestjs/common';
import type { Decision, NewConcept } from '@even-lantern/contract';
import { LimitsService } from '../limits/limitsService.js';
import { PeopleService } from '../people/people.js';
import { RecordsService } from '../records/recordsService.js';
import { ReviewListService } from '../reviews/reviewListService.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { ShelfService } from '../shelf/shelfService.js';
import { RunsService } from '../runs/runsService.js';
import { demoReview, emptyReviewTitle } from './demoReview.js';

const NOT_WRITTEN = { text: '', note: '', searched: false, lanes: [] };

/** Fills an empty store with the demo: one review that has been worked on, and one to try. */
@Injectable()
export class DemoService {
  private readonly logger = new Logger('demo');

  constructor(
    private readonly people: PeopleService,
    private readonly reviews: ReviewsService,
    private readonly reviewList: ReviewListService,
    private readonly shelf: ShelfService,
    private readonly limits: LimitsService,
    private readonly runs: RunsService,
    private readonly records: RecordsService,
  ) {}

  async fillIfEmpty(): Promise<void> {
    if (await this.reviewList.hasAny()) return;
    const person = await this.people.add({ name: demoReview.person });
    const review = await this.reviews.create({ title: demoReview.title }, person);
    for (const element of review.elements) {
      const { text, note, searched, lanes } = demoReview.elements[element.key] ?? NOT_WRITTEN;
      await this.reviews.changeElement(element.id, { text, note, searched }, element.version, person);
      if (lanes.length === 0) continue;
      const concepts = lanes.map(({ name, terms }): NewConcept => ({
        elementId: element.id,
        name,
        terms: terms.map((content) => ({ content, origin: content.kind === 'heading' ? 'lookup' : 'typed' })),
      }));
      await this.shelf.make(review.id, { concepts, texts: [] }, person);
    }
    for (const item of demoReview.shelf) await this.shelf.put(review.id, item, person);
    await this.reviews.create({ title: emptyReviewTitle }, person);
    try {
      const run = await this.runs.start(review.id, { database: 'corvane', timeZone: 'UTC' }, person);
      await this.runs.finished(run.id);
      const page = { sort: 'relevance' as const, decision: 'any' as const, offset: 0, limit: 40 };
      const { rows } = await this.records.page(review.id, page);
      for (const [i, row] of rows.entries()) {
        const decision = decisionFor(i, row.publicationTypes);
        if (decision !== null) await this.records.decide(row.id, decision, row.version, person);
      }
    } catch (error) {
      // The demo is a convenience: without the database, the reviews are there and the run can be made later.
      this.logger.warn(
        `The demo run could not be made: ${error instanceof Error ? error.message : String(error)}`,
      );
    }
    await this.limits.add(review.id, demoReview.limits, person);
  }
}

/** Decisions as a reader might have made them on the first records: trials kept, other designs set aside. */
function decisionFor(i: number, publicationTypes: readonly string[]): Decision | null {
  if (i >= 24) return null;
  if (publicationTypes.some((type) => /trial|Quasi/.test(type))) return 'keep';
  return publicationTypes.length === 1 ? 'unsure' : 'set aside';
}
