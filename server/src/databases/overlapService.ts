import { Injectable } from '@nestjs/common';
import { foundLine, sharedWorks, translateLine, workSigns, type WorkSigns } from '@even-lantern/core';
import type { Overlap } from '@even-lantern/contract';
import { LRUCache } from 'lru-cache';
import { ProblemException } from '../application/problem.js';
import { DatabaseError } from './databaseConnector.js';
import { rememberedFor } from './askingService.js';
import { DatabasesService } from './databasesService.js';
import { within } from './patience.js';
import { ReadingService, type ReviewReading } from './readingService.js';

/** A strategy that finds more is too broad to be compared record by record. */
const MOST_RECORDS = 3000;
const REMEMBERED = 40;
/** How long the comparison waits for one database. */
const PATIENCE_MS = 8000;

interface Found {
  id: string;
  works: WorkSigns[] | null;
  reason: string | null;
}

/** What each database finds of a strategy that the others find too. */
@Injectable()
export class OverlapService {
  /** by database, release and string */
  private readonly found = new LRUCache<string, WorkSigns[]>({ max: REMEMBERED });

  constructor(
    private readonly databases: DatabasesService,
    private readonly readings: ReadingService,
  ) {}

  async of(reviewId: string): Promise<Overlap> {
    const { databases } = await this.databases.list();
    const found = await Promise.all(
      databases.map(({ id }) => {
        const late: Found = { id, works: null, reason: 'It has not answered in time.' };
        return within(PATIENCE_MS, this.find(reviewId, id), late);
      }),
    );
    const compared = found.filter((each): each is Found & { works: WorkSigns[] } => each.works !== null);
    const shared = sharedWorks(compared.map(({ works }) => works));
    return {
      databases: Object.fromEntries(
        found.map(({ id, reason }) => {
          const at = compared.findIndex((each) => each.id === id);
          const { works, elsewhere, withEach } = shared[at] ?? { works: null, elsewhere: null, withEach: [] };
          const others = withEach.flatMap((count, i): [string, number][] =>
            i === at ? [] : [[compared[i]?.id ?? '', count]],
          );
          return [id, { works, elsewhere, withEach: Object.fromEntries(others), reason }];
        }),
      ),
    };
  }

  private async find(reviewId: string, id: string): Promise<Found> {
    try {
      const works = await this.worksOf(await this.readings.ofReview(reviewId, id));
      return typeof works === 'string' ? { id, works: null, reason: works } : { id, works, reason: null };
    } catch (error) {
      if (error instanceof DatabaseError) return { id, works: null, reason: error.message };
      if (error instanceof ProblemException) return { id, works: null, reason: error.problem.title };
      throw error;
    }
  }

  /** @returns why it cannot be compared, where it cannot */
  private async worksOf({
    database,
    dialect,
    context,
    strategies,
  }: ReviewReading): Promise<WorkSigns[] | string> {
    const { lines } = strategies.meant;
    const whole = foundLine(lines);
    if (whole === undefined) return 'There is nothing to search yet.';
    const text = translateLine(whole, lines, dialect, context).alone.text;
    const { connector, description } = database;
    const key = `${database.id}\n${description.release}\n${text}`;
    const known = this.found.get(key);
    if (known !== undefined) return known;
    const asking = { queryType: dialect?.id ?? 'cql' };
    const works: WorkSigns[] = [];
    for (let hits = 1; works.length < hits;) {
      const page = { start: works.length + 1, size: description.pageCap };
      const answer = await connector.search(text, page, undefined, asking);
      hits = answer.hits;
      if (hits > MOST_RECORDS) return `More than ${MOST_RECORDS} records are not compared.`;
      if (answer.records.length === 0) break;
      works.push(...answer.records.map(workSigns));
    }
    // What a person gives back can change under the same string.
    if (description.reached !== 'hand') this.found.set(key, works, rememberedFor(database));
    return works;
  }
}
