/** Answers that are odd, but valid; and what goes wrong around a run. */
import { accessionFor, parseCql, type BibRecord } from '@even-lantern/core';
import type { DatabaseList, Ledger, RecordPage, Review, Run, RunMark } from '@even-lantern/contract';
import Database from 'better-sqlite3';
import request from 'supertest';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { RunsService } from './runsService.js';
import { entriesOf } from '../testing/entriesOf.js';

let server: TestApplication;
let database: FaultyConnector;
let review: Review;

beforeEach(async () => {
  database = faultyConnector(25);
  server = await testApplication({ faulty: database });
  review = await server.reviewWithLane();
});
afterEach(() => server.application.close());

const start = (more: object = {}) =>
  server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'UTC', ...more });
const finished = ({ body }: { body: unknown }) =>
  server.application.get(RunsService).finished((body as Run).id);
const ledger = async () => (await server.get(`/api/reviews/${review.id}/ledger`)).body as Ledger;
const last = async () => (await entriesOf(server, review.id)).at(-1)?.content;

test('a record that comes twice on a page is kept once, and told in the run and its entry', async () => {
  const { search } = database;
  database.search = async (...asked) => {
    const answer = await search(...asked);
    const third = answer.records.find(({ accession }) => accession === 'F3');
    return {
      ...answer,
      records: answer.records.map((record) => (record.accession === 'F7' && third ? third : record)),
    };
  };
  const run = await finished(await start());
  const told = 'One record came more than once, and is kept once.';
  expect(run).toMatchObject({ status: 'complete', hits: 25, fetched: 24, remarks: [told] });
  expect(await last()).toMatchObject({ form: 5, queryType: 'cql', hits: 25, fetched: 24, remarks: [told] });
});

test('another record with the number of one that came before is kept, and known by what it says', async () => {
  const { search } = database;
  database.search = async (...asked) => {
    const answer = await search(...asked);
    return {
      ...answer,
      records: answer.records.map((record) =>
        record.accession === 'F17' ? { ...record, accession: 'F3' } : record,
      ),
    };
  };
  const run = await finished(await start());
  const told = 'One record came with the number of another, and is known by what it says.';
  expect(run).toMatchObject({ status: 'complete', hits: 25, fetched: 25, remarks: [told] });
  const { rows } = (await server.get(`/api/reviews/${review.id}/records`)).body as RecordPage;
  expect(rows.map(({ title }) => title)).toEqual(expect.arrayContaining(['=Record 3', '=Record 17']));
});

/** The first page, whatever page is asked for. */
const alwaysTheFirst = (without: (record: BibRecord) => BibRecord = (record) => record) => {
  const { search } = database;
  database.search = async (query, { start, size }, signal) => {
    const answer = await search(query, { start: 1, size }, signal);
    return start === 1 ? answer : { ...answer, records: answer.records.map(without) };
  };
};

test('a server that gives its first page again and again did not give all, and is not asked on', async () => {
  alwaysTheFirst();
  const run = await finished(await start());
  expect(run).toMatchObject({ status: 'interrupted', hits: 25, fetched: 10 });
  expect(run.reason).toBe(
    'Faulty: the database gave 10 records once more that had come on earlier pages, probably in place of as many that never came: 10 of 25 records are here',
  );
});

test('nor is that hidden where later pages come without numbers', async () => {
  alwaysTheFirst((record) => ({ ...record, accession: accessionFor(record) }));
  expect(await finished(await start())).toMatchObject({ status: 'interrupted', hits: 25, fetched: 10 });
});

test('pages that overlap by one record are told of at the end, with all else that came', async () => {
  const { search } = database;
  database.search = async (query, { start, size }, signal) =>
    search(query, { start: Math.max(1, start - (start > 10 ? 1 : 0)), size }, signal);
  const run = await finished(await start());
  expect(run).toMatchObject({ status: 'interrupted', hits: 25, fetched: 24 });
  expect(run.reason).toMatch(/24 of 25 records are here/);
});

test.each([
  ['more than it estimated', 20, undefined],
  ['less than it estimated', 40, undefined],
  ['less, and says so by a diagnostic', 40, 61],
])('where a database estimates, all it gives is fetched: %s', async (_what, estimate, diagnostic) => {
  const { search, count } = database;
  database.count = async (...asked) => ({ ...(await count(...asked)), hits: estimate, estimated: true });
  database.search = async (query, page, signal) => {
    const answer = await search(query, page, signal);
    if (answer.records.length === 0 && diagnostic !== undefined)
      throw new DatabaseError('First record position out of range', true, false, diagnostic);
    return { ...answer, hits: estimate - page.start, estimated: true };
  };
  // What was fetched up to the bound is not taken for all.
  const bound = estimate < 25 ? estimate : null;
  if (bound !== null) {
    const some = await finished(await start({ most: bound }));
    expect(some).toMatchObject({ status: 'interrupted', fetched: bound });
    expect(some.reason).toContain('may have more: its count is an estimate');
  }
  const run = await finished(await start());
  const told = `The database estimates its counts; it estimated ${estimate} records here.`;
  expect(run).toMatchObject({ status: 'complete', hits: estimate, fetched: 25, remarks: [told] });
  const { databases } = (await server.get('/api/databases')).body as DatabaseList;
  expect(databases.find(({ id }) => id === 'faulty')).toMatchObject({ estimates: true });
});

