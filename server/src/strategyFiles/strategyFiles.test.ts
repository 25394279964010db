import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  emptyRecord,
  laneKey,
  ownKey,
  reference,
  termKey,
  type BibRecord,
  type StrategyDocument,
} from '@even-lantern/core';
import {
  strategySchema,
  type Rehearsal,
  type Review,
  type ReviewOwnLine,
  type StrategyRead,
} from '@even-lantern/contract';
import { bodyOf } from '../http/openApi.js';
import { laneOf } from '../testing/laneOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

const WORDS = ['light', 'night', 'nurse', 'dusk'];
const RECORDS = Array.from({ length: 16 }, (_, n): BibRecord => ({
  ...emptyRecord(),
  accession: String(n),
  title: ['study', ...WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0)].join(' '),
  year: 2000 + n,
  language: 'English',
}));

let light: LightReview;
let review: Review;
beforeEach(async () => {
  light = await lightReview({ records: RECORDS }, words('light'), words('night'));
  review = light.review;
});
afterEach(() => light.server.application.close());

const lines = async (id: string) =>
  ((await light.server.get(`/api/reviews/${id}/rehearsal?database=db`).expect(200)).body as Rehearsal).lines;
const file = async (id: string) =>
  (await light.server.get(`/api/reviews/${id}/strategy.json`).expect(200)).body as StrategyDocument;
const read = (id: string, document: unknown) =>
  light.server.post(`/api/reviews/${id}/strategy.json`, document as object);

/** A strategy with all that one can hold. */
async function whole(): Promise<void> {
  const [first] = ((await light.server.get(`/api/reviews/${review.id}`)).body as Review).lanes.flatMap(
    ({ terms }) => terms,
  );
  const lane = laneOf(review, 'I').id;
  const [own] = (
    await light.server.post(`/api/reviews/${review.id}/own-lines`, {
      lines: [{ role: 'leavesOut', text: `${reference(termKey(first?.id ?? ''))} and dusk`, note: 'by day' }],
      before: null,
    })
  ).body as ReviewOwnLine[];
  await light.server.post(`/api/reviews/${review.id}/own-lines`, {
    lines: [
      {
        role: 'adds',
        text: `${reference(ownKey(own?.id ?? ''))} and nurse or ${reference(laneKey(lane))}`,
        note: '',
      },
    ],
    before: null,
  });
  await light.server.post(`/api/reviews/${review.id}/limits`, {
    limits: [
      { kind: 'years', values: { kind: 'years', from: 2004, to: null }, reason: 'lamps', on: true, ways: {} },
    ],
  });
  await light.server.put(`/api/reviews/${review.id}/lines`, {
    database: 'db', line: laneKey(lane), language: 'cql', text: 'cql.resultSetId = "L1" or nurse', version: 0,
  }); // prettier-ignore
}

test('a strategy goes out as JSON and comes back whole in another review', async () => {
  await whole();
  const document = await file(review.id);
  expect(document.ownLines.map(({ text }) => text)).toEqual([
    `${reference('term:1.1')} and dusk`,
    `${reference('own:1')} and nurse or ${reference('lane:1')}`,
  ]);
  const other = (await light.server.post('/api/reviews', { title: 'Other' })).body as Review;
  const told = (await read(other.id, document).expect(200)).body as StrategyRead;
  expect(told).toEqual({ terms: 2, present: 0, ownLines: 2, limits: 1, written: 1 });
  for (const each of other.elements.filter(({ searched, key }) => searched && key !== 'I')) {
    await light.server.patch(`/api/elements/${each.id}`, { searched: false }, each.version);
  }
  expect(await file(other.id)).toEqual({ ...document, title: 'Other' });
  expect((await lines(other.id)).map(({ hits }) => hits)).toEqual(
    (await lines(review.id)).map(({ hits }) => hits),
  );
});

test('read twice, terms stay as they are', async () => {
  const document = await file(review.id);
  const told = (await read(review.id, document).expect(200)).body as StrategyRead;
  expect(told).toEqual({ terms: 0, present: 2, ownLines: 0, limits: 0, written: 0 });
});

test('a file that is no strategy, or holds a limit that makes no sense, is refused whole', async () => {
  await whole();
  const document = await file(review.id);
  const before = await file(review.id);
  expect(JSON.stringify((await read(review.id, { form: 'a shopping list' }).expect(400)).body)).toContain(
    'This is not a file of a strategy',
  );
  const [limit] = document.limits;
  const backwards = { ...document, limits: [{ ...limit, values: { kind: 'years', from: 2020, to: 1990 } }] };
  await read(review.id, backwards).expect(400);
  expect(await file(review.id)).toEqual(before);
});

test('sheets go out as CSV with formulas defused, as Markdown, and as strings to paste', async () => {
  await whole();
  await light.server.post(`/api/reviews/${review.id}/own-lines`, {
    lines: [{ role: 'looks', text: 'nurse', note: '=1+1' }],
    before: null,
  });
  const csv = (await light.server.get(`/api/reviews/${review.id}/strategy.csv`).expect(200)).text;
  expect(csv).toContain("'=1+1");
  expect(csv).toContain('leaves out');
  const markdown = (await light.server.get(`/api/reviews/${review.id}/strategy.md`).expect(200)).text;
  expect(markdown).toContain('| L1 |');
  const text = (await light.server.get(`/api/reviews/${review.id}/strategy.txt?database=db`).expect(200))
    .text;
  expect(text.trim().split('\n')).toHaveLength((await lines(review.id)).length);
  expect(text).toContain('line(1)');
});

test('the schema in the guide is the one that files of strategies are checked with', () => {
  const path = join(__dirname, '..', '..', '..', 'docs', 'guide', 'strategy.schema.json');
  const written = JSON.parse(readFileSync(path, 'utf8')) as unknown;
  expect(written).toEqual({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'urn:even-lantern:schema:strategy:1',
    ...(bodyOf(strategySchema) as { schema: object }).schema,
  });
});
