import { Injectable } from '@nestjs/common';
import {
  directlyBelow,
  headingByLabel,
  lookUp,
  pathsTo,
  termQuery,
  type Heading,
  type Query,
  type TermContent,
  type VocabularyTree,
} from '@even-lantern/core';
import type { HeadingDetail, LookupAnswer, TermCount } from '@even-lantern/contract';
import { notFound } from '../application/problem.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { DatabasesService, type OpenDatabase } from './databasesService.js';

/** How many headings a lookup offers. */
const OFFERED = 6;

@Injectable()
export class LookupService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
  ) {}

  /** What a typed word leads to, each with its count and what it would add to a lane. */
  async lookUp(databaseId: string, text: string, reviewId: string, laneId: string): Promise<LookupAnswer> {
    const database = await this.databases.open(databaseId);
    const lanes = await this.reviews.lanes(reviewId);
    const lane = (lanes.find(({ id }) => id === laneId)?.terms ?? [])
      .map((term) => termQuery(term.content))
      .flatMap((result) => (result.ok ? [result.query] : []));
    const count = (content: TermContent) => this.countCandidate(database, content, lane);
    const hits = database.vocabulary === null ? [] : lookUp(database.vocabulary, text, OFFERED);
    const [words, ...headings] = await Promise.all([
      count({ kind: 'words', text, field: 'words', near: null }),
      ...hits.map(async ({ heading, reason, matched }) => ({
        heading,
        reason,
        matched,
        paths: labelPaths(database.vocabulary?.tree, heading),
        count: await count({ ...headingContent(database, heading), narrower: true }),
      })),
    ]);
    return { text, headings, words };
  }

  async heading(databaseId: string, label: string): Promise<HeadingDetail> {
    const database = await this.databases.open(databaseId);
    const tree = database.vocabulary?.tree;
    const heading = tree === undefined ? null : headingByLabel(tree, label);
    if (heading === null || tree === undefined) throw notFound(`The heading “${label}”`);
    const content = headingContent(database, heading);
    const count = (change: Partial<typeof content>) =>
      this.databases.count(database, { ...content, ...change });
    const [alone, withNarrower, central] = await Promise.all([
      count({}),
      count({ narrower: true }),
      count({ narrower: true, central: true }),
    ]);
    return {
      heading,
      paths: labelPaths(tree, heading),
      narrower: directlyBelow(tree, heading).map((below) => below.label),
      alone,
      withNarrower,
      central,
    };
  }

  private async countCandidate(
    database: OpenDatabase,
    content: TermContent,
    lane: readonly Query[],
  ): Promise<TermCount> {
    const own = termQuery(content);
    if (!own.ok) return { hits: null, adds: null, error: own.message };
    const added: Query =
      lane.length === 0
        ? own.query
        : { kind: 'not', include: own.query, exclude: { kind: 'or', operands: lane } };
    const [counted, adds] = await Promise.all([
      this.databases.count(database, own.query),
      this.databases.count(database, added),
    ]);
    return { ...counted, adds: adds.hits };
  }
}

function headingContent(database: OpenDatabase, heading: Heading) {
  return {
    kind: 'heading' as const,
    vocabulary: database.description.vocabulary?.id ?? '',
    label: heading.label,
    narrower: false,
    central: false,
    subheadings: [],
  };
}

function labelPaths(tree: VocabularyTree | undefined, heading: Heading): string[][] {
  return tree === undefined ? [] : pathsTo(tree, heading).map((path) => path.map(({ label }) => label));
}
