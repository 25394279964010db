import type { BibRecord, RunContent, TermContent } from '@even-lantern/core';
import { emptyRecord } from '@even-lantern/core';
import type { Drift, FoundBy, Problem, RecordPage, ReviewRecord, Run } from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { RunsService } from '../runs/runsService.js';
import { Store } from '../store/store.js';
import { entriesOf } from '../testing/entriesOf.js';
import { indexedConnector } from '../testing/indexedConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { vocabulary } from '../testing/lightReview.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

const THEN = '2026-07-01';
const NOW = '2026-10-01';
const record = (accession: string, title: string, parts: Partial<BibRecord> = {}): BibRecord => ({
  ...emptyRecord(),
  accession,
  title,
  year: 2020,
  language: 'English',
  entered: '2026-05-01',
  ...parts,
});
const light = (label = 'Light') => [{ vocabulary: 'tree', label, central: false, subheadings: [] }];
const EARLIER = [
  record('same', 'Light at night'),
  record('corrected', 'Light at nihgt'),
  record('withdrawn', 'Light that was withdrawn'),
  record('indexed', 'A ward at night'),
  record('worse', 'Light of day'),
  record('elsewhere', 'Sleep'),
];
const LATER = [
  record('same', 'Light at night'),
  record('corrected', 'Light at night'),
  record('indexed', 'A ward at night', { headings: light() }),
  record('worse', 'Lihgt of day'),
  record('elsewhere', 'Sleep'),
  record('new', 'More light', { entered: '2026-09-09' }),
];

let server: TestApplication;
let asked: string[];
let reviewId: string;
let connector: ReturnType<typeof indexedConnector>;
const words: TermContent = { kind: 'words', text: 'light', field: 'words', near: null };
const heading: TermContent = {
  kind: 'heading',
  vocabulary: 'tree',
  label: 'Light',
  narrower: false,
  central: false,
  subheadings: [],
};

async function open({ tells = true } = {}) {
  asked = [];
  const releases = [THEN, NOW];
  connector = indexedConnector(
    { name: 'A database', dialect: 'corvane', vocabulary, records: LATER, earlier: EARLIER, releases },
    asked,
  );
  if (!tells) delete connector.fetch;
  server = await testApplication({ db: connector });
  const review = (await server.post('/api/reviews', { title: 'Light' })).body as Parameters<
    typeof laneOf
  >[0] & {
    id: string;
  };
  reviewId = review.id;
  for (const content of [words, heading]) {
    await server
      .post(`/api/reviews/${reviewId}/terms`, { laneId: laneOf(review, 'I').id, origin: 'typed', content })
      .expect(201);
  }
  const population = review.elements.find(({ key }) => key === 'P');
  await server.patch(`/api/elements/${population?.id}`, { searched: false }, 1).expect(200);
}
afterEach(() => server.application.close());

const finished = async (body: unknown) => server.application.get(RunsService).finished((body as Run).id);
const run = async (release?: string) => {
  const body = { database: 'db', timeZone: 'UTC', ...(release === undefined ? {} : { release }) };
  return finished((await server.post(`/api/reviews/${reviewId}/runs`, body).expect(201)).body);
};
const repeat = async (entry: number, release: 'then' | 'present') =>
  finished(
    (
      await server
        .post(`/api/reviews/${reviewId}/ledger/entries/${entry}/runs`, { release, timeZone: 'UTC' })
        .expect(201)
    ).body,
  );
const drift = async (entry: number, query = '') =>
  (await server.get(`/api/reviews/${reviewId}/ledger/entries/${entry}/drift${query}`).expect(200))
    .body as Drift;

