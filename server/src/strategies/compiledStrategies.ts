import { Injectable } from '@nestjs/common';
import type { Review, ReviewOwnLine } from '@even-lantern/contract';
import {
  applyLimit,
  asWritten,
  childrenOf,
  inFields,
  limitsOfDatabase,
  parseLine,
  patternsToSpell,
  readOwnLine,
  queryAsSent,
  resolverAsSent,
  termQuery,
  type AppliedLimit,
  type Dialect,
  type DialectContext,
  type LimitsOfDatabase,
  type LineText,
  type Query,
  type StrategyState,
  type TermContent,
} from '@even-lantern/core';
import { CountCache } from '../counting/countCache.js';
import { CrosswalkService } from '../crosswalk/crosswalkService.js';
import { type OpenDatabase, contextOf, DatabasesService } from '../databases/databasesService.js';
import { lanesOf, ReviewsService } from '../reviews/reviewsService.js';
import {
  assembled,
  parsedTexts,
  type TermResolvers,
  type CompiledLimit,
  type LimitInUse,
  type CompiledStrategy,
} from './compiledStrategy.js';
import { type WrittenLine, LineTextsService } from './lineTextsService.js';

/** The strategy of a review, compiled for one database. */
@Injectable()
export class CompiledStrategies {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
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
  async compile(
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
  ): Promise<CompiledStrategy> {
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
    const { ownLines } = review;
    const resolvers = await this.resolversFor(database, terms, {
      texts: [...texts, ...ownLines.map(({ text }) => ({ language: 'cql' as const, text }))],
      release,
      further: [
        ...applied.flatMap(({ query }) => query ?? []),
        ...ownLines.flatMap((each) => this.intendedBy(database, each)),
      ],
    });
    const { dialect, context } = resolvers;
    return assembled({
      review,
      lanes,
      database,
      resolvers,
      limits: applied.map((each) => compiledLimit(each, dialect, context)),
      edits: parsedTexts(texts, resolvers, this.contextOfTexts(database)),
    });
  }

  /**
   * @param texts lines written by hand, whose headings have to be read too
   * @param further what else will be asked, whose patterns may have to be spelled out too
   */
  async resolversFor(
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
  ): Promise<TermResolvers> {
    const vocabularies = contents.flatMap((content) =>
      content.kind === 'heading' ? [content.vocabulary] : [],
    );
    const settled = await this.crosswalk.resolverFor(database, [
      ...vocabularies,
      ...texts.flatMap((text) => vocabulariesIn(text, database)),
    ]);
    const { dialect } = database;
    const context = contextOf(database);
    if (dialect === null) return { dialect, context, intended: settled, sent: settled };
    const intended = inFields(dialect.abilities.fields, settled);
    const queries = contents.flatMap((content) => {
      const read = termQuery(content, intended);
      return read.ok ? [read.query] : [];
    });
    const spelling = await this.withIndexWords(database, dialect, context, [...queries, ...further], release);
    return { dialect, context: spelling, intended, sent: resolverAsSent(dialect, spelling, intended) };
  }

  /** What a line of one’s own asks, before headings are settled; nothing where it cannot be read. */
  private intendedBy(database: OpenDatabase, line: ReviewOwnLine): Query[] {
    const { dialect } = database;
    const read = dialect === null ? asWritten : inFields(dialect.abilities.fields, asWritten);
    const { line: intended } = readOwnLine(line, contextOf(database), read, null);
    return intended === null ? [] : [intended.query];
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
    return this.withIndexWords(database, dialect, context, [read.query], undefined);
  }

  /** With the heading that the database joins to bare words, so that counts are those of what it does. */
  contextOfTexts(database: OpenDatabase): DialectContext {
    return contextOf(database, true);
  }

  /** With the index's words for the patterns that the dialect cannot have, so that they are spelled out. */
  private async withIndexWords(
    database: OpenDatabase,
    dialect: Dialect,
    context: DialectContext,
    queries: readonly Query[],
    release: string | undefined,
  ): Promise<DialectContext> {
    const patterns = queries.flatMap((query) => patternsToSpell(query, dialect.abilities));
    const key = (pattern: object, field: string) => JSON.stringify([pattern, field]);
    const known = new Map(
      await Promise.all(
        patterns.map(
          async ({ pattern, field }) =>
            [
              key(pattern, field),
              await this.counts.wordsMatching(database, pattern, field, release),
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

function compiledLimit(
  applied: AppliedLimit & { limit: LimitInUse },
  dialect: Dialect | null,
  context: DialectContext,
): CompiledLimit {
  const { limit, query } = applied;
  if (!limit.on || query === null) return { ...applied, sent: null, changes: [] };
  if (dialect === null) return { ...applied, sent: query, changes: [] };
  const sent = queryAsSent(dialect, context, query);
  return sent.ok
    ? { ...applied, sent: sent.query, changes: sent.changes }
    : { ...applied, way: 'none', sent: null, query: null, changes: [], unavailable: sent.message };
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
