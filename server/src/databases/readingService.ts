import { Injectable } from '@nestjs/common';
import {
  patternsToSpell,
  sayingIn,
  termQuery,
  type Dialect,
  type DialectContext,
  type Lane,
  type Query,
  type TermContent,
  type TermReading,
} from '@even-lantern/core';
import { CrosswalkService } from '../crosswalk/crosswalkService.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { contextOf, DatabasesService, type OpenDatabase } from './databasesService.js';

/** How terms are said in one database. */
export interface DatabaseReading {
  /** its own dialect; null where it takes CQL alone, which can say everything */
  dialect: Dialect | null;
  context: DialectContext;
  /** as they are meant, with headings of other vocabularies as they were settled */
  meant: TermReading;
  /** as the dialect says them: what is counted and run */
  said: TermReading;
}

/** The lanes of a review, and how one database, as it is now, says them. */
export interface ReviewReading extends DatabaseReading {
  lanes: Lane[];
  database: OpenDatabase;
}

/** Between the terms of a review and what a database can be asked. */
@Injectable()
export class ReadingService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
    private readonly crosswalk: CrosswalkService,
  ) {}

  /** What every use of a review's strategy in a database begins with. */
  async ofReview(reviewId: string, databaseId: string): Promise<ReviewReading> {
    const lanes = await this.reviews.lanes(reviewId);
    const database = await this.databases.open(databaseId);
    const terms = lanes.flatMap((lane) => lane.terms.map(({ content }) => content));
    return { lanes, database, ...(await this.readingFor(database, terms)) };
  }

  async readingFor(database: OpenDatabase, contents: readonly TermContent[]): Promise<DatabaseReading> {
    const meant = await this.crosswalk.readingFor(database, contents);
    const { dialect } = database;
    const context = contextOf(database);
    if (dialect === null) return { dialect, context, meant, said: meant };
    const queries = contents.flatMap((content) => {
      const read = termQuery(content, meant);
      return read.ok ? [read.query] : [];
    });
    const spelling = await this.withWords(database, dialect, context, queries);
    return { dialect, context: spelling, meant, said: sayingIn(dialect, spelling, meant) };
  }

  /** With the index's words for the patterns that the dialect cannot have, so that they are spelled out. */
  private async withWords(
    database: OpenDatabase,
    dialect: Dialect,
    context: DialectContext,
    queries: readonly Query[],
  ): Promise<DialectContext> {
    const wanted = queries.flatMap((query) => patternsToSpell(query, dialect.abilities));
    const key = (pattern: object, field: string) => JSON.stringify([pattern, field]);
    const known = new Map(
      await Promise.all(
        wanted.map(
          async ({ pattern, field }) =>
            [key(pattern, field), await this.databases.wordsMatching(database, pattern, field)] as const,
        ),
      ),
    );
    return { ...context, wordsMatching: (pattern, field) => known.get(key(pattern, field)) ?? null };
  }
}
