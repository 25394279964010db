import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import type { BibRecord } from '@even-lantern/core';
import type { EnteredCount, GivenRecords, HandAnswer, Person } from '@even-lantern/contract';
import { In, type EntityManager } from 'typeorm';
import { badInput, conflict, notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { IncomingFiles, type FileAsked } from '../files/incomingFiles.js';
import { HandCountRow, HandRecordRow } from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { Store } from '../store/store.js';
import { DatabaseError, type Page } from '../connectors/databaseConnector.js';
import { handKey, type HandAnswers, type HandDatabase } from '../connectors/handConnector.js';

/** Records that are kept in one change. */
const BATCH = 100;

interface GivenFile extends FileAsked {
  /** the job of an earlier reading of the file, of which this one takes the place */
  insteadOf: string | null;
}

/** What people give for the strings of databases that they ask by hand: counts, and files of records. */
@Injectable()
export class HandAnswersService {
  /** by id */
  private readonly databases = new Map<string, HandDatabase>();
  /** what the last file brought: letters that look wrong are seen at once, or not in this hour */
  private lastGiven: { job: string; database: string; meaning: string; ids: ReadonlySet<string> } | null =
    null;

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
   * Takes an exported file for a string. Several files add up; a record that is there already stays as it is, unless it
   * is one of those that an earlier reading of the file brought: these take its place.
   * @param meaning the id of the answer for the string
   */
  async give(id: string, meaning: string, source: Readable, given: GivenFile): Promise<GivenRecords> {
    if (!this.databases.has(id)) throw notFound(`The database “${id}” that is asked by hand`);
    const earlier = this.broughtBy(id, meaning, given.insteadOf);
    return this.files.records(source, given, async (path, { records, troubles, encoding }, kept, signal) => {
      if (records === 0) {
        throw badInput(troubles.map(({ line, message }) => ({ path: `line ${line}`, message })));
      }
      // So many at a time, so that a large file holds up nobody else; what a stopped one has brought is taken out again.
      const ids: string[] = [];
      try {
        for await (const batch of linesOf(path)) {
          signal.throwIfAborted();
          ids.push(...(await this.keepGiven(id, meaning, batch, earlier)));
          kept(ids.length);
        }
      } catch (error) {
        await this.takeOut(ids.filter((each) => !earlier.has(each)));
        throw error;
      }
      const now = new Set(ids);
      await this.takeOut([...earlier].filter((each) => !now.has(each)));
      this.lastGiven = { job: given.job, database: id, meaning, ids: now };
      const total = await this.store.read.countBy(HandRecordRow, { database: id, meaning });
      const added = ids.filter((each) => !earlier.has(each)).length;
      return { read: records, added, total, troubles, encoding };
    });
  }

  /** What the last file brought, where that is the one that is read again. */
  private broughtBy(database: string, meaning: string, job: string | null): ReadonlySet<string> {
    if (job === null) return new Set();
    const last = this.lastGiven;
    if (last?.job === job && last.database === database && last.meaning === meaning) return last.ids;
    throw conflict(
      'That file cannot be read again here.',
      'Another file was given since, or the program was started anew. Give the file once more.',
    );
  }

  private takeOut(ids: readonly string[]): Promise<void> {
    return inBatches(ids, (some) =>
      this.store.write((manager) => manager.delete(HandRecordRow, { id: In([...some]) })),
    );
  }

  /**
   * @param lines records as JSON
   * @param earlier ids of records that those take the place of
   * @returns the ids of those that were not there, or took the place of another
   */
  private keepGiven(
    database: string,
    meaning: string,
    lines: readonly string[],
    earlier: ReadonlySet<string>,
  ): Promise<string[]> {
    return this.store.write(async (manager) => {
      const given = lines.map((record) => ({
        record,
        accession: (JSON.parse(record) as BibRecord).accession,
      }));
      const there = await manager.find(HandRecordRow, {
        where: { database, meaning, accession: In(given.map(({ accession }) => accession)) },
        select: { id: true, accession: true },
      });
      const known = new Map(there.map(({ id, accession }) => [accession, id]));
      const last = (await manager.maximum(HandRecordRow, 'position', { database, meaning })) ?? 0;
      const rows = given
        .filter(({ accession }) => !known.has(accession))
        .map((each, i) => ({ id: randomUUID(), database, meaning, position: last + i + 1, ...each }));
      await inBatches(rows, (batch) => manager.insert(HandRecordRow, batch));
      const replaced: string[] = [];
      for (const { accession, record } of given) {
        const id = known.get(accession);
        if (id === undefined || !earlier.has(id)) continue;
        await manager.update(HandRecordRow, { id }, { record });
        replaced.push(id);
      }
      return [...replaced, ...rows.map((row) => row.id)];
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
