import { emptyRecord, ownKey, type BibRecord } from '@even-lantern/core';
import type {
  Rehearsal,
  Review,
  ReviewOwnLine,
  ReviewTerm,
  StrategyVersion,
  StrategyVersionWithState,
  VersionComparison,
} from '@even-lantern/contract';
import request from 'supertest';
import { laneOf } from '../testing/laneOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';
import { VersionKeeper } from './versionKeeper.js';

const WORDS = ['light', 'night', 'nurse', 'dusk', 'lamp'];
const RECORDS = Array.from({ length: 32 }, (_, n): BibRecord => ({
  ...emptyRecord(),
  accession: String(n),
  title: ['study', ...WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0)].join(' '),
  year: 2000 + n,
  language: 'English',
}));

let light: LightReview;
let review: Review;
beforeEach(async () => {
  light = await lightReview({ records: RECORDS }, words('light'));
  review = light.review;
});
afterEach(() => light.server.application.close());

const { get } = { get: (path: string) => light.server.get(path) };
const present = async () => (await get(`/api/reviews/${review.id}`)).body as Review;
const terms = async () => (await present()).lanes.flatMap((each): ReviewTerm[] => each.terms);
const lane = () => laneOf(review, 'I').id;
const rehearse = async () => (await get(`/api/reviews/${review.id}/rehearsal?database=db`)).body as Rehearsal;
const versions = async () => {
  await light.server.application.get(VersionKeeper).settled();
  return (await get(`/api/reviews/${review.id}/versions`).expect(200)).body as StrategyVersion[];
};
/** Keeps the present state on purpose. */
const keep = async () => {
  const [latest] = (await light.server.post(`/api/reviews/${review.id}/versions`, {}).expect(201))
    .body as StrategyVersion[];
  if (latest === undefined) throw new Error('no version');
  return latest.id;
};
const goBack = (id: string) => light.server.post(`/api/reviews/${review.id}/versions/${id}/go-back`, {});
const stateOf = async (id: string) =>
  ((await get(`/api/reviews/${review.id}/versions/${id}`)).body as StrategyVersionWithState).state;
const add = (text: string) =>
  light.server.post(`/api/reviews/${review.id}/terms`, {
    laneId: lane(),
    origin: 'typed',
    content: words(text),
  });
const addOwn = async (text: string, role: string) =>
  (
    (await light.server.post(`/api/reviews/${review.id}/own-lines`, {
      lines: [{ role, text, note: '' }],
      before: null,
    })) as { body: ReviewOwnLine[] }
  ).body[0];

test('states are kept without being asked, and quick changes of one person are one', async () => {
  await add('night');
  await add('nurse');
  expect(await versions()).toMatchObject([{ number: 1, name: '', present: true }]);
  await keep();
  await add('dusk');
  const [latest, first] = await versions();
  expect([latest?.number, latest?.present, first?.present]).toEqual([2, true, false]);
});

test('a version is named, and a named one is not written over', async () => {
  await add('night');
  const [first] = await versions();
  await light.server
    .put(`/api/reviews/${review.id}/versions/${first?.id}/name`, { name: ' looked over ' })
    .expect(200);
  await add('nurse');
  expect(await versions()).toMatchObject([
    { name: '', namedBy: null },
    { name: 'looked over', namedBy: 'Ada' },
  ]);
  // Nobody names anything without saying who they are.
  await request(light.server.application.getHttpServer())
    .put(`/api/reviews/${review.id}/versions/${first?.id}/name`)
    .set('Host', 'localhost')
    .send({ name: 'x' })
    .expect(401);
  expect((await versions()).map(({ name }) => name)).toEqual(['', 'looked over']);
});

test('a version gone back to equals the version, whatever was done in between, and what was left is kept', async () => {
  await add('night').expect(201);
  const own = await addOwn('nurse', 'narrows');
  await light.server.post(`/api/reviews/${review.id}/limits`, {
    limits: [
      { kind: 'years', values: { kind: 'years', from: 2005, to: null }, reason: 'new', on: true, ways: {} },
    ],
  });
  await light.server.put(`/api/reviews/${review.id}/lines`, {
    database: 'db', line: ownKey(own?.id ?? ''), language: 'cql', text: 'nurse or dusk', version: 0,
  }); // prettier-ignore
  const good = await keep();
  const hits = (await rehearse()).lines.map((line) => line.hits);
  // Everything is changed.
  const [first, second] = await terms();
  await light.server.patch(`/api/terms/${first?.id}`, { removed: true }, first?.version).expect(200);
  await light.server
    .patch(`/api/terms/${second?.id}`, { content: words('lamp') }, second?.version)
    .expect(200);
  await add('dusk');
  await light.server.patch(`/api/own-lines/${own?.id}`, { removed: true }, own?.version).expect(200);
  await addOwn('dusk', 'leavesOut');
  const [limit] = (await present()).limits;
  await light.server
    .patch(`/api/limits/${limit?.id}`, { on: false, reason: 'other' }, limit?.version)
    .expect(200);
  await light.server.put(`/api/reviews/${review.id}/lines`, {
    database: 'db', line: 'whole', language: 'cql', text: 'lamp', version: 0,
  }); // prettier-ignore
  await light.server
    .post(`/api/reviews/${review.id}/lanes`, { elementId: null, name: 'further' })
    .expect(201);
  const bad = await keep();
  const badState = await stateOf(bad);
  const { left } = (await goBack(good).expect(200)).body as { left: string };
  expect(left).toBe(bad);
  expect((await rehearse()).lines.map((line) => line.hits)).toEqual(hits);
  const again = await keep();
  expect(await stateOf(again)).toEqual(await stateOf(good));
  // And forward again, to what was left.
  await goBack(bad).expect(200);
  expect(await stateOf(await keep())).toEqual(badState);
});

