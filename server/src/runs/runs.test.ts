import { resultFingerprint } from '@even-lantern/core';
import type { Ledger, RecordCounts, RecordPage, Review, Run } from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
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

const start = () =>
  server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'Europe/Lisbon' });
const finish = async () => {
  const { id } = (await start().expect(201)).body as Run;
  return server.application.get(RunsService).finished(id);
};
const ledger = async () => (await server.get(`/api/reviews/${review.id}/ledger`)).body as Ledger;
const contents = async () => (await entriesOf(server, review.id)).map(({ content }) => content);
const records = async (query = '') =>
  (await server.get(`/api/reviews/${review.id}/records${query}`)).body as RecordPage;

const counts = async () =>
  (await server.get(`/api/reviews/${review.id}/records/counts`)).body as RecordCounts;
const total = async () => Object.values(await counts()).reduce((sum, each) => sum + each, 0);

/** What the counts beside the records must agree with. */
const counted = async () => {
  const { rows } = await records('?limit=200');
  const of = (decision: string) => rows.filter((row) => row.decision === decision).length;
  return { undecided: of('undecided'), keep: of('keep'), unsure: of('unsure'), 'set aside': of('set aside') };
};

test('the counts of decisions are those of the records, whatever is decided and run in between', async () => {
  await finish();
  for (const [i, decision] of ['keep', 'keep', 'unsure', 'set aside', 'undecided', 'keep'].entries()) {
    const { rows } = await records(`?offset=${(i * 7) % 25}&limit=1`);
    await server.patch(`/api/records/${rows[0]?.id}`, { decision }, rows[0]?.version).expect(200);
    await server.patch(`/api/records/${rows[0]?.id}`, { decision: 'keep' }, 99).expect(412);
    if (i === 3) {
      database.hits = 31;
      await finish();
    }
    expect(await counts()).toEqual(await counted());
  }
  expect(await total()).toBe(31);
});

test('a run counts every line, fetches every page and is logged', async () => {
  expect(await finish()).toMatchObject({ status: 'complete', hits: 25, fetched: 25 });
  const [entry] = await contents();
  expect(entry).toMatchObject({
    entry: 1,
    outcome: 'complete',
    release: '2026-10-01',
    ranBy: 'Ada',
    timeZone: 'Europe/Lisbon',
    hits: 25,
    fetched: 25,
    fingerprint: resultFingerprint(Array.from({ length: 25 }, (_, i) => `F${i + 1}`)),
  });
  expect(entry?.lines.map(({ string, hits }) => [string, hits])).toEqual([
    ['el.words = "light"', 25],
    ['el.words = "light"', 25],
    ['el.words = "light"', 25],
  ]);
  expect((await records('?limit=200')).rows).toHaveLength(25);
});

test('entries are chained, and the chain is checked', async () => {
  await finish();
  await finish();
  const entries = await entriesOf(server, review.id);
  const { brokenAt } = await ledger();
  expect(entries[1]?.previousHash).toBe(entries[0]?.hash);
  expect(brokenAt).toBeNull();
  await server.application
    .get(Store)
    .write((manager) =>
      manager.query(
        `UPDATE ledger_entry SET content = replace(content, '"hits":25', '"hits":26') WHERE entry = 1`,
      ),
    );
  expect((await ledger()).brokenAt).toBe(1);
});

test('a run cut off while counting is logged as interrupted with the lines it had', async () => {
  database.callsLeft = 1;
  expect(await finish()).toMatchObject({ status: 'interrupted', linesCounted: 1, fetched: 0 });
  const [entry] = await contents();
  expect(entry).toMatchObject({
    outcome: 'interrupted',
    reason: 'Faulty: faulty.test cannot be reached.',
    hits: null,
  });
  expect(entry?.lines.map(({ hits }) => hits)).toEqual([25, null, null]);
});

test('a run cut off between pages keeps the records it had; run again, it completes', async () => {
  database.callsLeft = 4;
  expect(await finish()).toMatchObject({ status: 'interrupted', fetched: 10 });
  expect(await total()).toBe(10);
  database.callsLeft = Infinity;
  expect(await finish()).toMatchObject({ status: 'complete', fetched: 25 });
  expect(await total()).toBe(25);
  expect((await contents()).map(({ outcome, fetched }) => [outcome, fetched])).toEqual([
    ['interrupted', 10],
    ['complete', 25],
  ]);
});

test('a release that changes during a run interrupts it', async () => {
  let release = () => undefined as void;
  database.gate = new Promise((resolve) => (release = resolve));
  const { id } = (await start()).body as Run;
  database.release = '2026-11-01';
  release();
  const ended = await server.application.get(RunsService).finished(id);
  expect(ended).toMatchObject({ status: 'interrupted', reason: expect.stringContaining('2026-11-01') });
});

test('a run can be stopped, and a second one is not started beside it', async () => {
  let release = () => undefined as void;
  database.gate = new Promise((resolve) => (release = resolve));
  const { id } = (await start()).body as Run;
  await start().expect(409);
  const stopping = server.post(`/api/runs/${id}/stop`, {}).then(({ body }) => body as Run);
  setTimeout(release, 50);
  expect(await stopping).toMatchObject({ status: 'interrupted', reason: 'stopped by the person who ran it' });
});

test('a run left open by a crash is closed as interrupted at the next start', async () => {
  await finish();
  await server.application.get(Store).write(async (manager) => {
    const [row] = await manager.find(RunRow);
    await manager.insert(RunRow, { ...row, id: 'crashed', status: 'running' } as RunRow);
  });
  const { storePath } = server;
  await server.application.close();
  server = await testApplication({ faulty: database }, storePath);
  const entries = await contents();
  expect(entries.map(({ outcome }) => outcome)).toEqual(['complete', 'interrupted']);
  expect(entries[1]?.reason).toBe('the application stopped during the run');
});

