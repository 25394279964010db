import { randomUUID } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import {
  PERSON_HEADER,
  type Problem,
  type RecordPage,
  type Review,
  type Run,
  type WaitingFile,
} from '@even-lantern/contract';
import request from 'supertest';
import type { ObjectLiteral } from 'typeorm';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { RunsService } from '../runs/runsService.js';
import { Store } from '../store/store.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { changeCrate, forge, forgeFile, METADATA, repacked, unpacked } from '../testing/packageFiles.js';
import { RecordRow } from '../store/entities.js';
import { TABLES_OF_PACKAGES } from '../store/tables.js';

let server: TestApplication;
let database: FaultyConnector;
let review: Review;

const begin = async () => {
  database = faultyConnector(25);
  server = await testApplication({ faulty: database });
  review = await server.reviewWithLane();
};

const storeOf = ({ application }: TestApplication) => application.get(Store);
const run = async () => {
  const body = { database: 'faulty', timeZone: 'UTC' };
  const { id } = (await server.post(`/api/reviews/${review.id}/runs`, body).expect(201)).body as Run;
  await server.application.get(RunsService).finished(id);
};
/** A search made elsewhere, with a file of two records. */
const enterElsewhere = async () => {
  const file = await request(server.application.getHttpServer())
    .post(`/api/reviews/${review.id}/ledger/files?name=found.ris&job=one`)
    .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'text/plain' })
    .send('TY  - JOUR\nTI  - Dusk\nER  - \nTY  - JOUR\nTI  - Dawn\nER  - \n')
    .expect(200);
  const search = {
    way: 'expert', place: 'A night nurse', string: '', count: 2, searchedOn: '2026-11-01', text: '',
    timeZone: 'UTC', file: (file.body as WaitingFile).id,
  }; // prettier-ignore
  await server.post(`/api/reviews/${review.id}/ledger/elsewhere`, search).expect(201);
};
const packed = async (id = review.id) =>
  (await server.get(`/api/reviews/${id}/package.zip`).buffer(true).parse(asBuffer).expect(200))
    .body as Buffer;
function asBuffer(response: unknown, done: (error: Error | null, body: Buffer) => void) {
  buffer(response as NodeJS.ReadableStream).then(
    (body) => done(null, body),
    (error: Error) => done(error, Buffer.alloc(0)),
  );
}
const take = (into: TestApplication, bytes: Buffer, job = randomUUID()) =>
  request(into.application.getHttpServer())
    .post(`/api/packages?job=${job}`)
    .set({ Host: 'localhost', [PERSON_HEADER]: into.person, 'Content-Type': 'application/zip' })
    .send(bytes);
const titles = async (of: TestApplication) =>
  ((await of.get('/api/reviews')).body as { title: string }[]).map(({ title }) => title);

/** Every row of every table of a package, as a store holds them. */
async function allRows(of: TestApplication): Promise<Record<string, ObjectLiteral[]>> {
  const { read } = storeOf(of);
  const tables: Record<string, ObjectLiteral[]> = {};
  for (const { name, entity } of TABLES_OF_PACKAGES) {
    const rows = await read.find<ObjectLiteral>(entity);
    tables[name] = rows
      .map((row) => ({ ...row }))
      .sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1));
  }
  return tables;
}

const inTable = (files: Map<string, Buffer>, table: string) =>
  files.get(`data/${table}.ndjson`)?.toString() ?? '';

const without = (text: string, part: string) =>
  text
    .split('\n')
    .filter((line) => line === '' || !line.includes(part))
    .join('\n');
const retitled = (text: string) =>
  text
    .replaceAll(/\\"title\\":\\"[^"\\]+\\"/g, '\\"title\\":\\"Forged\\"')
    .replaceAll(/"title":"[^"]+"/g, '"title":"Forged"');
