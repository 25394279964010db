/** A review as one file: tables as lines of JSON, the ledger as people read it, and what all of that is. */
import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { setImmediate as othersFirst } from 'node:timers/promises';
import {
  CRATE_METADATA,
  crateToJson,
  JSON_LEDGER,
  MARKDOWN_LEDGER,
  sealText,
  type CrateFile,
  type LedgerForm,
} from '@even-lantern/core';
import {
  In,
  MoreThan,
  type EntityManager,
  type FindOperator,
  type FindOptionsWhere,
  type ObjectLiteral,
} from 'typeorm';
import { ZipFile } from 'yazl';
import { APPLICATION_VERSION } from '../http/version.js';
import { ledgerTexts, presentSeal } from '../ledger/ledgerRows.js';
import type { EntityClass } from '../store/description.js';
import { PersonRow, ReviewRow } from '../store/entities.js';
import { rawRowOf, type RawRow } from '../store/rawRows.js';
import { peopleIn, tableNamed, TABLES_OF_PACKAGES } from '../store/tables.js';
import { ownedBy, pathOf, rowsInPackage, TABLES_AS_OF, type Owned } from './packageTables.js';

const AT_A_TIME = 200;
const LINES = 'application/x-ndjson';
/** Ids are hexadecimal mostly: these make parts of nearly one size, and no id stands before the first. */
const BEGINNINGS = ['', ...'123456789abcdef'];

/**
 * Writes the package of a review. What it reads stays as it was when this began.
 * @param told is called with the rows written so far
 * @returns the file as it is made
 */
export function packageOf(
  manager: EntityManager,
  reviewId: string,
  progress: (rows: number) => void,
  signal: AbortSignal,
): { stream: NodeJS.ReadableStream; done: Promise<void> } {
  const zip = new ZipFile();
  const files: CrateFile[] = [];
  const people = new Set<string>();
  let written = 0;
  let failed: (error: unknown) => void = () => undefined;
  const done = new Promise<void>((resolve, reject) => {
    failed = reject;
    zip.outputStream.on('end', () => resolve());
    zip.outputStream.on('error', reject);
    zip.on('error', reject);
  });

  /** Adds a file whose text is made when its turn comes, and notes what it was. */
  const add = (
    path: string,
    about: Pick<CrateFile, 'description' | 'encodingFormat'>,
    lines: () => AsyncIterable<string>,
    isTable: boolean,
  ) => {
    zip.addReadStreamLazy(path, { compress: true }, (give) => {
      const hash = createHash('sha256');
      let contentSize = 0;
      let rows = 0;
      async function* through(): AsyncIterable<Buffer> {
        for await (const text of lines()) {
          signal.throwIfAborted();
          const bytes = Buffer.from(text);
          hash.update(bytes);
          contentSize += bytes.length;
          if (isTable) {
            const more = text.split('\n').length - 1;
            rows += more;
            progress((written += more));
          }
          yield bytes;
        }
        files.push({ path, ...about, contentSize, sha256: hash.digest('hex'), rows: isTable ? rows : null });
      }
      const stream = Readable.from(through());
      stream.on('error', failed);
      give(null, stream);
    });
  };

  const owned = ownedBy(manager, reviewId);
  owned.catch(failed);
  for (const { name } of TABLES_OF_PACKAGES.filter((table) => table.entity !== PersonRow)) {
    const about = { description: `The table ${name}, one row a line.`, encodingFormat: LINES };
    add(pathOf(name), about, () => linesOf(manager, name, owned, people), true);
  }
  // People come last, when all have been named.
  const aboutPeople = { description: 'Those who are named, one a line.', encodingFormat: LINES };
  add(pathOf('person'), aboutPeople, () => linesOfPeople(manager, people), true);
  const exportedAt = new Date().toISOString();
  const title = async () => (await manager.findOneByOrFail(ReviewRow, { id: reviewId })).title;
  const seal = presentSeal(manager, reviewId);
  seal.catch(failed);
  const addLedger = (form: LedgerForm, description: string) => {
    const about = { description, encodingFormat: form.mediaType.replace(/;.*/, '') };
    async function* texts() {
      const review = { id: reviewId, title: await title() };
      yield* ledgerTexts(manager, form, { review, exportedAt, seal: await seal });
    }
    add(`ledger.${form.extension}`, about, texts, false);
  };
  addLedger(JSON_LEDGER, 'The ledger, to be verified anywhere.');
  addLedger(MARKDOWN_LEDGER, 'The ledger, to be read.');
  zip.addReadStreamLazy(CRATE_METADATA, { compress: true }, (give) => {
    async function* metadata(): AsyncIterable<Buffer> {
      const named = await manager.find(PersonRow, { where: { id: In([...people]) }, order: { id: 'ASC' } });
      const crate = {
        id: reviewId,
        title: await title(),
        exportedAt,
        application: APPLICATION_VERSION,
        seal: sealText(await seal),
        tablesAsOf: TABLES_AS_OF,
        people: named.map(({ id, name }) => ({ id, name })),
        files,
      };
      yield Buffer.from(crateToJson(crate));
    }
    const stream = Readable.from(metadata());
    stream.on('error', failed);
    give(null, stream);
  });
  zip.end();
  return { stream: zip.outputStream, done };
}