test('an entry that is run again sends the same strings, and what drifted is explained record by record', async () => {
  await open();
  await run(THEN);
  expect(await repeat(1, 'present')).toMatchObject({ status: 'complete', repeats: 1 });
  const [first, second] = await entriesOf(server, reviewId);
  expect(second?.content.lines.map(({ string }) => string)).toEqual(
    first?.content.lines.map(({ string }) => string),
  );
  expect(second?.content).toMatchObject({
    release: NOW,
    repeats: { entry: 1, hash: first?.hash },
    renamed: [],
    version: first?.content.version,
  });
  const { then, now, counts, same, records, matching } = await drift(2);
  expect([then.release, now.release, then.fetched, now.fetched]).toEqual([THEN, NOW, 4, 4]);
  expect(records.map(({ side, accession, reason, what }) => [side, accession, reason, ...what])).toEqual([
    ['gained', 'new', 'new', 'it came into the database on 2026-09-09'],
    ['gained', 'indexed', 'indexed', 'got its headings: Light'],
    ['lost', 'worse', 'changed', 'title changed'],
    ['lost', 'withdrawn', 'withdrawn', 'it is not in the database any more'],
    ['kept', 'corrected', 'changed', 'title changed'],
  ]);
  expect([counts, same, matching]).toEqual([
    { gained: { new: 1, indexed: 1 }, lost: { changed: 1, withdrawn: 1 }, kept: { changed: 1 } },
    1,
    5,
  ]);
  expect(await drift(2, '?side=lost&reason=withdrawn')).toMatchObject({
    matching: 1,
    records: [{ accession: 'withdrawn' }],
  });
  expect((await drift(2, '?limit=2&offset=4')).records).toHaveLength(1);
  // What was explained once is kept, and asked for no more.
  const calls = asked.length;
  await drift(2);
  expect(asked).toHaveLength(calls);
});

test('run again against the release of then, it finds the same, and no record is set back to what it was', async () => {
  await open();
  await run(THEN);
  await run();
  await repeat(1, 'then');
  const contents = (await entriesOf(server, reviewId)).map(({ content }) => content);
  expect(contents[2]?.fingerprint).toBe(contents[0]?.fingerprint);
  expect(await drift(3)).toMatchObject({ counts: { gained: {}, lost: {}, kept: {} }, same: 4 });
  const { rows } = (await server.get(`/api/reviews/${reviewId}/records?limit=50`)).body as RecordPage;
  expect(rows.map(({ title }) => title).sort()).toEqual([
    'A ward at night',
    'Light at night',
    'Light at night',
    'Light of day',
    'Light that was withdrawn',
    'More light',
  ]);
  // The states of both releases are there still.
  await repeat(1, 'present');
  expect((await drift(4)).records).toHaveLength(5);
});

test('a record tells which runs found it, and through which lines, as it was then', async () => {
  await open();
  await run(THEN);
  await repeat(1, 'present');
  const { rows } = (await server.get(`/api/reviews/${reviewId}/records?limit=50`)).body as RecordPage;
  const ids = new Map<string, string>();
  for (const { id } of rows) {
    const { record } = (await server.get(`/api/records/${id}`)).body as ReviewRecord;
    ids.set(record.accession, id);
  }
  const foundBy = async (accession: string) => {
    const id = ids.get(accession) ?? '';
    const found = (await server.get(`/api/records/${id}/found-by`).expect(200)).body as FoundBy[];
    return found.map(({ entry, release, lines }) => [entry, release, lines]);
  };
  // The heading is line 1, the words line 2, and what joins them the rest.
  expect(await foundBy('same')).toEqual([
    [2, NOW, [2, 3, 4]],
    [1, THEN, [2, 3, 4]],
  ]);
  expect(await foundBy('indexed')).toEqual([[2, NOW, [1, 3, 4]]]);
  expect(await foundBy('worse')).toEqual([[1, THEN, [2, 3, 4]]]);
  await server.get('/api/records/nowhere/found-by').expect(404);
});

