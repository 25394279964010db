import { Injectable } from '@nestjs/common';
import { buildIndex, type BibRecord, type SearchIndex } from '@even-lantern/core';
import { LRUCache } from 'lru-cache';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { askedText } from '../counting/countCache.js';
import type { OpenDatabase } from '../databases/databasesService.js';
import { DesignJudgementRow, RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { DesignContent, type KnownDesigns } from './designContent.js';

/** Records with what their designs are known to be. */
export interface KnownRecords {
  index: SearchIndex;
  /** the design of each record by its place in the index; null where it is not known */
  designs: (string | null)[];
}

const REMEMBERED = 20;
/** Judged records beyond these are not measured on; the last ones judged count. */
const MOST_JUDGED = 1000;
/** Rounds of fetching, after which a database is told to give no end of records. */
const MOST_PAGES = 200;

/** Records whose designs are known: those of some years that ship with the program, and those that people judged. */
@Injectable()
export class KnownRecordsService {
  /** by database and release */
  private readonly shipped = new LRUCache<string, Promise<KnownRecords>>({ max: REMEMBERED });
  /** by review and database, with all that would change them */
  private readonly judgedOf = new LRUCache<string, KnownRecords>({ max: REMEMBERED });

  constructor(
    private readonly store: Store,
    private readonly content: DesignContent,
  ) {}

  /**
   * The records of a database whose designs ship with the program, as it holds them now.
   * @returns null where there are none
   * @throws DatabaseError when it does not give them
   */
  async of(database: OpenDatabase): Promise<(KnownRecords & { years: string }) | null> {
    const known = (await this.content.get()).known.find((each) => each.database === database.id);
    if (known === undefined) return null;
    const key = `${database.id}\n${database.description.release}`;
    let fetching = this.shipped.get(key);
    if (fetching === undefined) {
      fetching = fetched(database, known);
      this.shipped.set(key, fetching);
      // What failed is asked for anew the next time.
      fetching.catch(() => this.shipped.delete(key));
    }
    const years = known.from === known.to ? String(known.from) : `${known.from} to ${known.to}`;
    return { ...(await fetching), years };
  }

  /** The records of a database whose designs somebody judged in a review. */
  async judged(reviewId: string, database: string): Promise<KnownRecords> {
    const rows = await this.store.read
      .createQueryBuilder(DesignJudgementRow, 'judgement')
      .innerJoin(RecordRow, 'record', 'record.id = judgement.recordId')
      .select('judgement.recordId', 'recordId')
      .addSelect('judgement.design', 'design')
      .addSelect('record.lastRunId', 'lastRunId')
      .addSelect('record.lastSearchId', 'lastSearchId')
      .where('judgement.reviewId = :reviewId AND record.database = :database', { reviewId, database })
      .orderBy('judgement.at', 'ASC')
      .addOrderBy('judgement.position', 'ASC')
      .getRawMany<{ recordId: string; design: string | null; lastRunId: string | null }>();
    const last = new Map(rows.map((row) => [row.recordId, row]));
    const now = [...last.values()].filter(({ design }) => design !== null).slice(-MOST_JUDGED);
    const key = JSON.stringify([reviewId, database, now]);
    let known = this.judgedOf.get(key);
    if (known === undefined) {
      const records: BibRecord[] = [];
      for (const { recordId } of now) {
        const row = await this.store.read.findOneBy(RecordRow, { id: recordId });
        if (row !== null) records.push(JSON.parse(row.record) as BibRecord);
      }
      known = { index: buildIndex(records), designs: now.map(({ design }) => design) };
      this.judgedOf.set(key, known);
    }
    return known;
  }
}

async function fetched(database: OpenDatabase, { from, to, designs }: KnownDesigns): Promise<KnownRecords> {
  const { connector, description } = database;
  const { text } = askedText(database, { kind: 'limit', field: 'year', from, to });
  const records = new Map<string, BibRecord>();
  for (let hits = 1, given = 0, page = 0; given < hits; page += 1) {
    const answer = await connector.search(text, { start: given + 1, size: description.pageCap });
    hits = answer.hits;
    given += answer.records.length;
    if (answer.records.length === 0 || page > MOST_PAGES)
      throw new DatabaseError(`the database gave ${given} of ${hits} records and then no more`, false);
    for (const record of answer.records) records.set(record.accession, record);
  }
  const known = new Map(
    Object.entries(designs).flatMap(([design, all]) => all.map((accession) => [accession, design] as const)),
  );
  return {
    index: buildIndex([...records.values()]),
    designs: [...records.keys()].map((accession) => known.get(accession) ?? null),
  };
}
