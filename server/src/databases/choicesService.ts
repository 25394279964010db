import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { ChoiceChange, DatabaseChoice, Person } from '@even-lantern/contract';
import { DataSource } from 'typeorm';
import { notFound } from '../application/problem.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DatabaseChoiceRow, PersonRow } from '../store/entities.js';
import { DatabasesService } from './databasesService.js';

/** Which databases are searched for a review; those left out have a note that says why. */
@Injectable()
export class ChoicesService {
  constructor(
    private readonly store: DataSource,
    private readonly reviews: ReviewsService,
    private readonly databases: DatabasesService,
  ) {}

  /** What has been decided so far; nothing for databases that nobody has decided on. */
  async of(reviewId: string): Promise<DatabaseChoice[]> {
    await this.reviews.get(reviewId);
    const rows = await this.store.getRepository(DatabaseChoiceRow).findBy({ reviewId });
    const people = await this.store.getRepository(PersonRow).find();
    return rows.map(({ database, chosen, note, at, personId }) => {
      const person = people.find(({ id }) => id === personId)?.name ?? '';
      return { database, chosen, note, at, person };
    });
  }

  /** @throws ProblemException for a review or database that is not known */
  async choose(
    reviewId: string,
    database: string,
    change: ChoiceChange,
    person: Person,
  ): Promise<DatabaseChoice[]> {
    await this.reviews.get(reviewId);
    if (!this.databases.knows(database)) throw notFound(`The database “${database}”`);
    const choices = this.store.getRepository(DatabaseChoiceRow);
    const known = await choices.findOneBy({ reviewId, database });
    const now = { ...change, at: new Date().toISOString(), personId: person.id };
    if (known === null) await choices.insert({ id: randomUUID(), reviewId, database, ...now });
    else await choices.update({ id: known.id }, now);
    return this.of(reviewId);
  }
}
