import { Injectable } from '@nestjs/common';
import {
  applyLimit,
  asWritten,
  childrenOf,
  compileLanes,
  describeLine,
  foldTerms,
  inFields,
  limitsOfDatabase,
  limitText,
  lineKeyOf,
  parseLine,
  patternsToSpell,
  readEdit,
  readOwnLine,
  sayIn,
  sayingIn,
  termQuery,
  wayText,
  type AppliedLimit,
  type Dialect,
  type DialectContext,
  type DialectError,
  type EditedLine,
  type Edits,
  type Limit,
  type LimitPart,
  type LimitsOfDatabase,
  type Line,
  type LineText,
  type Query,
  type Strategy,
  type StrategyProblem,
  type StrategyState,
  type TermContent,
  type TermReading,
} from '@even-lantern/core';
import type { Review, ReviewLimit, ReviewOwnLine } from '@even-lantern/contract';
import { CrosswalkService } from '../crosswalk/crosswalkService.js';
import { lanesOf, ReviewsService, type ReviewLane } from '../reviews/reviewsService.js';
import { LineTextsService, type WrittenLine } from './lineTextsService.js';
import { AskingService } from '../counting/countCache.js';
import { contextOf, DatabasesService, type OpenDatabase } from '../databases/databasesService.js';

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

/** A line that somebody wrote, with why it cannot be read, if it cannot. */
export interface ReadLine extends WrittenLine {
  problem: DialectError | null;
  /** what other databases, or readers, would take otherwise */
  cautions: readonly DialectError[];
}

/** A limit of a review, and how the database applies it. */
export interface ReadLimit extends AppliedLimit {
  limit: LimitInUse;
  /** as the database can be told; null where it is off, or not applied here */
  said: Query | null;
  /** what the database is told otherwise */
  changes: string[];
}

export type LimitInUse = Pick<Limit, 'id' | 'kind' | 'values' | 'on' | 'ways'>;

/** The strategy of a review, and how one database, as it is now, says it. */
export interface ReviewReading extends DatabaseReading {
  lanes: ReviewLane[];
  /** in their order, those that are off or cannot be applied as well */
  limits: ReadLimit[];
  /** lines that people wrote beside those of the lanes */
  ownLines: readonly ReviewOwnLine[];
  /** the limits of the review as they were when this was read */
  keptLimits: readonly ReviewLimit[];
  database: OpenDatabase;
  /** lines that somebody wrote by hand, by their keys */
  written: ReadonlyMap<string, ReadLine>;
  /** what the database is told of them */
  edits: Edits;
  strategies: {
    /** as it is meant, hand-written lines in place */
    meant: Strategy;
    /** as the database can be told */
    said: Strategy;
    /** as the lanes alone give it */
    ofLanes: Strategy;
  };
  /** the same with the lines that people see and run: a line for each term, or for each lane */
  shown: Record<'meant' | 'said', Strategy>;
}

