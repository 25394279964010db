/** Packages go from one installation to another, and outlive the release that wrote them. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { readCrate } from '@even-lantern/core';
import {
  PERSON_HEADER,
  type DatabaseList,
  type FoundBy,
  type Ledger,
  type LedgerVerified,
  type PackageTaken,
  type PeerReview,
  type Problem,
  type RecordPage,
  type Review,
  type Schedule,
  type SettledStep,
} from '@even-lantern/contract';
import request from 'supertest';
import type { ObjectLiteral } from 'typeorm';
import { RecordDesignsService } from '../records/recordDesignsService.js';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { Scheduler } from '../schedules/scheduler.js';
import { HandCountRow, SettlementRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { TABLES_OF_PACKAGES, TABLES_OF_REVIEWS } from '../store/tables.js';
import { databasesOfFullReview, fullReview } from '../testing/fullReview.js';
import { forge, repacked, unpacked } from '../testing/packageFiles.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { VersionKeeper } from '../versions/versionKeeper.js';
import { TABLE_VERSIONS } from './packageTables.js';
import { bytesOf, entriesIn, openZip } from './zip.js';

/** Packages as earlier releases wrote them, each with a row of every kind, named for the version of their tables. */
const KEPT = join(__dirname, 'kept');

const open: TestApplication[] = [];
afterEach(async () => {
  for (const { application } of open.splice(0)) await application.close();
});
async function installation(): Promise<TestApplication> {
  const server = await testApplication(databasesOfFullReview());
  open.push(server);
  return server;
}
async function original() {
  const made = await fullReview(async ({ application }, at) => {
    await application.get(Scheduler).look(at);
    await application.get(Scheduler).settled();
  });
  open.push(made.server);
  const { application } = made.server;
  await application.get(RecordDesignsService).settled(made.reviewId);
  // States of the strategy are kept a moment after the change that made them.
  await application.get(VersionKeeper).settled();
  return made;
}
async function allRows({ application }: TestApplication): Promise<Record<string, ObjectLiteral[]>> {
  const tables: Record<string, ObjectLiteral[]> = {};
  for (const { name, entity } of TABLES_OF_PACKAGES) {
    const rows = await application.get(Store).read.find<ObjectLiteral>(entity);
    tables[name] = inOrder(rows.map((row) => ({ ...row })));
  }
  return tables;
}
const inOrder = (rows: ObjectLiteral[]) =>
  rows.sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1));
const take = (into: TestApplication, bytes: Buffer) =>
  request(into.application.getHttpServer())
    .post('/api/packages?job=one')
    .set({ Host: 'localhost', [PERSON_HEADER]: into.person, 'Content-Type': 'application/zip' })
    .send(bytes);
function asBuffer(response: unknown, done: (error: Error | null, body: Buffer) => void) {
  buffer(response as NodeJS.ReadableStream).then(
    (body) => done(null, body),
    (error: Error) => done(error, Buffer.alloc(0)),
  );
}
const ledgerOf = async (of: TestApplication, id: string) =>
  (await of.get(`/api/reviews/${id}/ledger`)).body as Ledger;

test('a review goes into another installation and is the same in every table, with the same hashes', async () => {
  const { server, reviewId } = await original();
  const before = await allRows(server);
  expect(Object.keys(before).filter((name) => before[name]?.length === 0)).toEqual([]);
  const answer = await server.get(`/api/reviews/${reviewId}/package.zip`).buffer(true).parse(asBuffer);
  const bytes = answer.body as Buffer;
  const other = await installation();
  const own = await allRows(other);
  const taken = (await take(other, bytes).expect(201)).body as PackageTaken;
  expect(taken).toMatchObject({ id: reviewId, title: 'Light for “nights”', paused: 1 });
  expect(taken.unvouched).toEqual([expect.stringMatching(/^Decisions, designs/)]);
  // What the other installation had stays; schedules are paused, so that not two of them tell of the same.
  // A feed is read at another address, which nobody but those here knows.
  const tokens = (rows: ObjectLiteral[] = []) => rows.map((row) => String(row['token']));
  const there = await allRows(other);
  expect(tokens(there['schedule'])).not.toEqual(tokens(before['schedule']));
  const expected = Object.fromEntries(
    Object.entries(before).map(([name, rows]) => {
      const here =
        name === 'schedule'
          ? rows.map((row, i) => ({
              ...row,
              state: 'paused',
              nextAt: null,
              token: tokens(there['schedule'])[i],
            }))
          : rows;
      return [name, inOrder([...(own[name] ?? []), ...here])];
    }),
  );
  expect(there).toEqual(expected);
  const [here, yonder] = [await ledgerOf(server, reviewId), await ledgerOf(other, reviewId)];
  expect([yonder.seal, yonder.brokenAt]).toEqual([here.seal, null]);
  const twice = (await take(other, bytes).expect(409)).body as Problem;
  expect(twice.title).toBe('This review is here already: Light for “nights”.');
});

