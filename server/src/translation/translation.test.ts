import { emptyRecord, type TermField, type Vocabulary } from '@even-lantern/core';
import {
  type DatabaseChoice,
  type Rehearsal,
  type Review,
  type Run,
  type Translation,
} from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { heading, lightReview, vocabulary, words } from '../testing/lightReview.js';
import type { TestApplication } from '../testing/testApplication.js';
import { entriesOf } from '../testing/entriesOf.js';

let server: TestApplication;
let asked: string[];
afterEach(() => server.application.close());

async function reviewIn(...made: Parameters<typeof lightReview>): Promise<Review> {
  const light = await lightReview(...made);
  ({ server, asked } = light);
  return light.review;
}

const translate = async (review: Review) =>
  (await server.get(`/api/reviews/${review.id}/translation?database=db`).expect(200)).body as Translation;
const rehearse = async (review: Review) =>
  (await server.get(`/api/reviews/${review.id}/rehearsal?database=db`).expect(200)).body as Rehearsal;

test('every line stands in the dialect of the database, with references, and alone as it is sent', async () => {
  const review = await reviewIn({}, words('light'), words('lamps'));
  const { queryType, lines } = await translate(review);
  expect(queryType).toBe('corvane');
  expect(lines.map(({ text, sent, hits }) => [text, sent, hits])).toEqual([
    ['words("light")', 'words("light")', 5],
    ['words("lamps")', 'words("lamps")', 1],
    ['line(1) OR line(2)', 'words("light") OR words("lamps")', 5],
    ['line(3)', 'words("light") OR words("lamps")', 5],
  ]);
  expect(lines.every(({ understood, expected }) => understood === expected)).toBe(true);
  expect(asked).toContain('corvane 2026-10-01: words("light") OR words("lamps")');
});

test('a loss is told with its place and counted in records, both ways', async () => {
  const review = await reviewIn({ dialect: 'assayhouse' }, words('light night', 4));
  const [line] = (await translate(review)).lines;
  expect(line).toMatchObject({ text: "(text ~ 'light' & text ~ 'night')", hits: 2, intended: { hits: 1 } });
  expect(line?.losses).toMatchObject([
    { from: 0, to: 33, lost: 'within 4 words of each other', effect: 'widens', gained: 1, missed: 0 },
  ]);
});

test('a pattern that cannot stand in a phrase is spelled out with the words of the index', async () => {
  const review = await reviewIn({ dialect: 'mindry' }, words('light therap*'));
  const [line] = (await translate(review)).lines;
  expect(line?.text).toBe('("light therapies" OR "light therapy")');
  expect(line?.losses).toMatchObject([{ effect: 'same', gained: 0, missed: 0 }]);
});

test('a database without headings gets their names as words, and says so', async () => {
  const review = await reviewIn({ dialect: 'skein', vocabulary: null }, heading);
  const [line] = (await translate(review)).lines;
  expect(line).toMatchObject({
    text: 'light OR lamps',
    changes: ['searched as words, since this database has no headings'],
    hits: 5,
  });
});

test.each([
  ['corvane', 'withHeadings', 'words("light") OR headingwords("light")', []],
  ['skein', 'withHeadings', 'light', ['words in headings and subheadings cannot be searched here']],
  ['skein', 'everything', 'light OR in:author light OR in:journal light', []],
])('in %s, words looked for in %s are sent as %s', async (dialect, field, sent, changes) => {
  const light = { ...words('light'), field: field as TermField };
  const review = await reviewIn({ dialect, ...(dialect === 'skein' && { vocabulary: null }) }, light);
  const [line] = (await translate(review)).lines;
  expect(line).toMatchObject({ sent, changes, losses: [] });
  expect((await rehearse(review)).lines[0]).toMatchObject({ hits: line?.hits, changes });
});

