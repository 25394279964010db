import { createHash } from 'node:crypto';
import type { LedgerEntry, LedgerFile } from '@even-lantern/core';
import {
  PERSON_HEADER,
  type FoundBy,
  type LedgerEntryDetail,
  type LedgerVerified,
  type Problem,
  type RecordCounts,
  type RecordPage,
  type Review,
  type ReviewSummary,
  type WaitingFile,
} from '@even-lantern/contract';
import request from 'supertest';
import { RunsService } from '../runs/runsService.js';
import { Store } from '../store/store.js';
import { faultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let review: Review;
beforeEach(async () => {
  server = await testApplication({ faulty: faultyConnector(5) });
  review = await server.reviewWithLane();
});
afterEach(() => server.application.close());

const at = (path: string, id = review.id) => `/api/reviews/${id}/${path}`;
const get = async <T>(path: string): Promise<T> => (await server.get(at(path)).expect(200)).body as T;
const ris = (...titles: string[]) =>
  titles.map((title, i) => `TY  - JOUR\nAN  - N${i}\nTI  - ${title}\nPY  - 2020\nER  - \n`).join('');
const read = (file: string, { name = 'found.ris', job = 'a job', id = review.id } = {}) =>
  request(server.application.getHttpServer())
    .post(at('ledger/files', id))
    .query({ name, job })
    .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'text/plain' })
    .send(file);
const waiting = async (file: string) => (await read(file).expect(200)).body as WaitingFile;
const search = (file: string | null, parts: object = {}) => ({
  way: 'hand search',
  place: 'Journal of Watchful Nights',
  string: '',
  count: 3,
  searchedOn: '2026-11-01',
  text: '',
  timeZone: 'UTC',
  file,
  ...parts,
});
const enter = (file: string | null, parts: object = {}) =>
  server.post(at('ledger/elsewhere'), search(file, parts));
const records = () => get<RecordPage>('records?sort=newest&decision=any&offset=0&limit=100');
const titles = async () => (await records()).rows.map(({ title }) => title).sort();

test('the file of a search is read, told, and comes into the review with the entry', async () => {
  const text = ris('Night light', 'Warm light', 'Dim light');
  const file = await waiting(text);
  const sha256 = createHash('sha256').update(text).digest('hex');
  expect(file).toMatchObject({
    name: 'found.ris',
    bytes: text.length,
    sha256,
    records: 3,
    titles: ['Night light', 'Warm light', 'Dim light'],
    troubles: [],
  });
  // What only waits is not in the review.
  expect(await titles()).toEqual([]);
  const { content } = (await enter(file.id).expect(201)).body as LedgerEntry;
  expect(content).toMatchObject({
    kind: 'elsewhere',
    file: { name: 'found.ris', bytes: text.length, sha256, records: 3 },
  });
  expect(await titles()).toEqual(['Dim light', 'Night light', 'Warm light']);
  expect(await get<RecordCounts>('records/counts')).toMatchObject({ undecided: 3, keep: 0 });
  const [first] = (await records()).rows;
  const found = (await server.get(`/api/records/${first?.id}/found-by`)).body as FoundBy[];
  expect(found).toMatchObject([
    { entry: 1, elsewhere: 'hand search: Journal of Watchful Nights', lines: null },
  ]);
  const verified = (await server.post(at('ledger/verification'), { seal: '' })).body as LedgerVerified;
  expect(verified.ok).toBe(true);
});

test('kept records name their source in what goes out', async () => {
  const file = await waiting(ris('Night light'));
  await enter(file.id).expect(201);
  const [row] = (await records()).rows;
  await server.patch(`/api/records/${row?.id}`, { decision: 'keep' }, row?.version ?? 0).expect(200);
  const out = await server.get(at('kept.ris')).expect(200);
  expect(out.text).toContain('Hand search: Journal of Watchful Nights');
});

