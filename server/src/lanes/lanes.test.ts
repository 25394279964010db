import fc from 'fast-check';
import type {
  KeptReviewLane,
  LaneEvent,
  LanesRead,
  MergedLane,
  Problem,
  Review,
  ReviewTerm,
} from '@even-lantern/contract';
import { faultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let review: Review;

beforeAll(async () => {
  server = await testApplication({ faulty: faultyConnector(3) });
});
afterAll(() => server.application.close());
beforeEach(async () => {
  review = (await server.post('/api/reviews', { title: 'Lanes' })).body as Review;
});

const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const texts = (lane: KeptReviewLane | undefined) =>
  (lane?.terms ?? []).map(({ content }) => (content.kind === 'words' ? content.text : content.label));
const element = (key: string) => review.elements.find((each) => each.key === key)?.id ?? '';
const present = async () => (await server.get(`/api/reviews/${review.id}`).expect(200)).body as Review;
const laneNow = async (id: string) => (await present()).lanes.find((lane) => lane.id === id);
const add = async (laneId: string, ...all: string[]): Promise<ReviewTerm[]> => {
  const added: ReviewTerm[] = [];
  for (const text of all) {
    const term = { laneId, origin: 'typed', content: words(text) };
    added.push((await server.post(`/api/reviews/${review.id}/terms`, term).expect(201)).body as ReviewTerm);
  }
  return added;
};
interface Made {
  laneId: string;
  review: Review;
}
const begin = (body: object) =>
  server.post(`/api/reviews/${review.id}/lanes`, { name: '', elementId: null, ...body });
const merge = (id: string, into: string, version: number) =>
  server.post(`/api/lanes/${id}/merge`, { into }).set('If-Match', `"${version}"`);
const history = async (id: string) =>
  ((await server.get(`/api/lanes/${id}/history`).expect(200)).body as LaneEvent[]).map(
    ({ what, content }) => `${what} ${content.kind === 'words' ? content.text : ''}`,
  );

test('a lane is split: the terms that were chosen go into a new one behind it, with their history', async () => {
  const { id } = laneOf(review, 'P');
  const [, ward, night] = await add(id, 'nurse*', 'ward', 'night*');
  const take = { laneId: id, version: 1, termIds: [ward?.id, night?.id] };
  const { laneId, review: after } = (
    await begin({ elementId: element('P'), name: 'at night', take }).expect(201)
  ).body as Made;
  const ids = after.lanes.map((lane) => lane.id);
  expect(ids.indexOf(laneId)).toBe(ids.indexOf(id) + 1);
  expect(texts(after.lanes.find((lane) => lane.id === id))).toEqual(['nurse*']);
  expect(texts(after.lanes.find((lane) => lane.id === laneId))).toEqual(['ward', 'night*']);
  expect(await history(laneId)).toEqual([
    'added ward',
    'added night*',
    'moved here ward',
    'moved here night*',
  ]);
  expect((await history(id)).slice(-2)).toEqual(['moved away ward', 'moved away night*']);
});

test('a split that would leave nothing, that comes too late, or that takes what is gone, changes nothing', async () => {
  const { id } = laneOf(review, 'P');
  const [nurse, ward] = await add(id, 'nurse*', 'ward');
  const split = (version: number, ...termIds: (string | undefined)[]) =>
    begin({ elementId: element('P'), take: { laneId: id, version, termIds } });
  const all = (await split(1, nurse?.id, ward?.id).expect(400)).body as Problem;
  expect(all.errors?.[0]?.message).toContain('nothing would be left');
  await split(1).expect(400);
  await split(1, ward?.id, 'gone').expect(409);
  expect(texts(await laneNow(id))).toEqual(['nurse*', 'ward']);
  // Two people split it at the same moment: one is told what the other did.
  const answers = await Promise.all([split(1, ward?.id), split(1, ward?.id)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 412]);
  const late = answers.find(({ status }) => status === 412)?.body as Problem & { current: KeptReviewLane };
  expect(texts(late.current)).toEqual(['nurse*']);
  expect((await present()).lanes.filter(({ elementId }) => elementId === element('P'))).toHaveLength(2);
});

test('lanes are joined: a term that both hold stays once, and all of it can be taken back', async () => {
  const { id: into } = laneOf(review, 'I');
  const { id } = laneOf(review, 'P');
  await add(into, 'light', 'lamp*');
  await add(id, 'lamp*', 'lantern');
  const { merged, review: after } = (await merge(id, into, 1).expect(200)).body as {
    merged: MergedLane;
    review: Review;
  };
  expect([merged.moved.length, merged.takenOut.length]).toEqual([1, 1]);
  expect(texts(after.lanes.find((lane) => lane.id === into))).toEqual(['light', 'lamp*', 'lantern']);
  // The element of the one that ended has an empty lane, and is not searched on.
  expect(after.elements.find(({ key }) => key === 'P')?.searched).toBe(false);
  expect(texts(laneOf(after, 'P'))).toEqual([]);
  expect(laneOf(after, 'P').id).not.toBe(id);
  await merge(id, into, 2).expect(404);
  await merge(into, into, 1).expect(400);
  await server.post(`/api/reviews/${review.id}/undo`, { since: null }).expect(200);
  expect(texts(await laneNow(into))).toEqual(['light', 'lamp*']);
  expect(texts(await laneNow(id))).toEqual(['lamp*', 'lantern']);
  const restored = await present();
  expect(restored.elements.find(({ key }) => key === 'P')?.searched).toBe(true);
  expect(restored.lanes.filter(({ elementId }) => elementId === element('P'))).toHaveLength(1);
});

test('a lane is named, left out, moved and ended, each on the version that was seen', async () => {
  const { id } = laneOf(review, 'P');
  const change = (body: object, version: number) => server.patch(`/api/lanes/${id}`, body, version);
  await change({ name: ' Hospital staff ', leftOut: true }, 1).expect(200);
  expect(await laneNow(id)).toMatchObject({ name: 'Hospital staff', leftOut: true, version: 2 });
  expect(((await change({ name: 'x' }, 1).expect(412)).body as Problem).title).toContain('“Hospital staff”');
  await change({ name: 'x'.repeat(301) }, 2).expect(400);
  const before = laneOf(await present(), 'I').id;
  await add(id, 'nurse*');
  await add(before, 'light');
  const moved = (await change({ elementId: element('I'), before }, 2).expect(200)).body as Review;
  expect(laneOf(moved, 'I').id).toBe(id);
  expect(moved.elements.find(({ key }) => key === 'P')?.searched).toBe(false);
  await change({ elementId: 'nowhere' }, 3).expect(404);
  await change({ before: 'nowhere' }, 3).expect(404);
  expect((await laneNow(id))?.version).toBe(3);
  await server.patch(`/api/lanes/nowhere`, { name: 'x' }, 1).expect(404);
  const back = (await change({ elementId: element('P') }, 3).expect(200)).body as Review;
  expect(back.elements.find(({ key }) => key === 'P')?.searched).toBe(true);
  expect(back.lanes.filter(({ elementId }) => elementId === element('P')).map((lane) => lane.id)).toEqual([
    id,
  ]);
  await change({ elementId: null }, 4).expect(200);
  expect((await laneNow(id))?.elementId).toBeNull();
});

test('a copy has the terms of the first, and each goes its own way', async () => {
  const { id } = laneOf(review, 'P');
  const [nurse] = await add(id, 'nurse*');
  const { laneId } = (await begin({ elementId: element('P'), name: 'again', copyOf: id }).expect(201))
    .body as Made;
  await server.patch(`/api/terms/${nurse?.id}`, { content: words('nurses') }, 1).expect(200);
  expect([texts(await laneNow(id)), texts(await laneNow(laneId))]).toEqual([['nurses'], ['nurse*']]);
});

test('a term that its lane holds already is not added again, and is shown', async () => {
  const { id } = laneOf(review, 'P');
  const [term] = await add(id, '"night shift*"');
  const again = { laneId: id, origin: 'typed', content: words('Night  shift*') };
  const refused = await server.post(`/api/reviews/${review.id}/terms`, again).expect(409);
  expect(refused.body).toMatchObject({
    title: 'This lane holds “night shift*” already.',
    current: { id: term?.id },
  });
  // Another lane may hold it too, but then it cannot move here, and neither can another become the same.
  const [twin] = await add(laneOf(review, 'I').id, '"night shift*"');
  await server.patch(`/api/terms/${twin?.id}`, { laneId: id }, 1).expect(409);
  const [other] = await add(id, 'wards');
  await server.patch(`/api/terms/${other?.id}`, { content: words('night shift*') }, 1).expect(409);
  await server.patch(`/api/terms/${term?.id}`, { content: words('night shift*') }, 1).expect(200);
  await server.patch(`/api/terms/${term?.id}`, { removed: true }, 2).expect(200);
  await server.patch(`/api/terms/${twin?.id}`, { laneId: id }, 1).expect(200);
  await server.patch(`/api/terms/${term?.id}`, { removed: false }, 3).expect(409);
  expect(texts(await laneNow(id)).sort()).toEqual(['"night shift*"', 'wards']);
});

test('lanes of both forms are read: of the earlier one into the element’s first lane, of this one by name', async () => {
  const { id } = laneOf(review, 'P');
  const [, ward] = await add(id, 'nurse*', 'ward');
  await server.patch(`/api/elements/${element('P')}`, { text: 'night staff' }, 1);
  const take = { laneId: id, version: 1, termIds: [ward?.id] };
  const { laneId } = (await begin({ elementId: element('P'), name: 'wards', take })).body as Made;
  await server.patch(`/api/lanes/${laneId}`, { leftOut: true }, 1).expect(200);
  const further = (await begin({ name: 'animals' })).body as Made;
  await add(further.laneId, 'rat');
  const document = (await server.get(`/api/reviews/${review.id}/lanes.json`)).body as {
    lanes: { name: string }[];
  };
  const other = (await server.post('/api/reviews', { title: 'Again' })).body as Review;
  const read = async (body: object) =>
    (await server.post(`/api/reviews/${other.id}/lanes.json`, body).expect(200)).body as LanesRead;
  expect(await read(document)).toEqual({ added: 3, present: 0 });
  expect(await read(document)).toEqual({ added: 0, present: 3 });
  const again = (await server.get(`/api/reviews/${other.id}/lanes.json`)).body as {
    lanes: { name: string }[];
  };
  const named = (lanes: { name: string }[]) => new Map(lanes.map((lane) => [lane.name, lane]));
  expect(named(again.lanes)).toEqual(
    named([...document.lanes, ...again.lanes.filter(({ name }) => name === 'Intervention')]),
  );

  const earlier = {
    form: 'even-lantern-lanes/1',
    title: 'Old',
    lanes: [
      {
        name: 'night staff',
        element: 'P',
        terms: [{ content: words('porter*'), origin: 'typed', heldBack: null }],
      },
    ],
  };
  expect(await read(earlier)).toEqual({ added: 1, present: 0 });
  const lanes = ((await server.get(`/api/reviews/${other.id}`)).body as Review).lanes;
  expect(lanes.map(texts)).toContainEqual(['nurse*', 'porter*']);
});

test('splitting and joining at random keeps every term and its history', async () => {
  const all = ['a1', 'b2', 'c3', 'd4', 'e5', 'f6'];
  await add(laneOf(review, 'P').id, ...all);
  const step = fc.record({ split: fc.boolean(), lane: fc.nat(20), other: fc.nat(20), terms: fc.nat(63) });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 5 }), async (steps) => {
      for (const { split, lane: from, other, terms } of steps) {
        const { lanes } = await present();
        const lane = lanes[from % lanes.length];
        const into = lanes[other % lanes.length];
        if (lane === undefined || into === undefined) continue;
        const termIds = lane.terms.filter((_term, i) => (terms & (1 << i)) !== 0).map(({ id }) => id);
        const take = { laneId: lane.id, version: lane.version, termIds };
        await (split ? begin({ elementId: lane.elementId, take }) : merge(lane.id, into.id, lane.version));
      }
      const { lanes, elements } = await present();
      expect(lanes.flatMap(texts).sort()).toEqual(all);
      for (const { id, key } of elements)
        expect([key, lanes.some(({ elementId }) => elementId === id)]).toEqual([key, true]);
      for (const lane of lanes) {
        const steps = await history(lane.id);
        for (const text of texts(lane)) expect(steps).toContain(`added ${text}`);
      }
    }),
    { numRuns: 15 },
  );
}, 120_000);
