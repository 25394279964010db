import type { DatabasesApart, Overlap } from '@even-lantern/contract';
import { emptyRecord } from '@even-lantern/core';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

let light: LightReview;
afterEach(() => light.server.application.close());

const overlap = async () =>
  (await light.server.get(`/api/reviews/${light.review.id}/overlap`).expect(200)).body as Overlap;
const record = (accession: string, title: string) => ({
  ...emptyRecord(),
  accession,
  title,
  year: 2020,
  language: 'English',
});

test('what a strategy finds in one database is matched with what it finds in the others', async () => {
  // The first database holds five records on light; this one has two of them, and one of its own.
  const records = [
    record('a', 'LIGHT THERAPIES'),
    record('b', 'Light therapy.'),
    record('c', 'Light and naps'),
  ];
  light = await lightReview({ records, dialect: 'skein', vocabulary: null }, words('light'));
  const { databases } = await overlap();
  expect(databases.db).toEqual({ works: 3, elsewhere: 2, withEach: { first: 2 }, reason: null, late: false });
  // Of what it finds, asked again, nothing is fetched again.
  const before = light.asked.length;
  await overlap();
  expect(light.asked).toHaveLength(before);
});

test('what only one of two databases finds is told, with examples', async () => {
  const records = [
    record('a', 'LIGHT THERAPIES'),
    record('c', 'Light and naps'),
    record('d', 'Light and naps'),
  ];
  light = await lightReview({ records, dialect: 'skein', vocabulary: null }, words('light'));
  const apart = (await light.server.get(`/api/reviews/${light.review.id}/overlap/first/db`).expect(200))
    .body as DatabasesApart;
  // The same title and author twice is one work.
  expect(apart).toMatchObject({
    both: 1,
    sides: [
      { database: 'first', only: 4 },
      { database: 'db', only: 1, sample: [{ accession: 'c', title: 'Light and naps', year: 2020 }] },
    ],
    reason: null,
  });
  expect(apart.sides[0]?.sample.map(({ accession }) => accession).sort()).toEqual(['1', '2', '3', '5']);
  const none = (await light.server.get(`/api/reviews/${light.review.id}/overlap/first/none`).expect(200))
    .body as DatabasesApart;
  expect([none.both, none.reason]).toEqual([null, 'The database “none” does not exist.']);
});

test('a strategy without lines is compared with nothing', async () => {
  light = await lightReview({}, words('light'));
  const element = light.review.elements.find(({ key }) => key === 'I');
  await light.server.patch(`/api/elements/${element?.id}`, { searched: false }, element?.version);
  expect((await overlap()).databases.db).toEqual({
    works: null,
    elsewhere: null,
    withEach: {},
    reason: 'There is nothing to search yet.',
    late: false,
  });
});
