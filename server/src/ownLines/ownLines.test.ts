import { emptyRecord, laneKey, ownKey, reference, termKey, type BibRecord } from '@even-lantern/core';
import type {
  LineWritten,
  NewOwnLine,
  OwnLineChange,
  Problem,
  Rehearsal,
  Review,
  ReviewOwnLine,
  Run,
  StrategyEffects,
  StrategyTotal,
  Translation,
} from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { laneOf } from '../testing/laneOf.js';
import { entriesOf } from '../testing/entriesOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

const WORDS = ['light', 'night', 'nurse', 'newborn', 'dusk'];
/** One record for each set of the words. */
const RECORDS = Array.from({ length: 32 }, (_, n): BibRecord => ({
  ...emptyRecord(),
  accession: String(n),
  title: ['study', ...WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0)].join(' '),
  year: 2020,
  language: n % 2 === 0 ? 'English' : 'French',
}));
const has = (n: number, word: string) => (n & (1 << WORDS.indexOf(word))) !== 0;
const count = (test: (n: number) => boolean) => RECORDS.filter((_record, n) => test(n)).length;

let light: LightReview;
let review: Review;
beforeEach(async () => {
  light = await lightReview(
    { records: RECORDS, limits: { language: ['English', 'French'] } },
    words('light'),
    words('night'),
  );
  review = light.review;
});
afterEach(() => light.server.application.close());

const line = (text: string, role: NewOwnLine['role'] = 'looks', note = ''): NewOwnLine => ({
  text,
  role,
  note,
});
const add = async (...lines: NewOwnLine[]) =>
  (await light.server.post(`/api/reviews/${review.id}/own-lines`, { lines, before: null }).expect(201))
    .body as ReviewOwnLine[];
const change = (own: ReviewOwnLine, to: OwnLineChange, version = own.version) =>
  light.server.patch(`/api/own-lines/${own.id}`, to, version);
const present = async () => ((await light.server.get(`/api/reviews/${review.id}`)).body as Review).ownLines;
const rehearse = async () =>
  (await light.server.get(`/api/reviews/${review.id}/rehearsal?database=db`).expect(200)).body as Rehearsal;
const effects = async () =>
  (await light.server.get(`/api/reviews/${review.id}/effects?database=db`).expect(200))
    .body as StrategyEffects;
const run = async () => {
  const started = (
    await light.server.post(`/api/reviews/${review.id}/runs`, { database: 'db', timeZone: 'UTC' }).expect(201)
  ).body as Run;
  return light.server.application.get(RunsService).finished(started.id);
};
const lane = () => laneOf(review, 'I').id;

test('own lines stand before the whole and take part in it as they say', async () => {
  const [narrows, , , looks] = await add(
    line('nurse', 'narrows'),
    line('dusk', 'adds'),
    line('newborn', 'leavesOut'),
    line(`${reference(laneKey(lane()))} and newborn`),
  );
  const { lines, whole, problems } = await rehearse();
  expect(problems).toEqual([]);
  expect(lines.map(({ kind }) => kind)).toEqual([
    'term', 'term', 'lane', 'own', 'own', 'own', 'own', 'whole',
  ]); // prettier-ignore
  expect(lines.find(({ ownId }) => ownId === looks?.id)).toMatchObject({
    number: 7,
    description: expect.stringMatching(/^L3 and newborn/) as string,
    hits: count((n) => (has(n, 'light') || has(n, 'night')) && has(n, 'newborn')),
  });
  expect(lines.find(({ ownId }) => ownId === narrows?.id)?.hits).toBe(16);
  const inLane = (n: number) => has(n, 'light') || has(n, 'night');
  expect(whole.hits).toBe(
    count((n) => ((inLane(n) && has(n, 'nurse')) || has(n, 'dusk')) && !has(n, 'newborn')),
  );
});

