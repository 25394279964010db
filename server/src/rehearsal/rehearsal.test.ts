import { vocabularyToTurtle } from '@even-lantern/core';
import type { Rehearsal, Review } from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { entriesOf } from '../testing/entriesOf.js';

let server: TestApplication;
let database: FaultyConnector;
let review: Review;
let asked: string[];

beforeEach(async () => {
  database = faultyConnector(25);
  asked = [];
  const { count } = database;
  database.count = (query, signal) => {
    asked.push(query);
    return count(query, signal);
  };
  server = await testApplication({ faulty: database });
  review = await server.reviewWithLane();
});
afterEach(() => server.application.close());

const rehearse = async () =>
  (await server.get(`/api/reviews/${review.id}/rehearsal?database=faulty`).expect(200)).body as Rehearsal;
const addWords = (text: string) =>
  server.post(`/api/reviews/${review.id}/terms`, {
    laneId: laneOf(review, 'I').id,
    origin: 'typed',
    content: { kind: 'words', text, field: 'words', near: null },
  });

test('a rehearsal counts terms, what they add, lanes and the whole, and logs nothing', async () => {
  await addWords('lamp*').expect(201);
  const { lines, terms, whole, release } = await rehearse();
  expect(lines.map(({ string, hits }) => [string, hits])).toEqual([
    ['el.words = "light"', 25],
    ['el.words = "lamp*"', 25],
    ['el.words = "light" or el.words = "lamp*"', 25],
    ['el.words = "light" or el.words = "lamp*"', 25],
  ]);
  expect(asked).toContain('el.words = "lamp*" not el.words = "light"');
  expect(Object.values(terms).map(({ adds }) => adds)).toEqual([25, 25]);
  expect([whole.hits, release]).toEqual([25, '2026-10-01']);
  expect(await entriesOf(server, review.id)).toEqual([]);
});

test('only what changed is asked again, until the release changes', async () => {
  await rehearse();
  asked = [];
  await rehearse();
  expect(asked).toEqual([]);
  await addWords('lamp*');
  await rehearse();
  expect(asked).not.toContain('el.words = "light"');
  database.release = '2026-11-01';
  database.hits = 30;
  asked = [];
  // Nobody asks before each count; the first answer tells of the release, and all is counted anew in it.
  await addWords('lantern*');
  expect(await rehearse()).toMatchObject({ release: '2026-11-01', whole: { hits: 30 } });
  expect(asked).toContain('el.words = "light"');
});

test('a database describes itself once, not before each count', async () => {
  let explained = 0;
  const explain = database.explain.bind(database);
  database.explain = () => {
    explained += 1;
    return explain();
  };
  for (const word of ['lamp', 'night', 'ward', 'shift']) {
    await addWords(word);
    await rehearse();
  }
  expect(explained).toBe(1);
});

test('a term that cannot be read is told at the term, and the rest is counted', async () => {
  await addWords('a*');
  const { terms, whole, problems } = await rehearse();
  const errors = Object.values(terms).map(({ error }) => error);
  expect(errors).toEqual([null, expect.stringContaining('“a*” is unfinished')]);
  expect(problems).toHaveLength(1);
  expect(whole.hits).toBe(25);
});

test('what the database refuses is told at the line', async () => {
  database.count = () => Promise.reject(new DatabaseError('There is no heading “Moonbeams”.', true));
  expect((await rehearse()).lines[0]).toMatchObject({
    hits: null,
    error: 'There is no heading “Moonbeams”.',
  });
});

test('a database that was never heard and does not answer is told as such', async () => {
  database.explain = () => Promise.reject(new DatabaseError('faulty.test cannot be reached.', false));
  const down = await server.get(`/api/reviews/${review.id}/rehearsal?database=faulty`).expect(502);
  expect(down.body).toMatchObject({
    title: 'The database does not answer: faulty.test cannot be reached.',
    detail: expect.stringContaining('What you have written is kept.'),
  });
  expect((await server.get('/api/health').expect(200)).body).toMatchObject({
    store: 'ready',
    databases: [{ id: 'faulty', state: 'away' }],
  });
});

test('a lane tells what its headings find, its words, and both; and what awaits headings', async () => {
  const explain = database.explain.bind(database);
  database.explain = async () => ({
    ...(await explain()),
    limits: { indexing: ['indexed', 'not yet indexed'] },
    vocabulary: { id: 'tree', name: 'The Tree', address: '/tree' },
  });
  database.vocabulary = () =>
    vocabularyToTurtle({ id: 'tree', name: 'The Tree', release: '2026-01-01', headings: [] }).then(
      (turtle) =>
        `${turtle}\n<urn:x> a <http://www.w3.org/2004/02/skos/core#Concept> ; <http://www.w3.org/2004/02/skos/core#prefLabel> "Light" .`,
    );
  database.count = (query) => {
    const hits = query.includes('indexing')
      ? 3
      : query.includes(' not ')
        ? 10
        : query.includes(' and ')
          ? 8
          : 20;
    return Promise.resolve({ hits, release: database.release, understood: '' });
  };
  const lane = laneOf(review, 'I').id;
  const wordsAlone = (await rehearse()).lanes[lane];
  expect(wordsAlone).toMatchObject({ headingsOnly: 0, both: 0, wordsOnly: 20, awaitingHeadings: 3 });
  await server.post(`/api/reviews/${review.id}/terms`, {
    laneId: lane,
    origin: 'lookup',
    content: {
      kind: 'heading',
      vocabulary: 'tree',
      label: 'Light',
      narrower: false,
      central: false,
      subheadings: [],
    },
  });
  expect((await rehearse()).lanes[lane]).toMatchObject({
    headingsOnly: 12,
    both: 8,
    wordsOnly: 10,
    awaitingHeadings: 3,
  });
});

test('a database that cannot tell what awaits headings is not asked', async () => {
  const lane = laneOf(review, 'I').id;
  expect((await rehearse()).lanes[lane]?.awaitingHeadings).toBeNull();
  expect(asked.filter((query) => query.includes('indexing'))).toEqual([]);
});

test('each lane is told what is found without it, once there is another', async () => {
  const lane = (key: string) => laneOf(review, key).id;
  const element = (key: string) => review.elements.find((each) => each.key === key)?.id ?? '';
  expect((await rehearse()).without).toEqual({ [lane('I')]: null });
  await server.patch(`/api/elements/${element('P')}`, { searched: true }, 2).expect(200);
  await server.post(`/api/reviews/${review.id}/terms`, {
    laneId: lane('P'),
    origin: 'typed',
    content: { kind: 'words', text: 'nurse*', field: 'words', near: null },
  });
  asked = [];
  const { without, withoutElements } = await rehearse();
  expect(without).toMatchObject({ [lane('P')]: { hits: 25 }, [lane('I')]: { hits: 25 } });
  expect(withoutElements).toMatchObject({ [element('P')]: { hits: 25 }, [element('I')]: { hits: 25 } });
  expect(asked).toContain('el.words = "nurse*"');
});
