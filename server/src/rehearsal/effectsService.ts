import { Injectable } from '@nestjs/common';
import {
  addsQueries,
  childrenOf,
  foundLine,
  joinParts,
  linesIn,
  queryWithout,
  standaloneQuery,
  type Line,
  type Query,
} from '@even-lantern/core';
import type { Counted, FallStep, LaneOverlap, LeftOut, StrategyEffects } from '@even-lantern/contract';
import { KeptRecords } from '../limits/keptRecords.js';
import { CountCache } from '../counting/countCache.js';
import { DatabasesService } from '../databases/databasesService.js';
import { withPriority } from '../connectors/callQueue.js';
import { inTurns } from '../counting/inTurns.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type CompiledStrategy } from '../strategies/compiledStrategy.js';
import { affordableCalls, withinAllowance } from '../counting/callAllowance.js';
import { partsOfLines, type PartOfLine } from '../strategies/parts.js';

/** Parts of queries, in all, that are counted without being asked for. The demo strategy has some hundreds. */
const MOST_AT_ONCE = 60_000;

const NOT_COUNTED: Counted = { hits: null, error: null };
const NOTHING_FOUND: Counted = { hits: 0, error: null };

/** What each part of a strategy does to the whole. All of it is counts of queries, so any database can tell it. */
@Injectable()
export class EffectsService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly strategies: CompiledStrategies,
    private readonly kept: KeptRecords,
  ) {}

  /** @param all whether everything is counted, however large the strategy is */
  of(reviewId: string, databaseId: string, all = false): Promise<StrategyEffects> {
    return this.databases.inOneRelease(databaseId, async () => {
      const reading = await this.strategies.compile(reviewId, databaseId);
      const affordable = affordableCalls(reading.database.budget);
      const { result, uncounted } = await withinAllowance(affordable, () =>
        withPriority('later', () => this.inReading(reviewId, reading, all)),
      );
      return { ...result, unasked: uncounted };
    });
  }

  private async inReading(
    reviewId: string,
    reading: CompiledStrategy,
    all: boolean,
  ): Promise<Omit<StrategyEffects, 'unasked'>> {
    const { database, lanes, ownLines, strategies } = reading;
    const { lines } = strategies.sent;
    const parts = partsOfLines(lanes, ownLines, lines);
    const wholeLine = foundLine(lines.filter(({ kind }) => kind === 'whole'));
    const whole =
      wholeLine === undefined
        ? NOT_COUNTED
        : await this.counts.count(database, standaloneQuery(wholeLine, lines));
    // Each of these counts asks for nearly the whole strategy, so that their cost grows with its square.
    const size = wholeLine === undefined ? 0 : sizeOf(standaloneQuery(wholeLine, lines));
    const termsInAll = lines.filter(({ kind }) => kind === 'term').length;
    const ownInAll = parts.filter(({ ownId }) => ownId !== null).length;
    const fits = (number: number) => all || number * size <= MOST_AT_ONCE;
    const [countTerms, countOwn] = [fits(termsInAll), fits(2 * ownInAll)];
    const [terms, own, leftOut, overlaps, fall] = await Promise.all([
      wholeLine === undefined || !countTerms ? {} : this.withoutTerms(reading, wholeLine, whole),
      countOwn ? this.withoutOwn(reading, parts) : {},
      countOwn ? this.leftOut(reviewId, reading, parts) : {},
      this.overlaps(reading, parts),
      countOwn ? this.fall(reading, parts) : [],
    ]);
    const { release } = database.description;
    const uncounted = (countTerms ? 0 : termsInAll) + (countOwn ? 0 : ownInAll);
    return { database: database.id, release, whole, terms, own, leftOut, overlaps, fall, uncounted };
  }

  /** A term that adds nothing to its lane adds nothing to the whole, so that need not be asked. */
  private async withoutTerms(
    { database, lanes, sent, edits, strategies }: CompiledStrategy,
    whole: Line,
    counted: Counted,
  ): Promise<Record<string, Counted>> {
    const { lines } = strategies.sent;
    const usedByOthers = new Set(
      lines.filter(({ kind, edited }) => kind !== 'lane' || edited).flatMap(({ query }) => linesIn(query)),
    );
    const additions = new Map(lanes.flatMap((lane) => [...addsQueries(lane, sent, edits)]));
    const effects = await inTurns(
      lines.filter(({ kind }) => kind === 'term'),
      async (line): Promise<[string, Counted][]> => {
        if (line.termId === null) return [];
        const adds = additions.get(line.termId) ?? null;
        if (adds !== null && !usedByOthers.has(line.number)) {
          const { hits } = await this.counts.count(database, adds);
          if (hits === 0) return [[line.termId, counted]];
        }
        const without = queryWithout(whole, lines, line.number);
        return [[line.termId, without === null ? NOTHING_FOUND : await this.counts.count(database, without)]];
      },
    );
    return Object.fromEntries(effects.flat());
  }

  private async withoutOwn(
    { database }: CompiledStrategy,
    parts: readonly PartOfLine[],
  ): Promise<Record<string, Counted>> {
    const effects = await inTurns(parts, async (part): Promise<[string, Counted][]> => {
      if (part.ownId === null) return [];
      const without = joinParts(parts.filter((each) => each !== part));
      return [[part.ownId, without === null ? NOTHING_FOUND : await this.counts.count(database, without)]];
    });
    return Object.fromEntries(effects.flat());
  }

  private async leftOut(
    reviewId: string,
    { database }: CompiledStrategy,
    parts: readonly PartOfLine[],
  ): Promise<Record<string, LeftOut>> {
    const out = parts.filter(({ role }) => role === 'leavesOut');
    const thrown = out.map((part): Query | null => {
      const without = joinParts(parts.filter((each) => each !== part));
      return without === null ? null : { kind: 'and', operands: [without, part.query] };
    });
    const [records, kept] = await Promise.all([
      inTurns(thrown, async (query) =>
        query === null ? 0 : (await this.counts.count(database, query)).hits,
      ),
      this.kept.among(reviewId, database, thrown),
    ]);
    return Object.fromEntries(
      out.map(({ key }, i) => [key, { records: records[i] ?? null, kept: kept[i] ?? null }]),
    );
  }

  private overlaps({ database }: CompiledStrategy, parts: readonly PartOfLine[]): Promise<LaneOverlap[]> {
    const laneParts = parts.flatMap(({ laneId, role, query }) =>
      laneId === null || role === 'leavesOut' ? [] : [{ laneId, query }],
    );
    const pairs = laneParts.flatMap((a, i) => laneParts.slice(i + 1).map((b) => [a, b] as const));
    return inTurns(pairs, async ([a, b]): Promise<LaneOverlap> => ({
      laneIds: [a.laneId, b.laneId],
      ...(await this.counts.count(database, { kind: 'and', operands: [a.query, b.query] })),
    }));
  }

  /** What is left as one part after the other is joined: those that narrow, then those added, then those left out. */
  private fall({ database }: CompiledStrategy, parts: readonly PartOfLine[]): Promise<FallStep[]> {
    const inOrder = (['narrows', 'adds', 'leavesOut'] as const).flatMap((role) =>
      parts.filter((part) => part.role === role),
    );
    return inTurns(inOrder, async ({ key, query }, i): Promise<FallStep> => {
      const joined = joinParts(inOrder.slice(0, i + 1));
      const [alone, left] = await Promise.all([
        this.counts.count(database, query),
        joined === null ? NOTHING_FOUND : this.counts.count(database, joined),
      ]);
      return { part: key, alone: alone.hits, ...left };
    });
  }
}

function sizeOf(query: Query): number {
  return childrenOf(query).reduce((sum, part) => sum + sizeOf(part), 1);
}