test('random edits and goings back: each version gone back to is what it was', async () => {
  let seed = 11;
  const chance = (n: number) => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return Math.floor((seed / 2147483648) * n);
  };
  const kept = new Map<string, string>();
  for (let i = 0; i < 24; i += 1) {
    const now = await terms();
    const some = now[chance(now.length)];
    const what = chance(4);
    if (what === 0 || some === undefined || now.length < 2) await add(`${WORDS[chance(5)]}${i}`);
    else if (what === 1) await light.server.patch(`/api/terms/${some.id}`, { removed: true }, some.version);
    else if (what === 2)
      await light.server.patch(
        `/api/terms/${some.id}`,
        { content: words(`${WORDS[chance(5)]}x${i}`) },
        some.version,
      );
    else
      await addOwn(WORDS[chance(5)] ?? '', ['looks', 'narrows', 'adds', 'leavesOut'][chance(4)] ?? 'looks');
    const id = await keep();
    kept.set(id, JSON.stringify(await stateOf(id)));
    if (i % 4 === 3) {
      const ids = [...kept.keys()];
      const back = ids[chance(ids.length)] ?? '';
      await goBack(back).expect(200);
      expect(JSON.stringify(await stateOf(await keep()))).toBe(kept.get(back));
    }
  }
});

test('two versions are compared: what was done, and which records that gained and lost', async () => {
  await add('night');
  const before = await keep();
  const [first] = await terms();
  await light.server.patch(`/api/terms/${first?.id}`, { content: words('lamp') }, first?.version).expect(200);
  await addOwn('dusk', 'leavesOut');
  const after = await keep();
  const told = (
    await light.server
      .post(`/api/reviews/${review.id}/versions/compare`, { database: 'db', from: before, to: after })
      .expect(200)
  ).body as VersionComparison;
  expect(told.changes.map(({ what, did, before: was, after: is }) => [what, did, was, is])).toEqual([
    ['term', 'changed', 'light (title, abstract, keywords)', 'lamp (title, abstract, keywords)'],
    ['own line', 'added', null, 'dusk · leaves out'],
  ]);
  const has = (n: number, word: string) => (n & (1 << WORDS.indexOf(word))) !== 0;
  const was = (n: number) => has(n, 'light') || has(n, 'night');
  const is = (n: number) => (has(n, 'lamp') || has(n, 'night')) && !has(n, 'dusk');
  const count = (test: (n: number) => boolean) => RECORDS.filter((_record, n) => test(n)).length;
  expect(told.hits).toEqual({ from: count(was), to: count(is) });
  expect(told.gained.records).toBe(count((n) => is(n) && !was(n)));
  expect(told.lost.records).toBe(count((n) => was(n) && !is(n)));
  expect(told.lost.sample.every(({ accession }) => was(Number(accession)) && !is(Number(accession)))).toBe(
    true,
  );
});

test('a version that is not there is told, and nothing is changed', async () => {
  await add('night');
  await goBack('gone').expect(404);
  expect((await terms()).map(({ content }) => (content.kind === 'words' ? content.text : ''))).toEqual([
    'light',
    'night',
  ]);
});

test('ten people changing at the same moment leave versions in one order', async () => {
  await Promise.all(Array.from({ length: 10 }, (_, i) => add(`night${i}`).expect(201)));
  await Promise.all(
    Array.from({ length: 10 }, () => light.server.post(`/api/reviews/${review.id}/versions`, {})),
  );
  const numbers = (await versions()).map(({ number }) => number);
  expect(numbers).toEqual([...new Set(numbers)].sort((a, b) => b - a));
  expect((await stateOf((await versions())[0]?.id ?? '')).lanes.flatMap((each) => each.terms)).toHaveLength(
    11,
  );
});