/** The rows of a table, some hundred lines at a time. */
async function* linesOf(
  manager: EntityManager,
  name: string,
  owned: Promise<Owned>,
  people: Set<string>,
): AsyncIterable<string> {
  const table = tableNamed(name);
  const { entity } = table;
  const naming = peopleIn(table);
  const where = await rowsInPackage(manager, table, await owned);
  const text = (rows: readonly RawRow[]) => {
    for (const row of rows) {
      for (const column of naming) if (row[column] != null) people.add(String(row[column]));
    }
    return textOf(rows);
  };
  const keys = manager.connection.getMetadata(entity).primaryColumns.map(({ propertyName }) => propertyName);
  const [key, ...further] = keys;
  if (key === 'id') {
    // Which they are is asked for a part of all at a time: asked page by page, each would be sought among all.
    for (const [i, from] of BEGINNINGS.entries()) {
      const ids = await idsBetween(manager, entity, where, from, BEGINNINGS[i + 1]);
      for (let at = 0; at < ids.length; at += AT_A_TIME) {
        await othersFirst();
        const some = { id: In(ids.slice(at, at + AT_A_TIME)) };
        yield text(await rawRows(manager, entity, some, { order: ['id'] }));
      }
      await othersFirst();
    }
    return;
  }
  // What has no id of its own is keyed by what it belongs to, and by what comes once in that.
  const owners = where[key ?? ''] as FindOperator<string> | string;
  const all = typeof owners === 'string' ? [owners] : (owners.value as unknown as string[]);
  const [second] = further;
  for (const owner of all) {
    for (let last = ''; ;) {
      const page = { [key ?? '']: owner, ...(second === undefined ? {} : { [second]: MoreThan(last) }) };
      const rows = await rawRows(manager, entity, page, { order: keys, take: AT_A_TIME });
      if (rows.length > 0) yield text(rows);
      if (rows.length < AT_A_TIME || second === undefined) break;
      await othersFirst();
      last = String(rows.at(-1)?.[second]);
    }
  }
}

function textOf(rows: readonly RawRow[]): string {
  return rows.map((row) => `${JSON.stringify(row)}\n`).join('');
}

/** Rows as they stand in the store. */
async function rawRows(
  manager: EntityManager,
  entity: EntityClass,
  where: FindOptionsWhere<ObjectLiteral>,
  { order, take }: { order: readonly string[]; take?: number },
): Promise<RawRow[]> {
  const builder = manager.createQueryBuilder<ObjectLiteral>(entity, 'row').where(where).limit(take);
  builder.select([]);
  for (const { propertyName } of manager.connection.getMetadata(entity).columns) {
    builder.addSelect(`row.${propertyName}`, propertyName);
  }
  for (const column of order) builder.addOrderBy(`row.${column}`, 'ASC');
  return (await builder.getRawMany<ObjectLiteral>()).map((row) => rawRowOf(manager, entity, row));
}

/** The ids of rows, in their order. @param to undefined for all that follow */
async function idsBetween(
  manager: EntityManager,
  entity: EntityClass,
  where: FindOptionsWhere<ObjectLiteral>,
  from: string,
  to: string | undefined,
): Promise<string[]> {
  const builder = manager
    .createQueryBuilder<ObjectLiteral>(entity, 'row')
    .select('row.id', 'id')
    .where(where)
    .andWhere('row.id >= :from', { from });
  if (to !== undefined) builder.andWhere('row.id < :to', { to });
  const found = await builder.getRawMany<{ id: string }>();
  return found.map(({ id }) => id).sort();
}

async function* linesOfPeople(manager: EntityManager, people: ReadonlySet<string>): AsyncIterable<string> {
  yield textOf(await rawRows(manager, PersonRow, { id: In([...people]) }, { order: ['id'] }));
}
