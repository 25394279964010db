import { Injectable } from '@nestjs/common';
import type { AcceptedFinding, FindingAcceptance, Person } from '@even-lantern/contract';
import { acceptedFindings, letStand } from '../reviews/acceptedFindings.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { PeopleService } from '../people/people.js';
import { Store } from '../store/store.js';

/** What people let stand of what checks found. */
@Injectable()
export class AcceptedFindingsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /** @returns all that is accepted now */
  accept(reviewId: string, finding: FindingAcceptance, person: Person): Promise<AcceptedFinding[]> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      await letStand(manager, reviewId, finding, person);
      return acceptedFindings(manager, this.people, reviewId);
    });
  }
}