/** Between the terms of a review and what a database can be asked. */
@Injectable()
export class ReadingService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly asking: AskingService,
    private readonly reviews: ReviewsService,
    private readonly crosswalk: CrosswalkService,
    private readonly lineTexts: LineTextsService,
  ) {}

  /**
   * What every use of a review's strategy in a database begins with.
   * @param release whose words spell out what the dialect cannot say; the present one where nothing is said
   * @param tried limits that are tried out in place of those of the review
   * @param also terms that are tried out beside those of the review
   * @param state of the strategy, where it is not that of now
   */
  async ofReview(
    reviewId: string,
    databaseId: string,
    {
      release,
      tried,
      also = [],
      state,
    }: {
      release?: string | undefined;
      tried?: readonly LimitInUse[] | undefined;
      also?: readonly TermContent[];
      state?: StrategyState;
    } = {},
  ): Promise<ReviewReading> {
    const present = await this.reviews.get(reviewId);
    const review = state === undefined ? present : inState(present, state);
    const lanes = lanesOf(review);
    const database = await this.databases.open(databaseId);
    const texts =
      state === undefined ? await this.lineTexts.of(reviewId, databaseId) : writtenIn(state, databaseId);
    const terms = [...lanes.flatMap((lane) => lane.terms.map(({ content }) => content)), ...also];
    const applied = (tried ?? review.limits).map((limit) => ({
      limit,
      ...applyLimit(limit, appliedIn(database)),
    }));
    const inLimits = applied.flatMap(({ query }) => query ?? []);
    const { ownLines } = review;
    const asTexts = ownLines.map(({ text }) => ({ language: 'cql' as const, text }));
    const inOwn = ownLines.flatMap((each) => this.meantBy(database, each));
    const reading = await this.readingFor(database, terms, {
      texts: [...texts, ...asTexts],
      release,
      further: [...inLimits, ...inOwn],
    });
    const { dialect, context, meant, said } = reading;
    const limits = applied.map((each) => readLimit(each, dialect, context));
    const parts = {
      meant: limits.flatMap((each) => partOf(each, each.query)),
      said: limits.flatMap((each) => partOf(each, each.said)),
    };
    const own = {
      meant: ownLines.map((each) => readOwnLine(each, context, meant, null)),
      said: ownLines.map((each) => readOwnLine(each, context, said, dialect)),
    };
    const meantEdits = new Map<string, EditedLine>();
    const saidEdits = new Map<string, EditedLine>();
    const written = new Map<string, ReadLine>();
    for (const text of texts) {
      const read = readEdit(text, dialect, this.contextOfTexts(database), meant);
      const parsed = parseLine(text, dialect, this.contextOfTexts(database));
      const cautions = parsed.ok ? parsed.cautions : [];
      written.set(text.line, { ...text, problem: read.ok ? null : read.error, cautions });
      if (!read.ok) continue;
      meantEdits.set(text.line, read.meant);
      saidEdits.set(text.line, read.said);
    }
    const withWritten = (strategy: Strategy): Strategy => ({
      ...strategy,
      problems: [...strategy.problems, ...unreadable(written, strategy.lines)],
    });
    const strategies = {
      meant: withWritten(
        compileLanes(lanes, { read: meant, edits: meantEdits, own: own.meant, limits: parts.meant }),
      ),
      said: withWritten(
        compileLanes(lanes, { read: said, edits: saidEdits, own: own.said, limits: parts.said }),
      ),
      ofLanes: compileLanes(lanes, { read: meant, own: own.meant, limits: parts.meant }),
    };
    const asFine = (strategy: Strategy): Strategy =>
      review.linesFor === 'lane' ? foldTerms(strategy, (line) => describeLine(line, lanes)) : strategy;
    return {
      shown: { meant: asFine(strategies.meant), said: asFine(strategies.said) },
      lanes,
      limits,
      ownLines,
      keptLimits: review.limits,
      database,
      ...reading,
      written,
      edits: saidEdits,
      strategies,
    };
  }

  /**
   * @param texts lines written by hand, whose headings have to be read too
   * @param further what else will be asked, whose patterns may have to be spelled out too
   */
  async readingFor(
    database: OpenDatabase,
    contents: readonly TermContent[],
    {
      texts = [],
      release,
      further = [],
    }: {
      texts?: readonly Pick<LineText, 'language' | 'text'>[];
      release?: string | undefined;
      further?: readonly Query[];
    } = {},
  ): Promise<DatabaseReading> {
    const vocabularies = contents.flatMap((content) =>
      content.kind === 'heading' ? [content.vocabulary] : [],
    );
    const settled = await this.crosswalk.readingFor(database, [
      ...vocabularies,
      ...texts.flatMap((text) => vocabulariesIn(text, database)),
    ]);
    const { dialect } = database;
    const context = contextOf(database);
    if (dialect === null) return { dialect, context, meant: settled, said: settled };
    const meant = inFields(dialect.abilities.fields, settled);
    const queries = contents.flatMap((content) => {
      const read = termQuery(content, meant);
      return read.ok ? [read.query] : [];
    });
    const spelling = await this.withWords(database, dialect, context, [...queries, ...further], release);
    return { dialect, context: spelling, meant, said: sayingIn(dialect, spelling, meant) };
  }

  /** What a line of one’s own asks, before headings are settled; nothing where it cannot be read. */
  private meantBy(database: OpenDatabase, line: ReviewOwnLine): Query[] {
    const { dialect } = database;
    const read = dialect === null ? asWritten : inFields(dialect.abilities.fields, asWritten);
    const { line: meant } = readOwnLine(line, contextOf(database), read, null);
    return meant === null ? [] : [meant.query];
  }

  /** What a text is printed with: the database's own vocabulary, and the words of its index for patterns it cannot have. */
  async contextForPrinting(
    database: OpenDatabase,
    text: Pick<LineText, 'language' | 'text'>,
  ): Promise<DialectContext> {
    const context = contextOf(database);
    const { dialect } = database;
    const read = parseLine(text, dialect, context);
    if (dialect === null || !read.ok) return context;
    return this.withWords(database, dialect, context, [read.query], undefined);
  }

  /** With the heading that the database joins to bare words, so that counts are those of what it does. */
  contextOfTexts(database: OpenDatabase): DialectContext {
    return contextOf(database, true);
  }

  /** With the index's words for the patterns that the dialect cannot have, so that they are spelled out. */
  private async withWords(
    database: OpenDatabase,
    dialect: Dialect,
    context: DialectContext,
    queries: readonly Query[],
    release: string | undefined,
  ): Promise<DialectContext> {
    const wanted = queries.flatMap((query) => patternsToSpell(query, dialect.abilities));
    const key = (pattern: object, field: string) => JSON.stringify([pattern, field]);
    const known = new Map(
      await Promise.all(
        wanted.map(
          async ({ pattern, field }) =>
            [
              key(pattern, field),
              await this.asking.wordsMatching(database, pattern, field, release),
            ] as const,
        ),
      ),
    );
    return { ...context, wordsMatching: (pattern, field) => known.get(key(pattern, field)) ?? null };
  }
}

