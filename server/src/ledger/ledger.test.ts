import { execFile } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { sealText, type LedgerEntry, type LedgerFile } from '@even-lantern/core';
import type {
  Ledger,
  LedgerEntryDetail,
  LedgerPage,
  LedgerVerified,
  Problem,
  Review,
  Run,
  StartedRuns,
} from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { Store } from '../store/store.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let one: FaultyConnector;
let two: FaultyConnector;
let review: Review;

beforeEach(async () => {
  one = faultyConnector(25);
  two = faultyConnector(7);
  server = await testApplication({ one, two });
  review = await server.reviewWithLane();
});
afterEach(() => server.application.close());

const at = (path: string) => `/api/reviews/${review.id}/${path}`;
const get = async <T>(path: string): Promise<T> => (await server.get(at(path)).expect(200)).body as T;
const together = async (databases: string[], more: object = {}) =>
  (await server.post(at('runs/together'), { databases, timeZone: 'UTC', ...more }).expect(201))
    .body as StartedRuns;
const ended = (runs: readonly Run[]) =>
  Promise.all(runs.map(({ id }) => server.application.get(RunsService).finished(id)));
const page = (query = '') => get<LedgerPage>(`ledger/entries${query}`);
const numbers = ({ entries }: LedgerPage) => entries.map(({ entry }) => entry);
const file = () => get<LedgerFile>('ledger.json');
const told = { timeZone: 'UTC' };
const elsewhere = {
  ...told,
  way: 'hand search',
  place: 'Journal of Watchful Nights',
  string: '',
  count: 3,
  searchedOn: '2026-11-01',
  text: 'volumes 3 to 9',
};
const verify = async (seal: string) =>
  (await server.post(at('ledger/verification'), { seal }).expect(200)).body as LedgerVerified;
const sql = (text: string) =>
  server.application.get(Store).write((manager) => manager.query(text) as Promise<unknown>);

test('one action runs several databases side by side, of one version; each has an entry with what was told', async () => {
  let open: () => void = () => undefined;
  one.gate = new Promise((resolve) => (open = resolve));
  const { started, refused } = await together(['one', 'two'], {
    purpose: 'first search',
    note: 'with light',
  });
  expect(refused).toEqual([]);
  // What waits for one database does not hold up the other.
  const [, second] = started;
  if (second === undefined) throw new Error('not started');
  await ended([second]);
  expect((await get<Ledger>('ledger')).running.map(({ database }) => database)).toEqual(['one']);
  // What is edited meanwhile is no part of what goes on.
  await server.patch(`/api/terms/${laneOf(review, 'I').terms[0]?.id}`, { heldBack: 'too broad' }, 1);
  open();
  await ended(started);
  const contents = (await file()).entries.map(({ content }) => content);
  expect(contents).toMatchObject([
    {
      kind: 'run',
      form: 5,
      database: 'two',
      hits: 7,
      fetched: 7,
      purpose: 'first search',
      note: 'with light',
    },
    { kind: 'run', form: 5, database: 'one', hits: 25, fetched: 25, repeats: null },
  ]);
  const [a, b] = contents.map((content) => content as { together: string; version: { number: number } });
  expect(a?.together).toBe(b?.together);
  expect(a?.version).toEqual(b?.version);
  const detail = await get<LedgerEntryDetail>('ledger/entries/1');
  const version = await get<{ number: number; state: object }>(`versions/${detail.versionId}`);
  expect(version.number).toBe(a?.version.number);
  expect(JSON.stringify(version.state)).not.toContain('too broad');
});

test('what fails or is not settled in one database is told, and the others go on', async () => {
  one.callsLeft = 1;
  const { started, refused } = await together(['one', 'nowhere', 'two']);
  expect(refused).toMatchObject([{ database: 'nowhere', problem: { status: 404 } }]);
  expect((await ended(started)).map(({ status }) => status)).toEqual(['interrupted', 'complete']);
  const again = await together(['one', 'two']);
  await ended(again.started);
  expect((await page('?outcome=interrupted')).matching).toBe(2);
  expect((await page('?database=two')).entries.map(({ hits }) => hits)).toEqual([7, 7]);
});

