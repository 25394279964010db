import type { IndexWords, Overview, Review, Sample, TermCount } from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let database: FaultyConnector;
let review: Review;
let asked: string[];

beforeAll(async () => {
  database = faultyConnector(25);
  const { count } = database;
  database.count = (query, signal) => {
    asked.push(query);
    return count(query, signal);
  };
  server = await testApplication({ faulty: database });
  review = await server.reviewWithLane();
});
beforeEach(() => {
  asked = [];
  database.callsLeft = Infinity;
});
afterAll(() => server.application.close());

const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const lane = () => laneOf(review, 'I');
const count = (contents: object[], parts: object = {}) =>
  server.post(`/api/reviews/${review.id}/candidates`, {
    database: 'faulty',
    laneId: lane().id,
    instead: null,
    contents,
    ...parts,
  });

test('candidates are counted as if they were in the lane, and nothing is added', async () => {
  const counts = (await count([words('lamp*'), words('a*')]).expect(200)).body as TermCount[];
  expect(counts[0]).toEqual({ hits: 25, adds: 25, error: null });
  expect(counts[1]).toMatchObject({ hits: null, adds: null, error: expect.stringContaining('unfinished') });
  expect(asked.sort()).toEqual(['el.words = "lamp*"', 'el.words = "lamp*" not el.words = "light"']);
  const present = (await server.get(`/api/reviews/${review.id}`)).body as Review;
  expect(present.lanes.flatMap(({ terms }) => terms)).toHaveLength(1);
});

test('a candidate that replaces a term is not held against it', async () => {
  await count([words('lamps')], { instead: lane().terms[0]?.id }).expect(200);
  expect(asked).toEqual(['el.words = "lamps"']);
});

test('without a lane, only hits are counted', async () => {
  const counts = (await count([words('lantern*')], { laneId: null }).expect(200)).body as TermCount[];
  expect(counts).toEqual([{ hits: 25, adds: null, error: null }]);
});

test('a database that fails says so for each candidate', async () => {
  database.callsLeft = 0;
  const counts = (await count([words('candle')]).expect(200)).body as TermCount[];
  expect(counts[0]).toMatchObject({ hits: null, error: 'faulty.test cannot be reached.' });
});

test('a candidate that is no term is refused', async () => {
  await count([{ kind: 'words' }]).expect(400);
});

test('a sample holds the first records that a term finds', async () => {
  const sample = (
    await server.post('/api/samples', { database: 'faulty', content: words('light') }).expect(200)
  ).body as Sample;
  expect([sample.hits, sample.records.map(({ accession }) => accession)]).toEqual([
    25,
    ['F1', 'F2', 'F3', 'F4', 'F5'],
  ]);
});

const wordsBeginning = (letters: string) => server.get(`/api/databases/faulty/words?begins=${letters}`);

test('words of the index are listed page after page, until they begin with other letters', async () => {
  const all = [
    ...Array.from({ length: 450 }, (_, i) => `light${String(i).padStart(3, '0')}`),
    'lightz',
    'limb',
  ];
  const froms: string[] = [];
  database.scan = (_field, from, most) => {
    froms.push(from);
    const found = all.filter((word) => word >= from).slice(0, most);
    return Promise.resolve(found.map((word) => ({ word, hits: 2 })));
  };
  const listed = (await wordsBeginning('Light').expect(200)).body as IndexWords;
  expect(listed.words.map(({ word }) => word)).toEqual(all.slice(0, -1));
  expect(listed.more).toBe(false);
  expect(froms).toEqual(['light', 'light199', 'light398']);
});

test('a scan that never moves on comes to an end', async () => {
  database.scan = (_field, _from, most) =>
    Promise.resolve(Array.from({ length: most }, () => ({ word: 'light', hits: 1 })));
  const listed = (await wordsBeginning('light').expect(200)).body as IndexWords;
  expect(listed.words.length).toBeLessThanOrEqual(200);
});

test('too few letters, several words and a database that cannot list its words are told', async () => {
  await wordsBeginning('li').expect(400);
  await wordsBeginning('bright%20light').expect(400);
  database.scan = () => Promise.reject(new DatabaseError('It cannot be scanned.', true));
  expect((await wordsBeginning('light').expect(502)).body).toMatchObject({
    title: expect.stringContaining('It cannot be scanned.'),
  });
});

const overview = (text: string) =>
  server.get(`/api/databases/faulty/overview?text=${encodeURIComponent(text)}`);

test('an overview of a broad text looks for all of its words, and tells what the database counts', async () => {
  const queries: string[] = [];
  const { facets } = database;
  database.facets = (query, indexes) => {
    queries.push(query);
    return facets(query, indexes);
  };
  const found = (await overview('light night').expect(200)).body as Overview;
  expect(queries).toEqual(['el.words = "light" and el.words = "night"']);
  expect(found).toMatchObject({ hits: 25, years: [{ value: '2026', count: 25 }], headings: [] });
});

test('an overview without a text is of all records', async () => {
  const found = (await server.get('/api/databases/faulty/overview').expect(200)).body as Overview;
  expect(found).toMatchObject({ text: '', hits: 25 });
});

test('an overview of nothing, and one from a database that fails, are explained', async () => {
  expect((await overview(' ').expect(400)).body).toMatchObject({ errors: [{ path: 'text' }] });
  database.callsLeft = 0;
  await overview('light').expect(502);
});