test('a heading that was renamed is asked by its present name, and the entry says so', async () => {
  await open();
  await run(THEN);
  const renamed = {
    ...vocabulary,
    release: '2026-10-02',
    headings: vocabulary.headings.map((each) => ({ ...each, label: 'Lamplight', entryTerms: ['Light'] })),
  };
  const later = LATER.map((each) => ({
    ...each,
    headings: each.headings.length > 0 ? light('Lamplight') : [],
  }));
  const path = server.storePath;
  await server.application.close();
  server = await testApplication(
    {
      db: indexedConnector({
        name: 'A database',
        dialect: 'corvane',
        vocabulary: renamed,
        records: later,
        earlier: EARLIER,
        releases: [THEN, NOW],
      }),
    },
    path,
  );
  expect(await repeat(1, 'present')).toMatchObject({ status: 'complete' });
  const [first, second] = (await entriesOf(server, reviewId)).map(({ content }): RunContent => content);
  expect(second?.renamed).toEqual([{ from: 'Light', to: 'Lamplight' }]);
  expect(second?.lines[0]?.string).toBe(first?.lines[0]?.string.replace('Light', 'Lamplight'));
  expect(second?.lines[1]?.string).toBe(first?.lines[1]?.string);
  expect((await drift(2)).counts).toMatchObject({ gained: { new: 1, indexed: 1 } });
});

test('a database that finds something else in the same release is an alarm', async () => {
  await open();
  await run();
  const { search } = connector;
  connector.search = async (query, _page, ...asked) => {
    const answer = await search(query, { start: 1, size: 50 }, ...asked);
    const records = answer.records.filter(({ accession }) => accession !== 'same');
    return { ...answer, hits: answer.hits - 1, records };
  };
  await repeat(1, 'present');
  expect((await drift(2)).records).toMatchObject([
    {
      side: 'lost',
      accession: 'same',
      reason: 'unexplained',
      what: [expect.stringContaining('same release')],
    },
  ]);
});

test('a database that is away while it is asked for earlier states is told, and asked again later', async () => {
  await open();
  await run(THEN);
  await repeat(1, 'present');
  const { fetch } = connector;
  connector.fetch = () => Promise.reject(new DatabaseError('db.test cannot be reached.', false));
  const answer = await server.get(`/api/reviews/${reviewId}/ledger/entries/2/drift`).expect(502);
  expect((answer.body as Problem).detail).toContain('Both runs are kept');
  if (fetch !== undefined) connector.fetch = fetch;
  expect((await drift(2)).matching).toBe(5);
});

test('where a database tells no earlier states, its dates are all there is, and what they do not tell is an alarm', async () => {
  await open({ tells: false });
  await run(THEN);
  await repeat(1, 'present');
  const { records } = await drift(2);
  expect(records.map(({ accession, reason }) => [accession, reason])).toEqual([
    ['indexed', 'unexplained'],
    ['new', 'new'],
    ['withdrawn', 'unexplained'],
    ['worse', 'unexplained'],
    ['corrected', 'changed'],
  ]);
});

test('runs of an earlier release of the program, which kept no states, are compared by what is known', async () => {
  await open();
  await run(THEN);
  await server.application
    .get(Store)
    .write((manager) => manager.query('UPDATE run_record SET digest = NULL') as Promise<unknown>);
  await repeat(1, 'present');
  expect((await drift(2)).counts).toMatchObject({
    gained: { new: 1, indexed: 1 },
    lost: { changed: 1, withdrawn: 1 },
    kept: {},
  });
});

test('what cannot be compared or run again is refused with the reason', async () => {
  await open();
  await run(THEN);
  const title = async (answer: Promise<{ body: unknown }>) => ((await answer).body as Problem).title;
  const at = (path: string) => `/api/reviews/${reviewId}/ledger/${path}`;
  expect(await title(server.get(at('entries/1/drift')).expect(400))).toContain('repeats no other');
  await server.post(at('notes'), { about: 1, text: 'x', timeZone: 'UTC' }).expect(201);
  const again = { release: 'present', timeZone: 'UTC' };
  expect(await title(server.post(at('entries/2/runs'), again).expect(400))).toContain('no run');
  await server.post(at('entries/9/runs'), again).expect(404);
  await server.post(at('entries/1/runs'), { ...again, release: '1999' }).expect(400);
});

test('two who look at the same drift at once get the same, and it is kept once', async () => {
  await open();
  await run(THEN);
  await repeat(1, 'present');
  const all = await Promise.all(Array.from({ length: 6 }, () => drift(2)));
  expect(new Set(all.map((each) => JSON.stringify(each))).size).toBe(1);
});
