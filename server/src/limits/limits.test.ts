import { emptyRecord, type BibRecord } from '@even-lantern/core';
import type {
  LimitChange,
  LimitProfile,
  NewLimit,
  Problem,
  RecordPage,
  Rehearsal,
  Review,
  ReviewLimit,
  Run,
  StepSample,
  Translation,
} from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { entriesOf } from '../testing/entriesOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

const record = (accession: string, year: number, language: string, ageGroup: string[]): BibRecord => ({
  ...emptyRecord(),
  accession,
  title: `Light ${accession}`,
  year,
  language,
  limits: ageGroup.length === 0 ? {} : { ageGroup },
});
/** Seven records on light; two tell no age group, one of them no year. */
const RECORDS = [
  record('1', 1999, 'English', ['adult']),
  record('2', 2004, 'German', ['adult']),
  record('3', 2006, 'English', []),
  record('4', 2010, 'English', ['child']),
  record('5', 2015, 'French', ['adult', 'child']),
  record('6', 2020, 'English', ['adult']),
  record('7', 0, 'English', []),
];
const LIMITS = { language: ['English', 'French', 'German'], ageGroup: ['adult', 'child'] };

let light: LightReview;
let review: Review;
beforeEach(async () => {
  light = await lightReview({ records: RECORDS, limits: LIMITS, dialect: 'mindry' }, words('light'));
  review = light.review;
});
afterEach(() => light.server.application.close());

const values = (...some: string[]): NewLimit['values'] => ({ kind: 'values', values: some });
const since2005: NewLimit = {
  kind: 'years',
  values: { kind: 'years', from: 2005, to: null },
  reason: 'new lamps',
  on: true,
  ways: {},
};
const inEnglish: NewLimit = {
  kind: 'language',
  values: values('English'),
  reason: 'what we read',
  on: true,
  ways: {},
};
const adults: NewLimit = { kind: 'ageGroup', values: values('adult'), reason: '', on: true, ways: {} };

const add = async (...limits: NewLimit[]) =>
  (await light.server.post(`/api/reviews/${review.id}/limits`, { limits }).expect(201)).body as ReviewLimit[];
const change = (limit: ReviewLimit, to: LimitChange, version = limit.version) =>
  light.server.patch(`/api/limits/${limit.id}`, to, version);
const profile = async (body: object = {}) =>
  (await light.server.post(`/api/reviews/${review.id}/profile`, { database: 'db', ...body }).expect(200))
    .body as LimitProfile;
const kept = async () => ((await light.server.get(`/api/reviews/${review.id}`)).body as Review).limits;
const names = async () => (await kept()).map(({ kind }) => kind);
const run = () => light.server.post(`/api/reviews/${review.id}/runs`, { database: 'db', timeZone: 'UTC' });

test('the profile tells what each limit leaves, takes, takes alone, and takes for want of data', async () => {
  await add(since2005, inEnglish, adults);
  const { before, remains, steps } = await profile();
  expect([before.hits, remains.hits]).toEqual([7, 1]);
  // 3 4 5 6 are of 2005 or later; 3 4 6 of them in English; 6 of them tells adults.
  expect(steps.map((step) => [step.remains.hits, step.lost, step.only, step.lacking])).toEqual([
    [4, 3, 1, 1],
    [3, 1, 1, 0],
    [1, 2, 2, 1],
  ]);
});

test('limits that are tried are counted and leave nothing behind', async () => {
  const [first] = await add(since2005);
  const asIs = { id: 'tried', kind: 'language', values: values('German'), on: true, ways: {} };
  const { steps } = await profile({
    limits: [{ id: first?.id, kind: 'years', values: since2005.values, on: false, ways: {} }, asIs],
  });
  expect(steps.map(({ limitId, remains }) => [limitId, remains.hits])).toEqual([
    [first?.id, 7],
    ['tried', 1],
  ]);
  expect(await names()).toEqual(['years']);
  expect(await entriesOf(light.server, review.id)).toEqual([]);
});

test('what a limit loses can be read, with what was decided of it', async () => {
  const { id } = (await run().expect(201)).body as Run;
  await light.server.application.get(RunsService).finished(id);
  const all = (await light.server.get(`/api/reviews/${review.id}/records?limit=200`)).body as RecordPage;
  const one = all.rows.find(({ title }) => title === 'Light 1');
  await light.server.patch(`/api/records/${one?.id}`, { decision: 'keep' }, one?.version).expect(200);
  const [first] = await add(since2005);
  const { steps } = await profile();
  expect(steps[0]?.kept?.map(({ title }) => title)).toEqual(['Light 1']);
  const sample = (
    await light.server
      .post(`/api/reviews/${review.id}/profile/sample`, { database: 'db', limitId: first?.id, part: 'lost' })
      .expect(200)
  ).body as StepSample;
  expect(sample.records.map(({ accession }) => accession).sort()).toEqual(['1', '2', '7']);
  expect(sample.decisions['1']).toBe('keep');
});