test('records beyond what was asked for are left out and told; the entry never says more than was counted', async () => {
  database.hits = 10;
  const { search } = database;
  database.search = async (query, _page, signal) => {
    database.hits = 500;
    const many = await search(query, { start: 1, size: 500 }, signal);
    database.hits = 10;
    return { ...many, hits: 10 };
  };
  const run = await finished(await start());
  expect(run).toMatchObject({ status: 'complete', hits: 10, fetched: 10 });
  expect(run.remarks).toEqual([
    'The database gave 490 records more than it was asked for; they are left out.',
  ]);
});

test('more records than are fetched without asking are asked for first', async () => {
  database.hits = 30_000;
  const run = await finished(await start());
  expect(run).toMatchObject({ status: 'interrupted', fetched: 0, hits: 30_000, tooMany: 30_000 });
  expect(run.reason).toMatch(/finds 30.000 records, more than the 20.000 that are fetched without asking/);
  database.hits = 25;
  expect(await finished(await start({ most: 10 }))).toMatchObject({ status: 'interrupted', tooMany: 25 });
  expect(await finished(await start({ most: 25 }))).toMatchObject({ status: 'complete', tooMany: null });
});

test('a record whose limit has a name that every object knows is kept as it is', async () => {
  const { search } = database;
  database.search = async (...asked) => {
    const answer = await search(...asked);
    const limits = JSON.parse('{"__proto__": ["odd"], "constructor": ["odd"]}') as Record<string, string[]>;
    return { ...answer, records: answer.records.map((record) => ({ ...record, limits })) };
  };
  expect(await finished(await start())).toMatchObject({ status: 'complete', fetched: 25 });
  const { rows } = (await server.get(`/api/reviews/${review.id}/records`)).body as RecordPage;
  const { text } = await server.get(`/api/records/${rows[0]?.id}`).expect(200);
  expect(text).toContain('"__proto__":["odd"]');
});

test('a run that cannot be closed now is closed when the store can take it again', async () => {
  const other = new Database(server.storePath);
  const { search } = database;
  let locked = false;
  database.search = async (...asked) => {
    if (!locked) other.exec('BEGIN IMMEDIATE');
    locked = true;
    setTimeout(() => other.inTransaction && other.exec('COMMIT'), 1500);
    return search(...asked);
  };
  expect(await finished(await start())).toMatchObject({ status: 'complete', fetched: 25 });
  expect((await ledger()).brokenAt).toBeNull();
  other.close();
});

test('a run that a crash cut off does not count the time until somebody came back, and any run can be stopped', async () => {
  await finished(await start());
  const store = server.application.get(Store);
  const row = (await store.read.find(RunRow))[0] as RunRow;
  const at = { startedAt: '2026-01-01T00:00:00.000Z', lastAt: '2026-01-01T00:00:05.000Z' };
  await store.write((manager) => manager.insert(RunRow, { ...row, ...at, id: 'left', status: 'running' }));
  const events = await request(server.application.getHttpServer())
    .get('/api/runs/left/progress')
    .set('Host', 'localhost');
  expect(events.text).toContain('"status":"running"');
  const stopped = (await server.post('/api/runs/left/stop', {}).expect(201)).body as Run;
  expect(stopped).toMatchObject({ status: 'interrupted', reason: 'stopped by the person who ran it' });
  expect(await last()).toMatchObject({ durationMs: 5000 });
  await start().expect(201);
});

test('a time zone is one of those that are known', async () => {
  const refused = await start({ timeZone: 'Mars/Olympus' }).expect(400);
  expect(refused.body).toMatchObject({ errors: [{ path: 'timeZone' }] });
});

test('what marks a record is what its run looked for, lines written by hand included', async () => {
  const line = (text: string | null, version: number) =>
    server.put(`/api/reviews/${review.id}/lines`, {
      database: 'faulty',
      line: 'whole',
      language: 'cql',
      text,
      version,
    });
  await line('el.words = "lantern" and el.year within "2001 2020"', 0).expect(200);
  const run = await finished(await start());
  await line(null, 1).expect(200);
  const marks = (await server.get(`/api/reviews/${review.id}/marks`).expect(200)).body as Record<
    string,
    RunMark[]
  >;
  const [mark, ...more] = marks[run.id] ?? [];
  expect(more).toEqual([]);
  expect(mark).toMatchObject({ laneId: null, cql: expect.stringContaining('el.words = "lantern"') });
  expect(parseCql(mark?.cql ?? '', { vocabulary: '', limitFields: mark?.limitFields ?? [] }).ok).toBe(true);
  const { rows } = (await server.get(`/api/reviews/${review.id}/records`)).body as RecordPage;
  expect(new Set(rows.map(({ runId }) => runId))).toEqual(new Set([run.id]));
});
