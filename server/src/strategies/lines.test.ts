import {
  type ConvertedText,
  type LineConversion,
  type LineTextChange,
  type LineWritten,
  type Problem,
  type Rehearsal,
  type Run,
  type Translation,
} from '@even-lantern/contract';
import { headingCalled, indexVocabulary } from '@even-lantern/core';
import { RunsService } from '../runs/runsService.js';
import { LineTextRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { heading, lightReview, vocabulary, words, type LightReview } from '../testing/lightReview.js';
import { entriesOf } from '../testing/entriesOf.js';

let light: LightReview;
afterEach(() => light.server.application.close());

const write = (change: Partial<LineTextChange>) =>
  light.server.put(`/api/reviews/${light.review.id}/lines`, {
    database: 'db',
    line: 'whole',
    language: 'own',
    version: 0,
    ...change,
  });
const written = async (change: Partial<LineTextChange>) =>
  ((await write(change).expect(200)).body as LineWritten).translation as Translation;
const rehearse = async () =>
  (await light.server.get(`/api/reviews/${light.review.id}/rehearsal?database=db`)).body as Rehearsal;
const translation = async (database = 'db') =>
  (await light.server.get(`/api/reviews/${light.review.id}/translation?database=${database}`))
    .body as Translation;
const start = () =>
  light.server.post(`/api/reviews/${light.review.id}/runs`, { database: 'db', timeZone: 'UTC' });

test('a line written by hand is sent as it was written, counted, logged, and shown beside what the lanes give', async () => {
  light = await lightReview({}, words('light'), words('lamps'));
  const text = 'title("light")   NOT title("night")';
  const { lines } = await written({ text });
  expect(lines.at(-1)).toMatchObject({
    sent: text,
    hits: 3,
    written: { text, language: 'own', person: 'Ada', problem: null },
    version: 1,
    lanes: {
      own: 'words("light") OR words("lamps")',
      cql: 'el.words = "light" or el.words = "lamps"',
      hits: 5,
    },
    description: 'light in the title but not night in the title (written by hand)',
  });
  expect((await rehearse()).whole.hits).toBe(3);
  expect(light.asked).toContain(`corvane 2026-10-01: ${text}`);
  const run = (await start().expect(201)).body as Run;
  await light.server.application.get(RunsService).finished(run.id);
  const entries = await entriesOf(light.server, light.review.id);
  expect(entries[0]?.content).toMatchObject({ hits: 3 });
  expect(entries[0]?.content.lines.at(-1)?.string).toBe(text);
  expect((await translation('first')).lines.at(-1)?.written).toBeNull();
});

test('a term written by hand counts in its lane and in what it adds', async () => {
  light = await lightReview({}, words('light'), words('lamps'));
  const [, lamps] = (await translation()).lines;
  await written({ line: lamps?.key ?? '', text: 'title("night")' });
  const { terms, whole } = await rehearse();
  expect(terms[lamps?.termId ?? '']).toMatchObject({ hits: 2, adds: 0 });
  expect(whole.hits).toBe(5);
});

test('what cannot be read is kept with its place; the lanes are searched until it is mended, and nothing is run', async () => {
  light = await lightReview({}, words('light'));
  const { lines } = await written({ text: 'title("light"' });
  expect(lines.at(-1)).toMatchObject({
    sent: 'words("light")',
    written: { text: 'title("light"', problem: { at: 13 } },
  });
  expect((await rehearse()).problems).toMatchObject([
    { message: expect.stringMatching(/^L3 was written by hand and cannot be read/) },
  ]);
  expect(((await start()).body as Problem).title).toMatch(/cannot be read/);
  expect((await written({ text: 'title("light")', version: 1 })).problems).toEqual([]);
});

test('what the lanes give can be taken back, and what was written before taken again', async () => {
  light = await lightReview({}, words('light'));
  await written({ text: 'title("lamps")' });
  const back = await written({ text: null, version: 1 });
  expect(back.lines.at(-1)).toMatchObject({ written: null, version: 2, sent: 'words("light")' });
  expect((await written({ text: 'title("lamps")', version: 2 })).lines.at(-1)).toMatchObject({
    hits: 1,
    version: 3,
  });
});

test('a line that somebody else wrote in the meantime is not overwritten', async () => {
  light = await lightReview({}, words('light'));
  await written({ text: 'title("lamps")' });
  const refused = (await write({ text: 'title("night")' }).expect(412)).body as Problem;
  expect(refused).toMatchObject({ current: { version: 1, text: 'title("lamps")' } });
  expect((await translation()).lines.at(-1)?.written?.text).toBe('title("lamps")');
});

test('CQL is printed in the dialect with its losses, and counted as the database can be told', async () => {
  light = await lightReview({ dialect: 'assayhouse' }, words('light'));
  const text = 'el.title = "light" prox/unit=word/distance<=3 el.title = "night"';
  const { lines } = await written({ language: 'cql', text });
  expect(lines.at(-1)).toMatchObject({
    sent: "(title ~ 'light' & title ~ 'night')",
    hits: 2,
    losses: [{ lost: 'within 3 words of each other' }],
  });
  expect((await rehearse()).whole.hits).toBe(2);
});

test('references to lines are sent written out, and follow their lines', async () => {
  light = await lightReview({}, words('light'), words('lamps'));
  await written({ text: 'line(1) NOT line(2)' });
  expect((await translation()).lines.at(-1)).toMatchObject({
    sent: 'words("light") NOT words("lamps")',
    hits: 4,
  });
});

test('a heading that the database joins to bare words by itself is counted with them', async () => {
  const tree = indexVocabulary(vocabulary);
  light = await lightReview({ headingFor: (text) => headingCalled(tree, text)?.label ?? null }, heading);
  const { lines } = await written({ text: '"lamps"' });
  const last = lines.at(-1);
  expect([last?.hits, last?.understood === last?.expected]).toEqual([3, false]);
  expect((await rehearse()).whole.hits).toBe(3);
});

test('an empty text and a line of no kind are refused', async () => {
  light = await lightReview({}, words('light'));
  expect(((await write({ text: '' }).expect(400)).body as Problem).title).toMatch(/take what the lanes give/);
  await write({ line: 'L3', text: 'title("a")' }).expect(400);
});

test('quick saves are one state; what was taken back, and what others wrote, are states of their own', async () => {
  light = await lightReview({}, words('light'));
  for (const [version, text] of ['title("l")', 'title("li")', 'title("lig")'].entries()) {
    expect((await write({ text, version }).expect(200)).body).toMatchObject({ version: version + 1 });
  }
  await write({ text: null, version: 3 }).expect(200);
  await write({ text: 'title("lamps")', version: 4 }).expect(200);
  const rows = await light.server.application
    .get(Store)
    .read.find(LineTextRow, { order: { version: 'ASC' } });
  expect(rows.map(({ version, text, latest }) => [version, text, latest])).toEqual([
    [3, 'title("lig")', false],
    [4, null, false],
    [5, 'title("lamps")', true],
  ]);
  await write({ text: 'title("x")', version: 3 }).expect(412);
});

test('what a text would lose in the other language is told in records, before anything is changed', async () => {
  light = await lightReview({ dialect: 'assayhouse' }, words('light'));
  const convert = async (body: Partial<LineConversion>) =>
    (
      await light.server
        .post(`/api/reviews/${light.review.id}/lines/conversion`, { database: 'db', ...body })
        .expect(200)
    ).body as ConvertedText;
  const near = 'el.title = "light" prox/unit=word/distance<=3 el.title = "night"';
  const lost = await convert({ language: 'cql', text: near, to: 'own' });
  expect(lost.text).toBe("(title ~ 'light' & title ~ 'night')");
  expect(lost.losses).toEqual([
    expect.objectContaining({ lost: 'within 3 words of each other', effect: 'widens', missed: 0 }),
  ]);
  expect(lost.losses[0]?.gained).not.toBeNull();
  expect(await convert({ language: 'own', text: lost.text ?? '', to: 'cql' })).toMatchObject({
    problem: null,
    losses: [],
  });
  expect(await convert({ language: 'cql', text: 'el.title = "', to: 'own' })).toMatchObject({
    text: null,
    problem: { at: expect.any(Number) },
  });
  expect((await translation()).lines.every(({ written: by }) => by === null)).toBe(true);
});

test('cautions stay with a line, in CQL too', async () => {
  light = await lightReview({}, words('light'));
  const text = 'el.title = "light" or el.title = "lamps" and el.title = "night"';
  const { lines } = await written({ language: 'cql', text });
  expect(lines.at(-1)?.written?.cautions).toEqual([
    { at: expect.any(Number), message: expect.stringContaining('without parentheses') },
  ]);
  expect((await translation()).lines.at(-1)?.written?.cautions).toHaveLength(1);
});
