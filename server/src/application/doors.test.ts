/** What somebody could send who means no good, or does not know better. */
import type { DatabaseEvent, Problem, Rehearsal, Review } from '@even-lantern/contract';
import request from 'supertest';
import { isPublicAddress } from '../connectors/sru/publicAddresses.js';
import { TermRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { faultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

let server: TestApplication;
let review: Review;

beforeAll(async () => {
  server = await testApplication({ faulty: faultyConnector(25) });
  review = await server.reviewWithLane();
});
afterAll(() => server.application.close());

const plain = () => request(server.application.getHttpServer());
const lane = () => laneOf(review, 'I').id;

test('a version of 400 digits, or of none, is refused in words', async () => {
  for (const version of ['9'.repeat(400), '"1e5"', 'W/"1"', '-1']) {
    const answer = await server.patch(`/api/reviews/${review.id}`, { title: 'x' }).set('If-Match', version);
    expect(answer.status).toBe(400);
    expect((answer.body as Problem).errors?.[0]?.path).toBe('If-Match');
  }
  await server.patch(`/api/reviews/${review.id}`, { title: 'x' }).expect(428);
});

test('a heading without a letter is refused, and breaks nothing that is there', async () => {
  const content = { kind: 'heading', vocabulary: 'v', narrower: true, central: false, subheadings: [] };
  for (const label of ['—', '!!!', '  ', '\u0301']) {
    const term = { laneId: lane(), origin: 'lookup', content: { ...content, label } };
    await server.post(`/api/reviews/${review.id}/terms`, term).expect(400);
  }
  // One that came in by an earlier release is told at its term.
  const good = { laneId: lane(), origin: 'lookup', content: { ...content, label: 'Light' } };
  const { id } = (await server.post(`/api/reviews/${review.id}/terms`, good).expect(201)).body as {
    id: string;
  };
  await server.application
    .get(Store)
    .write((manager) =>
      manager.update(TermRow, { id }, { content: { ...content, kind: 'heading', label: '—' } }),
    );
  const { terms } = (await server.get(`/api/reviews/${review.id}/rehearsal?database=faulty`))
    .body as Rehearsal;
  expect(terms[id]?.error).toContain('“—” is no heading');
  for (const asked of ['rehearsal', 'translation']) {
    await server.get(`/api/reviews/${review.id}/${asked}?database=faulty`).expect(200);
  }
});

test('an address in other letters is another address, so that no guard is gone around', async () => {
  const foreign = { Host: 'localhost', 'Sec-Fetch-Site': 'cross-site' };
  for (const path of ['/API/reviews', '/Api/reviews', '/api/Reviews']) {
    const { status, body } = await plain().get(path).set(foreign);
    expect([path, status, JSON.stringify(body).includes(review.id)]).toEqual([
      path, path.startsWith('/api') ? 403 : 404, false,
    ]); // prettier-ignore
  }
  await server.post(`/API/reviews/${review.id}/lanes`, { elementId: null, name: 'x' }).expect(404);
});

test('an address that no file and no row has is refused in words', async () => {
  for (const path of [
    '/api/reviews/%00',
    '/%00',
    '/api/reviews/%E0%A4%A',
    '/assets/%00.js',
    '/api/reviews?x=%00',
  ]) {
    const answer = await plain().get(path).set('Host', 'localhost');
    expect([path, answer.status]).toEqual([path, 400]);
    expect(answer.headers['content-type']).toContain('application/problem+json');
  }
});

test('input that is long or deep beyond sense is refused early, and told once', async () => {
  const many = { form: 'even-lantern-lanes/1', title: '', lanes: Array.from({ length: 900_000 }, () => 0) };
  const long = await server.post(`/api/reviews/${review.id}/lanes.json`, many);
  expect(long.status).toBe(400);
  expect((long.body as Problem).errors).toHaveLength(1);
  const bad = {
    ...many,
    lanes: Array.from({ length: 40 }, () => ({ terms: Array.from({ length: 500 }, () => ({})) })),
  };
  const first = await server.post(`/api/reviews/${review.id}/lanes.json`, bad).expect(400);
  expect((first.body as Problem).errors).toHaveLength(1);
  const short = await server.post('/api/reviews', { title: '', more: 1 }).expect(400);
  expect((short.body as Problem).errors).toHaveLength(2);
  const deep = `{"title":${'['.repeat(50_000)}${']'.repeat(50_000)}}`;
  const nested = await plain()
    .post('/api/reviews')
    .set({ Host: 'localhost', 'Content-Type': 'application/json', 'el-person': server.person })
    .send(deep);
  expect(nested.status).toBe(400);
});

test.each([
  ['93.184.216.34', true],
  ['2a00:1450:4001:81b::200e', true],
  ['127.0.0.1', false],
  ['10.1.2.3', false],
  ['192.168.1.1', false],
  ['192.0.2.7', false],
  ['198.51.100.7', false],
  ['100.64.0.1', false],
  ['169.254.1.1', false],
  ['0.0.0.0', false],
  ['::', false],
  ['::1', false],
  ['fe80::1', false],
  ['fec0::1', false],
  ['fc00::1', false],
  ['fd12:3456::1', false],
  ['2001:db8::1', false],
  ['3fff::1', false],
  ['::ffff:10.0.0.1', false],
  ['::ffff:0:127.0.0.1', false],
  ['::127.0.0.1', false],
  ['64:ff9b::7f00:1', false],
  ['2002:7f00:1::', false],
  ['2001:0:4136:e378:8000:63bf:3fff:fdd2', false],
  ['not an address', false],
])('%s is an address of the open network: %s', (address, open) => {
  expect(isPublicAddress(address)).toBe(open);
});

test('what a foreign page starts is refused, also where no origin is told; pages of ours may be opened from anywhere', async () => {
  const from = (site: string, path: string) =>
    plain().get(path).set({ Host: 'localhost', 'Sec-Fetch-Site': site });
  for (const site of ['cross-site', 'same-site']) {
    await from(site, `/api/reviews/${review.id}/rehearsal?database=faulty`).expect(403);
  }
  await from('same-origin', '/api/reviews').expect(200);
  await from('none', '/api/reviews').expect(200);
  await from('cross-site', '/reviews').expect(404);
});

test('every answer, refusals too, says that nothing comes from anywhere but here', async () => {
  for (const answer of [
    await server.get('/api/reviews'),
    await plain().get('/api/reviews').set('Host', 'elsewhere.test').expect(403),
    await plain().get('/api/nowhere').set('Host', 'localhost').expect(404),
  ]) {
    const policy = answer.headers['content-security-policy'] ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toMatch(/https:/);
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
  }
});

test('moving a simulated database, and asking an address, carry the name of the person', async () => {
  for (const path of ['/api/databases/faulty/advance', '/api/databases/explorations']) {
    await plain().post(path).set('Host', 'localhost').send({ address: 'http://127.0.0.1:9/sru' }).expect(401);
  }
  await server.post('/api/databases/explorations', { address: 'http://127.0.0.1:9/sru' }).expect(502);
  const events = (await server.get('/api/databases/any/events').expect(200)).body as DatabaseEvent[];
  expect(events).toEqual([]);
});
