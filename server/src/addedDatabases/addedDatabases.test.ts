import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type {
  ExploredServer,
  NewSruDatabase,
  Problem,
  RecordPage,
  Rehearsal,
  Run,
  DatabaseSettings,
  Translation,
} from '@even-lantern/contract';
import { PERSON_HEADER } from '@even-lantern/contract';
import { escapeXml, type DialectDescription } from '@even-lantern/core';
import request from 'supertest';
import { RunsService } from '../runs/runsService.js';
import { heading, treeWith } from '../testing/lightReview.js';
import { indexedConnector } from '../testing/indexedConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { isPublicAddress } from '../connectors/sru/publicAddresses.js';
import { entriesOf } from '../testing/entriesOf.js';

let application: TestApplication;
let server: Server | undefined;
afterEach(async () => {
  await application.application.close();
  server?.closeAllConnections();
  await new Promise((done) => (server === undefined ? done(null) : server.close(done)));
  server = undefined;
});

const TITLES = ['Light at night', 'Light therapy', 'Naps'];
const EXPLAIN = `<explainResponse xmlns="http://www.loc.gov/zing/srw/"><version>1.1</version><record><recordPacking>string</recordPacking><recordData>${escapeXml(
  '<explain xmlns="x"><databaseInfo><title>Osier</title></databaseInfo><indexInfo><index><title>Title</title><map><name set="dc">title</name></map></index><index search="false"><map><name set="dc">date</name></map></index></indexInfo><schemaInfo><schema name="marc"/><schema name="dc"/></schemaInfo></explain>',
)}</recordData></record></explainResponse>`;

