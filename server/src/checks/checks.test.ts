import { emptyRecord, ownKey, type BibRecord, type Mend, type TermContent } from '@even-lantern/core';
import type {
  AcceptedFinding,
  MendEffects,
  Problem,
  Rehearsal,
  Review,
  ReviewOwnLine,
  ReviewTerm,
} from '@even-lantern/contract';
import { laneOf } from '../testing/laneOf.js';
import {
  heading as lightHeading,
  lightReview,
  treeWith,
  words,
  type LightReview,
} from '../testing/lightReview.js';

const heading = lightHeading as Extract<TermContent, { kind: 'heading' }>;
const record = (i: number, title: string, headings: string[] = []): BibRecord => ({
  ...emptyRecord(),
  accession: String(i),
  title,
  year: 2020,
  language: 'English',
  headings: headings.map((label) => ({ vocabulary: 'tree', label, central: false, subheadings: [] })),
});
const RECORDS = [
  record(1, 'Light for nurses', ['Light']),
  record(2, 'Lamps at night', ['Lamps']),
  record(3, 'A randomised trial of light'),
  record(4, 'A randomized trial of lamps'),
  record(5, 'Nightwork and newborns', ['Bright light']),
  record(6, 'Light and newborns'),
];

let light: LightReview;
let review: Review;
beforeEach(async () => {
  light = await lightReview(
    { records: RECORDS, vocabulary: treeWith('Lamps', 'Bright light') },
    { ...heading, narrower: false },
    words('randomised'),
  );
  review = light.review;
});
afterEach(() => light.server.application.close());

const present = async () => (await light.server.get(`/api/reviews/${review.id}`)).body as Review;
const rehearse = async () =>
  (await light.server.get(`/api/reviews/${review.id}/rehearsal?database=db`).expect(200)).body as Rehearsal;
const effects = async (...mends: Mend[]) =>
  (await light.server.post(`/api/reviews/${review.id}/mends`, { database: 'db', mends }).expect(200))
    .body as MendEffects;
const lane = () => laneOf(review, 'I').id;
const terms = async () => (await present()).lanes.flatMap((each): ReviewTerm[] => each.terms);

test('what a mend would do is what it does, in records, and asking changes nothing', async () => {
  const [subject, text] = await terms();
  const [leaving] = (
    await light.server.post(`/api/reviews/${review.id}/own-lines`, {
      lines: [{ role: 'leavesOut', text: 'newborn*', note: '' }],
      before: null,
    })
  ).body as ReviewOwnLine[];
  if (subject === undefined || text === undefined || leaving === undefined) throw new Error('no terms');
  const narrower = { ...heading, narrower: true };
  const told = await effects(
    { kind: 'changeTerm', termId: subject.id, content: narrower },
    { kind: 'addTerm', laneId: lane(), content: words('randomized') },
    { kind: 'removeTerm', termId: text.id },
    { kind: 'ownRole', ownId: leaving.id, role: 'looks' },
    { kind: 'removeTerm', termId: 'gone' },
  );
  const before = await rehearse();
  expect(told.whole).toBe(before.whole.hits);
  const changes: [() => Promise<unknown>, () => Promise<unknown>][] = [
    [
      () => light.server.patch(`/api/terms/${subject.id}`, { content: narrower }, 1).expect(200),
      () => light.server.patch(`/api/terms/${subject.id}`, { content: subject.content }, 2).expect(200),
    ],
    [
      () =>
        light.server
          .post(`/api/reviews/${review.id}/terms`, {
            laneId: lane(),
            origin: 'proposed',
            content: words('randomized'),
          })
          .expect(201),
      async () => {
        const added = (await terms()).at(-1);
        await light.server.patch(`/api/terms/${added?.id}`, { removed: true }, added?.version).expect(200);
      },
    ],
    [
      () => light.server.patch(`/api/terms/${text.id}`, { removed: true }, 1).expect(200),
      () => light.server.patch(`/api/terms/${text.id}`, { removed: false }, 2).expect(200),
    ],
    [
      () => light.server.patch(`/api/own-lines/${leaving.id}`, { role: 'looks' }, 1).expect(200),
      () => light.server.patch(`/api/own-lines/${leaving.id}`, { role: 'leavesOut' }, 2).expect(200),
    ],
  ];
  for (const [i, [make, takeBack]] of changes.entries()) {
    await make();
    const after = await rehearse();
    expect([i, told.mends[i]?.whole]).toEqual([i, after.whole.hits]);
    const at =
      i === 3
        ? after.lines.find(({ ownId }) => ownId === leaving.id)
        : after.lines.find(({ kind }) => kind === 'lane');
    expect([i, told.mends[i]?.place.after]).toEqual([i, at?.hits]);
    await takeBack();
    expect((await rehearse()).whole.hits).toBe(before.whole.hits);
  }
  expect(told.mends[4]).toBeNull();
});

test('a mend of what is written by hand says what it would find, and finds it', async () => {
  const write = (text: string, version: number) =>
    light.server
      .put(`/api/reviews/${review.id}/lines`, {
        database: 'db',
        line: 'whole',
        language: 'own',
        text,
        version,
      })
      .expect(200);
  await write('words("light")', 0);
  const before = (await rehearse()).whole.hits;
  const text = 'words("light") NOT words("newborns")';
  const told = await effects(
    { kind: 'writeText', line: 'whole', text },
    { kind: 'writeText', line: 'whole', text: 'words("light"' },
    { kind: 'writeText', line: `lane:${lane()}`, text },
  );
  expect((await rehearse()).whole.hits).toBe(before);
  await write(text, 1);
  const after = (await rehearse()).whole.hits;
  expect(after).not.toBe(before);
  expect(told.mends[0]).toEqual({ place: { before, after }, whole: after });
  // What could not be read, and where nothing is written, there is nothing to tell.
  expect(told.mends.slice(1)).toEqual([null, null]);
});

test('what a check found is accepted with a reason, known again, and taken back', async () => {
  const finding = { check: 'throws-away', at: ownKey('x'), detail: 'db 4 0', message: 'It throws away 4.' };
  const accept = (reason: string | null) =>
    light.server.post(`/api/reviews/${review.id}/accepted-findings`, { ...finding, reason });
  const refused = await accept(' ');
  expect([refused.status, (refused.body as Problem).errors?.[0]?.message]).toEqual([
    400,
    'Say why it may stand, so that it can be reported.',
  ]);
  expect((await accept('light for babies').expect(200)).body).toHaveLength(1);
  await accept('light for newborn babies').expect(200);
  expect((await present()).accepted).toMatchObject([
    {
      ...finding,
      reason: 'light for newborn babies',
      acceptedBy: expect.any(String) as string,
    } as AcceptedFinding,
  ]);
  await accept(null).expect(200);
  expect((await present()).accepted).toEqual([]);
});

test('twenty acceptances at the same moment are all kept', async () => {
  await Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      light.server
        .post(`/api/reviews/${review.id}/accepted-findings`, {
          check: 'unused-line',
          at: ownKey(String(i)),
          detail: '',
          message: 'Nothing uses it.',
          reason: 'kept to show',
        })
        .expect(200),
    ),
  );
  expect((await present()).accepted).toHaveLength(20);
});