/** A review as it was when its strategy was in a state; what changed when, and by whom, is not told by that. */
function inState(review: Review, { searched, lanes, ownLines, limits }: StrategyState): Review {
  const changed = { changedAt: '', changedBy: '', version: 0 };
  return {
    ...review,
    elements: review.elements.map((element) => ({ ...element, searched: searched.includes(element.id) })),
    lanes: lanes.map((lane) => ({
      ...lane,
      version: 0,
      terms: lane.terms.map((term) => ({ ...term, laneId: lane.id, version: 0 })),
    })),
    ownLines: ownLines.map((line) => ({ ...line, ...changed })),
    limits: limits.map((limit) => ({ ...limit, ...changed })),
  };
}

function writtenIn({ written }: StrategyState, databaseId: string): WrittenLine[] {
  return written.flatMap(({ database, ...text }) =>
    database === databaseId ? [{ ...text, version: 0, at: '', person: '' }] : [],
  );
}

/** What decides how a database applies limits. */
export function appliedIn({ id, description }: OpenDatabase): LimitsOfDatabase {
  return limitsOfDatabase({ ...description, id });
}

function readLimit(
  applied: AppliedLimit & { limit: LimitInUse },
  dialect: Dialect | null,
  context: DialectContext,
): ReadLimit {
  const { limit, query } = applied;
  if (!limit.on || query === null) return { ...applied, said: null, changes: [] };
  if (dialect === null) return { ...applied, said: query, changes: [] };
  const said = sayIn(dialect, context, query);
  return said.ok
    ? { ...applied, said: said.query, changes: said.changes }
    : { ...applied, way: 'none', said: null, query: null, changes: [], unavailable: said.message };
}

/** The line of a limit, where it is one. */
function partOf({ limit, way, said, changes }: ReadLimit, query: Query | null): LimitPart[] {
  if (said === null || query === null) return [];
  return [{ limitId: limit.id, text: `${limitText(limit)} (${wayText(way)})`, query, changes }];
}

/** The vocabularies that a line in CQL names; in its own dialect a database has but its own. */
function vocabulariesIn(
  { language, text }: Pick<LineText, 'language' | 'text'>,
  database: OpenDatabase,
): string[] {
  if (language === 'own') return [];
  const read = parseLine({ language, text }, null, contextOf(database));
  const named = (query: Query): string[] =>
    query.kind === 'heading' ? [query.vocabulary] : childrenOf(query).flatMap(named);
  return read.ok ? named(read.query) : [];
}

/** Lines written by hand that cannot be read: until they are mended, what the lanes give is searched. */
function unreadable(written: ReadonlyMap<string, ReadLine>, lines: readonly Line[]): StrategyProblem[] {
  return [...written.values()].flatMap(({ line: key, problem }) => {
    if (problem === null) return [];
    const line = lines.find((each) => lineKeyOf(each) === key);
    const name = line === undefined ? 'A line' : `L${line.number}`;
    const message = `${name} was written by hand and cannot be read: ${problem.message} Until it is mended, what the lanes give is searched.`;
    return [{ laneId: line?.laneId ?? null, termId: line?.termId ?? null, line: key, message }];
  });
}
