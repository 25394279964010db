import { Injectable } from '@nestjs/common';
import { parsePhrase, searchedTerms, termQuery, type Query, type TermQueryResult } from '@even-lantern/core';
import type {
  Candidates,
  IndexWords,
  Overview,
  Sample,
  SampleRequest,
  TermCount,
} from '@even-lantern/contract';
import { badInput } from '../http/problem.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { CountCache } from '../counting/countCache.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';

/** How many values of each index an overview asks for. */
const OVERVIEW_FACETS = { year: 200, publicationType: 12, heading: 20, keywords: 20 };

/** What terms would find and add before anybody adds them. */
@Injectable()
export class CandidatesService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly reviews: ReviewsService,
    private readonly strategies: CompiledStrategies,
  ) {}

  count(reviewId: string, candidates: Candidates): Promise<TermCount[]> {
    return this.databases.inOneRelease(candidates.database, () => this.countOnce(reviewId, candidates));
  }

  private async countOnce(
    reviewId: string,
    { database: id, laneId, instead, contents }: Candidates,
  ): Promise<TermCount[]> {
    const database = await this.databases.open(id);
    const lanes = await this.reviews.lanes(reviewId);
    const lane = lanes.find((each) => each.id === laneId);
    const present = (lane === undefined ? [] : searchedTerms(lane)).filter((term) => term.id !== instead);
    const { sent: read } = await this.strategies.resolversFor(database, [
      ...contents,
      ...present.map(({ content }) => content),
    ]);
    const others = present
      .map((term) => termQuery(term.content, read))
      .flatMap((result) => (result.ok ? [result.query] : []));
    return Promise.all(
      contents.map((content) =>
        this.countOne(database, termQuery(content, read), lane === undefined ? null : others),
      ),
    );
  }

  async sample({ database: id, content }: SampleRequest): Promise<Sample> {
    const database = await this.databases.open(id);
    const { sent } = await this.strategies.resolversFor(database, [content]);
    const own = termQuery(content, sent);
    if (!own.ok) return { hits: null, error: own.message, records: [] };
    return this.counts.sample(database, own.query);
  }

  /**
   * The lay of the land: what the records that hold all words of a text are like.
   * @param text null for all records
   */
  async overview(databaseId: string, text: string | null): Promise<Overview> {
    const query: Query = text === null ? { kind: 'everything' } : allWordsOf(text);
    const database = await this.databases.open(databaseId);
    const { hits, facets } = await this.counts.facets(database, query, OVERVIEW_FACETS);
    return {
      text: text ?? '',
      hits,
      release: database.description.release,
      years: (facets.year ?? []).sort((a, b) => Number(a.value) - Number(b.value)),
      kinds: facets.publicationType ?? [],
      headings: facets.heading ?? [],
      keywords: facets.keywords ?? [],
    };
  }

  /** The words of a database's index that begin with some letters. */
  async words(databaseId: string, letters: string): Promise<IndexWords> {
    return this.counts.wordsBeginning(await this.databases.open(databaseId), letters);
  }

  private async countOne(
    database: OpenDatabase,
    own: TermQueryResult,
    others: readonly Query[] | null,
  ): Promise<TermCount> {
    if (!own.ok) return { hits: null, adds: null, error: own.message };
    const [counted, adds] = await Promise.all([
      this.counts.count(database, own.query),
      others === null ? null : this.counts.count(database, without(own.query, others)),
    ]);
    return { ...counted, adds: adds?.hits ?? null };
  }
}

function allWordsOf(text: string): Query {
  const parsed = parsePhrase(text);
  if (!parsed.ok) throw badInput([{ path: 'text', message: parsed.error.message }]);
  const operands = parsed.phrase.map((pattern): Query => ({
    kind: 'words',
    field: 'words',
    phrase: [pattern],
  }));
  return { kind: 'and', operands };
}

function without(query: Query, others: readonly Query[]): Query {
  return others.length === 0
    ? query
    : { kind: 'not', include: query, exclude: { kind: 'or', operands: others } };
}
