import { Injectable } from '@nestjs/common';
import {
  addsQueries,
  describeLine,
  foundLine,
  joinParts,
  laneKey,
  laneParts,
  standaloneQuery,
  type Edits,
  type TermResolver,
  type Lane,
  type Line,
  type Query,
} from '@even-lantern/core';
import type {
  Bridge,
  Counted,
  LaneCounts,
  Rehearsal,
  RehearsedLine,
  StrategyTotal,
  TermCount,
} from '@even-lantern/contract';
import { inTurns } from '../counting/inTurns.js';
import { withPriority } from '../connectors/callQueue.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type CompiledStrategy } from '../strategies/compiledStrategy.js';
import { affordableCalls, withinAllowance } from '../counting/callAllowance.js';
import { partsOfLines, type PartOfLine } from '../strategies/parts.js';
import { askedText, CountCache } from '../counting/countCache.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';

const NOTHING: Counted = { hits: null, error: null };
const NO_PARTS = { headingsOnly: null, both: null, wordsOnly: null, awaitingHeadings: null };

/** The limit by which a database tells the records that indexers have not reached. */
const INDEXING = { field: 'indexing', awaiting: 'not yet indexed' };

/** Rehearsal: every count of a strategy, asked for without logging anything. */
@Injectable()
export class RehearsalService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly strategies: CompiledStrategies,
  ) {}

  /** Counts are remembered, so where a database may be asked only so much, each time tells more of them. */
  rehearse(reviewId: string, databaseId: string): Promise<Rehearsal> {
    return this.databases.inOneRelease(databaseId, async () => {
      const reading = await this.strategies.compile(reviewId, databaseId);
      const affordable = affordableCalls(reading.database.budget);
      const { result, uncounted } = await withinAllowance(affordable, () =>
        this.rehearseOnce(reading, affordable < Infinity),
      );
      return { ...result, uncounted };
    });
  }

  /** What the strategy finds, in two counts at most. */
  total(reviewId: string, databaseId: string): Promise<StrategyTotal> {
    return this.databases.inOneRelease(databaseId, async () => {
      const { database, shown } = await this.strategies.compile(reviewId, databaseId);
      const { lines, problems } = shown.sent;
      const count = (line: Line | undefined) =>
        line === undefined ? NOTHING : this.counts.count(database, standaloneQuery(line, lines));
      const [whole, remains] = await Promise.all([
        count(lines.find(({ kind }) => kind === 'whole')),
        count(foundLine(lines)),
      ]);
      return { database: database.id, release: database.description.release, whole, remains, problems };
    });
  }

  /** @param linesFirst whether nothing else is asked for until the counts of all lines are */
  private async rehearseOnce(
    reading: CompiledStrategy,
    linesFirst: boolean,
  ): Promise<Omit<Rehearsal, 'uncounted'>> {
    const { lanes, database, ownLines, sent: read, edits, strategies, shown } = reading;
    const strategy = strategies.sent;
    const joined = partsOfLines(lanes, ownLines, strategy.lines);
    const counting = inTurns(byPriority(strategy.lines), (line) =>
      this.countLine(database, line, strategy.lines, lanes),
    ).then((counted) => counted.sort((a, b) => a.number - b.number));
    if (linesFirst) await counting;
    const [lines, adds, bridges, without, withoutElements, parts] = await withPriority('soon', () =>
      Promise.all([
        counting,
        this.countAdditions(database, lanes, read, edits),
        this.countBridges(database, joined),
        this.countWithout(database, joined, ({ laneId }) => laneId),
        this.countWithout(database, joined, ({ elementId }) => elementId),
        inTurns(lanes, (lane) => this.countParts(database, lane, read, edits)),
      ]),
    );
    // They say what was counted, so that nothing more is asked for.
    const shownLines =
      shown.sent === strategy
        ? lines
        : await inTurns(shown.sent.lines, (line) => this.countLine(database, line, shown.sent.lines, lanes));
    const partsOf = new Map(parts.map((each, i) => [lanes[i]?.id, each]));
    const termCounts: Record<string, TermCount> = {};
    const laneCounts: Record<string, LaneCounts> = {};
    for (const { kind, termId, laneId, hits, error } of lines) {
      if (kind === 'term' && termId !== null)
        termCounts[termId] = { hits, error, adds: adds.get(termId) ?? null };
      if (kind === 'lane' && laneId !== null)
        laneCounts[laneId] = { hits, error, ...(partsOf.get(laneId) ?? NO_PARTS) };
    }
    for (const problem of strategy.problems) {
      if (problem.termId !== null)
        termCounts[problem.termId] = { hits: null, adds: null, error: problem.message };
    }
    const whole = lines.find(({ kind }) => kind === 'whole');
    const last = foundLine(lines);
    const found = ({ hits, error }: RehearsedLine): Counted => ({ hits, error });
    return {
      database: database.id,
      databaseName: database.description.name,
      release: database.description.release,
      countedAt: new Date().toISOString(),
      lines: shownLines,
      terms: termCounts,
      lanes: laneCounts,
      bridges,
      without,
      withoutElements,
      whole: whole === undefined ? NOTHING : found(whole),
      remains: whole === undefined || last === undefined ? NOTHING : found(last),
      problems: shown.sent.problems,
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
      limitId: line.limitId,
      ownId: line.ownId,
      description: describeLine(line, lanes),
      changes: line.changes,
      string: askedText(database, query).text,
      ...(await this.counts.count(database, query)),
    };
  }

  private async countAdditions(
    database: OpenDatabase,
    lanes: readonly Lane[],
    read: TermResolver,
    edits: Edits,
  ): Promise<Map<string, number | null>> {
    const additions = lanes.flatMap((lane) => [...addsQueries(lane, read, edits)]);
    const counted = await inTurns(additions, async ([id, query]): Promise<[string, number | null]> => [
      id,
      query === null ? null : (await this.counts.count(database, query)).hits,
    ]);
    return new Map(counted);
  }

  /** How headings and words share in what a lane finds. */
  private async countParts(
    database: OpenDatabase,
    lane: Lane,
    read: TermResolver,
    edits: Edits,
  ): Promise<Omit<LaneCounts, keyof Counted>> {
    // The terms do not tell how a lane is made up that somebody wrote by hand.
    if (edits.has(laneKey(lane.id))) return NO_PARTS;
    const { headings, words } = laneParts(lane, read, edits);
    const count = async (query: Query) => (await this.counts.count(database, query)).hits;
    const wordsOnly: Query | null =
      headings === null || words === null ? words : { kind: 'not', include: words, exclude: headings };
    const awaiting = database.description.limits[INDEXING.field]?.includes(INDEXING.awaiting) === true;
    const [byHeadings, both, byWordsOnly, awaitingHeadings] = await Promise.all([
      headings === null ? 0 : count(headings),
      headings === null || words === null ? 0 : count({ kind: 'and', operands: [headings, words] }),
      wordsOnly === null ? 0 : count(wordsOnly),
      wordsOnly === null || !awaiting
        ? null
        : count({
            kind: 'and',
            operands: [wordsOnly, { kind: 'limit', field: INDEXING.field, values: [INDEXING.awaiting] }],
          }),
    ]);
    return {
      headingsOnly: byHeadings === null || both === null ? null : byHeadings - both,
      both,
      wordsOnly: byWordsOnly,
      awaitingHeadings,
    };
  }

  /**
   * What is found without a lane, or without all lanes of an element.
   * @param keyOf the lane's part that goes; null for one that always stays
   */
  private async countWithout(
    database: OpenDatabase,
    parts: readonly PartOfLine[],
    keyOf: (part: PartOfLine) => string | null,
  ): Promise<Record<string, Counted | null>> {
    const keys = [...new Set(parts.map(keyOf))].filter((key) => key !== null);
    const counts = await Promise.all(
      keys.map(async (key): Promise<[string, Counted | null]> => {
        const query = joinParts(parts.filter((part) => keyOf(part) !== key));
        return [key, query === null ? null : await this.counts.count(database, query)];
      }),
    );
    return Object.fromEntries(counts);
  }

  /** Between two lanes: how many records the lanes so far find together. */
  private countBridges(database: OpenDatabase, parts: readonly PartOfLine[]): Promise<Bridge[]> {
    const lanes = parts.flatMap(({ laneId, ...part }) => (laneId === null ? [] : [{ ...part, laneId }]));
    return Promise.all(
      lanes.slice(0, -1).map(async ({ laneId }, i) => {
        const query = joinParts(lanes.slice(0, i + 2));
        const counted = query === null ? NOTHING : await this.counts.count(database, query);
        return { afterLaneId: laneId, ...counted };
      }),
    );
  }
}

/** The whole and its limits before the lanes, and these before the terms: what is looked at first. */
function byPriority(lines: readonly Line[]): Line[] {
  const ranks: Readonly<Record<Line['kind'], number>> = { whole: 0, limit: 0, lane: 1, own: 2, term: 3 };
  return [...lines].sort((a, b) => ranks[a.kind] - ranks[b.kind]);
}
