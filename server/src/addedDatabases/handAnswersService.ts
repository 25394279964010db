import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import type { BibRecord } from '@even-lantern/core';
import type { EnteredCount, GivenRecords, HandAnswer, Person } from '@even-lantern/contract';
import { In, type EntityManager } from 'typeorm';
import { badInput, notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { IncomingFiles, type FileAsked } from '../files/incomingFiles.js';
import { HandCountRow, HandRecordRow } from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { Store } from '../store/store.js';
import { DatabaseError, type Page } from '../connectors/databaseConnector.js';
import { handKey, type HandAnswers, type HandDatabase } from '../connectors/handConnector.js';

/** Records that are kept in one change. */
const BATCH = 100;

/** What people give for the strings of databases that they ask by hand: counts, and files of records. */
@Injectable()
export class HandAnswersService {
  /** by id */
  private readonly databases = new Map<string, HandDatabase>();

  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
    private readonly files: IncomingFiles,
  ) {}

  /** Answers for a database from here on. @returns what has been given for its strings */
  connect(id: string, database: HandDatabase): HandAnswers {
    this.databases.set(id, database);
    return {
      hits: async (meaning) => (await latestCount(this.store.read, id, meaning))?.hits ?? null,
      records: (meaning, page) => this.recordsOf(id, meaning, page),
    };
  }

  disconnect(id: string): void {
    this.databases.delete(id);
  }

  async enter(id: string, { text, hits }: EnteredCount, person: Person): Promise<HandAnswer> {
    const meaning = this.meaningOf(id, text);
    return this.store.write(async (manager) => {
      const position = 1 + (await manager.countBy(HandCountRow, { database: id }));
      const now = { at: new Date().toISOString(), personId: person.id };
      await manager.insert(HandCountRow, {
        id: randomUUID(),
        database: id,
        position,
        meaning,
        string: text,
        hits,
        ...now,
      });
      return this.answer(id, text, manager);
    });
  }

  /** What has been given for a string so far. */
  async answer(id: string, text: string, manager = this.store.read): Promise<HandAnswer> {
    const meaning = this.meaningOf(id, text);
    const row = await latestCount(manager, id, meaning);
    const nameOf = await this.people.namesOf(row === null ? [] : [row.personId], manager);
    const records = await manager.countBy(HandRecordRow, { database: id, meaning });
    return {
      id: meaning,
      hits: row?.hits ?? null,
      enteredBy: row === null ? null : nameOf(row.personId),
      enteredAt: row?.at ?? null,
      records,
    };
  }

  /**
   * Takes an exported file for a string. Several files add up; a record that is there already stays as it is.
   * @param meaning the id of the answer for the string
   */
  async give(id: string, meaning: string, source: Readable, asked: FileAsked): Promise<GivenRecords> {
    if (!this.databases.has(id)) throw notFound(`The database “${id}” that is asked by hand`);
    return this.files.records(source, asked, async (path, { records, troubles, encoding }, kept, signal) => {
      if (records === 0) {
        throw badInput(troubles.map(({ line, message }) => ({ path: `line ${line}`, message })));
      }
      // So many at a time, so that a large file holds up nobody else; what a stopped one has brought is taken out again.
      const added: string[] = [];
      try {
        for await (const batch of linesOf(path)) {
          signal.throwIfAborted();
          added.push(...(await this.keepGiven(id, meaning, batch)));
          kept(added.length);
        }
      } catch (error) {
        await inBatches(added, (ids) =>
          this.store.write((manager) => manager.delete(HandRecordRow, { id: In(ids) })),
        );
        throw error;
      }
      const total = await this.store.read.countBy(HandRecordRow, { database: id, meaning });
      return { read: records, added: added.length, total, troubles, encoding };
    });
  }

  /** @param lines records as JSON @returns the ids of those that were not there */
  private keepGiven(database: string, meaning: string, lines: readonly string[]): Promise<string[]> {
    return this.store.write(async (manager) => {
      const given = lines.map((record) => ({
        record,
        accession: (JSON.parse(record) as BibRecord).accession,
      }));
      const there = await manager.find(HandRecordRow, {
        where: { database, meaning, accession: In(given.map(({ accession }) => accession)) },
        select: { accession: true },
      });
      const known = new Set(there.map(({ accession }) => accession));
      const last = (await manager.maximum(HandRecordRow, 'position', { database, meaning })) ?? 0;
      const rows = given
        .filter(({ accession }) => !known.has(accession))
        .map((each, i) => ({ id: randomUUID(), database, meaning, position: last + i + 1, ...each }));
      await inBatches(rows, (batch) => manager.insert(HandRecordRow, batch));
      return rows.map((row) => row.id);
    });
  }

  private meaningOf(id: string, text: string): string {
    const database = this.databases.get(id);
    if (database === undefined) throw notFound(`The database “${id}” that is asked by hand`);
    try {
      return handKey(database, text);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw badInput([{ path: 'text', message: error.message }]);
    }
  }

  private async recordsOf(database: string, meaning: string, { start, size }: Page): Promise<BibRecord[]> {
    const rows = await this.store.read.getRepository(HandRecordRow).find({
      where: { database, meaning },
      order: { position: 'ASC' },
      skip: start - 1,
      take: size,
    });
    return rows.map(({ record }) => JSON.parse(record) as BibRecord);
  }
}

function latestCount(
  manager: EntityManager,
  database: string,
  meaning: string,
): Promise<HandCountRow | null> {
  return manager.findOne(HandCountRow, { where: { database, meaning }, order: { position: 'DESC' } });
}

/** The lines of a file, so many at a time. */
async function* linesOf(path: string): AsyncGenerator<string[]> {
  let batch: string[] = [];
  for await (const line of createInterface({ input: createReadStream(path) })) {
    batch.push(line);
    if (batch.length < BATCH) continue;
    yield batch;
    batch = [];
  }
  if (batch.length > 0) yield batch;
}
