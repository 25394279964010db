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
import { LedgerEntryRow, RecordRow, RecordStateRow, RunRecordRow, RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { stateDigest } from './keepRecords.js';

/** Which runs found a record, and which of their lines. */
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
    const runs = await read.find(RunRow, { where: { reviewId, database }, select: { id: true } });
    const runIds = In(runs.map((run) => run.id));
    const found = await read.find(RunRecordRow, { where: { runId: runIds, accession } });
    const byRun = new Map(found.map((each) => [each.runId, each]));
    const entries = await read.find(LedgerEntryRow, {
      where: { reviewId, runId: In([...byRun.keys()]) },
      order: { entry: 'DESC' },
    });
    const states = await read.findBy(RecordStateRow, { reviewId, database, accession });
    const texts = new Map(
      [row.record, ...states.map(({ record }) => record)].map((text) => [stateDigest(text), text]),
    );
    const open = this.databases.knows(database)
      ? await this.databases.open(database).catch(() => null)
      : null;
    return entries.flatMap(({ content: text, runId }): FoundBy[] => {
      const content = JSON.parse(text) as LedgerContent;
      const { rank = 0, digest = null } = byRun.get(runId ?? '') ?? {};
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
