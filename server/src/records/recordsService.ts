import { randomUUID } from 'node:crypto';
import { setImmediate as pause } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import type { BibRecord, SourcedRecord } from '@even-lantern/core';
import {
  type Decided,
  type Decision,
  type DesignJudgement,
  type Person,
  type RecordCounts,
  type RecordPage,
  type RecordQuery,
  type RecordSort,
  type ReviewRecord,
} from '@even-lantern/contract';
import { In, type EntityManager } from 'typeorm';
import { badInput, notFound } from '../http/problem.js';
import { changeVersion } from '../edits/changeVersion.js';
import { DesignContent } from '../designs/designContent.js';
import { PeopleService } from '../people/people.js';
import { ElsewhereSearchRow, DesignJudgementRow, RecordRow, RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { addToCount, countsOf } from './recordCounts.js';

/**
 * What each order goes by, as one of the indexes has it. All columns of an order go the same way, so that a place in it
 * is one comparison; each ends with the id, so that no two records share a place.
 */
const ORDERS: Readonly<Record<RecordSort, { by: readonly (keyof RecordRow)[]; down: boolean }>> = {
  relevance: { by: ['rank', 'id'], down: false },
  newest: { by: ['year', 'accession', 'id'], down: true },
  oldest: { by: ['year', 'accession', 'id'], down: false },
};
const LISTED = {
  id: true,
  rank: true,
  title: true,
  year: true,
  journal: true,
  accession: true,
  publicationTypes: true,
  decision: true,
  version: true,
  lastRunId: true,
  design: true,
  designJudged: true,
} as const;
/** Records read at a time when all of them go out. */
const EXPORTED_AT_ONCE = 100;

@Injectable()
export class RecordsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
    private readonly designs: DesignContent,
  ) {}

  async page(reviewId: string, query: RecordQuery): Promise<RecordPage> {
    const { sort, limit } = query;
    // First the places, from the index alone; then the rows of those.
    const ids = await this.places(this.store.read, reviewId, query);
    const rows = await this.store.read.find(RecordRow, { where: { id: In(ids) }, select: LISTED });
    const byId = new Map(rows.map((row) => [row.id, row]));
    const inOrder = ids.flatMap((id) => byId.get(id) ?? []);
    const last = inOrder.at(-1);
    return {
      next: last === undefined || ids.length < limit ? null : cursorOf(last, sort),
      rows: inOrder.map((row) => ({
        id: row.id,
        title: row.title,
        year: row.year,
        journal: row.journal,
        publicationTypes: row.publicationTypes,
        decision: row.decision as Decision,
        version: row.version,
        runId: row.lastRunId,
        design: row.design,
        designJudged: row.designJudged,
      })),
    };
  }

  counts(reviewId: string): Promise<RecordCounts> {
    return countsOf(this.store.read, reviewId);
  }

  async get(id: string): Promise<ReviewRecord> {
    const row = await this.store.read.findOneBy(RecordRow, { id });
    if (row === null) throw notFound('This record');
    const judged = await this.judgementOf(id);
    return {
      ...decidedOf(row),
      database: row.database,
      runId: row.lastRunId,
      record: bibRecord(row),
      judged,
    };
  }

  /** What somebody judged the design of a record to be last; null where nobody did, or it was taken back. */
  private async judgementOf(recordId: string): Promise<DesignJudgement | null> {
    const [last] = await this.store.read.find(DesignJudgementRow, {
      where: { recordId },
      order: { position: 'DESC' },
      take: 1,
    });
    if (last === undefined || last.design === null) return null;
    const nameOf = await this.people.namesOf([last.personId]);
    return { design: last.design, person: nameOf(last.personId), at: last.at };
  }

  /**
   * Judges the design of a record, or takes the judgement back. What was judged before is kept.
   * @throws ProblemException for what is no design
   */
  async judge(id: string, design: string | null, person: Person): Promise<ReviewRecord> {
    if (design !== null) await this.designs.expect([design], 'design');
    await this.store.write(async (manager) => {
      const record = await manager.findOne(RecordRow, {
        where: { id },
        select: { id: true, reviewId: true },
      });
      if (record === null) throw notFound('This record');
      const position = ((await manager.maximum(DesignJudgementRow, 'position', { recordId: id })) ?? 0) + 1;
      const at = new Date().toISOString();
      const row = { id: randomUUID(), reviewId: record.reviewId, recordId: id, position, design, at };
      await manager.insert(DesignJudgementRow, { ...row, personId: person.id });
      await manager.update(RecordRow, { id }, { design, designJudged: design !== null });
    });
    return this.get(id);
  }

  /** @param version of the decision that the person saw */
  async decide(id: string, decision: Decision, version: number, person: Person): Promise<Decided> {
    const decided = { decision, decidedBy: person.id, decidedAt: new Date().toISOString() };
    return this.store.write(async (manager) => {
      const before = await manager.findOne(RecordRow, {
        where: { id },
        select: { id: true, reviewId: true, decision: true },
      });
      const now = await changeVersion(manager, RecordRow, { id, version }, decided, 'decision', decidedOf);
      if (before !== null && before.decision !== decision) {
        await addToCount(manager, before.reviewId, before.decision as Decision, -1);
        await addToCount(manager, before.reviewId, decision, 1);
      }
      return now;
    });
  }

  /** The records that were kept, in order of relevance, so many at a time. */
  async *kept(reviewId: string): AsyncGenerator<SourcedRecord[]> {
    const names = await this.sourceNames(reviewId);
    const sourced = (row: RecordRow): SourcedRecord => ({
      record: bibRecord(row),
      source: { database: row.database, name: names.get(row.database) ?? row.database },
    });
    let after: string | undefined;
    for (;;) {
      const query = { sort: 'relevance', decision: 'keep', offset: 0, limit: EXPORTED_AT_ONCE } as const;
      const ids = await this.places(this.store.read, reviewId, { ...query, ...(after && { after }) });
      const rows = await this.store.read.findBy(RecordRow, { id: In(ids) });
      const byId = new Map(rows.map((row) => [row.id, row]));
      const inOrder = ids.flatMap((id) => byId.get(id) ?? []);
      if (inOrder.length > 0) yield inOrder.map(sourced);
      // The store answers at once, so without a pause nobody else would have a turn until all are out.
      await pause();
      const last = inOrder.at(-1);
      if (last === undefined || ids.length < EXPORTED_AT_ONCE) return;
      after = cursorOf(last, 'relevance');
    }
  }

  /** What the databases and places are called that records of a review came from, by the ids that records have of them. */
  private async sourceNames(reviewId: string): Promise<ReadonlyMap<string, string>> {
    const { read } = this.store;
    const runs = await read.find(RunRow, {
      where: { reviewId },
      select: { id: true, database: true, databaseName: true },
    });
    const searches = await read.findBy(ElsewhereSearchRow, { reviewId });
    return new Map([
      ...runs.map(({ database, databaseName }) => [database, databaseName] as const),
      ...searches.map(({ source, name }) => [source, name] as const),
    ]);
  }

  /** The ids of a page in their order. */
  private async places(
    manager: EntityManager,
    reviewId: string,
    { sort, decision, design, offset, after, limit }: RecordQuery,
  ): Promise<string[]> {
    const { by, down } = ORDERS[sort];
    const designs = design === undefined ? null : await this.designs.withKinds(design);
    const builder = manager
      .createQueryBuilder(RecordRow, 'record')
      .select('record.id', 'id')
      .where('record.reviewId = :reviewId', { reviewId });
    if (decision !== 'any') builder.andWhere('record.decision = :decision', { decision });
    if (designs !== null) builder.andWhere('record.design IN (:...designs)', { designs });
    if (after !== undefined) {
      const place = placeIn(after, by);
      const names = by.map((column) => `:${column}`);
      const columns = by.map((column) => `record.${column}`);
      builder.andWhere(`(${columns.join(', ')}) ${down ? '<' : '>'} (${names.join(', ')})`, place);
    } else builder.offset(offset);
    for (const column of by) builder.addOrderBy(`record.${column}`, down ? 'DESC' : 'ASC');
    const rows = await builder.limit(limit).getRawMany<{ id: string }>();
    return rows.map(({ id }) => id);
  }
}

/** A place in an order, which whoever asks gives back unread. */
function cursorOf(row: RecordRow, sort: RecordSort): string {
  return Buffer.from(JSON.stringify(ORDERS[sort].by.map((column) => row[column]))).toString('base64url');
}

function placeIn(cursor: string, by: readonly (keyof RecordRow)[]): Record<string, string | number> {
  const values = valuesIn(cursor);
  if (values?.length !== by.length) {
    throw badInput([
      { path: 'after', message: 'This is no place in this order: begin with the first page.' },
    ]);
  }
  return Object.fromEntries(by.map((column, i) => [column, values[i] ?? '']));
}

function valuesIn(cursor: string): (string | number)[] | null {
  try {
    const values: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8'));
    const plain = (each: unknown) => typeof each === 'string' || typeof each === 'number';
    return Array.isArray(values) && values.every(plain) ? values : null;
  } catch {
    return null;
  }
}

function decidedOf({ id, decision, decidedBy, decidedAt, version }: RecordRow): Decided {
  return { id, decision: decision as Decision, decidedBy, decidedAt, version };
}

function bibRecord(row: RecordRow): BibRecord {
  return JSON.parse(row.record) as BibRecord;
}
