import type { Rehearsal, Review, Run, Translation } from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';
import { entriesOf } from '../testing/entriesOf.js';

let light: LightReview;
beforeEach(async () => {
  light = await lightReview({}, words('light'), words('night'), words('lamp*'));
});
afterEach(() => light.server.application.close());

const get = async <T>(path: string) => (await light.server.get(path).expect(200)).body as T;
const id = () => light.review.id;
const rehearse = () => get<Rehearsal>(`/api/reviews/${id()}/rehearsal?database=db`);
const choose = async (linesFor: string) => {
  const { version } = await get<Review>(`/api/reviews/${id()}`);
  return light.server.patch(`/api/reviews/${id()}`, { linesFor }, version);
};

test('with a line for each lane there are fewer lines, the same counts, and no further calls', async () => {
  const before = await rehearse();
  expect(before.lines.map(({ kind }) => kind)).toEqual(['term', 'term', 'term', 'lane', 'whole']);
  await choose('lane').then(({ status }) => expect(status).toBe(200));
  const asked = light.asked.length;
  const after = await rehearse();
  expect(light.asked).toHaveLength(asked);
  expect(after.lines.map(({ number, kind, description, hits }) => [number, kind, description, hits])).toEqual(
    [
      [1, 'lane', 'light or night or lamp*', before.lines[3]?.hits],
      [2, 'whole', 'L1', before.lines[4]?.hits],
    ],
  );
  // What each term finds is told all the same.
  expect(after.terms).toEqual(before.terms);
  expect(after.whole).toEqual(before.whole);
});

test('strings and runs have just these lines', async () => {
  await choose('lane');
  const { lines } = await get<Translation>(`/api/reviews/${id()}/translation?database=db`);
  expect(lines.map(({ number, text, hits }) => [number, text, hits])).toEqual([
    [1, 'words("light") OR words("night") OR words("lamp*")', 5],
    [2, expect.stringContaining('1'), 5],
  ]);
  const run = (
    await light.server.post(`/api/reviews/${id()}/runs`, { database: 'db', timeZone: 'UTC' }).expect(201)
  ).body as Run;
  await light.server.application.get(RunsService).finished(run.id);
  const entries = await entriesOf(light.server, id());
  expect(entries[0]?.content.lines.map(({ number, hits }) => [number, hits])).toEqual([
    [1, 5],
    [2, 5],
  ]);
});

test('another fineness than there is, is refused', async () => {
  expect((await choose('word')).status).toBe(400);
  expect((await get<Review>(`/api/reviews/${id()}`)).linesFor).toBe('term');
});
