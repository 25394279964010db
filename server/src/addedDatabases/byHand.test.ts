/** A database that no program can ask: people enter what it finds, and give the files that it exports. */
import {
  PERSON_HEADER,
  type GivenRecords,
  type HandAnswer,
  type LimitProfile,
  type NewHandDatabase,
  type Problem,
  type RecordPage,
  type Rehearsal,
  type Run,
  type Translation,
} from '@even-lantern/contract';
import { vocabularyToTurtle, type BibRecord, type Vocabulary } from '@even-lantern/core';
import request from 'supertest';
import { RunsService } from '../runs/runsService.js';
import { HandRecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { heading, lightReview, treeWith } from '../testing/lightReview.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { entriesOf } from '../testing/entriesOf.js';

let application: TestApplication;
afterEach(() => application.application.close());

const body = <T>(response: { body: unknown }) => response.body as T;
const database: NewHandDatabase = {
  how: 'hand', name: 'Ferrow Index', description: '', release: '', vocabulary: null,
  dialect: { kind: 'corvane', names: { words: 'any' }, lacks: [] },
}; // prettier-ignore
const RIS = (...titles: string[]) =>
  titles.map((title) => `TY  - JOUR\nTI  - ${title}\nPY  - 2020\nER  - \n`).join('');
const give = (answer: HandAnswer, file: string | Buffer, query = '') =>
  request(application.application.getHttpServer())
    .post(`/api/databases/ferrow-index/answers/${answer.id}/records${query}`)
    .set({ Host: 'localhost', [PERSON_HEADER]: application.person, 'Content-Type': 'text/plain' })
    .send(file);

beforeEach(async () => {
  application = await testApplication({});
  await application.post('/api/databases', database);
});

test('gets strings in its dialect; counts are entered, corrected, and counted again everywhere', async () => {
  const review = await application.reviewWithLane();
  const path = `/api/reviews/${review.id}/rehearsal?database=ferrow-index`;
  expect(body<Rehearsal>(await application.get(path)).whole.error).toBe(
    'Nobody has entered what it finds yet.',
  );
  const { lines } = body<Translation>(await application.get(path.replace('rehearsal', 'translation')));
  expect(lines.at(-1)?.sent).toBe('any("light")');
  for (const hits of [31, 3]) {
    const answer = await application.put('/api/databases/ferrow-index/answers', {
      text: ' any( "light" )',
      hits,
    });
    expect(body<HandAnswer>(answer)).toMatchObject({ hits, enteredBy: 'Ada', records: 0 });
    expect(body<Rehearsal>(await application.get(path)).whole.hits).toBe(hits);
  }
});

test('has limits of its own where they were matched to our kinds, and says so where it has none', async () => {
  const own = [{ kind: 'language', name: 'lang', values: ['English', 'Swedish'] }];
  await application.put('/api/databases/ferrow-index', { ...database, limits: own }).expect(200);
  const review = await application.reviewWithLane();
  const limit = (kind: string, ...values: string[]) => ({
    kind, values: { kind: 'values', values }, reason: 'x', on: true, ways: {},
  }); // prettier-ignore
  await application
    .post(`/api/reviews/${review.id}/limits`, {
      limits: [limit('language', 'eng'), limit('peerReview', 'yes')],
    })
    .expect(201);
  const path = `/api/reviews/${review.id}/translation?database=ferrow-index`;
  const { lines } = body<Translation>(await application.get(path));
  expect(lines.at(-1)?.sent).toBe('any("light") AND lang("English")');
  await application
    .put('/api/databases/ferrow-index/answers', { text: lines.at(-1)?.sent ?? '', hits: 7 })
    .expect(200);
  const counted = body<Translation>(await application.get(path));
  expect(counted.lines.at(-1)?.hits).toBe(7);
  const profile = body<LimitProfile>(
    await application.post(`/api/reviews/${review.id}/profile`, { database: 'ferrow-index' }),
  );
  expect(profile.steps.map(({ way }) => way)).toEqual(['own', 'none']);
});

test.each([
  [[{ kind: 'moon', name: 'x', values: [] }], 'must be one of'],
  [[{ kind: 'language', name: 'a b', values: [] }], 'letters, digits'],
  [
    [
      { kind: 'language', name: 'x', values: [] },
      { kind: 'sex', name: 'x', values: [] },
    ],
    'one and the same',
  ],
])('limits matched as %j are refused', async (limits, message) => {
  const { errors } = body<Problem>(
    await application.put('/api/databases/ferrow-index', { ...database, limits }).expect(400),
  );
  expect(errors?.map((each) => each.message).join()).toContain(message);
});

test('a file read in the wrong encoding is read again: its records take the place of the spoiled ones', async () => {
  const answer = body<HandAnswer>(
    await application.put('/api/databases/ferrow-index/answers', { text: 'any("accents")', hits: 3 }),
  );
  await give(answer, RIS('There before'));
  const file = Buffer.from(RIS('Lumi\u00e8re de nuit', 'There before', '\u00c9t\u00e9'), 'latin1');
  const first = body<GivenRecords>(await give(answer, file, '?job=first&encoding=koi8-r'));
  expect(first).toMatchObject({ read: 3, added: 2, total: 3, encoding: { how: 'person' } });
  const again = body<GivenRecords>(
    await give(answer, file, '?job=second&insteadOf=first&encoding=windows-1252'),
  );
  expect(again).toMatchObject({ read: 3, total: 3 });
  const rows = await application.application
    .get(Store)
    .read.find(HandRecordRow, { where: { meaning: answer.id }, order: { position: 'ASC' } });
  const titles = rows.map(({ record }) => (JSON.parse(record) as BibRecord).title);
  expect(titles.sort()).toEqual(['Lumi\u00e8re de nuit', 'There before', '\u00c9t\u00e9']);
  // Only the last one can be told from what others gave.
  expect((await give(answer, file, '?insteadOf=first')).status).toBe(409);
});

test('is run and logged with the records of its files, each once', async () => {
  const review = await application.reviewWithLane();
  const start = () =>
    application.post(`/api/reviews/${review.id}/runs`, {
      database: 'ferrow-index',
      timeZone: 'Europe/Lisbon',
    });
  expect(body<Problem>(await start()).title).toMatch(
    /Enter what the whole strategy finds in Ferrow Index first/,
  );
  const answer = body<HandAnswer>(
    await application.put('/api/databases/ferrow-index/answers', { text: 'any("light")', hits: 3 }),
  );
  expect(body<GivenRecords>(await give(answer, RIS('One', 'Two')))).toEqual({
    read: 2,
    added: 2,
    total: 2,
    troubles: [],
    encoding: { name: 'utf-8', how: 'utf8' },
  });
  expect(body<GivenRecords>(await give(answer, RIS('Two', 'Three')))).toMatchObject({
    read: 2,
    added: 1,
    total: 3,
  });
  const run = body<Run>(await start());
  await application.application.get(RunsService).finished(run.id);
  const entries = await entriesOf(application, review.id);
  expect(entries[0]?.content).toMatchObject({
    outcome: 'complete',
    hits: 3,
    fetched: 3,
    dialect: 'call form, asked by hand: counts entered, records from exported files',
  });
  const { rows } = body<RecordPage>(await application.get(`/api/reviews/${review.id}/records`));
  expect(rows.map(({ title }) => title)).toEqual(['One', 'Two', 'Three']);
});

test('a run with fewer records than were counted says so, and keeps what there is', async () => {
  const review = await application.reviewWithLane();
  const answer = body<HandAnswer>(
    await application.put('/api/databases/ferrow-index/answers', { text: 'any("light")', hits: 5 }),
  );
  await give(answer, RIS('One'));
  const run = body<Run>(
    await application.post(`/api/reviews/${review.id}/runs`, {
      database: 'ferrow-index',
      timeZone: 'Europe/Lisbon',
    }),
  );
  expect(await application.application.get(RunsService).finished(run.id)).toMatchObject({
    status: 'interrupted',
    fetched: 1,
    reason: expect.stringContaining('gave 1 of 5 records'),
  });
});

test('has its headings from a vocabulary that another database serves', async () => {
  await application.application.close();
  const light = await lightReview({}, heading);
  application = light.server;
  const named = { kind: 'mindry', names: { heading: 'topic' }, lacks: [] };
  await application.post('/api/databases', { ...database, vocabulary: 'tree', dialect: named });
  const { lines, problems } = body<Translation>(
    await application.get(`/api/reviews/${light.review.id}/translation?database=ferrow-index`),
  );
  expect(problems).toEqual([]);
  expect(lines[0]).toMatchObject({ sent: 'topic.below:"Light"', losses: [] });
  expect((await application.post('/api/databases', { ...database, vocabulary: 'none' })).status).toBe(404);
});

test('of a vocabulary that was read from a file it has the release that was read last', async () => {
  const readIn = async (tree: Vocabulary) =>
    request(application.application.getHttpServer())
      .post('/api/vocabularies')
      .query({ file: 'tree.ttl' })
      .set({ Host: 'localhost', [PERSON_HEADER]: application.person, 'Content-Type': 'text/turtle' })
      .send(await vocabularyToTurtle({ ...tree, id: 'file-tree' }))
      .expect(201);
  await readIn(treeWith('Lamps'));
  const dialect = { kind: 'mindry', names: {}, lacks: ['narrower'] };
  await application.post('/api/databases', { ...database, vocabulary: 'file-tree', dialect });
  const review = await application.reviewWithLane();
  const laneId = laneOf(review, 'I').id;
  const content = { ...heading, vocabulary: 'file-tree' };
  await application.post(`/api/reviews/${review.id}/terms`, { laneId, origin: 'typed', content });
  const sent = async () =>
    body<Translation>(await application.get(`/api/reviews/${review.id}/translation?database=ferrow-index-2`))
      .lines[0]?.sent;
  expect(await sent()).toBe('(descriptor:"Light" OR descriptor:"Lamps")');
  await readIn(treeWith('Torches'));
  expect(await sent()).toBe('(descriptor:"Light" OR descriptor:"Torches")');
});

test('a string or a file that cannot be read is refused with its place', async () => {
  expect(
    body<Problem>(
      await application.put('/api/databases/ferrow-index/answers', { text: 'any("light"', hits: 1 }),
    ).title,
  ).toMatch(/end of the call/);
  const answer = body<HandAnswer>(
    await application.post('/api/databases/ferrow-index/answers', { text: 'any("a")' }),
  );
  expect(answer.hits).toBeNull();
  expect(body<Problem>(await give(answer, 'Dear all')).errors?.[0]?.path).toBe('line 1');
  expect((await give(answer, ' ')).status).toBe(400);
  expect(
    (await application.put('/api/databases/corvane/answers', { text: 'any("a")', hits: 1 })).status,
  ).toBe(404);
});
