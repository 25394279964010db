import { Injectable } from '@nestjs/common';
import {
  designFilter,
  designTree,
  docsOf,
  enoughKnown,
  evaluate,
  filterCounts,
  filterWordsProblem,
  phrasesQuery,
  STRENGTHS,
  type DesignTree,
  type Query,
  type Strength,
} from '@even-lantern/core';
import type { FilterFiguresAnswer, FilterFiguresRequest, MeasuredOnKnown } from '@even-lantern/contract';
import { badInput, ProblemException } from '../http/problem.js';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { evaluationContextOf } from '../databases/evaluationContext.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DesignContent } from './designContent.js';
import { expectDesigns } from './expectDesigns.js';
import { KnownRecordsService, type KnownRecords } from './knownRecords.js';

type Figures = MeasuredOnKnown['figures'];

/** How filters do on records whose designs are known, measured when somebody asks. */
@Injectable()
export class FilterFiguresService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
    private readonly content: DesignContent,
    private readonly records: KnownRecordsService,
  ) {}

  measure(reviewId: string, request: FilterFiguresRequest): Promise<FilterFiguresAnswer> {
    return this.databases.inOneRelease(request.database, () => this.measured(reviewId, request));
  }

  private async measured(
    reviewId: string,
    { database: id, designs, words }: FilterFiguresRequest,
  ): Promise<FilterFiguresAnswer> {
    const tree = designTree((await this.content.get()).taxonomy);
    expectDesigns(designs, tree, 'designs');
    const problem = words === undefined ? null : filterWordsProblem(words);
    if (problem !== null) throw badInput([{ path: 'words', message: problem }]);
    await this.reviews.expect(reviewId);
    const database = await this.databases.open(id);
    const filters = STRENGTHS.map((how) => ({ how, query: anyFilter(designs, how) }));
    const all: { how: Figures[number]['how']; query: Query | null }[] = [
      ...filters,
      { how: 'own words', query: words === undefined ? null : phrasesQuery(words) },
    ];
    const figuresOn = (known: KnownRecords) => figuresOf(database, known, all, designs, tree);

    const judged = await this.records.judged(reviewId, id);
    const onJudged = figuresOn(judged);
    const ofDesign = judged.designs.filter((each) => isOf(each, designs, tree)).length;
    // What ships was measured before; only words that are new are measured now, for which records must be fetched.
    const { known, trouble } =
      words === undefined ? { known: null, trouble: null } : await this.shipped(database, figuresOn);
    return {
      known,
      trouble,
      judged: onJudged.some(({ counts }) => enoughKnown(counts))
        ? { measuredOn: `${judged.designs.length} records judged in this review`, figures: onJudged }
        : null,
      judgedRecords: { ofDesign, others: judged.designs.length - ofDesign },
    };
  }

  /** A database that is away leaves the figures on judged records, and says so. */
  private async shipped(
    database: OpenDatabase,
    figuresOn: (known: KnownRecords) => Figures,
  ): Promise<Pick<FilterFiguresAnswer, 'known' | 'trouble'>> {
    try {
      const known = await this.records.of(database);
      if (known === null) return { known: null, trouble: null };
      const { name, release } = database.description;
      const number = known.designs.filter((each) => each !== null).length;
      const measuredOn = `${name}, release ${release}: ${number} records of ${known.years} whose designs are known`;
      const figures = figuresOn(known).filter(({ counts }) => enoughKnown(counts));
      return { known: figures.length === 0 ? null : { measuredOn, figures }, trouble: null };
    } catch (error) {
      if (error instanceof DatabaseError) return { known: null, trouble: error.message };
      if (error instanceof ProblemException) return { known: null, trouble: error.problem.title };
      throw error;
    }
  }
}

function isOf(known: string | null, designs: readonly string[], tree: DesignTree): boolean {
  return known !== null && designs.some((design) => known === design || tree.below(design).includes(known));
}

/** What the filters of some designs find together; null where there is none. */
function anyFilter(designs: readonly string[], how: Strength): Query | null {
  const operands = designs.flatMap((design) => designFilter(design, how) ?? []);
  const [only] = operands;
  return operands.length > 1 ? { kind: 'or', operands } : (only ?? null);
}

function figuresOf(
  { vocabulary }: OpenDatabase,
  { index, designs }: KnownRecords,
  filters: readonly { how: Figures[number]['how']; query: Query | null }[],
  ofDesigns: readonly string[],
  tree: DesignTree,
): Figures {
  const context = evaluationContextOf(vocabulary);
  return filters.flatMap(({ how, query }) => {
    if (query === null) return [];
    const found = evaluate(query, index, context);
    if (!found.ok) throw badInput([{ path: 'words', message: found.error.message }]);
    return [{ how, counts: filterCounts(docsOf(found.documents), designs, ofDesigns, tree) }];
  });
}
