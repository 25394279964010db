import { Injectable } from '@nestjs/common';
import {
  foundLine,
  sharedWorks,
  translateLine,
  workSigns,
  worksApart,
  type WorkSigns,
} from '@even-lantern/core';
import type { DatabasesApart, Overlap, WorkApart } from '@even-lantern/contract';
import { LRUCache } from 'lru-cache';
import { ProblemException } from '../http/problem.js';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { rememberedFor } from '../counting/countCache.js';
import { DatabasesService } from '../databases/databasesService.js';
import { withTimeout } from '../connectors/timeout.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type CompiledStrategy } from '../strategies/compiledStrategy.js';

/** A strategy that finds more is too broad to be compared record by record. */
const MOST_RECORDS = 3000;
const REMEMBERED = 40;
/** Of what one database alone finds, so many are shown. */
const MOST_SHOWN = 20;
/** How long the comparison waits for one database. */
const TIMEOUT_MS = 8000;

/** What is kept of a record that was found. */
type FoundWork = WorkSigns & WorkApart;

interface Found {
  id: string;
  works: FoundWork[] | null;
  reason: string | null;
  late?: boolean;
}

/** What each database finds of a strategy that the others find too. */
@Injectable()
export class OverlapService {
  /** by database, release and string */
  private readonly found = new LRUCache<string, FoundWork[]>({ max: REMEMBERED });

  constructor(
    private readonly databases: DatabasesService,
    private readonly strategies: CompiledStrategies,
  ) {}

  async of(reviewId: string): Promise<Overlap> {
    const { databases } = await this.databases.list();
    const found = await Promise.all(
      databases.map(({ id }) => {
        const late: Found = { id, works: null, reason: 'It has not answered in time.', late: true };
        return withTimeout(TIMEOUT_MS, this.find(reviewId, id), late);
      }),
    );
    const compared = found.filter((each): each is Found & { works: FoundWork[] } => each.works !== null);
    const shared = sharedWorks(compared.map(({ works }) => works));
    return {
      databases: Object.fromEntries(
        found.map(({ id, reason, late = false }) => {
          const at = compared.findIndex((each) => each.id === id);
          const { works, elsewhere, withEach } = shared[at] ?? { works: null, elsewhere: null, withEach: [] };
          const others = withEach.flatMap((count, i): [string, number][] =>
            i === at ? [] : [[compared[i]?.id ?? '', count]],
          );
          return [id, { works, elsewhere, withEach: Object.fromEntries(others), reason, late }];
        }),
      ),
    };
  }

  /** What each of two databases finds that the other does not. */
  async apart(reviewId: string, ids: readonly [string, string]): Promise<DatabasesApart> {
    const found = await Promise.all(ids.map((id) => this.find(reviewId, id)));
    const reason = found.find((each) => each.reason !== null)?.reason ?? null;
    const sets = found.map(({ works }) => works ?? []);
    if (reason !== null) {
      return { both: null, sides: ids.map((database) => ({ database, only: null, sample: [] })), reason };
    }
    const [first] = sharedWorks(sets);
    const apart = worksApart(sets);
    return {
      both: first?.elsewhere ?? 0,
      sides: ids.map((database, i) => ({
        database,
        only: apart[i]?.length ?? 0,
        sample: (apart[i] ?? []).slice(0, MOST_SHOWN).flatMap((at) => {
          const work = sets[i]?.[at];
          if (work === undefined) return [];
          const { accession, title, journal, year } = work;
          return [{ accession, title, journal, year }];
        }),
      })),
      reason: null,
    };
  }

  private async find(reviewId: string, id: string): Promise<Found> {
    try {
      const works = await this.worksOf(await this.strategies.compile(reviewId, id));
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
  }: CompiledStrategy): Promise<FoundWork[] | string> {
    const { lines } = strategies.intended;
    const whole = foundLine(lines);
    if (whole === undefined) return 'There is nothing to search yet.';
    const text = translateLine(whole, lines, dialect, context).alone.text;
    const { connector, description } = database;
    const key = `${database.id}\n${description.release}\n${text}`;
    const known = this.found.get(key);
    if (known !== undefined) return known;
    const options = { queryType: dialect?.id ?? 'cql' };
    const works: FoundWork[] = [];
    for (let hits = 1; works.length < hits;) {
      const page = { start: works.length + 1, size: description.pageCap };
      const answer = await connector.search(text, page, undefined, options);
      hits = answer.hits;
      if (hits > MOST_RECORDS) return `More than ${MOST_RECORDS} records are not compared.`;
      if (answer.records.length === 0) break;
      works.push(
        ...answer.records.map((record) => {
          const { accession, journal } = record;
          return { ...workSigns(record), accession, journal };
        }),
      );
    }
    // What a person gives back can change under the same string.
    if (description.reached !== 'hand') this.found.set(key, works, rememberedFor(database));
    return works;
  }
}
