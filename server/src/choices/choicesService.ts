import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { ChoiceChange, DatabaseChoice, Person } from '@even-lantern/contract';
import { notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DatabaseChoiceRow } from '../store/entities.js';
import { DatabasesService } from '../databases/databasesService.js';
import { Store } from '../store/store.js';

/** Which databases are searched for a review; those left out have a note that says why. */
@Injectable()
export class ChoicesService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly databases: DatabasesService,
    private readonly people: PeopleService,
  ) {}

  /** What has been decided so far; nothing for databases that nobody has decided on. */
  async of(reviewId: string, manager = this.store.read): Promise<DatabaseChoice[]> {
    await this.reviews.expect(reviewId, manager);
    const rows = await manager.findBy(DatabaseChoiceRow, { reviewId });
    const nameOf = await this.people.namesOf(
      rows.map(({ personId }) => personId),
      manager,
    );
    return rows.map(({ database, chosen, note, at, personId }) => {
      return { database, chosen, note, at, person: nameOf(personId) };
    });
  }

  /** @throws ProblemException for a review or database that is not known */
  async choose(
    reviewId: string,
    database: string,
    change: ChoiceChange,
    person: Person,
  ): Promise<DatabaseChoice[]> {
    if (!this.databases.knows(database)) throw notFound(`The database “${database}”`);
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const known = await manager.findOneBy(DatabaseChoiceRow, { reviewId, database });
      const now = { ...change, at: new Date().toISOString(), personId: person.id };
      if (known === null) {
        await manager.insert(DatabaseChoiceRow, { id: randomUUID(), reviewId, database, ...now });
      } else await manager.update(DatabaseChoiceRow, { id: known.id }, now);
      return this.of(reviewId, manager);
    });
  }
}