test('what another installation settled and counted stands, is told, and a database that comes along is asked at once', async () => {
  const { server, reviewId } = await original();
  const bytes = (await server.get(`/api/reviews/${reviewId}/package.zip`).buffer(true).parse(asBuffer))
    .body as Buffer;
  const [settled] = (await server.get('/api/crosswalk')).body as SettledStep[];
  if (settled === undefined) throw new Error('nothing is settled');
  const text = 'words("light")';
  const fresh = await installation();
  expect((await take(fresh, bytes).expect(201)).body).toMatchObject({ standing: [] });
  const { databases } = (await fresh.get('/api/databases')).body as DatabaseList;
  expect(databases.map(({ name }) => name)).toContain('Ferrow Index');

  const other = await installation();
  const hand = { how: 'hand', name: 'Ferrow Index', description: 'Ours', release: '', vocabulary: null, dialect: { kind: 'corvane', names: {}, lacks: [] } }; // prettier-ignore
  await other.post('/api/databases', hand).expect(201);
  const own = { text, hits: 9 };
  await other.put('/api/databases/ferrow-index/answers', own).expect(200);
  const { vocabulary, label, target, targetLabel } = settled;
  const verdict = 'open';
  await other.post('/api/crosswalk', { vocabulary, label, target, targetLabel, verdict }).expect(200);
  await other.application.get(Store).write((manager) =>
    manager.insert(SettlementRow, {
      ...{ id: 'confirmed here', position: 9, vocabulary, label, target, targetLabel: 'Lamps' },
      ...{ verdict: 'confirmed', at: '2026-11-01T00:00:00.000Z', personId: other.person },
    }),
  );
  const before = (await other.get('/api/crosswalk')).body as SettledStep[];
  expect(before.map(({ verdict: said }) => said)).toEqual(['confirmed']);
  const { standing } = (await take(other, bytes).expect(201)).body as PackageTaken;
  expect(standing.map(({ text }) => text).sort()).toEqual([
    expect.stringMatching(
      /^1 of its headings is settled otherwise here: “Light” \(in the package: words instead\)/,
    ),
    expect.stringMatching(/^1 of its strings was counted otherwise by hand here: .* \(in the package: 1\)/),
    'The database “ferrow-index” is described otherwise here. The description here stays.',
  ]);
  expect((await other.get('/api/crosswalk')).body).toEqual(before);
  const counted = await other.application
    .get(Store)
    .read.find(HandCountRow, { where: { database: 'ferrow-index' }, order: { position: 'DESC' } });
  expect(counted.map(({ hits }) => hits)).toEqual([9, 1]);

  // A person chooses: what the package says is said anew, in their name, and counts.
  const answers = standing.flatMap(({ instead }) => instead);
  expect((await other.post('/api/packages/answers', { answers }).expect(200)).body).toEqual({ taken: 2 });
  // It takes the place of what was confirmed here.
  expect((await other.get('/api/crosswalk')).body).toEqual([
    expect.objectContaining({ vocabulary, label, target, verdict: settled.verdict, person: 'Ada' }),
  ]);
  const latest = await other.application
    .get(Store)
    .read.findOne(HandCountRow, { where: { database: 'ferrow-index' }, order: { position: 'DESC' } });
  expect(latest).toMatchObject({ hits: 1 });
  const nobody = { answers: [{ kind: 'count by hand', id: 'not there' }] };
  expect((await other.post('/api/packages/answers', nobody).expect(200)).body).toEqual({ taken: 0 });
});