test('what the screen counts, what is sent and what is run find the same, though something was lost', async () => {
  const review = await reviewIn({ dialect: 'assayhouse' }, words('light night', 4), words('wom?n'));
  const rehearsed = await rehearse(review);
  const translated = await translate(review);
  expect(rehearsed.lines.map(({ hits }) => hits)).toEqual(translated.lines.map(({ hits }) => hits));
  expect(rehearsed.lines[0]?.changes).toEqual([
    'it cannot say within 4 words of each other; said instead: all of them anywhere in the record (finds more)',
  ]);

  const run = (await server.post(`/api/reviews/${review.id}/runs`, { database: 'db', timeZone: 'UTC' }))
    .body as Run;
  await server.application.get(RunsService).finished(run.id);
  const entries = await entriesOf(server, review.id);
  const content = entries.at(-1)?.content;
  expect(content?.dialect).toBe('sign form');
  expect(content?.lines.map(({ string }) => string)).toEqual(translated.lines.map(({ sent }) => sent));
  expect(content?.lines.map(({ hits }) => hits)).toEqual(translated.lines.map(({ hits }) => hits));
});

test('a search can be run against an earlier release, and not against one that is not there', async () => {
  const review = await reviewIn({ releases: ['2026-07-01', '2026-10-01'] }, words('light'));
  const start = (release: string) =>
    server.post(`/api/reviews/${review.id}/runs`, { database: 'db', timeZone: 'UTC', release });
  expect((await start('1999-01-01').expect(400)).body).toMatchObject({ errors: [{ path: 'release' }] });
  const run = (await start('2026-07-01').expect(201)).body as Run;
  await server.application.get(RunsService).finished(run.id);
  expect(asked).toContain('corvane 2026-07-01: words("light")');
});

test('a run against an earlier release spells patterns out with the words of that one', async () => {
  const earlier = [{ ...emptyRecord(), accession: 'e', title: 'Light therapists' }];
  const releases = ['2026-07-01', '2026-10-01'];
  const review = await reviewIn({ dialect: 'mindry', releases, earlier }, words('"light therap*"'));
  const { lines } = await translate(review);
  expect(lines[0]?.text).toBe('("light therapies" OR "light therapy")');
  const asking = { database: 'db', timeZone: 'UTC', release: '2026-07-01' };
  const run = (await server.post(`/api/reviews/${review.id}/runs`, asking).expect(201)).body as Run;
  await server.application.get(RunsService).finished(run.id);
  expect(asked).toContain('mindry 2026-07-01: "light therapists"');
});

test('a heading that nobody settled is a question, not a translation', async () => {
  const other: Vocabulary = {
    ...vocabulary,
    id: 'thesaurus',
    name: 'A thesaurus',
    headings: vocabulary.headings.map((each) => ({ ...each, label: 'Illumination' })),
  };
  const review = await reviewIn({ dialect: 'wardline', vocabulary: other }, heading, words('lamps'));
  const { problems, lines } = await translate(review);
  expect(problems).toMatchObject([
    { message: expect.stringContaining('“Light” of the A tree is not settled') },
  ]);
  expect(lines[0]?.text).toBe('wn.text = "lamps"');
});

test('databases are chosen for a review, and one left out keeps the reason and who gave it', async () => {
  const review = await reviewIn({}, words('light'));
  const path = `/api/reviews/${review.id}/databases`;
  expect((await server.get(path)).body).toEqual([]);
  const put = (database: string, body: object) => server.put(`${path}/${database}`, body);
  await put('db', { chosen: true, note: '' }).expect(200);
  const [choice, ...more] = (await put('db', { chosen: false, note: 'Too small' }).expect(200))
    .body as DatabaseChoice[];
  expect(choice).toMatchObject({ database: 'db', chosen: false, note: 'Too small', person: 'Ada' });
  expect(more).toEqual([]);
  await put('nowhere', { chosen: true, note: '' }).expect(404);
  expect((await put('db', { chosen: 'perhaps', note: '' }).expect(400)).body).toMatchObject({
    errors: [{ path: 'chosen' }],
  });
});

test('a database that has no later release is not moved', async () => {
  await reviewIn({}, words('light'));
  expect((await server.post('/api/databases/db/advance', {}).expect(409)).body).toMatchObject({
    title: 'A database has no later release.',
  });
});
