import { insertRaw } from './rawRows.js';
import { Store } from './store.js';
import { AddedDatabaseRow } from './entities.js';
import type { DatabaseList, Review, Run, Translation } from '@even-lantern/contract';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { RunsService } from '../runs/runsService.js';
import { entriesOf } from '../testing/entriesOf.js';

let server: TestApplication;
let database: FaultyConnector;

beforeEach(async () => {
  database = faultyConnector(25);
  server = await testApplication({ faulty: database });
});
afterEach(() => server.application.close());

const start = (review: Review) =>
  server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'UTC' });

test('lines written at once in three reviews are all written', async () => {
  const reviews = [
    await server.reviewWithLane(),
    await server.reviewWithLane(),
    await server.reviewWithLane(),
  ];
  const answers = await Promise.all(
    reviews.flatMap((review) =>
      review.elements
        .filter(({ searched }) => searched)
        .flatMap((element) =>
          Array.from({ length: 6 }, (_, i) =>
            server.put(`/api/reviews/${review.id}/lines`, {
              database: 'faulty',
              line: `lane:${element.id}`,
              language: 'cql',
              text: `el.words = "light${i}"`,
              version: 0,
            }),
          ),
        ),
    ),
  );
  // Of those that write the same line, one is first and the others are told.
  const lines = reviews.flatMap((review) => review.elements.filter(({ searched }) => searched)).length;
  expect(answers.filter(({ status }) => status === 200)).toHaveLength(lines);
  expect(answers.filter(({ status }) => status === 412)).toHaveLength(lines * 5);
});

test('ten runs of a review asked for at once are one run and nine refusals', async () => {
  const review = await server.reviewWithLane();
  let open: () => void = () => undefined;
  database.gate = new Promise((resolve) => (open = resolve));
  const answers = await Promise.all(Array.from({ length: 10 }, () => start(review)));
  open();
  expect(answers.map(({ status }) => status).sort()).toEqual([201, ...Array.from({ length: 9 }, () => 409)]);
  const run = answers.find(({ status }) => status === 201)?.body as Run;
  await server.application.get(RunsService).finished(run.id);
  expect(await entriesOf(server, review.id)).toHaveLength(1);
});

test('runs that were acknowledged stay, whatever is refused to others meanwhile', async () => {
  const reviews = await Promise.all(Array.from({ length: 6 }, () => server.reviewWithLane()));
  const started = await Promise.all(
    reviews.flatMap((review) => [
      start(review),
      // refused: another version
      server.patch(`/api/reviews/${review.id}`, { framework: 'spider' }, 99),
      server.patch(`/api/elements/${review.elements[0]?.id}`, { text: 'x' }, 99),
    ]),
  );
  const runs = started.filter(({ status }) => status === 201).map(({ body }) => body as Run);
  expect(runs).toHaveLength(6);
  for (const { id } of runs) {
    expect(await server.application.get(RunsService).finished(id)).toMatchObject({ status: 'complete' });
  }
});

test('an address that nothing can call is refused and not kept; a row that cannot be used does not keep the program from starting', async () => {
  const description = {
    how: 'address',
    name: 'Odd',
    description: '',
    address: 'http://256.256.256.256:99999/sru',
    version: '2.0',
    recordSchema: 'mods',
    dialect: { kind: 'cql', names: { words: 'text' }, lacks: [] },
    vocabulary: null,
  };
  const refused = await server.post('/api/databases', description).expect(400);
  expect(refused.body).toMatchObject({ title: expect.stringContaining('no address that can be called') });
  const row = { addedAt: '2026-11-01T00:00:00.000Z', addedBy: server.person, removedAt: null };
  await server.application.get(Store).write((manager) =>
    insertRaw(manager, AddedDatabaseRow, [
      { id: 'torn', content: '{"how":', ...row },
      { id: 'odd', content: JSON.stringify({ ...description, vocabulary: null }), ...row },
    ]),
  );
  const { storePath } = server;
  await server.application.close();
  server = await testApplication({ faulty: database }, storePath);
  const list = (await server.get('/api/databases').expect(200)).body as DatabaseList;
  expect(list.databases.map(({ id }) => id)).toContain('faulty');
  for (const id of ['torn', 'odd']) {
    expect(list.failed.find((each) => each.id === id)?.reason).toContain('set aside');
  }
});

test('a line whose translation fails once it is saved is told as saved', async () => {
  const review = await server.reviewWithLane();
  const element = review.elements.find(({ searched }) => searched);
  const before = (await server.get(`/api/reviews/${review.id}/translation?database=faulty`))
    .body as Translation;
  expect(before.lines.length).toBeGreaterThan(0);
  database.count = () => Promise.reject(new TypeError('a fault of the program'));
  const written = await server.put(`/api/reviews/${review.id}/lines`, {
    database: 'faulty',
    line: `lane:${element?.id}`,
    language: 'cql',
    text: 'el.words = "lamp"',
    version: 0,
  });
  expect(written.status).toBe(200);
  expect(written.body).toMatchObject({ version: 1 });
});
