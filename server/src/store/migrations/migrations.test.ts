import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { emptyRecord, ledgerVerifier, sealEntry, type RunContent } from '@even-lantern/core';
import {
  HandRecordRow,
  LaneEventRow,
  LaneRow,
  LedgerEntryRow,
  LineTextRow,
  RecordCountRow,
  RecordRow,
  RunRow,
  TermRow,
} from '../entities.js';
import { openStore } from '../store.js';
import { MIGRATIONS } from './index.js';

const AT = '2026-11-01T00:00:00.000Z';
/** The steps up to the release before there was one writer. */
const BEFORE = 7;

test('a store of the release before keeps all it has, and gains what is new', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'migrations-')), 'even-lantern.sqlite');
  const before = new DataSource({
    type: 'better-sqlite3',
    database: path,
    migrations: MIGRATIONS.slice(0, BEFORE),
  });
  await before.initialize();
  await before.runMigrations();
  const insert = (table: string, row: object) =>
    before.createQueryBuilder().insert().into(table, Object.keys(row)).values(row).execute();
  await insert('person', { id: 'p', name: 'Ada', createdAt: AT });
  await insert('review', {
    id: 'r',
    title: 'Light',
    framework: 'pico',
    createdAt: AT,
    createdBy: 'p',
    version: 1,
  });
  await insert('run', {
    id: 'run', reviewId: 'r', database: 'db', status: 'complete', startedAt: AT, timeZone: 'UTC', ranBy: 'p',
    databaseName: 'A database', release: '', queryType: 'cql', lines: '[]', hits: 700, fetched: 700,
  }); // prettier-ignore
  for (let i = 0; i < 700; i += 1) {
    const record = { ...emptyRecord(), accession: `A${i}`, publicationTypes: ['Journal article'] };
    await insert('record', {
      id: `id${i}`, reviewId: 'r', database: 'db', accession: record.accession, lastRunId: 'run', rank: i + 1, title: '',
      year: 2020, journal: '', record: JSON.stringify(record), decision: i < 3 ? 'keep' : 'undecided',
    }); // prettier-ignore
  }
  for (const version of [1, 2, 3]) {
    await insert('line_text', {
      id: `l${version}`, reviewId: 'r', database: 'db', line: 'whole', version, language: 'cql', text: `v${version}`,
      refersTo: '{}', at: AT, personId: 'p',
    }); // prettier-ignore
  }
  // An entry of the first form, as that release wrote it.
  const content = {
    entry: 1, outcome: 'complete', reason: null, database: 'db', databaseName: 'Ménière Index', release: '2026-10-01',
    dialect: 'CQL', lines: [{ number: 1, description: 'light', string: 'el.words = "light"', hits: 700 }], hits: 700,
    fetched: 700, fingerprint: 'f'.repeat(64), startedAt: AT, timeZone: 'UTC', durationMs: 5, ranBy: 'Ada',
    applicationVersion: '0.1.0',
  }; // prettier-ignore
  const { hash } = sealEntry(content as RunContent, null);
  await insert('ledger_entry', {
    id: 'entry', reviewId: 'r', runId: 'run', entry: 1, content: JSON.stringify(content), previousHash: null, hash,
  }); // prettier-ignore
  await insert('added_database', { id: 'db', content: '{}', addedAt: AT, addedBy: 'p' });
  // Two writers at once could take the same number.
  await insert('element', {
    id: 'e', reviewId: 'r', key: 'P', position: 0, text: '', note: '', searched: true, version: 1,
  }); // prettier-ignore
  for (const id of ['a', 'b', 'c']) {
    await insert('hand_record', {
      id,
      database: 'db',
      meaning: 'm',
      position: 1,
      accession: id,
      record: '{}',
    });
    await insert('term', {
      id, elementId: 'e', position: 1, content: '{}', origin: 'typed', createdAt: AT, createdBy: 'p', version: 1,
    }); // prettier-ignore
    await insert('lane_event', {
      id: `of ${id}`, elementId: 'e', position: 'abc'.indexOf(id) + 1, termId: id, at: AT, personId: 'p', what: 'added',
      content: '{}',
    }); // prettier-ignore
  }
  await before.destroy();

  const store = await openStore(path);
  const { read } = store;
  expect(await read.count(RecordRow)).toBe(700);
  const [record] = await read.find(RecordRow, { where: { id: 'id650' } });
  expect(record).toMatchObject({
    publicationTypes: ['Journal article'],
    version: 1,
    decision: 'undecided',
  });
  expect(await read.find(RecordCountRow, { order: { decision: 'ASC' } })).toEqual([
    { reviewId: 'r', decision: 'keep', number: 3 },
    { reviewId: 'r', decision: 'undecided', number: 697 },
  ]);
  expect(await read.findBy(LineTextRow, { latest: true })).toMatchObject([{ version: 3, text: 'v3' }]);
  expect(await read.findOneBy(RunRow, { id: 'run' })).toMatchObject({
    lastAt: AT,
    remarks: [],
    marks: null,
  });
  const [entry] = await read.find(LedgerEntryRow);
  expect(entry).toMatchObject({ kind: 'run', database: 'db', outcome: 'complete', about: null, hash });
  expect(entry?.summary ?? '').toMatchObject({
    title: 'Ménière Index',
    hits: 700,
    lines: 1,
    limits: [],
  });
  expect(entry?.words).toContain('el.words = "light"');
  const verifier = ledgerVerifier();
  verifier.takeKept({ text: entry?.content ?? '', previousHash: null, hash });
  expect(verifier.end().broken).toBeNull();
  for (const entity of [HandRecordRow, TermRow]) {
    const rows: { position: number }[] = await read.find(entity, { order: { position: 'ASC' } });
    expect(rows.map(({ position }) => position)).toEqual([1, 2, 3]);
  }
  // Each element has a lane, which goes by its name.
  expect(await read.find(LaneRow)).toEqual([
    {
      id: 'e',
      reviewId: 'r',
      elementId: 'e',
      position: 1,
      name: '',
      leftOut: false,
      removedAt: null,
      version: 1,
    },
  ]);
  expect(await read.countBy(TermRow, { laneId: 'e' })).toBe(3);
  expect(await read.countBy(LaneEventRow, { laneId: 'e' })).toBe(3);
  const [broken] = await read.query<object[]>('PRAGMA foreign_key_check');
  expect(broken).toBeUndefined();
  const twice = {
    id: 'twice',
    laneId: 'e',
    position: 1,
    content: { kind: 'words' as const, text: 'light', field: 'words' as const, near: null },
    origin: 'typed',
    createdAt: AT,
    createdBy: 'p',
  };
  await expect(store.write((manager) => manager.insert(TermRow, twice))).rejects.toThrow(/UNIQUE/);
  const nowhere = { ...twice, laneId: 'nowhere', position: 9 };
  await expect(store.write((manager) => manager.insert(TermRow, nowhere))).rejects.toThrow(/FOREIGN KEY/);
  await store.close();
});