test('the guide tells of every table of a package, and of each column as the table does', () => {
  const script = join(__dirname, '..', '..', '..', 'scripts', 'columns.mjs');
  const { status, stderr } = spawnSync('node', [script, '--check'], { encoding: 'utf8' });
  expect([status, stderr]).toEqual([0, '']);
  const page = readFileSync(join(__dirname, '..', '..', '..', 'docs', 'guide', 'packages.md'), 'utf8');
  const told = [
    ...(/## The tables[\s\S]*?\n## /.exec(page)?.[0] ?? '').matchAll(/^\| (`[^|]+) \|/gm),
  ].flatMap(([, names = '']) => [...names.matchAll(/`(\w+)`/g)].map(([, name = '']) => name));
  expect(told.sort()).toEqual(TABLES_OF_PACKAGES.map(({ name }) => name).sort());
});

describe.each(readdirSync(KEPT))('the package %s of an earlier release', (file) => {
  const path = join(KEPT, file);

  test('is of a version of the tables that this program knows, and has each kind of row', async () => {
    const zip = await openZip(path);
    const entries = await entriesIn(zip, 100);
    const metadata = entries.get('ro-crate-metadata.json');
    const read = metadata === undefined ? null : readCrate((await bytesOf(zip, metadata, 1e6)).toString());
    zip.close();
    const crate = read?.ok === true ? read.crate : null;
    expect(`${crate?.tablesAsOf}.zip`).toBe(file);
    expect(TABLE_VERSIONS).toContain(crate?.tablesAsOf);
    expect(crate?.files.filter(({ rows }) => rows === 0).map((each) => each.path)).toEqual([]);
  });

  test('has a ledger that can be verified from the text alone, as the guide says', async () => {
    const zip = await openZip(path);
    const entry = (await entriesIn(zip, 100)).get('data/ledger_entry.ndjson');
    const text = entry === undefined ? '' : (await bytesOf(zip, entry, 1e7)).toString();
    zip.close();
    const sorted = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(sorted)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .sort(([a], [b]) => (a < b ? -1 : 1))
                .map(([key, each]) => [key, sorted(each)]),
            )
          : value;
    const rows = text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { entry: number; content: string; hash: string })
      .sort((a, b) => a.entry - b.entry);
    let previousHash: string | null = null;
    for (const { content, hash } of rows) {
      const written = JSON.stringify(sorted({ content: JSON.parse(content) as object, previousHash }));
      expect(createHash('sha256').update(written).digest('hex')).toBe(hash);
      previousHash = hash;
    }
    expect(rows.map((row) => row.entry)).toEqual(rows.map((_row, i) => i + 1));
  });

  test('is refused in words, and leaves nothing behind, where its rows never stood in a store', async () => {
    const server = await installation();
    const before = await allRows(server);
    const files = await unpacked(readFileSync(path));
    // A second wording at the place of the first.
    forge(files, 'wording', (text) => text + text.replace(/"id":"[^"]+"/, '"id":"forged"'));
    const refused = (await take(server, await repacked(files)).expect(400)).body as Problem;
    expect(refused.title).toMatch(/^Its rows cannot be brought up to the tables of this release: .*UNIQUE/);
    expect(await allRows(server)).toEqual(before);
    expect(readdirSync(join(dirname(server.storePath), 'incoming'))).toEqual([]);
  });

  test('is taken in, works as it did, and leaves nothing behind when it is deleted', async () => {
    const server = await installation();
    const { id, unvouched } = (await take(server, readFileSync(path)).expect(201)).body as PackageTaken;
    expect(unvouched).toContainEqual(expect.stringMatching(/entries, from 1 on, say is not proved/));
    const get = async <T>(address: string) =>
      (await server.get(`/api/reviews/${id}${address}`).expect(200)).body as T;
    const rows = await allRows(server);
    expect(Object.keys(rows).filter((name) => rows[name]?.length === 0)).toEqual([]);
    const review = await get<Review>('');
    expect(review).toMatchObject({
      title: 'Light for “nights”',
      shelf: [{ name: 'ward' }],
      limits: [{ kind: 'language', reason: 'We read English.' }],
      ownLines: [{ text: 'ward' }],
      accepted: [{ reason: 'It is meant.' }],
    });
    const verified = (await server.post(`/api/reviews/${id}/ledger/verification`, { seal: '' })).body;
    expect((verified as LedgerVerified).ok).toBe(true);
    // Each record is known by what brought it.
    const { rows: records } = await get<RecordPage>('/records');
    const ways = await Promise.all(
      records.map(async (record) => {
        const found = (await server.get(`/api/records/${record.id}/found-by`).expect(200)).body as FoundBy[];
        return [record.title, record.decision, found.map((each) => each.elsewhere ?? each.entry)];
      }),
    );
    expect(ways.sort()).toEqual([
      ['A trial of light', 'undecided', [5, 2]],
      ['Dawn', 'undecided', ['expert: A night nurse']],
      ['Dusk', 'undecided', ['expert: A night nurse']],
      ['Light at night', 'keep', [5, 2, 1]],
      ['Light in a ward, light', 'undecided', [5, 2, 1]],
    ]);
    expect(await get<PeerReview[]>('/peer-reviews')).toMatchObject([{ comments: [{ text: 'More words?' }] }]);
    expect(await get<Schedule[]>('/schedules')).toMatchObject([{ state: 'paused' }]);
    await get('/ledger/entries/2/drift');
    await get('/rehearsal?database=db');
    const undone = await server.post(`/api/reviews/${id}/undo`, { since: null });
    // Whoever did it is another person than the one who works here.
    expect(undone.status).toBe(200);
    await server.post(`/api/reviews/${id}/deletion`, { title: review.title }).expect(204);
    await server.application.get(ReviewEndService).settled();
    const left = await allRows(server);
    const ofReviews = TABLES_OF_REVIEWS.map(({ name }) => name);
    expect(ofReviews.filter((name) => left[name]?.length !== 0)).toEqual([]);
  });
});
