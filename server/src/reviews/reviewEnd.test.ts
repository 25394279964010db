/** Where reviews stand, putting them away, and deleting them. */
import type {
  PeerReview,
  Problem,
  RecordPage,
  Review,
  ReviewHoldings,
  ReviewSummary,
  Run,
} from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { ENTITIES, RecordRow, ReviewRow } from '../store/entities.js';
import { VersionKeeper } from '../versions/versionKeeper.js';
import { Store } from '../store/store.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { ReviewEndService } from './reviewEndService.js';

const HITS = 60;
/** So many are deleted in several parts. */
const MANY = 2500;

let server: TestApplication;
let database: FaultyConnector;

beforeEach(async () => {
  database = faultyConnector(HITS);
  server = await testApplication({ faulty: database });
});
afterEach(() => server.application.close());

const list = async () => (await server.get('/api/reviews').expect(200)).body as ReviewSummary[];
const standing = async (id: string) => (await list()).find((each) => each.id === id);
const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const rowsInAll = async () => {
  await server.application.get(VersionKeeper).settled();
  const { read } = server.application.get(Store);
  const counts = await Promise.all(
    ENTITIES.map(async (entity) => [entity.name, await read.count<object>(entity)] as const),
  );
  return Object.fromEntries(counts.filter(([name]) => name !== 'PersonRow'));
};
const deletion = (id: string, title: string) => server.post(`/api/reviews/${id}/deletion`, { title });

/** A review with something in every table that belongs to reviews. */
async function fullReview(): Promise<Review> {
  const review = await server.reviewWithLane();
  const { id } = review;
  const item = { name: 'later', contents: [words('lamp')], origin: 'typed', source: '' };
  await server.post(`/api/reviews/${id}/shelf`, item).expect(201);
  await server.patch(`/api/elements/${review.elements[1]?.id}`, { text: 'light' }, 1).expect(200);
  await server.put(`/api/reviews/${id}/databases/faulty`, { chosen: true, note: 'for all' }).expect(200);
  const line = { database: 'faulty', line: 'whole', version: 0, language: 'cql', text: 'light' };
  await server.put(`/api/reviews/${id}/lines`, line);
  const lines = [{ role: 'looks', text: 'light', note: '' }];
  await server.post(`/api/reviews/${id}/own-lines`, { lines, before: null }).expect(201);
  const finding = {
    check: 'unused-line',
    at: 'own:x',
    detail: '',
    message: 'Nothing uses it.',
    reason: 'tried',
  };
  await server.post(`/api/reviews/${id}/accepted-findings`, finding).expect(200);
  const [asked] = (await server.post(`/api/reviews/${id}/peer-reviews`, { note: '' }).expect(201))
    .body as PeerReview[];
  const comment = { place: 'whole', about: '', text: 'Well made.', answers: null };
  await server.post(`/api/peer-reviews/${asked?.id}/comments`, comment).expect(201);
  const run = (
    await server.post(`/api/reviews/${id}/runs`, { database: 'faulty', timeZone: 'UTC' }).expect(201)
  ).body as Run;
  await server.application.get(RunsService).finished(run.id);
  const { rows } = (await server.get(`/api/reviews/${id}/records?limit=1`)).body as RecordPage;
  await server.patch(`/api/records/${rows[0]?.id}`, { decision: 'keep' }, rows[0]?.version).expect(200);
  return review;
}

test('a review tells how far it is, what was run last, and who did the last thing when', async () => {
  const { id } = (await server.post('/api/reviews', { title: 'New' })).body as Review;
  expect(await standing(id)).toMatchObject({ stage: 'question', lanes: 0, lastRun: null, lastChange: null });
  const full = await fullReview();
  const before = new Date().toISOString();
  expect(await standing(full.id)).toMatchObject({
    stage: 'records',
    lanes: 1,
    unread: HITS - 1,
    lastRun: { databaseName: 'Faulty', hits: HITS, status: 'complete' },
    lastChange: { person: 'Ada' },
  });
  expect((await standing(full.id))?.lastChange?.at.localeCompare(before)).toBe(-1);
  const term = { laneId: laneOf(full, 'I').id, content: words('lamp*'), origin: 'typed' };
  await server.post(`/api/reviews/${full.id}/terms`, term).expect(201);
  expect((await standing(full.id))?.lastChange?.at.localeCompare(before)).toBe(1);
});