test('a decision survives the next run, and can be changed', async () => {
  await finish();
  const { rows } = await records();
  const id = rows[0]?.id ?? '';
  await server.patch(`/api/records/${id}`, { decision: 'keep' }, 1).expect(200);
  // Somebody who saw it undecided is told.
  const late = await server.patch(`/api/records/${id}`, { decision: 'set aside' }, 1).expect(412);
  expect(late.body).toMatchObject({ current: { decision: 'keep', version: 2 } });
  await server.patch(`/api/records/${id}`, { decision: 'set aside' }).expect(428);
  // What another run says of the record does not make a decision out of date.
  const seen = (await records('?decision=keep')).rows[0]?.version;
  await finish();
  const page = await records('?decision=keep');
  expect(page.rows[0]?.version).toBe(seen);
  expect(page.rows.map((row) => row.id)).toEqual([id]);
  expect(await counts()).toEqual({ undecided: 24, keep: 1, unsure: 0, 'set aside': 0 });
  await server.patch(`/api/records/${id}`, { decision: 'perhaps' }, 2).expect(400);
});

test('pages neither overlap nor leave gaps, in any order, whether they are jumped to or follow one another', async () => {
  await finish();
  for (const sort of ['relevance', 'newest', 'oldest']) {
    const all = (await records(`?sort=${sort}&limit=200`)).rows.map(({ id }) => id);
    expect(new Set(all).size).toBe(25);
    const jumped = await Promise.all(
      [0, 10, 20].map((offset) => records(`?sort=${sort}&offset=${offset}&limit=10`)),
    );
    expect(jumped.flatMap(({ rows }) => rows.map(({ id }) => id))).toEqual(all);
    const followed: string[] = [];
    for (let after: string | null = ''; after !== null;) {
      const page = await records(`?sort=${sort}&limit=10${after === '' ? '' : `&after=${after}`}`);
      followed.push(...page.rows.map(({ id }) => id));
      after = page.next;
    }
    expect(followed).toEqual(all);
  }
  expect((await records('?sort=newest')).rows[0]?.year).toBe(2025);
  for (const odd of [
    'x',
    'W10',
    Buffer.from('[1]').toString('base64url'),
    Buffer.from('[{},2]').toString('base64url'),
  ]) {
    await server.get(`/api/reviews/${review.id}/records?after=${odd}`).expect(400);
  }
});

test('a page that follows stays right when records leave the list meanwhile', async () => {
  await finish();
  const first = await records('?decision=undecided&limit=10');
  for (const { id } of first.rows.slice(0, 5)) {
    await server.patch(`/api/records/${id}`, { decision: 'keep' }, 1).expect(200);
  }
  const next = await records(`?decision=undecided&limit=10&after=${first.next}`);
  const all = (await records('?limit=200')).rows.map(({ id }) => id);
  expect(next.rows.map(({ id }) => id)).toEqual(all.slice(10, 20));
});

test('a strategy with an unfinished term is not run', async () => {
  await server.post(`/api/reviews/${review.id}/terms`, {
    laneId: laneOf(review, 'I').id,
    origin: 'typed',
    content: { kind: 'words', text: 'a*', field: 'words', near: null },
  });
  const refused = await start().expect(400);
  expect(refused.body).toMatchObject({ title: expect.stringContaining('“a*” is unfinished') });
  expect(await contents()).toEqual([]);
});

test('where the database does not answer a run is logged as interrupted, and an unknown database is told', async () => {
  await finish();
  database.explain = () => Promise.reject(new DatabaseError('faulty.test cannot be reached.', false));
  database.callsLeft = 0;
  expect(await finish()).toMatchObject({
    status: 'interrupted',
    reason: 'Faulty: faulty.test cannot be reached.',
  });
  expect(await contents()).toHaveLength(2);
  const unknown = await server.post(`/api/reviews/${review.id}/runs`, { database: 'none', timeZone: 'UTC' });
  expect(unknown.status).toBe(404);
  expect(unknown.body).toMatchObject({ title: 'The database “none” does not exist.' });
  expect(await contents()).toHaveLength(2);
});

test('a database that was never heard and does not answer refuses a run in words', async () => {
  await server.application.close();
  database.explain = () => Promise.reject(new DatabaseError('faulty.test cannot be reached.', false));
  server = await testApplication({ faulty: database }, server.storePath);
  const refused = await start().expect(502);
  expect(refused.body).toMatchObject({
    title: 'The database does not answer: faulty.test cannot be reached.',
  });
});

test('ledger and kept records are exported in open formats', async () => {
  await finish();
  const { rows } = await records();
  await server.patch(`/api/records/${rows[0]?.id}`, { decision: 'keep' }, 1).expect(200);
  const csv = await server.get(`/api/reviews/${review.id}/ledger.csv`).expect(200);
  expect(csv.text.split('\r\n')).toHaveLength(5);
  const markdown = await server.get(`/api/reviews/${review.id}/ledger.md`).expect(200);
  expect(markdown.text).toContain('| L3 | L2 | ` el.words = "light" ` | 25 |');
  const ris = await server.get(`/api/reviews/${review.id}/kept.ris`).buffer().expect(200);
  expect(ris.text).toContain('AN  - F1');
  const csl = await server.get(`/api/reviews/${review.id}/kept.csl.json`).buffer().expect(200);
  expect(JSON.parse(csl.text)).toHaveLength(1);
});
