/**
 * Packages with nonsense in one value, their file hashes made anew: each is refused in a sentence, or taken in so that every
 * view of the review, and the list of all, can still be read.
 */
import { buffer } from 'node:stream/consumers';
import type { PackageTaken, Problem } from '@even-lantern/contract';
import { PERSON_HEADER } from '@even-lantern/contract';
import request from 'supertest';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { Scheduler } from '../schedules/scheduler.js';
import { descriptionOf } from '../store/description.js';
import { TABLES_OF_REVIEWS } from '../store/tables.js';
import { fullReview } from '../testing/fullReview.js';
import { forge, repacked, unpacked } from '../testing/packageFiles.js';
import type { TestApplication } from '../testing/testApplication.js';

/** `NONSENSE=2000 npx jest nonsense` tries more, `NONSENSE_SEED` others. */
const TRIES = Number(process.env.NONSENSE ?? 30);
const SEED = Number(process.env.NONSENSE_SEED ?? 1);

type Row = Record<string, unknown>;
const NONSENSE: readonly unknown[] = [
  null,
  'nope',
  '',
  -1,
  1.5,
  1e15,
  [],
  {},
  [null],
  { kind: 'nope' },
  true,
];

let server: TestApplication;
let reviewId: string;
let files: Map<string, Buffer>;
let views: string[];

beforeAll(async () => {
  const made = await fullReview(async ({ application }, at) => {
    await application.get(Scheduler).look(at);
    await application.get(Scheduler).settled();
  });
  ({ server, reviewId } = made);
  const answer = await server
    .get(`/api/reviews/${reviewId}/package.zip`)
    .buffer(true)
    .parse((response, done) => {
      buffer(response as unknown as NodeJS.ReadableStream).then(
        (body) => done(null, body),
        (error: Error) => done(error, null),
      );
    });
  files = await unpacked(answer.body as Buffer);
  const { paths } = (await server.get('/api/openapi.json').expect(200)).body as {
    paths: Record<string, { get?: object }>;
  };
  views = Object.entries(paths)
    .filter(([path, { get }]) => get !== undefined && /^\/api\/reviews\/\{id\}[^{]*$/.test(path))
    .map(([path]) => path.replace('{id}', reviewId))
    .filter((path) => !path.endsWith('/progress'));
  expect(views.length).toBeGreaterThan(20);
  await end();
}, 120_000);
afterAll(() => server.application.close());

async function end(): Promise<void> {
  const { title } = (await server.get(`/api/reviews/${reviewId}`)).body as { title: string };
  await server.post(`/api/reviews/${reviewId}/deletion`, { title }).expect(204);
  await server.application.get(ReviewEndService).settled();
}

/** A generator of numbers below a bound, the same for the same seed. */
function chanceOf(seed: number): (below: number) => number {
  let state = seed * 2_654_435_761;
  return (below) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

/** Puts nonsense into one place of a row: a column, or somewhere within its JSON. @returns where, in words */
function spoil(row: Row, json: Readonly<Record<string, unknown>>, chance: (below: number) => number): string {
  const columns = Object.keys(row);
  const column = columns[chance(columns.length)] ?? '';
  const nonsense = () => NONSENSE[chance(NONSENSE.length)];
  if (!(column in json) || row[column] === null) {
    row[column] = nonsense();
    return `${column} = ${JSON.stringify(row[column])}`;
  }
  const whole = { value: JSON.parse(String(row[column])) as unknown };
  let at: Row = whole;
  let key = 'value';
  const path: string[] = [];
  for (;;) {
    const inner = at[key];
    const keys = typeof inner === 'object' && inner !== null ? Object.keys(inner) : [];
    if (keys.length === 0 || (path.length > 0 && chance(3) === 0)) break;
    at = inner as Row;
    key = keys[chance(keys.length)] ?? '';
    path.push(key);
  }
  at[key] = nonsense();
  row[column] = JSON.stringify(whole.value);
  return `${column}.${path.join('.')} = ${JSON.stringify(at[key])}`;
}

test('what stands in a package is refused in words, or every view can be read after it was taken in', async () => {
  const chance = chanceOf(SEED);
  const wrong: string[] = [];
  let taken = 0;
  for (let i = 0; i < TRIES; i += 1) {
    const table = TABLES_OF_REVIEWS[chance(TABLES_OF_REVIEWS.length)];
    if (table === undefined) continue;
    const { name, json } = descriptionOf(table.entity);
    const copy = new Map(files);
    let where = name;
    forge(copy, name, (text) => {
      const rows = text
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Row);
      const row = rows[chance(rows.length)];
      if (row !== undefined) where = `${name}: ${spoil(row, json, chance)}`;
      return rows.map((each) => `${JSON.stringify(each)}\n`).join('');
    });
    const answer = await request(server.application.getHttpServer())
      .post(`/api/packages?job=${i}`)
      .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'application/zip' })
      .send(await repacked(copy));
    if (answer.status !== 201) {
      if (answer.status >= 500) wrong.push(`${where}: ${(answer.body as Problem).title}`);
      continue;
    }
    taken += 1;
    const { id } = answer.body as PackageTaken;
    expect(id).toBe(reviewId);
    for (const view of ['/api/reviews', ...views]) {
      const { status, body } = await server.get(`${view}?database=db`);
      if (status >= 500) wrong.push(`${where}: ${view}: ${(body as Problem).title}`);
    }
    await end();
  }
  expect(wrong).toEqual([]);
  // Most nonsense is refused; what says nothing wrong, such as another text, is taken in.
  expect(taken).toBeLessThan(TRIES);
}, 3_600_000);
