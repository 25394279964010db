import { Injectable } from '@nestjs/common';
import {
  buildIndex,
  evaluate,
  isRun,
  parseLine,
  type BibRecord,
  type LedgerContent,
  type LedgerLine,
  type RunContent,
} from '@even-lantern/core';
import type { FoundBy } from '@even-lantern/contract';
import { In } from 'typeorm';
import { notFound } from '../http/problem.js';
import { contextOf, DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { evaluationContextOf } from '../databases/evaluationContext.js';
import {
  ElsewhereRecordRow,
  ElsewhereSearchRow,
  LedgerEntryRow,
  RecordRow,
  RecordStateRow,
  RunRecordRow,
  RunRow,
} from '../store/entities.js';
import { Store } from '../store/store.js';
import { stateDigest } from './keepRecords.js';

/** Which runs and searches made elsewhere found a record, and which lines of runs. */
@Injectable()
export class FoundByService {
  constructor(
    private readonly store: Store,
    private readonly databases: DatabasesService,
  ) {}

  /** The latest first. */
  async of(id: string): Promise<FoundBy[]> {
    const { read } = this.store;
    const row = await read.findOneBy(RecordRow, { id });
    if (row === null) throw notFound('This record');
    const { reviewId, database, accession } = row;
    const found = await this.foundIn(row);
    const entries = await read.find(LedgerEntryRow, {
      where: [
        { reviewId, runId: In([...found.keys()]) },
        { reviewId, searchId: In([...found.keys()]) },
      ],
      order: { entry: 'DESC' },
    });
    const states = await read.findBy(RecordStateRow, { reviewId, database, accession });
    const texts = new Map(
      [row.record, ...states.map(({ record }) => record)].map((text) => [stateDigest(text), text]),
    );
    const open = this.databases.knows(database)
      ? await this.databases.open(database).catch(() => null)
      : null;
    return entries.flatMap(({ content: text, runId, searchId }): FoundBy[] => {
      const content = JSON.parse(text) as LedgerContent;
      const { rank = 0, digest = null } = found.get(runId ?? searchId ?? '') ?? {};
      if (content.kind === 'elsewhere') {
        const { entry, at, way, place } = content;
        return [{ entry, release: '', at, rank, lines: null, elsewhere: `${way}: ${place}` }];
      }
      if (!isRun(content)) return [];
      const record = JSON.parse(texts.get(digest ?? '') ?? row.record) as BibRecord;
      const { entry, release, startedAt: at } = content;
      return [
        {
          entry,
          release,
          at,
          rank,
          lines: open === null ? null : linesThatFind(content, record, open),
          elsewhere: null,
        },
      ];
    });
  }

  /** By the ids of runs and searches, the place that a record had in what they found. */
  private async foundIn({
    reviewId,
    database,
    accession,
  }: RecordRow): Promise<ReadonlyMap<string, Pick<RunRecordRow, 'rank' | 'digest'>>> {
    const { read } = this.store;
    const runs = await read.find(RunRow, { where: { reviewId, database }, select: { id: true } });
    const searches = await read.findBy(ElsewhereSearchRow, { reviewId, source: database });
    const idsOf = (rows: readonly { id: string }[]) => In(rows.map(({ id }) => id));
    const [byRuns, bySearches] = await Promise.all([
      read.findBy(RunRecordRow, { runId: idsOf(runs), accession }),
      read.findBy(ElsewhereRecordRow, { searchId: idsOf(searches), accession }),
    ]);
    return new Map<string, Pick<RunRecordRow, 'rank' | 'digest'>>([
      ...byRuns.map((each) => [each.runId, each] as const),
      ...bySearches.map((each) => [each.searchId, each] as const),
    ]);
  }
}

/** The numbers of the lines of a run that find a record, as it was then; those that cannot be read here are left out. */
function linesThatFind(
  { lines, queryType = 'cql' }: RunContent,
  record: BibRecord,
  database: OpenDatabase,
): number[] {
  const index = buildIndex([record]);
  const context = contextOf(database);
  const evaluating = evaluationContextOf(database.vocabulary);
  const finds = ({ string: text }: LedgerLine) => {
    const read = parseLine(
      { language: queryType === 'cql' ? 'cql' : 'own', text },
      database.dialect,
      context,
    );
    if (!read.ok) return false;
    const found = evaluate(read.query, index, evaluating);
    return found.ok && found.documents.size > 0;
  };
  return lines.filter(finds).map(({ number }) => number);
}