test('a database in which a search goes on refuses a second one, and no other does', async () => {
  let open: () => void = () => undefined;
  one.gate = new Promise((resolve) => (open = resolve));
  const first = await together(['one']);
  const second = await together(['one', 'two']);
  expect(second.refused).toMatchObject([{ database: 'one', problem: { status: 409 } }]);
  expect(second.started).toMatchObject([{ database: 'two' }]);
  open();
  await ended([...first.started, ...second.started]);
  expect((await get<Ledger>('ledger')).seal.entries).toBe(2);
});

test('notes, corrections and searches made elsewhere are entries of their own, in the chain', async () => {
  await ended((await together(['one'])).started);
  await server.post(at('ledger/notes'), { ...told, about: 1, text: '  Seen by the librarian ' }).expect(201);
  await server
    .post(at('ledger/corrections'), { ...told, about: 1, what: 'count', was: '25', is: '24', text: '' })
    .expect(201);
  const entered = await server.post(at('ledger/elsewhere'), elsewhere).expect(201);
  expect((entered.body as LedgerEntry).content).toMatchObject({
    entry: 4,
    kind: 'elsewhere',
    by: 'Ada',
    file: null,
  });
  const { entries, matching } = await page();
  expect(matching).toBe(4);
  expect(entries.map(({ kind, title, about, notes }) => [kind, title, about, notes])).toEqual([
    ['elsewhere', 'Journal of Watchful Nights', null, 0],
    ['correction', 'count: 25 → 24', 1, 0],
    ['note', 'Seen by the librarian', 1, 0],
    ['run', 'Faulty', null, 2],
  ]);
  const { about } = await get<LedgerEntryDetail>('ledger/entries/1');
  expect(about.map(({ content }) => content.entry)).toEqual([2, 3]);
  expect(await verify('')).toMatchObject({ ok: true, message: 'All 4 entries fit.' });
});

test.each([
  ['notes', { ...told, about: 9, text: 'x' }, 404, 'Entry 9'],
  ['notes', { ...told, about: 1, text: ' ' }, 400, 'Write the note first.'],
  ['notes', { about: 1, text: 'x', timeZone: 'Nowhere/City' }, 400, 'no time zone'],
  ['elsewhere', { ...elsewhere, place: '' }, 400, 'Say where'],
  ['elsewhere', { ...elsewhere, count: -1 }, 400, 'count'],
  ['elsewhere', { ...elsewhere, searchedOn: '2026-02-30' }, 400, 'is no day'],
  ['elsewhere', { ...elsewhere, searchedOn: '9999-01-01' }, 400, 'still to come'],
  ['elsewhere', { ...elsewhere, way: 'guessing' }, 400, 'way'],
  ['verification', { seal: '12' }, 400, 'Copy it whole'],
])('%s of %j is refused with the reason, and nothing is written', async (path, body, status, reason) => {
  const answer = await server.post(at(`ledger/${path}`), body).expect(status);
  expect((answer.body as Problem).title).toContain(reason);
  expect((await get<Ledger>('ledger')).seal).toEqual({ entries: 0, hash: null });
});

test('entries are read in parts, and found by words, kind and database', async () => {
  for (let i = 1; i <= 7; i += 1) {
    await server
      .post(at('ledger/elsewhere'), { ...elsewhere, place: i % 2 === 0 ? 'Café Ärzteblatt' : '100% O_K' })
      .expect(201);
  }
  expect(numbers(await page('?limit=3'))).toEqual([7, 6, 5]);
  expect(numbers(await page('?limit=3&before=5'))).toEqual([4, 3, 2]);
  expect(await page('?limit=2&before=4&search=CAFE')).toMatchObject({ matching: 3, entries: [{ entry: 2 }] });
  expect(numbers(await page(`?search=${encodeURIComponent('100% o_k')}`))).toEqual([7, 5, 3, 1]);
  expect((await page('?search=100xx')).matching).toBe(0);
  expect((await page('?kind=run')).matching).toBe(0);
  await server.get(at('ledger/entries?limit=100000')).expect(400);
  await server.get(at('ledger/entries/99')).expect(404);
  await server.get(at('ledger/entries/1e99')).expect(400);
});

