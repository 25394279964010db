import type { Problem, Review, ReviewTerm, ShelfItem, ShelfMoved } from '@even-lantern/contract';
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
  review = (await server.post('/api/reviews', { title: 'Shelf' })).body as Review;
});

const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const element = (key: string) => review.elements.find((each) => each.key === key)?.id ?? '';
const present = async () => (await server.get(`/api/reviews/${review.id}`).expect(200)).body as Review;
const put = (name: string, ...texts: string[]) =>
  server.post(`/api/reviews/${review.id}/shelf`, {
    name,
    contents: texts.map(words),
    origin: 'record',
    source: 'F1',
  });
const onShelf = async (name: string, ...texts: string[]) =>
  (await put(name, ...texts).expect(201)).body as ShelfItem;
const move = (item: ShelfItem, laneId: string) =>
  server.post(`/api/shelf/${item.id}/lane`, { laneId }).set('If-Match', `"${item.version}"`);
const textsOf = (terms: readonly ReviewTerm[] | undefined) =>
  (terms ?? []).map(({ content }) => (content.kind === 'words' ? content.text : content.label));

test('words wait on the shelf, and go into a lane with where they came from', async () => {
  const item = await onShelf('melatonin', 'melatonin*', '"pineal hormone"');
  expect((await present()).shelf).toEqual([item]);
  const { id } = laneOf(review, 'I');
  const term = { laneId: id, content: words('Melatonin*'), origin: 'typed' };
  await server.post(`/api/reviews/${review.id}/terms`, term).expect(201);
  const moved = (await move(item, id).expect(200)).body as ShelfMoved;
  expect([textsOf(moved.terms), moved.present]).toEqual([['"pineal hormone"'], 1]);
  const after = await present();
  expect(after.shelf).toEqual([]);
  expect(laneOf(after, 'I').terms.map(({ origin }) => origin)).toEqual(['typed', 'record']);
});

test('what is on the shelf already is not put there twice, however it is typed', async () => {
  const item = await onShelf('night', 'night shift*', 'nightwork');
  const refused = (await put('Nights', 'Nightwork', 'NIGHT shift*').expect(409)).body as Problem;
  expect(refused.title).toContain('on the shelf already');
  expect(refused.current).toMatchObject({ id: item.id });
  await put('night', 'nightwork').expect(201);
});

test('an item comes off the shelf once, also when two people take it at the same moment', async () => {
  const item = await onShelf('light', 'lamp*');
  const lanes = [laneOf(review, 'P').id, laneOf(review, 'I').id];
  const answers = await Promise.all(lanes.map((id) => move(item, id)));
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  const after = await present();
  expect(after.lanes.flatMap(({ terms }) => terms)).toHaveLength(1);
  await server.post(`/api/reviews/${review.id}/undo`, { since: null }).expect(200);
  expect((await present()).shelf.map(({ name }) => name)).toEqual(['light']);
});

test('an item goes into no lane of another review, and stays where it is', async () => {
  const item = await onShelf('light', 'lamp*');
  const other = (await server.post('/api/reviews', { title: 'Other' })).body as Review;
  await move(item, laneOf(other, 'P').id).expect(404);
  expect((await present()).shelf).toEqual([item]);
});

test('concepts become lanes of their elements in order, in place of the empty first one', async () => {
  const item = await onShelf('sleepiness', 'sleepi*');
  const concept = (key: string | null, name: string, ...texts: string[]) => ({
    elementId: key === null ? null : element(key),
    name,
    terms: texts.map((text) => ({ content: words(text), origin: 'proposed' })),
  });
  const body = {
    concepts: [
      concept('P', 'hospital staff', 'nurse*', 'nurse*', '"ward staff"'),
      concept('P', 'night work', '"night shift*"'),
      { ...concept('O', 'sleepiness', 'sleepi*'), fromShelf: item.id },
      concept(null, 'interviews', 'interview*'),
    ],
    texts: [{ elementId: element('P'), text: 'hospital staff who work at night' }],
  };
  const made = (await server.post(`/api/reviews/${review.id}/concepts`, body).expect(201)).body as {
    laneIds: string[];
    review: Review;
  };
  const of = (key: string) => made.review.lanes.filter(({ elementId }) => elementId === element(key));
  expect(of('P').map(({ name }) => name)).toEqual(['hospital staff', 'night work']);
  expect(textsOf(of('P')[0]?.terms)).toEqual(['nurse*', '"ward staff"']);
  expect(made.laneIds).toHaveLength(4);
  expect(made.review.shelf).toEqual([]);
  expect(made.review.elements.find(({ key }) => key === 'O')?.searched).toBe(true);
  expect(made.review.elements.find(({ key }) => key === 'P')?.text).toBe('hospital staff who work at night');
  await server.post(`/api/reviews/${review.id}/concepts`, { ...body, concepts: [concept('P', 'x', 'y')] });
  expect((await present()).elements.find(({ key }) => key === 'P')?.version).toBe(
    made.review.elements.find(({ key }) => key === 'P')?.version,
  );
});

test('where one of the concepts cannot be made, none is', async () => {
  const good = { elementId: element('P'), name: 'a', terms: [] };
  const bad = { elementId: element('P'), name: 'b', terms: [], fromShelf: 'nothing' };
  await server.post(`/api/reviews/${review.id}/concepts`, { concepts: [good, bad], texts: [] }).expect(404);
  expect((await present()).lanes).toEqual(review.lanes);
});

test('a review has a bound of lanes, and says so', async () => {
  const concepts = Array.from({ length: 39 }, (_, i) => ({
    elementId: null,
    name: `concept ${i}`,
    terms: [],
  }));
  await server.post(`/api/reviews/${review.id}/concepts`, { concepts, texts: [] }).expect(201);
  await server.post(`/api/reviews/${review.id}/lanes`, { elementId: null, name: 'last' }).expect(201);
  const over = await server
    .post(`/api/reviews/${review.id}/lanes`, { elementId: null, name: 'over' })
    .expect(409);
  expect((over.body as Problem).title).toBe('A review has at most 40 lanes.');
});

test('the shelf leaves and enters with the lanes', async () => {
  const item = await onShelf('=cmd|x', 'melatonin*');
  const file = (await server.get(`/api/reviews/${review.id}/lanes.json`).expect(200)).body as object;
  const other = (await server.post('/api/reviews', { title: 'Other' })).body as Review;
  const first = await server.post(`/api/reviews/${other.id}/lanes.json`, file).expect(200);
  expect(first.body).toEqual({ added: 1, present: 0 });
  const second = await server.post(`/api/reviews/${other.id}/lanes.json`, file).expect(200);
  expect(second.body).toEqual({ added: 0, present: 1 });
  const { shelf } = (await server.get(`/api/reviews/${other.id}`)).body as Review;
  expect(shelf.map(({ name, source }) => [name, source])).toEqual([[item.name, 'F1']]);
  const markdown = (await server.get(`/api/reviews/${review.id}/lanes.md`).expect(200)).text;
  expect(markdown).toContain('## Shelf');
});
