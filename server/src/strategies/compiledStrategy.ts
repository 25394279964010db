/** A strategy compiled for one database: its lines as intended and as sent, put together from what was parsed. */
import type { Review, ReviewLimit, ReviewOwnLine } from '@even-lantern/contract';
import {
  compileLanes,
  describeLine,
  foldTerms,
  nameLines,
  limitText,
  lineKeyOf,
  parseLine,
  readEdit,
  readOwnLine,
  wayText,
  type AppliedLimit,
  type Dialect,
  type DialectContext,
  type DialectError,
  type EditedLine,
  type Edits,
  type Limit,
  type LimitPart,
  type Line,
  type Query,
  type Strategy,
  type StrategyProblem,
  type TermResolver,
} from '@even-lantern/core';
import type { OpenDatabase } from '../databases/databasesService.js';
import type { ReviewLane } from '../reviews/reviewsService.js';
import type { WrittenLine } from './lineTextsService.js';

/** How terms become queries in one database. */
export interface TermResolvers {
  /** its own dialect; null where it takes CQL alone, which can say everything */
  dialect: Dialect | null;
  context: DialectContext;
  /** as intended, with headings of other vocabularies as they were settled */
  intended: TermResolver;
  /** as the dialect can say them: what is counted and run */
  sent: TermResolver;
}

/** A line that somebody wrote, with why it cannot be read, if it cannot. */
export interface ParsedLine extends WrittenLine {
  problem: DialectError | null;
  /** what other databases, or readers, would take otherwise */
  cautions: readonly DialectError[];
}

/** A limit of a review, and how the database applies it. */
export interface CompiledLimit extends AppliedLimit {
  limit: LimitInUse;
  /** as it is sent; null where it is off, or not applied here */
  sent: Query | null;
  /** what is sent otherwise than intended */
  changes: string[];
}

export type LimitInUse = Pick<Limit, 'id' | 'kind' | 'values' | 'on' | 'ways'>;

/** The strategy of a review, and how one database, as it is now, says it. */
export interface CompiledStrategy extends TermResolvers {
  lanes: ReviewLane[];
  /** in their order, those that are off or cannot be applied as well */
  limits: CompiledLimit[];
  /** lines that people wrote beside those of the lanes */
  ownLines: readonly ReviewOwnLine[];
  /** the limits of the review as they were when this was read */
  keptLimits: readonly ReviewLimit[];
  database: OpenDatabase;
  /** lines that somebody wrote by hand, by their keys */
  written: ReadonlyMap<string, ParsedLine>;
  /** what is sent of them */
  edits: Edits;
  strategies: {
    /** as intended, hand-written lines in place */
    intended: Strategy;
    /** as it is sent to the database */
    sent: Strategy;
    /** as the lanes alone give it */
    ofLanes: Strategy;
  };
  /** the same with the lines that people see and run: a line for each term, or for each lane */
  shown: { intended: Strategy; sent: Strategy };
}

/** What of a strategy was parsed before its lines are put together. */
export interface StrategySources {
  review: Review;
  lanes: ReviewLane[];
  database: OpenDatabase;
  resolvers: TermResolvers;
  limits: CompiledLimit[];
  edits: ParsedTexts;
}

/** Lines that somebody wrote by hand: each as it was parsed, and what those that could be parsed ask. */
export interface ParsedTexts {
  written: Map<string, ParsedLine>;
  intended: Map<string, EditedLine>;
  sent: Map<string, EditedLine>;
}

export function parsedTexts(
  texts: readonly WrittenLine[],
  { dialect, intended: resolver }: TermResolvers,
  context: DialectContext,
): ParsedTexts {
  const parsed: ParsedTexts = { written: new Map(), intended: new Map(), sent: new Map() };
  for (const text of texts) {
    const read = readEdit(text, dialect, context, resolver);
    const line = parseLine(text, dialect, context);
    const cautions = line.ok ? line.cautions : [];
    parsed.written.set(text.line, { ...text, problem: read.ok ? null : read.error, cautions });
    if (!read.ok) continue;
    parsed.intended.set(text.line, read.intended);
    parsed.sent.set(text.line, read.sent);
  }
  return parsed;
}

/** Puts the lines together. Each of the strategies is compiled when it is first asked for, since most uses need one. */
export function assembled({
  review,
  lanes,
  database,
  resolvers,
  limits,
  edits,
}: StrategySources): CompiledStrategy {
  const { dialect, context, intended, sent } = resolvers;
  const { ownLines } = review;
  const withWritten = (strategy: Strategy): Strategy => ({
    ...strategy,
    problems: [...strategy.problems, ...unreadable(edits.written, strategy.lines)],
  });
  const intendedParts = once(() => ({
    read: intended,
    own: ownLines.map((each) => readOwnLine(each, context, intended, null)),
    limits: limits.flatMap((each) => partOf(each, each.query)),
  }));
  const strategies = {
    intended: once(() => withWritten(compileLanes(lanes, { ...intendedParts(), edits: edits.intended }))),
    sent: once(() =>
      withWritten(
        compileLanes(lanes, {
          read: sent,
          edits: edits.sent,
          own: ownLines.map((each) => readOwnLine(each, context, sent, dialect)),
          limits: limits.flatMap((each) => partOf(each, each.sent)),
        }),
      ),
    ),
    ofLanes: once(() => compileLanes(lanes, intendedParts())),
  };
  const asShown = (strategy: Strategy): Strategy =>
    nameLines(
      review.linesFor === 'lane' ? foldTerms(strategy, (line) => describeLine(line, lanes)) : strategy,
    );
  const shown = {
    intended: once(() => asShown(strategies.intended())),
    sent: once(() => asShown(strategies.sent())),
  };
  return {
    ...resolvers,
    lanes,
    limits,
    ownLines,
    keptLimits: review.limits,
    database,
    written: edits.written,
    edits: edits.sent,
    strategies: {
      get intended() {
        return strategies.intended();
      },
      get sent() {
        return strategies.sent();
      },
      get ofLanes() {
        return strategies.ofLanes();
      },
    },
    shown: {
      get intended() {
        return shown.intended();
      },
      get sent() {
        return shown.sent();
      },
    },
  };
}

/** Worked out when it is first asked for, and known from then on. */
function once<T>(work: () => T): () => T {
  let known: { value: T } | null = null;
  return () => (known ??= { value: work() }).value;
}

/** The line of a limit, where it is one. */
function partOf({ limit, way, sent, changes }: CompiledLimit, query: Query | null): LimitPart[] {
  if (sent === null || query === null) return [];
  return [{ limitId: limit.id, text: `${limitText(limit)} (${wayText(way)})`, query, changes }];
}

/** Lines written by hand that cannot be read: until they are mended, what the lanes give is searched. */
function unreadable(written: ReadonlyMap<string, ParsedLine>, lines: readonly Line[]): StrategyProblem[] {
  return [...written.values()].flatMap(({ line: key, problem }): StrategyProblem[] => {
    if (problem === null) return [];
    const line = lines.find((each) => lineKeyOf(each) === key);
    const text = `was written by hand and cannot be read: ${problem.message} Until it is mended, what the lanes give is searched.`;
    if (line === undefined) return [{ laneId: null, termId: null, line: key, message: `A line ${text}` }];
    return [{ laneId: line.laneId, termId: line.termId, line: key, number: line.number, message: text }];
  });
}
