import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  lanesSchema,
  type LaneEvent,
  type LanesRead,
  type Review,
  type ReviewSummary,
  type ReviewTerm,
  type Wording,
} from '@even-lantern/contract';
import { bodyOf } from '../http/openApi.js';
import { Store } from '../store/store.js';
import { atClock } from '../testing/atClock.js';
import { faultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { ReviewEndService } from './reviewEndService.js';

let server: TestApplication;
let review: Review;

beforeAll(async () => {
  server = await testApplication({ faulty: faultyConnector(3) });
});
afterAll(() => server.application.close());
beforeEach(async () => {
  review = (await server.post('/api/reviews', { title: ' Woken on call ' })).body as Review;
});

const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const element = (key: string) => review.elements.find((each) => each.key === key);
const addTerm = (content: object) =>
  server.post(`/api/reviews/${review.id}/terms`, {
    laneId: laneOf(review, 'P').id,
    origin: 'typed',
    content,
  });

test('a review that cannot be read is told in the list, and the others are there', async () => {
  const { id, elements } = (await server.post('/api/reviews', { title: 'Spoiled' })).body as Review;
  await server.patch(`/api/elements/${elements[0]?.id}`, { text: 'nurses' }, 1).expect(200);
  await server.post('/api/reviews', { title: 'Whole' });
  await server.application.get(Store).write(async (manager) => {
    await manager.query(`UPDATE review SET framework = 'nope', ladder = '{' WHERE id = '${id}'`);
  });
  const list = (await server.get('/api/reviews').expect(200)).body as ReviewSummary[];
  expect(list.find(({ title }) => title === 'Spoiled')?.trouble).toContain(
    'its framework should be one of pico',
  );
  expect(list.find(({ title }) => title === 'Whole')?.trouble).toBeNull();
  // It can be put away, and goes.
  await server.post(`/api/reviews/${id}/deletion`, { title: 'Spoiled' }).expect(204);
  await server.application.get(ReviewEndService).settled();
  const left = (await server.get('/api/reviews').expect(200)).body as ReviewSummary[];
  expect(left.map(({ title }) => title)).not.toContain('Spoiled');
});

test('a new review has its elements, and searches on population and intervention first', () => {
  expect(review.title).toBe('Woken on call');
  expect(review.elements.map(({ key, searched }) => key + (searched ? '+' : ''))).toEqual([
    'P+',
    'I+',
    'C',
    'O',
    'T',
    'S',
  ]);
});

test('what is written in an element is there again, and becomes the sentence', async () => {
  await server.patch(`/api/elements/${element('P')?.id}`, { text: 'volunteers' }, 1).expect(200);
  await server.patch(`/api/elements/${element('I')?.id}`, { text: 'being woken' }, 1).expect(200);
  const list = (await server.get('/api/reviews')).body as { id: string; sentence: string }[];
  expect(list.find(({ id }) => id === review.id)?.sentence).toBe('In volunteers, does being woken affect …?');
});

test('of two people who edit one term, the later is told and nothing is overwritten', async () => {
  const term = (await addTerm(words('pager*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { content: words('pagers') }, term.version).expect(200);
  const late = await server
    .patch(`/api/terms/${term.id}`, { content: words('beeper*') }, term.version)
    .expect(412);
  expect(late.headers['content-type']).toMatch('application/problem+json');
  expect(late.body).toMatchObject({
    title: 'Somebody else changed this term in the meantime.',
    current: { content: { text: 'pagers' }, version: 2 },
  });
  const present = (await server.get(`/api/reviews/${review.id}`)).body as Review;
  expect(laneOf(present, 'P').terms[0]?.content).toEqual(words('pagers'));
});

test('a term that is taken out can be put back as it was', async () => {
  const term = (await addTerm(words('pager*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { removed: true }, 1).expect(200);
  const terms = async () => laneOf((await server.get(`/api/reviews/${review.id}`)).body as Review, 'P').terms;
  expect(await terms()).toEqual([]);
  await server.patch(`/api/terms/${term.id}`, { removed: false }, 2).expect(200);
  expect(await terms()).toHaveLength(1);
});

test.each([
  ['an empty term', words(''), 'This term is empty. Write a word or a phrase.'],
  ['a term of spaces', words('   '), 'This term is empty. Write a word or a phrase.'],
  [
    'a term of 10,000 characters',
    words('x'.repeat(10_000)),
    'A term has at most 1000 characters. Split it into several terms.',
  ],
])('%s is refused with words that say how to mend it', async (_, content, message) => {
  const refused = await addTerm(content).expect(400);
  expect((refused.body as { errors: { message: string }[] }).errors.map((error) => error.message)).toContain(
    message,
  );
});

test('unknown keys, unknown people and missing versions are refused', async () => {
  await server.post('/api/reviews', { title: 'x', colour: 'red' }).expect(400);
  await server.patch(`/api/elements/${element('P')?.id}`, { text: 'x' }).expect(428);
  await server.post('/api/reviews', { title: 'x' }).set('el-person', 'nobody').expect(401);
});

test('requests from other sites are refused', async () => {
  await server.get('/api/reviews').set('Host', 'evil.test').expect(403);
  await server.get('/api/reviews').set('Origin', 'https://evil.test').expect(403);
  await server.get('/api/reviews').set('Origin', 'http://localhost').expect(200);
});

test('broken JSON and unknown addresses are answered as problems', async () => {
  const broken = await server
    .post('/api/reviews', {})
    .set('Content-Type', 'application/json')
    .send('{')
    .expect(400);
  expect(broken.body).toMatchObject({ title: 'The request cannot be read.' });
  await server.get('/api/reviews/nothing').expect(404);
});

test('OpenAPI describes the bodies by the schemas that check them', async () => {
  const { body } = await server.get('/api/openapi.json').expect(200);
  expect(JSON.stringify(body)).toContain('"searched"');
});

const history = async (key: string) =>
  (await server.get(`/api/lanes/${laneOf(review, key).id}/history`).expect(200)).body as LaneEvent[];

test('a term can be held back with a reason, is kept, and is searched again', async () => {
  const term = (await addTerm(words('work*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { heldBack: ' ' }, 1).expect(400);
  const held = await server.patch(`/api/terms/${term.id}`, { heldBack: 'too broad' }, 1).expect(200);
  expect(held.body).toMatchObject({ heldBack: 'too broad', version: 2 });
  await server.patch(`/api/terms/${term.id}`, { heldBack: null }, 2).expect(200);
  expect((await history('P')).map(({ what, reason }) => [what, reason])).toEqual([
    ['added', null],
    ['held back', 'too broad'],
    ['searched again', null],
  ]);
});

test('the history of a lane tells what was done, when and by whom', async () => {
  const term = (await addTerm(words('pager'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { content: words('pager*') }, 1);
  await server.patch(`/api/terms/${term.id}`, { content: words('pager*') }, 2);
  await server.patch(`/api/terms/${term.id}`, { removed: true }, 3);
  await server.patch(`/api/terms/${term.id}`, { removed: false }, 4);
  const events = await history('P');
  expect(events.map(({ what, person }) => `${person}: ${what}`)).toEqual([
    'Ada: added',
    'Ada: changed',
    'Ada: taken out',
    'Ada: put back',
  ]);
  expect(events[1]).toMatchObject({ before: words('pager'), content: words('pager*') });
  expect(new Date(events[1]?.at ?? '').toISOString()).toBe(events[1]?.at);
});

test('a term moves to another lane, and both lanes tell of it', async () => {
  const term = (await addTerm(words('lamp*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { laneId: laneOf(review, 'I').id }, 1).expect(200);
  const present = (await server.get(`/api/reviews/${review.id}`)).body as Review;
  expect(laneOf(present, 'I').terms).toHaveLength(1);
  expect((await history('P')).at(-1)?.what).toBe('moved away');
  expect((await history('I')).map(({ what }) => what)).toEqual(['added', 'moved here']);
});

test('a term cannot move into a lane of another review', async () => {
  const other = (await server.post('/api/reviews', { title: 'Other' })).body as Review;
  const term = (await addTerm(words('lamp*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${term.id}`, { laneId: other.lanes[0]?.id }, 1).expect(404);
  await server.patch(`/api/terms/${term.id}`, { laneId: 'nowhere' }, 1).expect(404);
});

test('a heading may be searched with some of its narrower ones', async () => {
  const content = {
    kind: 'heading',
    vocabulary: 'tree',
    label: 'Light therapy',
    narrower: ['Dawn simulation'],
    central: false,
    subheadings: [],
  };
  expect((await addTerm(content).expect(201)).body).toMatchObject({ content });
  await addTerm({ ...content, narrower: 'some' }).expect(400);
  await addTerm({ ...content, narrower: ['A', 'A'] }).expect(400);
});

test('a question is framed another way, and what was written before stays', async () => {
  await server.patch(`/api/elements/${element('I')?.id}`, { text: 'planned naps' }, 1);
  const framed = (await server.patch(`/api/reviews/${review.id}`, { framework: 'peo' }, 1).expect(200))
    .body as Review;
  expect(framed).toMatchObject({ framework: 'peo', title: 'Woken on call', version: 2 });
  const of = (key: string) => framed.elements.find((each) => each.key === key);
  expect(of('E')).toMatchObject({ text: '', searched: true });
  expect(of('I')).toMatchObject({ text: 'planned naps', searched: true });
  const back = (await server.patch(`/api/reviews/${review.id}`, { framework: 'pico' }, 2)).body as Review;
  expect(back.elements.find(({ key }) => key === 'E')?.searched).toBe(false);
  await server.patch(`/api/reviews/${review.id}`, { framework: 'unheard-of' }, 3).expect(400);
  await server.patch(`/api/reviews/${review.id}`, {}, 3).expect(400);
});

test('earlier wordings stay with their dates; what one person writes in one go is one wording', async () => {
  const id = element('P')?.id ?? '';
  const write = (text: string, version: number) =>
    server.patch(`/api/elements/${id}`, { text }, version).expect(200);
  const wordings = async () =>
    (await server.get(`/api/elements/${id}/wordings`).expect(200)).body as Wording[];
  await write('volun', 1);
  await write('volunteers', 2);
  expect(await wordings()).toEqual([]);
  await atClock(61_000, () => write('volunteers on rotas', 3));
  expect(await wordings()).toMatchObject([{ text: 'volunteers', person: 'Ada' }]);
  // A clock that was set back does not make one wording of two.
  await atClock(-3_600_000, () => write('those on call', 4));
  expect((await wordings()).map(({ text }) => text).sort()).toEqual(['volunteers', 'volunteers on rotas']);
  await server.get('/api/elements/nowhere/wordings').expect(404);
});

test('framing a review anew that has lanes does not give it empty ones', async () => {
  await addTerm(words('pager*'));
  const framed = (await server.patch(`/api/reviews/${review.id}`, { framework: 'spider' }, 1).expect(200))
    .body as Review;
  expect(framed.elements.filter(({ searched }) => searched).map(({ key }) => key)).toEqual(['P']);
});

test('lanes that are exported can be read back into another review, and only once', async () => {
  await addTerm(words('pager*'));
  const held = (await addTerm(words('work*'))).body as ReviewTerm;
  await server.patch(`/api/terms/${held.id}`, { heldBack: 'too broad' }, 1);
  const lanes = (await server.get(`/api/reviews/${review.id}/lanes.json`).expect(200)).body as object;
  const other = (await server.post('/api/reviews', { title: 'Again' })).body as Review;
  const read = async () =>
    (await server.post(`/api/reviews/${other.id}/lanes.json`, lanes).expect(200)).body as LanesRead;
  expect(await read()).toEqual({ added: 2, present: 0 });
  expect(await read()).toEqual({ added: 0, present: 2 });
  const again = (await server.get(`/api/reviews/${other.id}/lanes.json`)).body as { lanes: object[] };
  expect(again.lanes[0]).toEqual((lanes as { lanes: object[] }).lanes[0]);
});

test('lanes are exported as tables, and a file that holds none is refused whole', async () => {
  await addTerm(words('=pager'));
  const csv = await server.get(`/api/reviews/${review.id}/lanes.csv`).expect(200);
  expect(csv.headers['content-type']).toMatch('text/csv');
  expect(csv.text).toContain('pager');
  expect((await server.get(`/api/reviews/${review.id}/lanes.md`).expect(200)).text).toContain('# Concepts:');
  const refused = await server
    .post(`/api/reviews/${review.id}/lanes.json`, { form: 'a shopping list' })
    .expect(400);
  expect(JSON.stringify(refused.body)).toContain('This is not a file of lanes');
  const present = (await server.get(`/api/reviews/${review.id}`)).body as Review;
  expect(present.lanes.flatMap(({ terms }) => terms)).toHaveLength(1);
});

test('the schema in the guide is the one that files of lanes are checked with', () => {
  const written = readFileSync(
    join(__dirname, '..', '..', '..', 'docs', 'guide', 'lanes.schema.json'),
    'utf8',
  );
  expect(JSON.parse(written)).toEqual({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'urn:even-lantern:schema:lanes:2',
    ...(bodyOf(lanesSchema) as { schema: object }).schema,
  });
});