test('what each part does to the whole is told to the record', async () => {
  await run();
  const records = (await light.server.get(`/api/reviews/${review.id}/records?limit=200`)).body as {
    rows: { id: string; title: string; version: number }[];
  };
  const good = records.rows.find(({ title }) => title === 'study light nurse newborn');
  await light.server.patch(`/api/records/${good?.id}`, { decision: 'keep' }, good?.version).expect(200);
  const [nurse, dusk, newborn] = await add(
    line('nurse', 'narrows'),
    line('dusk', 'adds'),
    line('newborn', 'leavesOut'),
  );
  const told = await effects();
  const whole = (n: number, without = '') =>
    (((without !== 'light' && has(n, 'light')) || (without !== 'night' && has(n, 'night'))) &&
      (without === 'nurse' || has(n, 'nurse'))) ||
    (without !== 'dusk' && has(n, 'dusk'));
  const out = (n: number, without = '') => without === 'newborn' || !has(n, 'newborn');
  const expected = (without: string) => count((n) => whole(n, without) && out(n, without));
  expect(told.whole.hits).toBe(expected(''));
  const { lines } = await rehearse();
  const [first, second] = lines.map(({ termId }) => termId ?? '');
  expect(told.terms[first ?? '']?.hits).toBe(expected('light'));
  expect(told.terms[second ?? '']?.hits).toBe(expected('night'));
  expect(told.own[nurse?.id ?? '']?.hits).toBe(expected('nurse'));
  expect(told.own[dusk?.id ?? '']?.hits).toBe(expected('dusk'));
  expect(told.own[newborn?.id ?? '']?.hits).toBe(expected('newborn'));
  const left = told.leftOut[ownKey(newborn?.id ?? '')];
  expect(left?.records).toBe(expected('newborn') - expected(''));
  expect(left?.kept?.map(({ title }) => title)).toEqual(['study light nurse newborn']);
  expect(told.fall.map(({ hits }) => hits)).toEqual([
    count((n) => has(n, 'light') || has(n, 'night')),
    count((n) => (has(n, 'light') || has(n, 'night')) && has(n, 'nurse')),
    count((n) => whole(n)),
    expected(''),
  ]);
});

test('the effects of a large strategy are counted when they are asked for, and that is said', async () => {
  const terms = Array.from({ length: 120 }, (_, i) => ({
    content: words(`light${i}*`),
    origin: 'typed',
    heldBack: null,
  }));
  const file = {
    form: 'even-lantern-lanes/2',
    title: '',
    lanes: ['many', 'more'].map((name) => ({ name, element: null, leftOut: false, terms })),
  };
  await light.server.post(`/api/reviews/${review.id}/lanes.json`, file).expect(200);
  await add(...Array.from({ length: 30 }, () => line(`${reference(laneKey(lane()))} or nurse`, 'adds')));
  const some = await effects();
  expect(some.uncounted).toBe(242);
  expect(some.terms).toEqual({});
  const all = (await light.server.get(`/api/reviews/${review.id}/effects?database=db&all=yes`).expect(200))
    .body as StrategyEffects;
  expect([all.uncounted, Object.keys(all.terms).length, Object.keys(all.own).length]).toEqual([0, 242, 30]);
});

test('a term that adds nothing is told to change nothing', async () => {
  await light.server
    .post(`/api/reviews/${review.id}/terms`, {
      laneId: lane(),
      origin: 'typed',
      content: words('light study'),
    })
    .expect(201);
  const { lines, whole } = await rehearse();
  const { terms } = await effects();
  const id = lines.find(({ kind, hits }) => kind === 'term' && hits === 0)?.termId ?? '';
  expect(terms[id]?.hits).toBe(whole.hits);
});

test('the total of a sheet is what its lines say, in two counts at most', async () => {
  await add(line('nurse', 'narrows'), line(`${reference('whole')} and dusk`));
  await light.server.post(`/api/reviews/${review.id}/limits`, {
    limits: [
      { kind: 'language', values: { kind: 'values', values: ['English'] }, reason: 'x', on: true, ways: {} },
    ],
  });
  light.asked.length = 0;
  const told = (await light.server.get(`/api/reviews/${review.id}/total?database=db`).expect(200))
    .body as StrategyTotal;
  expect(light.asked.length).toBeLessThanOrEqual(2);
  const { whole, remains } = await rehearse();
  expect([told.whole, told.remains]).toEqual([whole, remains]);
  expect(remains.hits).toBeLessThan(whole.hits ?? 0);
});

