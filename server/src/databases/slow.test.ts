import { setTimeout as pause } from 'node:timers/promises';
import { vocabularyToTurtle } from '@even-lantern/core';
import type { DatabaseList, Rehearsal, Review, TermCount } from '@even-lantern/contract';
import { DatabaseError, type DatabaseConnector } from '../connectors/databaseConnector.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

const TIMES = { slowMs: 300, awayMs: 400, everyMs: 400, againMs: 100, movingMs: 2000 };

let server: TestApplication;
let first: FaultyConnector;
let second: FaultyConnector;
let review: Review;
/** what each call of the first database waits for, or meets */
let meets: () => Promise<void>;

beforeEach(async () => {
  first = inTrouble(faultyConnector(25), () => meets());
  second = faultyConnector(7);
  meets = () => Promise.resolve();
  server = await testApplication({ first, second }, undefined, { watchTimes: TIMES });
  review = await server.reviewWithLane();
  await server.post(`/api/reviews/${review.id}/terms`, {
    laneId: laneOf(review, 'I').id,
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
  await list();
  expect((await rehearse()).whole.hits).toBe(25);
});
afterEach(() => server.application.close());

/** With a vocabulary of its own, and every call through `meet`. */
function inTrouble(connector: FaultyConnector, meet: () => Promise<void>): FaultyConnector {
  const { explain, count, search } = connector;
  const through =
    <A extends unknown[], T>(call: (...args: A) => Promise<T>) =>
    async (...args: A): Promise<T> => {
      await meet();
      return call(...args);
    };
  connector.explain = through(async () => ({
    ...(await explain()),
    vocabulary: { id: 'tree', name: 'The Tree', address: `/tree?${connector.release}` },
  }));
  connector.count = through(count);
  connector.search = through(search);
  connector.vocabulary = through<Parameters<DatabaseConnector['vocabulary']>, string>(async () => {
    const turtle = await vocabularyToTurtle({ id: 'tree', name: 'The Tree', release: '', headings: [] });
    return `${turtle}\n<urn:x> a <http://www.w3.org/2004/02/skos/core#Concept> ; <http://www.w3.org/2004/02/skos/core#prefLabel> "Light" .`;
  });
  return connector;
}

const list = async () => (await server.get('/api/databases').expect(200)).body as DatabaseList;
const rehearse = async () =>
  (await server.get(`/api/reviews/${review.id}/rehearsal?database=first`).expect(200)).body as Rehearsal;
const addWords = (text: string) =>
  server.post(`/api/reviews/${review.id}/terms`, {
    laneId: laneOf(review, 'I').id,
    origin: 'typed',
    content: { kind: 'words', text, field: 'words', near: null },
  });
const stateOf = async (id = 'first') => (await list()).databases.find((each) => each.id === id)?.state;
const until = async (state: string) => {
  for (let tries = 0; tries < 200 && (await stateOf()) !== state; tries += 1) await pause(50);
  expect(await stateOf()).toBe(state);
};

test('a database that takes seconds for everything is slow, not away: nothing flips and nothing is reordered', async () => {
  const before = await list();
  let answer = () => {};
  const answered = new Promise<void>((done) => (answer = done));
  meets = () => answered;
  await addWords('lamp');
  const counting = rehearse();
  await until('slow');
  const now = await list();
  expect(now.order).toEqual(before.order);
  expect(now.failed).toEqual([]);
  expect(now.databases.map(({ id, vocabulary, release }) => [id, vocabulary, release])).toEqual(
    before.databases.map(({ id, vocabulary, release }) => [id, vocabulary, release]),
  );
  expect(now.databases[0]?.trouble).toMatch(/takes \d+ seconds? to answer/);
  // Nobody waits for it who asks for something else: this is answered before it is.
  expect(await stateOf('second')).toBe('ready');
  expect((await server.get('/api/health').expect(200)).body).toMatchObject({ store: 'ready' });
  // It is still asked, and what is its own stays its own.
  answer();
  const { whole, problems } = await counting;
  expect([whole.hits, problems]).toEqual([25, []]);
});

test('one that fails every third call stays as it was', async () => {
  let calls = 0;
  meets = () => {
    calls += 1;
    return calls % 3 === 0
      ? Promise.reject(new DatabaseError('first.test is not available just now (status 503).', false))
      : Promise.resolve();
  };
  const before = await list();
  for (let i = 0; i < 12; i += 1) {
    await addWords(`word${i}`);
    expect((await rehearse()).problems).toEqual([]);
    const now = await list();
    expect(now.databases.map(({ id, state }) => [id, state])).toEqual([
      ['first', 'ready'],
      ['second', 'ready'],
    ]);
    expect(now.order).toEqual(before.order);
  }
  expect(calls).toBeGreaterThan(20);
});

test('one that fails again and again is away: what it said stays, nobody waits for it, and it comes back by itself', async () => {
  meets = () => Promise.reject(new DatabaseError('first.test cannot be reached.', false));
  await until('away');
  const away = (await list()).databases.find(({ id }) => id === 'first');
  expect(away).toMatchObject({ release: '2026-10-01', trouble: 'first.test cannot be reached.' });
  // What was counted is still told; what is new cannot be.
  const terms = Object.values((await rehearse()).terms);
  expect(terms.map(({ hits }) => hits)).toEqual([25, 25]);
  await addWords('lamp').expect(201);
  const counted = Object.values((await rehearse()).terms) as TermCount[];
  expect(counted.map(({ hits, error }) => [hits, error])).toEqual([
    [25, null],
    [25, null],
    [null, 'first.test cannot be reached.'],
  ]);
  meets = () => Promise.resolve();
  await until('ready');
  expect(Object.values((await rehearse()).terms).map(({ hits }) => hits)).toEqual([25, 25, 25]);
});

test('what waits for an answer when the database is found to be away waits no longer', async () => {
  const { count } = first;
  let waiting = 0;
  first.count = (_query, signal) => {
    waiting += 1;
    return new Promise((_resolve, reject) => {
      signal?.addEventListener('abort', () => reject(new DatabaseError('It was stopped.', false, true)));
    });
  };
  await addWords('lamp');
  const counting = rehearse();
  for (let tries = 0; waiting === 0 && tries < 100; tries += 1) await pause(20);
  meets = () => Promise.reject(new DatabaseError('first.test cannot be reached.', false));
  await until('away');
  const { terms } = await counting;
  expect(Object.values(terms).map(({ error }) => error)).toContain('first.test cannot be reached.');
  meets = () => Promise.resolve();
  first.count = count;
  await until('ready');
  expect((await rehearse()).whole.hits).toBe(25);
});

test('a later release is taken on only with its vocabulary, so that headings never turn foreign between', async () => {
  first.release = '2026-11-01';
  const { vocabulary } = first;
  let open: () => void = () => undefined;
  const gate = new Promise<void>((resolve) => (open = resolve));
  first.vocabulary = async (...asked) => {
    await gate;
    return vocabulary(...asked);
  };
  await pause(600);
  const still = (await list()).databases.find(({ id }) => id === 'first');
  expect(still?.release).toBe('2026-10-01');
  expect((await rehearse()).problems).toEqual([]);
  open();
  for (let tries = 0; tries < 100; tries += 1) {
    if ((await list()).databases[0]?.release === '2026-11-01') break;
    await pause(50);
  }
  expect(await rehearse()).toMatchObject({ release: '2026-11-01', problems: [] });
});
