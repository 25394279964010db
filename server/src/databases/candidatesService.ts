import { Injectable } from '@nestjs/common';
import { searchedTerms, termQuery, type Query, type TermContent } from '@even-lantern/core';
import type { Candidates, Sample, SampleRequest, TermCount } from '@even-lantern/contract';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DatabasesService, type OpenDatabase } from './databasesService.js';

/** What terms would find and add before anybody adds them. */
@Injectable()
export class CandidatesService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
  ) {}

  async count(
    reviewId: string,
    { database: id, elementId, instead, contents }: Candidates,
  ): Promise<TermCount[]> {
    const database = await this.databases.open(id);
    const lanes = await this.reviews.lanes(reviewId);
    const lane = lanes.find((each) => each.id === elementId);
    const others = (lane === undefined ? [] : searchedTerms(lane))
      .filter((term) => term.id !== instead)
      .map((term) => termQuery(term.content))
      .flatMap((result) => (result.ok ? [result.query] : []));
    return Promise.all(
      contents.map((content) => this.countOne(database, content, lane === undefined ? null : others)),
    );
  }

  async sample({ database, content }: SampleRequest): Promise<Sample> {
    const own = termQuery(content);
    if (!own.ok) return { hits: null, error: own.message, records: [] };
    return this.databases.sample(await this.databases.open(database), own.query);
  }

  private async countOne(
    database: OpenDatabase,
    content: TermContent,
    others: readonly Query[] | null,
  ): Promise<TermCount> {
    const own = termQuery(content);
    if (!own.ok) return { hits: null, adds: null, error: own.message };
    const [counted, adds] = await Promise.all([
      this.databases.count(database, own.query),
      others === null ? null : this.databases.count(database, without(own.query, others)),
    ]);
    return { ...counted, adds: adds?.hits ?? null };
  }
}

function without(query: Query, others: readonly Query[]): Query {
  return others.length === 0
    ? query
    : { kind: 'not', include: query, exclude: { kind: 'or', operands: others } };
}