test('a second file of the same place adds what is new, and decisions stay', async () => {
  await enter((await waiting(ris('Night light', 'Warm light'))).id).expect(201);
  const kept = (await records()).rows.find(({ title }) => title === 'Night light');
  await server.patch(`/api/records/${kept?.id}`, { decision: 'keep' }, kept?.version ?? 0).expect(200);
  await enter((await waiting(ris('Night light', 'Warm light', 'Dim light'))).id).expect(201);
  expect(await get<RecordCounts>('records/counts')).toMatchObject({ undecided: 2, keep: 1 });
  expect((await server.get(`/api/records/${kept?.id}/found-by`)).body).toMatchObject([
    { entry: 2 },
    { entry: 1 },
  ]);
  // Another place has numbers of its own.
  const other = await waiting(ris('Another paper'));
  await enter(other.id, { place: 'Lamp Letters' }).expect(201);
  expect(await get<RecordCounts>('records/counts')).toMatchObject({ undecided: 3, keep: 1 });
});

test('a file is used once, also by two at the same moment; each entry has its records', async () => {
  const file = await waiting(ris('Night light', 'Warm light'));
  const answers = await Promise.all([enter(file.id), enter(file.id), enter(file.id)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  expect((await get<LedgerFile>('ledger.json')).entries).toHaveLength(1);
  expect(await titles()).toEqual(['Night light', 'Warm light']);
  const gone = (await enter(file.id).expect(409)).body as Problem;
  expect(gone).toMatchObject({ title: 'This file is not here any more.' });
});

test('where entering fails nothing is there, and the file still waits', async () => {
  const file = await waiting(ris('Night light'));
  await enter(file.id, { place: '' }).expect(400);
  const store = server.application.get(Store);
  const sql = (text: string) => store.write((manager) => manager.query(text) as Promise<unknown>);
  await sql("CREATE TRIGGER no BEFORE INSERT ON ledger_entry BEGIN SELECT RAISE(ABORT, 'no'); END");
  expect((await enter(file.id)).status).toBeGreaterThanOrEqual(500);
  expect(await titles()).toEqual([]);
  expect(await store.read.query('SELECT count(*) AS n FROM run')).toEqual([{ n: 0 }]);
  await sql('DROP TRIGGER no');
  await enter(file.id).expect(201);
  expect(await titles()).toEqual(['Night light']);
});

test('the file of one review is no file of another', async () => {
  const file = await waiting(ris('Night light'));
  const other = (await server.post('/api/reviews', { title: 'Another' })).body as Review;
  await server.post(at('ledger/elsewhere', other.id), search(file.id)).expect(409);
  await enter(file.id).expect(201);
});

test.each([
  ['nothing', '', 'holds no records'],
  ['a page', '<html><body>Not found</body></html>', 'record'],
  ['half an XML', '<mods><titleInfo><title>Night', 'line'],
])('%s in the place of a file of records is told, and nothing waits', async (_what, text, told) => {
  const answer = await read(text).expect(400);
  expect(JSON.stringify(answer.body)).toContain(told);
});

test('more records than a search takes are refused with what to do', async () => {
  const many = Array.from({ length: 10_001 }, (_, i) => `TY  - JOUR\nTI  - Paper ${i}\nER  - \n`).join('');
  const { errors } = (await read(many).expect(400)).body as Problem;
  expect(errors?.[0]?.message).toContain('asked by hand');
});

test('no run is read into it: it is not repeated, and takes no part in the last run', async () => {
  await enter((await waiting(ris('Night light'))).id).expect(201);
  const body = { timeZone: 'UTC', release: 'present' };
  const answer = await server.post(at('ledger/entries/1/runs'), body);
  expect([400, 404, 409]).toContain(answer.status);
  expect((await get<{ lastRun: unknown }>('ledger')).lastRun).toBeNull();
  const [listed] = (await server.get('/api/reviews')).body as ReviewSummary[];
  expect(listed).toMatchObject({ lastRun: null, stage: 'records', unread: 1 });
  const { id } = (await server.post(at('runs'), { database: 'faulty', timeZone: 'UTC' })).body as {
    id: string;
  };
  await server.application.get(RunsService).finished(id);
  expect((await titles()).length).toBe(6);
  expect((await get<LedgerEntryDetail>('ledger/entries/1')).entry.content).toMatchObject({ entry: 1 });
});
