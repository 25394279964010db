import { Injectable } from '@nestjs/common';
import { compareStates, foundLine, standaloneQuery, type Query } from '@even-lantern/core';
import type { OnlyFound, VersionComparison, VersionComparisonRequest } from '@even-lantern/contract';
import { CountCache } from '../counting/countCache.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { VersionsService } from './versionsService.js';

const NONE: OnlyFound = { records: null, sample: [] };

/** What differs between two versions of a strategy: what was changed, and which records that gained and lost. */
@Injectable()
export class ComparisonService {
  constructor(
    private readonly versions: VersionsService,
    private readonly databases: DatabasesService,
    private readonly strategies: CompiledStrategies,
    private readonly counts: CountCache,
  ) {}

  async compare(reviewId: string, request: VersionComparisonRequest): Promise<VersionComparison> {
    const [from, to] = await Promise.all([
      this.versions.get(reviewId, request.from),
      this.versions.get(reviewId, request.to),
    ]);
    return this.databases.inOneRelease(request.database, async () => {
      const [before, after] = await Promise.all(
        [from, to].map((version) =>
          this.strategies.compile(reviewId, request.database, { state: version.state }),
        ),
      );
      if (before === undefined || after === undefined) throw new RangeError('two versions are compared');
      const { database } = after;
      const [found, finds] = [before, after].map(({ strategies: { sent } }) => {
        const line = foundLine(sent.lines);
        return line === undefined ? null : standaloneQuery(line, sent.lines);
      });
      const count = async (query: Query | null | undefined) =>
        query == null ? null : (await this.counts.count(database, query)).hits;
      const [hitsBefore, hitsAfter, gained, lost] = await Promise.all([
        count(found),
        count(finds),
        this.foundBy(database, finds, found),
        this.foundBy(database, found, finds),
      ]);
      const { state: stateFrom, ...shownFrom } = from;
      const { state: stateTo, ...shownTo } = to;
      return {
        from: shownFrom,
        to: shownTo,
        changes: compareStates(stateFrom, stateTo),
        database: database.id,
        databaseName: database.description.name,
        release: database.description.release,
        hits: { from: hitsBefore, to: hitsAfter },
        gained,
        lost,
      };
    });
  }

  /** What one finds and the other does not. */
  private async foundBy(
    database: OpenDatabase,
    include: Query | null | undefined,
    exclude: Query | null | undefined,
  ): Promise<OnlyFound> {
    if (include == null) return NONE;
    const query: Query = exclude == null ? include : { kind: 'not', include, exclude };
    const { hits } = await this.counts.count(database, query);
    if (hits === null || hits === 0) return { records: hits, sample: [] };
    const { records } = await this.counts.sample(database, query);
    return { records: hits, sample: records };
  }
}
