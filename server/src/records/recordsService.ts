import { Injectable } from '@nestjs/common';
import type { BibRecord } from '@even-lantern/core';
import {
  DECISIONS,
  type Decision,
  type Person,
  type RecordPage,
  type RecordQuery,
  type RecordSort,
  type ReviewRecord,
} from '@even-lantern/contract';
import { type FindOptionsOrder } from 'typeorm';
import { notFound } from '../application/problem.js';
import { RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';

/** Ties end with the id, so that pages never overlap. */
const ORDERS: Readonly<Record<RecordSort, FindOptionsOrder<RecordRow>>> = {
  relevance: { rank: 'ASC', id: 'ASC' },
  newest: { year: 'DESC', accession: 'DESC', id: 'ASC' },
  oldest: { year: 'ASC', accession: 'ASC', id: 'ASC' },
};

@Injectable()
export class RecordsService {
  constructor(private readonly store: Store) {}

  async page(reviewId: string, { sort, decision, offset, limit }: RecordQuery): Promise<RecordPage> {
    const records = this.store.read.getRepository(RecordRow);
    const [rows, total] = await records.findAndCount({
      where: { reviewId, ...(decision === 'any' ? {} : { decision }) },
      order: ORDERS[sort],
      skip: offset,
      take: limit,
    });
    const counts = await Promise.all(
      DECISIONS.map(async (each): Promise<[Decision, number]> => [
        each,
        await records.countBy({ reviewId, decision: each }),
      ]),
    );
    return {
      total,
      counts: Object.fromEntries(counts) as Record<Decision, number>,
      rows: rows.map((row) => ({
        id: row.id,
        title: row.title,
        year: row.year,
        journal: row.journal,
        publicationTypes: bibRecord(row).publicationTypes,
        decision: row.decision as Decision,
        runId: row.lastRunId,
      })),
    };
  }

  async get(id: string, manager = this.store.read): Promise<ReviewRecord> {
    const row = await manager.findOneBy(RecordRow, { id });
    if (row === null) throw notFound('This record');
    const { database, decision, decidedBy, decidedAt, lastRunId: runId } = row;
    return {
      id,
      database,
      decision: decision as Decision,
      decidedBy,
      decidedAt,
      runId,
      record: bibRecord(row),
    };
  }

  async decide(id: string, decision: Decision, person: Person): Promise<ReviewRecord> {
    const decided = { decision, decidedBy: person.id, decidedAt: new Date().toISOString() };
    return this.store.write(async (manager) => {
      await manager.update(RecordRow, { id }, decided);
      return this.get(id, manager);
    });
  }

  /** The records that were kept, in order of relevance. */
  async kept(reviewId: string): Promise<BibRecord[]> {
    const rows = await this.store.read.getRepository(RecordRow).find({
      where: { reviewId, decision: 'keep' },
      order: ORDERS.relevance,
    });
    return rows.map(bibRecord);
  }
}

function bibRecord(row: RecordRow): BibRecord {
  return JSON.parse(row.record) as BibRecord;
}
