import { Injectable } from '@nestjs/common';
import {
  addsQuery,
  compileLanes,
  describeLine,
  standaloneQuery,
  type Lane,
  type Line,
  type Query,
} from '@even-lantern/core';
import type { Bridge, Counted, Rehearsal, RehearsedLine, TermCount } from '@even-lantern/contract';
import { ReviewsService } from '../reviews/reviewsService.js';
import { canonicalText, DatabasesService, type OpenDatabase } from './databasesService.js';

const NOTHING: Counted = { hits: null, error: null };

/** Rehearsal: every count of a strategy, asked for without logging anything. */
@Injectable()
export class RehearsalService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
  ) {}

  async rehearse(reviewId: string, databaseId: string): Promise<Rehearsal> {
    const lanes = await this.reviews.lanes(reviewId);
    const database = await this.databases.open(databaseId);
    const strategy = compileLanes(lanes);
    const [lines, adds, bridges] = await Promise.all([
      Promise.all(strategy.lines.map((line) => this.countLine(database, line, strategy.lines, lanes))),
      this.countAdditions(database, lanes),
      this.countBridges(database, strategy.lines),
    ]);
    const terms: Record<string, TermCount> = {};
    const laneCounts: Record<string, Counted> = {};
    for (const { kind, termId, laneId, hits, error } of lines) {
      if (kind === 'term' && termId !== null) terms[termId] = { hits, error, adds: adds.get(termId) ?? null };
      if (kind === 'lane' && laneId !== null) laneCounts[laneId] = { hits, error };
    }
    for (const problem of strategy.problems) {
      if (problem.termId !== null) terms[problem.termId] = { hits: null, adds: null, error: problem.message };
    }
    const last = lines.at(-1);
    return {
      database: database.id,
      databaseName: database.description.name,
      release: database.description.release,
      countedAt: new Date().toISOString(),
      lines,
      terms,
      lanes: laneCounts,
      bridges,
      whole: last?.kind === 'whole' ? { hits: last.hits, error: last.error } : NOTHING,
      problems: strategy.problems,
    };
  }

  private async countLine(
    database: OpenDatabase,
    line: Line,
    lines: readonly Line[],
    lanes: readonly Lane[],
  ): Promise<RehearsedLine> {
    const query = standaloneQuery(line, lines);
    return {
      number: line.number,
      kind: line.kind,
      laneId: line.laneId,
      termId: line.termId,
      description: describeLine(line, lanes),
      string: canonicalText(database, query),
      ...(await this.databases.count(database, query)),
    };
  }

  private async countAdditions(
    database: OpenDatabase,
    lanes: readonly Lane[],
  ): Promise<Map<string, number | null>> {
    const counted = await Promise.all(
      lanes.flatMap((lane) =>
        lane.terms.map(async (term): Promise<[string, number | null]> => {
          const query = addsQuery(term, lane);
          return [term.id, query === null ? null : (await this.databases.count(database, query)).hits];
        }),
      ),
    );
    return new Map(counted);
  }

  /** Between two lanes: how many records the lanes so far find together. */
  private countBridges(database: OpenDatabase, lines: readonly Line[]): Promise<Bridge[]> {
    const laneLines = lines.filter((line) => line.kind === 'lane');
    return Promise.all(
      laneLines.slice(0, -1).map(async (line, i) => {
        const operands: Query[] = laneLines.slice(0, i + 2).map((each) => standaloneQuery(each, lines));
        return {
          afterLaneId: line.laneId ?? '',
          ...(await this.databases.count(database, { kind: 'and', operands })),
        };
      }),
    );
  }
}