test('a change is made on the version that was seen; who comes later is told what stands there now', async () => {
  const [limit] = await add(inEnglish);
  if (limit === undefined) throw new Error('nothing was added');
  const changed = (await change(limit, { values: values('German') }).expect(200)).body as ReviewLimit;
  expect([changed.version, changed.values, changed.changedBy]).toEqual([2, values('German'), 'Ada']);
  const { current } = (await change(limit, { values: values('French') }).expect(412)).body as Problem;
  expect((current as ReviewLimit).values).toEqual(values('German'));
  await light.server.patch(`/api/limits/${limit.id}`, { on: false }).expect(428);
});

test('limits are moved, taken away and brought back to where they were', async () => {
  const [first, second, third] = await add(since2005, inEnglish, adults);
  if (first === undefined || second === undefined || third === undefined)
    throw new Error('nothing was added');
  const moved = (await change(third, { before: first.id }).expect(200)).body as ReviewLimit;
  expect(await names()).toEqual(['ageGroup', 'years', 'language']);
  await change(first, { before: 'nobody' }).expect(404);
  const gone = (await change(moved, { removed: true }).expect(200)).body as ReviewLimit;
  expect(await names()).toEqual(['years', 'language']);
  await change(gone, { removed: false }).expect(200);
  expect(await names()).toEqual(['ageGroup', 'years', 'language']);
});

test('gathered limits are added together or not at all', async () => {
  const bad = { ...inEnglish, values: values() };
  const { errors } = (
    await light.server.post(`/api/reviews/${review.id}/limits`, { limits: [since2005, bad] }).expect(400)
  ).body as Problem;
  expect(errors?.[0]).toMatchObject({
    path: expect.stringContaining('1') as string,
    message: 'Choose at least one value.',
  });
  expect(await names()).toEqual([]);
});

test.each([
  [{ kind: 'years', values: { kind: 'years', from: 2026, to: 2005 } }, 'run backwards'],
  [{ kind: 'years', values: { kind: 'years', from: null, to: null } }, 'the first year'],
  [{ kind: 'years', values: { kind: 'years', from: 20.5, to: null } }, 'whole number'],
  [{ kind: 'years', values: { kind: 'years', from: 20055, to: null } }, 'between 1 and 9999'],
  [{ kind: 'moon', values: values('x') }, 'must be one of'],
  [{ kind: 'humans', values: values('no') }, 'on or off'],
  [{ kind: 'language', values: values('English', 'english') }, 'twice'],
  [{ kind: 'language', values: values('a'.repeat(201)) }, 'at most 200'],
  [{ kind: 'language', values: values(...Array.from({ length: 101 }, (_, i) => `l${i}`)) }, 'at most 100'],
])('%j is refused, and says why', async (part, why) => {
  const { errors } = (
    await light.server
      .post(`/api/reviews/${review.id}/limits`, { limits: [{ ...inEnglish, ...part }] })
      .expect(400)
  ).body as Problem;
  expect(errors?.map(({ message }) => message).join(' ')).toContain(why);
});

test('a kept limit cannot become what its kind cannot be', async () => {
  const [limit] = await add(since2005);
  if (limit === undefined) throw new Error('nothing was added');
  const { errors } = (await change(limit, { values: values('2005') }).expect(400)).body as Problem;
  expect(errors).toEqual([{ path: 'values', message: 'Years of publication takes a range.' }]);
});