test('a line that only looks may look at the whole, and is not run', async () => {
  await add(line(`${reference('whole')} and nurse`));
  const { lines, whole, remains } = await rehearse();
  expect(lines.at(-1)).toMatchObject({ kind: 'own', number: 5 });
  expect(remains.hits).toBe(whole.hits);
  expect((await run()).hits).toBe(whole.hits);
  const [entry] = await entriesOf(light.server, review.id);
  expect(entry?.content.lines.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
});

test('a line that cannot be read is kept and told, and holds up a run only where it takes part', async () => {
  const [looks] = await add(line('(night or'));
  expect((await rehearse()).problems).toMatchObject([{ line: ownKey(looks?.id ?? ''), aside: true }]);
  expect((await run()).status).toBe('complete');
  if (looks === undefined) throw new Error('no line');
  await change(looks, { role: 'narrows' }).expect(200);
  const refused = await light.server.post(`/api/reviews/${review.id}/runs`, {
    database: 'db',
    timeZone: 'UTC',
  });
  expect([refused.status, (refused.body as Problem).errors?.[0]?.message]).toEqual([
    400,
    expect.stringContaining('cannot be read') as string,
  ]);
  expect((await present())[0]?.text).toBe('(night or');
});

test('lines are changed on the version that was seen, switched, annotated, moved, taken away and brought back', async () => {
  const [a, b] = await add(line('nurse'), line('dusk'));
  if (a === undefined || b === undefined) throw new Error('no lines');
  await change(a, { note: ' tried once ' }).expect(200);
  const late = await change(a, { text: 'porter' });
  expect([late.status, (late.body as Problem).current]).toMatchObject([412, { note: 'tried once' }]);
  await change(b, { before: a.id }).expect(200);
  expect((await present()).map(({ text }) => text)).toEqual(['dusk', 'nurse']);
  await change(a, { on: false, role: 'narrows' }, 2).expect(200);
  expect((await rehearse()).lines.some(({ ownId }) => ownId === a.id)).toBe(false);
  await change(a, { removed: true }, 3).expect(200);
  expect((await present()).map(({ text }) => text)).toEqual(['dusk']);
  await change(a, { removed: false }, 4).expect(200);
  expect((await present()).map(({ text, on }) => [text, on])).toEqual([
    ['dusk', true],
    ['nurse', false],
  ]);
});

test('two lines become one, and what referred to either refers to it; undone, all is as it was', async () => {
  const [a, b] = await add(line('nurse'), line('dusk or newborn'));
  if (a === undefined || b === undefined) throw new Error('no lines');
  await add(line(`${reference(ownKey(b.id))} and light`));
  const before = (await rehearse()).lines.map(({ hits }) => hits);
  const merge = { other: b.id, version: b.version, operator: 'or' };
  const { body } = await light.server
    .post(`/api/own-lines/${a.id}/merge`, merge)
    .set('If-Match', `"${a.version}"`)
    .expect(200);
  const lines = body as ReviewOwnLine[];
  expect(lines.map(({ text }) => text)).toEqual([
    '(nurse) or (dusk or newborn)',
    `${reference(ownKey(a.id))} and light`,
  ]);
  await light.server.post(`/api/reviews/${review.id}/undo`, { since: null }).expect(200);
  expect((await rehearse()).lines.map(({ hits }) => hits)).toEqual(before);
});

test('a line is split into what it joins, and finds what it found', async () => {
  const [a] = await add(line(`nurse and ${reference(termKey((await rehearse()).lines[0]?.termId ?? ''))}`));
  if (a === undefined) throw new Error('no line');
  const found = (await rehearse()).lines.find(({ ownId }) => ownId === a.id)?.hits;
  const { body } = await light.server
    .post(`/api/own-lines/${a.id}/split`, {})
    .set('If-Match', `"${a.version}"`)
    .expect(200);
  const lines = body as ReviewOwnLine[];
  expect(lines).toHaveLength(3);
  const after = await rehearse();
  expect(after.lines.find(({ ownId }) => ownId === a.id)).toMatchObject({
    hits: found,
    description: 'L4 and L5',
  });
  await light.server.post(`/api/reviews/${review.id}/undo`, { since: null }).expect(200);
  expect((await present()).map(({ text }) => text)).toEqual([a.text]);
  await change(a, { text: 'nurse' }, (await present())[0]?.version).expect(200);
  const [now] = await present();
  const refused = await light.server
    .post(`/api/own-lines/${a.id}/split`, {})
    .set('If-Match', `"${now?.version}"`);
  expect(refused.status).toBe(400);
});

test('an own line is written otherwise for one database, and says what its dialect cannot', async () => {
  const [a] = await add(
    line('el.title = "nurse" prox/unit=word/distance<=2/ordered el.title = "dusk"', 'adds'),
  );
  const translation = (await light.server.get(`/api/reviews/${review.id}/translation?database=db`))
    .body as Translation;
  const told = translation.lines.find(({ ownId }) => ownId === a?.id);
  expect(told?.losses.length).toBeGreaterThan(0);
  const { body } = await light.server.put(`/api/reviews/${review.id}/lines`, {
    database: 'db',
    line: ownKey(a?.id ?? ''),
    language: 'cql',
    text: 'dusk',
    version: 0,
  });
  const written = (body as LineWritten).translation?.lines.find(({ ownId }) => ownId === a?.id);
  expect(written?.hits).toBe(16);
});

test('forty people adding lines at the same moment all keep theirs, in one order', async () => {
  await Promise.all(Array.from({ length: 40 }, (_, i) => add(line(`nurse${i}`))));
  const lines = await present();
  expect(new Set(lines.map(({ text }) => text)).size).toBe(40);
  expect((await rehearse()).lines.filter(({ kind }) => kind === 'own').map(({ ownId }) => ownId)).toEqual(
    lines.map(({ id }) => id),
  );
});
