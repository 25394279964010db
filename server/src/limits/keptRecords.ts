import { Injectable } from '@nestjs/common';
import {
  buildIndex,
  docsOf,
  evaluate,
  type BibRecord,
  type Query,
  type SearchIndex,
} from '@even-lantern/core';
import type { KeptRecord } from '@even-lantern/contract';
import { LRUCache } from 'lru-cache';
import type { OpenDatabase } from '../databases/databasesService.js';
import { evaluationContextOf } from '../databases/evaluationContext.js';
import { RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';

/** More kept records than this are not looked through at each change of a limit. */
const MOST_KEPT = 5000;
const REMEMBERED = 20;

interface Kept {
  rows: readonly KeptRecord[];
  index: SearchIndex;
}

/** The records of a review that were kept, to be looked through by what limits lose. */
@Injectable()
export class KeptRecords {
  /** by review and database, with what would change them */
  private readonly known = new LRUCache<string, Kept>({ max: REMEMBERED });

  constructor(private readonly store: Store) {}

  /**
   * Finds kept records that a query finds, as the database last told them.
   * @returns for each query; null where there are too many records, or the query cannot be evaluated here
   */
  async among(
    reviewId: string,
    database: OpenDatabase,
    queries: readonly (Query | null)[],
  ): Promise<(KeptRecord[] | null)[]> {
    const kept = await this.of(reviewId, database.id);
    if (kept === null) return queries.map(() => null);
    const context = evaluationContextOf(database.vocabulary);
    return queries.map((query) => {
      if (query === null || kept.rows.length === 0) return [];
      const found = evaluate(query, kept.index, context);
      if (!found.ok) return null;
      return [...docsOf(found.documents)].flatMap((doc) => kept.rows[doc] ?? []);
    });
  }

  private async of(reviewId: string, database: string): Promise<Kept | null> {
    const where = { reviewId, database, decision: 'keep' };
    const count = await this.store.read.countBy(RecordRow, where);
    if (count > MOST_KEPT) return null;
    const ids = await this.store.read.find(RecordRow, {
      where,
      select: { id: true, version: true, lastRunId: true, lastSearchId: true },
      order: { id: 'ASC' },
    });
    const key = `${reviewId}\n${database}\n${ids.map(({ id, lastRunId, lastSearchId }) => `${id} ${lastRunId ?? lastSearchId}`).join('\n')}`;
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const rows = await this.store.read.find(RecordRow, { where, order: { id: 'ASC' } });
    const kept: Kept = {
      rows: rows.map(({ id, title, year }) => ({ id, title, year })),
      index: buildIndex(rows.map(({ record }) => JSON.parse(record) as BibRecord)),
    };
    this.known.set(key, kept);
    return kept;
  }
}