test('a review has so many limits and no more, also when many are added at the same moment', async () => {
  const forty = Array.from({ length: 25 }, () => inEnglish);
  const answers = await Promise.all(
    [1, 2, 3].map(() => light.server.post(`/api/reviews/${review.id}/limits`, { limits: forty })),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  expect((await kept()).length).toBe(25);
});

test('of changes at the same moment one is taken, and the others are told', async () => {
  const [limit] = await add(inEnglish);
  if (limit === undefined) throw new Error('nothing was added');
  const answers = await Promise.all(
    ['English', 'French', 'German', 'English', 'French'].map((value) =>
      change(limit, { values: values(value) }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 412, 412, 412, 412]);
});

test('words of one’s own are counted against the filter whose place they take', async () => {
  const words = { any: ['"light 1"', '"light 2"'], without: [] };
  const mine = {
    id: 'tried',
    kind: 'design',
    values: { kind: 'values', values: ['Randomised trial'], words },
    on: true,
    ways: {},
  };
  const { steps } = await profile({ limits: [mine] });
  expect(steps[0]).toMatchObject({ way: 'words', lost: 5, against: { gained: 2, missed: 0 } });
  const unread = { ...mine, values: { ...mine.values, words: { any: ['"open'], without: [] } } };
  const { errors } = (
    await light.server
      .post(`/api/reviews/${review.id}/profile`, { database: 'db', limits: [unread] })
      .expect(400)
  ).body as Problem;
  expect(errors?.[0]?.message).toContain('quotation mark');
});

describe('limits in the strategy', () => {
  test('are lines behind those of the lanes, in the dialect, and what the strategy finds is what they leave', async () => {
    await add(since2005, inEnglish);
    const translation = (await light.server.get(`/api/reviews/${review.id}/translation?database=db`))
      .body as Translation;
    expect(
      translation.lines.slice(-2).map(({ kind, sent, hits, key }) => [kind, sent, hits, key.split(':')[0]]),
    ).toEqual([
      ['limit', 'light AND year:[2005 TO *]', 4, 'limit'],
      ['limit', 'light AND year:[2005 TO *] AND language:"English"', 3, 'limit'],
    ]);
    const rehearsal = (await light.server.get(`/api/reviews/${review.id}/rehearsal?database=db`))
      .body as Rehearsal;
    expect([rehearsal.whole.hits, rehearsal.remains.hits]).toEqual([7, 3]);
  });

  test('one that is switched off, or that a database does not have, is no line', async () => {
    await add(
      { ...since2005, on: false },
      { kind: 'peerReview', values: values('yes'), reason: '', on: true, ways: {} },
    );
    const { lines } = (await light.server.get(`/api/reviews/${review.id}/translation?database=db`))
      .body as Translation;
    expect(lines.at(-1)?.kind).toBe('whole');
    expect((await profile()).steps[1]).toMatchObject({ way: 'none', remains: { hits: 7 }, lost: 0 });
  });

  test('can be written by hand for one database; what they alone lose is not told then', async () => {
    const [limit] = await add(inEnglish);
    const text = 'light AND language:"German"';
    await light.server
      .put(`/api/reviews/${review.id}/lines`, {
        database: 'db',
        line: `limit:${limit?.id}`,
        language: 'own',
        text,
        version: 0,
      })
      .expect(200);
    const { steps, remains } = await profile();
    expect([remains.hits, steps[0]?.written, steps[0]?.lost, steps[0]?.only]).toEqual([1, true, 6, null]);
  });
});

describe('a run', () => {
  test('asks for the reason of each limit before it is logged, and of none that is off', async () => {
    const [limit] = await add(adults, { ...inEnglish, reason: '', on: false });
    const { errors } = (await run().expect(400)).body as Problem;
    expect(errors).toMatchObject([
      { path: `limits/${limit?.id}`, message: expect.stringContaining('Age group adult') as string },
    ]);
    if (limit === undefined) throw new Error('nothing was added');
    await change(limit, { reason: ' Children sleep otherwise. ' }).expect(200);
    await run().expect(201);
  });

  test('logs each limit with its reason, how it was applied, the counts around it, by whom; also those not applied', async () => {
    await add(since2005, inEnglish, {
      kind: 'peerReview',
      values: values('yes'),
      reason: 'protocol',
      on: true,
      ways: {},
    });
    const { id } = (await run().expect(201)).body as Run;
    await light.server.application.get(RunsService).finished(id);
    const [entry] = await entriesOf(light.server, review.id);
    const content = entry?.content;
    expect([content?.hits, content?.fetched, content?.form]).toEqual([3, 3, 5]);
    expect(content?.limits?.map(({ setAt: _at, ...rest }) => rest)).toEqual([
      {
        limit: 'Years of publication from 2005',
        reason: 'new lamps',
        way: 'own limit',
        notApplied: null,
        line: 4,
        before: 7,
        after: 4,
        setBy: 'Ada',
      },
      {
        limit: 'Language English',
        reason: 'what we read',
        way: 'own limit',
        notApplied: null,
        line: 5,
        before: 4,
        after: 3,
        setBy: 'Ada',
      },
      {
        limit: 'Peer reviewed',
        reason: 'protocol',
        way: null,
        notApplied: expect.stringContaining('no limit of this kind') as string,
        line: null,
        before: null,
        after: null,
        setBy: 'Ada',
      },
    ]);
    const markdown = (await light.server.get(`/api/reviews/${review.id}/ledger.md`)).text;
    expect(markdown).toContain('| Years of publication from 2005 | new lamps | own limit | 7 | 4 |');
  });
});
