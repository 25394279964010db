import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { AcceptedFinding, FindingAcceptance, Person } from '@even-lantern/contract';
import { acceptedFindings, ReviewsService } from '../reviews/reviewsService.js';
import { PeopleService } from '../people/people.js';
import { AcceptedFindingRow } from '../store/entities.js';
import { Store } from '../store/store.js';

/** What people let stand of what checks found. Rows are only ever added; the latest about a finding counts. */
@Injectable()
export class AcceptedFindingsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /** @returns all that is accepted now */
  accept(
    reviewId: string,
    { check, at: place, detail, message, reason }: FindingAcceptance,
    person: Person,
  ): Promise<AcceptedFinding[]> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const last = (await manager.maximum(AcceptedFindingRow, 'position', { reviewId })) ?? 0;
      await manager.insert(AcceptedFindingRow, {
        id: randomUUID(),
        reviewId,
        position: last + 1,
        check,
        place,
        detail,
        message,
        reason,
        at: new Date().toISOString(),
        personId: person.id,
      });
      return acceptedFindings(manager, this.people, reviewId);
    });
  }
}