test('a kept seal finds out what the chain alone cannot: an end that was cut off, or a ledger written anew', async () => {
  for (let i = 0; i < 3; i += 1) await server.post(at('ledger/elsewhere'), elsewhere).expect(201);
  const kept = sealText((await get<Ledger>('ledger')).seal);
  expect(await verify(kept)).toMatchObject({
    ok: true,
    message: expect.stringContaining('ends at the seal'),
  });
  await server.post(at('ledger/elsewhere'), elsewhere).expect(201);
  expect(await verify(kept)).toMatchObject({ ok: true, message: expect.stringContaining('goes on from') });
  await sql('DELETE FROM ledger_entry WHERE entry > 2');
  expect(await verify('')).toMatchObject({ ok: true });
  expect(await verify(kept)).toMatchObject({
    ok: false,
    message: expect.stringContaining('at its end are missing'),
  });
  expect((await get<Ledger>('ledger')).brokenAt).toBeNull();
  await sql(`UPDATE ledger_entry SET content = replace(content, 'volumes 3', 'volumes 2') WHERE entry = 2`);
  expect(await verify(kept)).toMatchObject({ ok: false, brokenAt: 2 });
  expect((await get<Ledger>('ledger')).brokenAt).toBe(2);
});

test('an entry that two write at the same moment has one number each, and the chain holds', async () => {
  const answers = await Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      server.post(at('ledger/elsewhere'), { ...elsewhere, place: `place ${i}` }),
    ),
  );
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 201));
  const { seal, brokenAt } = await get<Ledger>('ledger');
  expect([seal.entries, brokenAt]).toEqual([20, null]);
});

test('the command verifies a data folder beside the server that uses it, and a file', async () => {
  await ended((await together(['one', 'two'])).started);
  await server.post(at('ledger/elsewhere'), elsewhere).expect(201);
  const exported = await file();
  const seal = sealText((await get<Ledger>('ledger')).seal);
  const command = join(__dirname, '..', '..', 'dist', 'ledger', 'ledgerCommand.js');
  const run = promisify(execFile);
  const env = { ...process.env, EVEN_LANTERN_DATA: dirname(server.storePath) };
  const told = (...args: string[]) =>
    run('node', [command, ...args], { env }).then(
      ({ stdout }) => [0, stdout] as const,
      (error: { code: number; stdout: string; stderr: string }) =>
        [error.code, error.stdout + error.stderr] as const,
    );
  const path = join(mkdtempSync(join(tmpdir(), 'ledger-')), 'ledger.json');
  const write = (changed: object) => writeFileSync(path, JSON.stringify({ ...exported, ...changed }));
  expect(await told('verify')).toEqual([0, expect.stringContaining('All 3 entries fit.')]);
  expect(await told('verify', '--review', review.id, '--seal', seal)).toEqual([
    0,
    expect.stringContaining('ends at'),
  ]);
  write({});
  expect(await told('verify', path)).toEqual([0, expect.stringContaining(`Seal ${seal}`)]);
  write({ entries: exported.entries.slice(0, 2) });
  expect(await told('verify', path)).toEqual([1, expect.stringContaining('DOES NOT FIT')]);
  expect(await told('verify', '--seal', 'x')).toEqual([2, expect.stringContaining('Copy it whole')]);
  expect(await told('verify', '--review', 'none')).toEqual([2, expect.stringContaining('no review none')]);
  expect(await told()).toEqual([2, expect.stringContaining('npm run ledger -- verify')]);
  await sql('UPDATE ledger_entry SET "previousHash" = hash WHERE entry = 2');
  expect(await told('verify')).toEqual([1, expect.stringContaining('Entry 2 does not fit')]);
});
