import type {
  DatabaseEvent,
  DatabaseList,
  Rehearsal,
  StrategyEffects,
  Translation,
} from '@even-lantern/contract';
import { laneOf } from '../testing/laneOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

const TERMS = ['light', 'night', 'lamp*', 'bed', 'ward', 'women', 'chart', 'therapy'].map((text) =>
  words(text),
);

let light: LightReview;
beforeEach(async () => {
  light = await lightReview({}, ...TERMS);
});
afterEach(() => light.server.application.close());

const get = async <T>(path: string) => (await light.server.get(path).expect(200)).body as T;
const rehearse = () => get<Rehearsal>(`/api/reviews/${light.review.id}/rehearsal?database=db`);
const setBudget = (budget: object) => light.server.put('/api/databases/db/budget', budget);
/** How often the database was asked for it. */
async function callsOf<T>(work: () => Promise<T>): Promise<{ result: T; calls: number }> {
  const before = light.asked.length;
  const result = await work();
  return { result, calls: light.asked.length - before };
}

test('without a bound everything is counted at once, and nothing twice', async () => {
  const { result, calls } = await callsOf(rehearse);
  expect(result.uncounted).toBe(0);
  expect(result.lines.every(({ hits }) => hits !== null)).toBe(true);
  expect(calls).toBeGreaterThan(TERMS.length);
  expect((await callsOf(rehearse)).calls).toBe(0);
});

test('where it may be asked only so much, lines come first, the whole before all; the rest is said, and comes when asked for', async () => {
  const whole = (await rehearse()).lines;
  // Another term makes the whole and all that hangs on it new.
  await setBudget({ atOnce: 2, perSecond: 1 }).expect(200);
  await light.server
    .post(`/api/reviews/${light.review.id}/terms`, {
      laneId: laneOf(light.review, 'I').id, origin: 'typed', content: words('study'),
    })
    .expect(201); // prettier-ignore
  const first = await callsOf(rehearse);
  expect(first.calls).toBe(4);
  expect(first.result.uncounted).toBeGreaterThan(0);
  const { lines } = first.result;
  expect(lines).toHaveLength(whole.length + 1);
  expect(lines.find(({ kind }) => kind === 'whole')?.hits).not.toBeNull();
  expect(lines.find(({ kind }) => kind === 'lane')?.hits).not.toBeNull();
  let { uncounted } = first.result;
  let last = first.result;
  for (let i = 0; i < 10 && uncounted > 0; i += 1) {
    const { result, calls } = await callsOf(rehearse);
    expect(calls).toBeLessThanOrEqual(4);
    expect(result.uncounted).toBeLessThan(uncounted);
    ({ uncounted } = result);
    last = result;
  }
  expect(uncounted).toBe(0);
  // What came bit by bit is what is counted all at once.
  await setBudget({ atOnce: 2, perSecond: null }).expect(200);
  const atOnce = await rehearse();
  expect({ ...last, countedAt: '' }).toEqual({ ...atOnce, countedAt: '' });
});

test('strings and effects keep to it too, and what was not asked is never told as nothing', async () => {
  await setBudget({ atOnce: 2, perSecond: 1 }).expect(200);
  const { id } = light.review;
  const translation = await callsOf(() => get<Translation>(`/api/reviews/${id}/translation?database=db`));
  expect(translation.calls).toBeLessThanOrEqual(4);
  expect(translation.result.unasked).toBeGreaterThan(0);
  expect(translation.result.lines.every(({ sent }) => sent !== '')).toBe(true);
  const effects = await callsOf(() => get<StrategyEffects>(`/api/reviews/${id}/effects?database=db`));
  expect(effects.calls).toBeLessThanOrEqual(4);
  expect(effects.result.unasked).toBeGreaterThan(0);
  await setBudget({ atOnce: 2, perSecond: null }).expect(200);
  const all = await get<StrategyEffects>(`/api/reviews/${id}/effects?database=db`);
  for (const [term, { hits }] of Object.entries(effects.result.terms)) {
    expect([null, all.terms[term]?.hits]).toContain(hits);
  }
});

test('it is kept with who said so, shown with the database, and held in bounds', async () => {
  await setBudget({ atOnce: 0, perSecond: 5 }).expect(400);
  await setBudget({ atOnce: 2, perSecond: 1.5 }).expect(400);
  await setBudget({ atOnce: 2, perSecond: 7 }).expect(200);
  await light.server.put('/api/databases/none/budget', { atOnce: 2, perSecond: 7 }).expect(404);
  const { databases } = await get<DatabaseList>('/api/databases');
  expect(databases.find(({ id }) => id === 'db')?.budget).toEqual({ atOnce: 2, perSecond: 7 });
  const [event] = await get<DatabaseEvent[]>('/api/databases/db/events');
  expect(event).toMatchObject({ what: 'budget', detail: '2 at once, 7 in a second', person: 'Ada' });
});