const FORGERIES: [string, string, (files: Map<string, Buffer>) => void][] = [
  ['a changed file', 'was changed: its SHA-256 is another', (files) => files.set('data/term.ndjson', Buffer.from(inTable(files, 'term').replace('light', 'night')))],
  ['a missing table', 'The file data/run.ndjson is missing', (files) => files.delete('data/run.ndjson')],
  ['a file more', 'a file that nothing tells of: more.txt', (files) => files.set('more.txt', Buffer.from('x'))],
  ['no metadata', 'it has no ro-crate-metadata.json', (files) => files.delete(METADATA)],
  ['other metadata', 'It is no package of a review', (files) => files.set(METADATA, Buffer.from('{"@graph": []}'))],
  ['a later release', 'by a later release of Even Lantern', (files) => changeCrate(files, (crate) => ({ ...crate, tablesAsOf: 'Later1900000000000' }))],
  ['a forged count in an entry', 'entry 1 does not fit the chain', (files) => forge(files, 'ledger_entry', (text) => text.replace('\\"hits\\":25', '\\"hits\\":26'))],
  ['an entry that was cut off', 'does not end at the seal', (files) => forge(files, 'ledger_entry', (text) => text.split('\n').filter((line) => !line.includes('"entry":3,')).join('\n'))],
  ['a record that was taken out', 'The records of the run of entry 1 are not those', (files) => forge(files, 'run_record', (text) => without(text, '"rank":20,'))],
  ['a record of a search elsewhere taken out', 'The records of entry 3 are not as many as its file held', (files) => forge(files, 'elsewhere_record', () => '')],
  ['another title of a record', 'its title is not that of its record', (files) => forge(files, 'record', (text) => text.replace(/"title":"[^"]+"/, '"title":"Forged"'))],
  ['a record that says something else', 'it says something else than when it was found', (files) => forge(files, 'record', retitled)],
  ['records whose digests were made anew', 'The records of entry 1 do not say what they said', (files) => { forge(files, 'record', retitled); forge(files, 'run_record', (text) => text.replace(/"digest":"[^"]+"/g, (_all) => `"digest":"${'0'.repeat(64)}"`)); }],
  ['another strategy of a version', 'its state is not that of its digest', (files) => forge(files, 'strategy_version', (text) => text.replace('light', 'night'))],
  ['a version with a digest made anew', 'The strategy of entry 1 is not the version', (files) => forge(files, 'strategy_version', (text) => text.replaceAll(/"digest":"[^"]+"/g, `"digest":"${'0'.repeat(64)}"`))],
  ['another ledger as JSON', 'ledger.json is not the ledger of the package', (files) => forgeFile(files, 'ledger.json', (text) => text.replace('"hits": 25', '"hits": 26'))],
  ['a row that is no row', 'term, row 1: it is no row', (files) => forge(files, 'term', (text) => `[]\n${text}`)],
  ['a column more', 'there is no column “evil”', (files) => forge(files, 'term', (text) => text.replace('{', '{"evil":1,'))],
  ['a column of another kind', 'its position should be a number', (files) => forge(files, 'term', (text) => text.replace(/"position":\d+/, '"position":"1; DROP TABLE term"'))],
  ['text that is no JSON', 'its content cannot be read', (files) => forge(files, 'term', (text) => text.replace(/"content":"/, '"content":"{'))],
  ['a framework that there is none of', 'review, row 1: its framework should be one of pico', (files) => forge(files, 'review', (text) => text.replace('"pico"', '"nope"'))],
  ['words at no distance from each other', 'its content cannot be what it is', (files) => forge(files, 'term', (text) => text.replace('\\"near\\":null', '\\"near\\":[]'))],
  ['a lane of another review', 'names a row of lane that is not in the package', (files) => forge(files, 'term', (text) => text.replace(/"laneId":"[^"]+"/, '"laneId":"foreign"'))],
  ['a person that nobody is', 'names a row of person that is not in the package', (files) => forge(files, 'person', () => '')],
  ['a row that stands twice', 'it is there twice', (files) => forge(files, 'element', (text) => text + text)],
]; // prettier-ignore

/** Packages that somebody has changed are tried on the installation they came from, where their review is deleted. */
describe('a package that was forged', () => {
  let whole: Buffer;
  beforeAll(async () => {
    await begin();
    await run();
    await server.post(`/api/reviews/${review.id}/ledger/notes`, { about: 1, text: 'x', timeZone: 'UTC' });
    await enterElsewhere();
    whole = await packed();
    await server.post(`/api/reviews/${review.id}/deletion`, { title: 'Light' }).expect(204);
    await server.application.get(ReviewEndService).settled();
  });
  afterAll(() => server.application.close());

  test.each(FORGERIES)('with %s says that %s, and nothing of it is kept', async (_name, told, change) => {
    const files = await unpacked(whole);
    change(files);
    const before = await allRows(server);
    const { title, errors = [] } = (await take(server, await repacked(files)).expect(400)).body as Problem;
    expect([title, ...errors.map(({ message }) => message)].join('\n')).toContain(told);
    expect(await allRows(server)).toEqual(before);
  });
});

describe('the package of a review', () => {
  beforeEach(begin);
  afterEach(() => server.application.close());

  test('what is no zip, is cut off, or names paths that climb out, is refused', async () => {
    const bytes = await packed();
    const title = async (file: Buffer) => ((await take(server, file).expect(400)).body as Problem).title;
    expect(await title(Buffer.from('no zip at all'))).toContain('damaged, or no package');
    expect(await title(bytes.subarray(0, bytes.length / 2))).toContain('damaged, or no package');
    const climbing = await repacked(new Map([['aaaaaaaaa/x', Buffer.from('x')]]));
    const path = Buffer.from(climbing.toString('latin1').replaceAll('aaaaaaaaa/x', '../../../xy'), 'latin1');
    expect(await title(path)).toMatch(/invalid relative path|damaged/);
    const damaged = Buffer.from(bytes);
    damaged.fill(7, 200, 400);
    expect(await title(damaged)).toContain('damaged, or no package');
    // Stored, so that unpacking finds nothing wrong; only the checksum of the zip tells.
    const bent = await repacked(await unpacked(bytes), false);
    bent.write('"@Context"', bent.indexOf('"@context"'));
    expect(await title(bent)).toMatch(/damaged/);
    expect(await titles(server)).toEqual(['Light']);
  });

  test('a package that is stopped while it is taken in leaves nothing behind', async () => {
    database.hits = 3000;
    database.explain = ((explain) => async () => ({ ...(await explain()), pageCap: 1000 }))(database.explain);
    await run();
    const bytes = await packed();
    const other = await testApplication({});
    try {
      const before = await allRows(other);
      const job = randomUUID();
      const taking = take(other, bytes, job).then((answer) => answer);
      const { read } = storeOf(other);
      for (let tries = 0; tries < 2000; tries += 1) {
        if ((await read.count(RecordRow)) > 0) break;
        await new Promise((next) => setTimeout(next, 5));
      }
      // Nobody sees it before all of it is there.
      expect(await titles(other)).toEqual([]);
      await other.post(`/api/files/${job}/stop`, {}).expect(204);
      expect((await taking).status).toBe(409);
      await other.application.get(ReviewEndService).settled();
      const { person, ...after } = await allRows(other);
      expect(person?.length).toBeGreaterThan(0);
      const { person: _person, ...rest } = before;
      expect(after).toEqual(rest);
      // And then it can be taken in whole.
      await take(other, bytes).expect(201);
      expect(await titles(other)).toEqual(['Light']);
    } finally {
      await other.application.close();
    }
  });

  test('the same package sent twice at once is taken in once, whole, and refused once', async () => {
    await run();
    const bytes = await packed();
    await server.post(`/api/reviews/${review.id}/deletion`, { title: 'Light' }).expect(204);
    await server.application.get(ReviewEndService).settled();
    const answers = await Promise.all([take(server, bytes), take(server, bytes), take(server, bytes)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    await server.application.get(ReviewEndService).settled();
    expect(await titles(server)).toEqual(['Light']);
    const { rows } = (await server.get(`/api/reviews/${review.id}/records`).expect(200)).body as RecordPage;
    expect(rows.length).toBeGreaterThan(20);
  });

  test('what is changed while a package is written is no part of it', async () => {
    await run();
    const [bytes] = await Promise.all([
      packed(),
      ...Array.from({ length: 30 }, (_, i) =>
        server.post(`/api/reviews/${review.id}/ledger/notes`, {
          about: 1,
          text: `note ${i}`,
          timeZone: 'UTC',
        }),
      ),
    ]);
    await server.post(`/api/reviews/${review.id}/deletion`, { title: 'Light' }).expect(204);
    await server.application.get(ReviewEndService).settled();
    await take(server, bytes).expect(201);
  });

  test('a review in which a search runs is packed when that has ended', async () => {
    let open: () => void = () => undefined;
    database.gate = new Promise((resolve) => (open = resolve));
    const { id } = (
      await server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'UTC' })
    ).body as Run;
    await server.get(`/api/reviews/${review.id}/package.zip`).expect(409);
    open();
    await server.application.get(RunsService).finished(id);
    await packed();
    await server.get('/api/reviews/nowhere/package.zip').expect(404);
  });
});