/** A server of version 1.1: it finds titles that begin as the word asked for, and knows neither ? nor prox. */
async function plainServer(asked: URLSearchParams[] = []): Promise<string> {
  server = createServer((incoming, outgoing) => {
    const parameters = new URL(incoming.url ?? '', 'http://x').searchParams;
    asked.push(parameters);
    outgoing.setHeader('Content-Type', 'text/xml');
    const query = parameters.get('query');
    if (query === null) return outgoing.end(EXPLAIN);
    const word = /"([a-z]+)\*?"/.exec(query)?.[1] ?? '';
    const found = TITLES.filter((title) => title.toLowerCase().includes(word));
    const refused = /prox|\?/.test(query)
      ? '<diagnostics><diagnostic xmlns="http://www.loc.gov/zing/srw/diagnostic/"><uri>info:srw/diagnostic/1/39</uri><message>Not here.</message></diagnostic></diagnostics>'
      : '';
    const page = found
      .slice(Number(parameters.get('startRecord')) - 1)
      .slice(0, Number(parameters.get('maximumRecords')));
    const records = page.map(
      (title) =>
        `<record><recordData><dc xmlns="y"><title>${title}</title><identifier>osier:${TITLES.indexOf(title)}</identifier><date>2001</date></dc></recordData></record>`,
    );
    return outgoing.end(
      `<searchRetrieveResponse xmlns="http://www.loc.gov/zing/srw/"><version>1.1</version><numberOfRecords>${refused === '' ? found.length : 0}</numberOfRecords><records>${records.join('')}</records>${refused}</searchRetrieveResponse>`,
    );
  });
  await new Promise<void>((done) => server?.listen(0, '127.0.0.1', done));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/sru?repository=a`;
}

const osier = (address: string, more: Partial<NewSruDatabase> = {}): NewSruDatabase => ({
  how: 'address',
  address,
  version: '1.1',
  recordSchema: 'dc',
  name: 'Osier',
  description: '',
  dialect: { kind: 'cql', names: {}, lacks: [] },
  vocabulary: null,
  ...more,
});

const body = <T>(response: { body: unknown }) => response.body as T;
describe('an SRU server that is added by its address', () => {
  beforeEach(async () => {
    application = await testApplication({}, undefined, { privateAddresses: true });
  });

  const explore = async (address: string) => application.post('/api/databases/explorations', { address });

  test('is explored: its version, its indexes with a proposal, what it lacks, and a first search', async () => {
    const found = body<ExploredServer>(await explore(await plainServer()));
    expect(found).toMatchObject({
      name: 'Osier',
      version: '1.1',
      indexes: [{ name: 'dc.title', title: 'Title' }],
      recordSchemas: [
        { name: 'dc', readable: true },
        { name: 'marc', readable: false },
      ],
      dialect: {
        names: { title: 'dc.title', year: null, words: 'cql.serverChoice' },
        lacks: ['one letter', 'near', 'narrower', 'central', 'subheadings'],
      },
      test: { query: 'cql.serverChoice = "health"', hits: 0, error: null },
    });
  });

  test('applies a limit that was matched to one of its indexes', async () => {
    const limits = [{ kind: 'language' as const, name: 'dc.language', values: ['English'] }];
    await application.post('/api/databases', osier(await plainServer(), { limits })).expect(201);
    const review = await application.reviewWithLane();
    const limit = {
      kind: 'language', values: { kind: 'values', values: ['eng'] }, reason: 'We read English.', on: true, ways: {},
    }; // prettier-ignore
    await application.post(`/api/reviews/${review.id}/limits`, { limits: [limit] }).expect(201);
    const path = `/api/reviews/${review.id}/translation?database=osier`;
    const { lines } = body<Translation>(await application.get(path).expect(200));
    expect(lines.at(-1)?.sent).toBe('cql.serverChoice = "light" and dc.language == "English"');
  });

  test('is counted, searched, logged and read like any other, also after a restart', async () => {
    const asked: URLSearchParams[] = [];
    const address = await plainServer(asked);
    const { version, dialect } = body<ExploredServer>(await explore(address));
    const database = osier(address, { version, dialect });
    const added = body<DatabaseSettings>(await application.post('/api/databases', database));
    expect(added).toEqual({ id: 'osier', ...database });
    const { storePath } = application;
    await application.application.close();
    application = await testApplication({}, storePath, { privateAddresses: true });

    const review = await application.reviewWithLane();
    const rehearsal = body<Rehearsal>(
      await application.get(`/api/reviews/${review.id}/rehearsal?database=osier`),
    );
    expect(rehearsal.whole).toEqual({ hits: 2, error: null });
    expect(rehearsal.lines.at(-1)?.string).toBe('cql.serverChoice = "light"');
    for (const time of ['first', 'second']) {
      const { lines } = body<Translation>(
        await application.get(`/api/reviews/${review.id}/translation?database=osier`),
      );
      // Such servers do not tell how they read a string, whether they were asked now or before.
      expect([time, lines[0]?.understood, lines[0]?.hits]).toEqual([time, null, 2]);
    }
    const run = body<Run>(
      await application.post(`/api/reviews/${review.id}/runs`, {
        database: 'osier',
        timeZone: 'Europe/Lisbon',
      }),
    );
    await application.application.get(RunsService).finished(run.id);
    const entries = await entriesOf(application, review.id);
    expect(entries[0]?.content).toMatchObject({
      outcome: 'complete',
      hits: 2,
      fetched: 2,
      databaseName: 'Osier',
    });
    const records = body<RecordPage>(await application.get(`/api/reviews/${review.id}/records`));
    expect(records.rows.map(({ title, year }) => [title, year])).toEqual([
      ['Light at night', 2001],
      ['Light therapy', 2001],
    ]);
    const search = asked.findLast((each) => each.has('query'));
    expect(Object.fromEntries(search ?? [])).toMatchObject({
      repository: 'a', operation: 'searchRetrieve', version: '1.1', recordSchema: 'dc',
    }); // prettier-ignore
    expect(search?.has('queryType')).toBe(false);
  });

  test('is taken from the list, and nothing that was run in it is lost', async () => {
    const address = await plainServer();
    const database = osier(address);
    await application.post('/api/databases', database);
    const remove = () =>
      request(application.application.getHttpServer())
        .delete('/api/databases/osier')
        .set({ Host: 'localhost', [PERSON_HEADER]: application.person });
    expect((await remove()).status).toBe(204);
    expect((await remove()).status).toBe(404);
    expect(body<{ databases: unknown[] }>(await application.get('/api/databases')).databases).toEqual([]);
    // The name stays taken, so that the ledger never speaks of two databases by one name.
    expect(body<DatabaseSettings>(await application.post('/api/databases', database)).id).toBe('osier-2');
  });

  test.each([
    ['ftp://example.org/sru', 400, /begins with http/],
    ['example', 400, /whole address/],
    ['http://127.0.0.1:9/sru', 502, /cannot be reached/],
  ])('%s is refused with the reason', async (address, status, reason) => {
    const answer = await explore(address);
    expect([answer.status, body<Problem>(answer).title]).toEqual([status, expect.stringMatching(reason)]);
  });

  test('has headings where somebody says which vocabulary they are of, those below named one by one', async () => {
    const address = await plainServer();
    await application.application.close();
    const serving = indexedConnector({
      name: 'First',
      dialect: 'corvane',
      vocabulary: treeWith('Lamps'),
      records: [],
    });
    application = await testApplication({ first: serving }, undefined, { privateAddresses: true });
    const review = await application.reviewWithLane();
    const laneId = laneOf(review, 'I').id;
    const term = { laneId, origin: 'typed', content: heading };
    await application.post(`/api/reviews/${review.id}/terms`, term);
    const dialect: DialectDescription = {
      kind: 'cql',
      names: { headings: 'dc.subject', heading: 'dc.subject' },
      lacks: ['near', 'narrower', 'central', 'subheadings'],
    };
    await application.post('/api/databases', osier(address, { dialect, vocabulary: 'tree' }));
    const { lines, problems } = body<Translation>(
      await application.get(`/api/reviews/${review.id}/translation?database=osier`),
    );
    expect(problems).toEqual([]);
    expect(lines).toContainEqual(
      expect.objectContaining({
        sent: '(dc.subject == "Light" or dc.subject == "Lamps")',
        losses: [
          expect.objectContaining({ effect: 'same', instead: 'the heading and the 1 below it by name' }),
        ],
      }),
    );
  });

  test('what was said of it can be said anew, but it stays the same server', async () => {
    const database = osier(await plainServer());
    await application.post('/api/databases', database);
    const named = { ...database, name: 'Osier Deposits', dialect: { ...database.dialect, lacks: ['near'] } };
    expect((await application.put('/api/databases/osier', named)).body).toEqual({ id: 'osier', ...named });
    expect((await application.get('/api/databases')).body).toMatchObject({
      databases: [{ id: 'osier', name: 'Osier Deposits', dialect: { lacks: ['near'] } }],
    });
    const { storePath } = application;
    await application.application.close();
    application = await testApplication({}, storePath, { privateAddresses: true });
    expect((await application.get('/api/databases/osier/settings')).body).toEqual({ id: 'osier', ...named });
    const elsewhere = await application.put('/api/databases/osier', {
      ...named,
      address: 'http://example.org/',
    });
    expect(body<Problem>(elsewhere).title).toMatch(/add it as another database/);
    expect((await application.put('/api/databases/none', named)).status).toBe(404);
  });

  test('while it does not answer it is told as failing by its name, and can still be changed', async () => {
    const database = osier(await plainServer());
    await application.post('/api/databases', database);
    server?.closeAllConnections();
    await new Promise((done) => server?.close(done));
    server = undefined;
    expect(
      (await application.put('/api/databases/osier', { ...database, name: 'Osier Deposits' })).status,
    ).toBe(200);
    expect((await application.get('/api/databases')).body).toMatchObject({
      databases: [],
      failed: [{ id: 'osier', name: 'Osier Deposits', added: true }],
    });
  });

  test('a page that is no SRU server is told as such', async () => {
    server = createServer((_incoming, outgoing) => outgoing.end('<html><body>Welcome</body></html>'));
    await new Promise<void>((done) => server?.listen(0, '127.0.0.1', done));
    const answer = await explore(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    expect(body<Problem>(answer)).toMatchObject({
      status: 502,
      title: expect.stringContaining('does not explain itself'),
    });
  });

  test('an index cannot stand for two fields, and a name is one word', async () => {
    const database = osier('http://example.org/');
    const named = (names: object) =>
      application.post('/api/databases', { ...database, dialect: { kind: 'cql', names, lacks: [] } });
    expect(body<Problem>(await named({ title: 'dc.title', abstract: 'dc.title' })).title).toMatch(
      /two fields/,
    );
    expect(body<Problem>(await named({ title: 'a" or "b' })).title).toMatch(/letters, digits/);
  });
});

test('addresses of this machine and its networks are refused unless the server is told otherwise', async () => {
  application = await testApplication({});
  for (const address of [
    await plainServer(),
    'http://localhost:8999/',
    'http://[::1]:8999/',
    'http://10.0.0.7/',
    'http://2130706433/',
  ]) {
    const answer = await application.post('/api/databases/explorations', { address });
    expect([address, body<Problem>(answer).title]).toEqual([
      address,
      expect.stringContaining('EVEN_LANTERN_PRIVATE_ADDRESSES'),
    ]);
  }
  expect(['192.0.2.1', '169.254.169.254', '::ffff:10.0.0.1', 'fd00::1', 'x'].map(isPublicAddress)).toEqual(
    Array(5).fill(false),
  );
  expect(['9.9.9.9', '2620:fe::fe'].map(isPublicAddress)).toEqual([true, true]);
});