test('a review is put away and brought back, with all that it holds', async () => {
  const review = await fullReview();
  const other = (await server.post('/api/reviews', { title: 'Other' })).body as Review;
  const away = (
    await server.patch(`/api/reviews/${review.id}`, { putAway: true }, review.version).expect(200)
  ).body as Review;
  expect((await list()).map(({ id, putAwayAt }) => [id, putAwayAt === null])).toEqual([
    [other.id, true],
    [review.id, false],
  ]);
  await server.patch(`/api/reviews/${review.id}`, { putAway: false }, review.version).expect(412);
  await server.patch(`/api/reviews/${review.id}`, { putAway: false }, away.version).expect(200);
  expect(await standing(review.id)).toMatchObject({ putAwayAt: null, unread: HITS - 1 });
});

test('what goes is told before; only the title as it stands deletes; then nothing of it is left', async () => {
  const kept = await server.reviewWithLane();
  const before = await rowsInAll();
  const review = await fullReview();
  const full = await rowsInAll();
  const grown = Object.keys(full).filter((name) => full[name] !== before[name]);
  expect(grown).toEqual(
    expect.arrayContaining([
      'RecordRow',
      'RunRow',
      'RunRecordRow',
      'LedgerEntryRow',
      'TermRow',
      'LaneEventRow',
      'StrategyVersionRow',
      'OwnLineRow',
      'AcceptedFindingRow',
      'EditStepRow',
      'PeerReviewRow',
      'PeerCommentRow',
    ]),
  );
  expect((await server.get(`/api/reviews/${review.id}/holdings`)).body as ReviewHoldings).toEqual({
    lanes: 1,
    terms: 1,
    onShelf: 1,
    ledgerEntries: 1,
    records: HITS,
    decided: 1,
  });
  const refused = (await deletion(review.id, 'light').expect(400)).body as Problem;
  expect(refused.title).toContain('Light');
  expect(await rowsInAll()).toEqual(full);
  await deletion(review.id, 'Light').expect(204);
  expect((await list()).map(({ id }) => id)).toEqual([kept.id]);
  await server.get(`/api/reviews/${review.id}`).expect(404);
  await deletion(review.id, 'Light').expect(404);
  await server.application.get(ReviewEndService).settled();
  expect(await rowsInAll()).toEqual(before);
});

test('a review is not deleted while a search of it runs, and not torn by two who delete it at once', async () => {
  const review = await server.reviewWithLane();
  let open = () => {};
  database.gate = new Promise((resolve) => (open = resolve));
  const started = await server.post(`/api/reviews/${review.id}/runs`, {
    database: 'faulty',
    timeZone: 'UTC',
  });
  const refused = (await deletion(review.id, 'Light').expect(409)).body as Problem;
  expect(refused.title).toContain('running');
  open();
  await server.application.get(RunsService).finished((started.body as Run).id);
  const answers = await Promise.all([deletion(review.id, 'Light'), deletion(review.id, 'Light')]);
  expect(answers.map(({ status }) => status).sort()).toEqual([204, 404]);
});

test('while a large review goes, others have their turn', async () => {
  database.hits = MANY;
  const review = await fullReview();
  const ends = server.application.get(ReviewEndService);
  await ends.delete(review.id, { title: 'Light' });
  let [turns, gone] = [0, false];
  const count = () => {
    turns += 1;
    if (!gone) setImmediate(count);
  };
  setImmediate(count);
  await ends.settled();
  gone = true;
  expect(turns).toBeGreaterThan(MANY / 200);
});

test('a deletion that the end of the program cut off goes on at the next start', async () => {
  const review = await fullReview();
  const store = server.application.get(Store);
  await store.write(async (manager) => {
    await manager.update(ReviewRow, { id: review.id }, { deletedAt: '2026-10-01T00:00:00Z' });
    await manager.delete(RecordRow, { reviewId: review.id, rank: 3 });
  });
  await server.application.close();
  server = await testApplication({ faulty: database }, server.storePath);
  await server.application.get(ReviewEndService).settled();
  const { TermRow, RecordRow: records, ReviewRow: reviews } = await rowsInAll();
  expect([TermRow, records, reviews]).toEqual([0, 0, 0]);
});
