import type { AcceptedFinding, MendEffects, Rehearsal, Review } from '@even-lantern/contract';
import { act, screen, waitFor, within } from '@testing-library/react';
import { Refusal, type FakeRequest } from '../../../testing/fakeServer.js';
import { database, renderInReview, reviewWith, term } from '../../../testing/renderInReview.js';
import { headingContent, wordsContent } from '../../../review/headingContent.js';
import { SearchesStage } from '../SearchesStage.js';

jest.mock('../../../review/startLookups.js', () =>
  jest.requireActual<object>('../../../testing/lookupsInPlace.js'),
);

const NOTHING = { limitId: null, ownId: null, changes: [], string: '', error: null };
const counted = (hits: number) => ({ hits, error: null });
const rehearsal: Rehearsal = {
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  countedAt: '',
  lines: [
    { ...NOTHING, number: 1, kind: 'term', laneId: 'l-i', termId: 't', description: 'lampes', hits: 0 },
    { ...NOTHING, number: 2, kind: 'lane', laneId: 'l-i', termId: null, description: 'L1', hits: 0 },
    { ...NOTHING, number: 3, kind: 'whole', laneId: null, termId: null, description: 'L2', hits: 10 },
  ],
  terms: { t: { ...counted(0), adds: 0 } },
  lanes: {},
  bridges: [],
  without: {},
  withoutElements: {},
  whole: counted(10),
  remains: counted(10),
  problems: [],
  uncounted: 0,
};
/** As if every mend brought three to its place and two to the whole. */
const effects = ({ body }: FakeRequest): MendEffects => ({
  database: 'db',
  release: '2026-10-01',
  whole: 10,
  mends: (body as { mends: unknown[] }).mends.map(() => ({ place: { before: 0, after: 3 }, whole: 12 })),
});

const show = (review: Review, more: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(review, () => <SearchesStage />, {
    'GET reviews/r1/rehearsal': () => rehearsal,
    'GET reviews/r1/effects': () => new Refusal(503, { title: 'It went away.' }),
    'GET reviews/r1/translation': () => new Refusal(503, { title: 'It went away.' }),
    'GET databases': () => ({ databases: [database], failed: [], order: ['db'] }),
    'GET databases/db/words': () => ({ words: [{ word: 'lamps', hits: 40 }], more: false }),
    'POST reviews/r1/mends': effects,
    ...more,
  });
const slipped = reviewWith([term('t', wordsContent('lampes'))]);
const pane = () => screen.findByRole('region', { name: 'Checks' });

test('a finding is told at its line and in the list, with what each mend would do, and is mended with one action', async () => {
  const { user, asked } = show(slipped, {
    'PATCH terms/t': () => term('t', wordsContent('lamps'), { version: 2 }),
  });
  const list = await pane();
  await within(list).findByText('Finds nothing');
  await waitFor(() => expect(list.textContent).toContain('Write “lamps” here +3, whole +2'));
  expect(screen.getByRole('grid').textContent).toContain('“lampes” finds nothing here.');
  await user.click(within(list).getByText('Write “lamps”'));
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'PATCH')?.body).toEqual({ content: wordsContent('lamps') }),
  );
});

test('a finding is let stand with a reason, and no longer', async () => {
  let review = slipped;
  const accepted: AcceptedFinding = {
    check: 'finds-nothing',
    at: 'term:t',
    detail: 'lampes',
    message: '“lampes” finds nothing here.',
    reason: 'it is in the protocol',
    acceptedAt: '2026-11-27T08:00:00.000Z',
    acceptedBy: 'Ada',
  };
  const { user, asked } = show(slipped, {
    'GET reviews/r1': () => review,
    'POST reviews/r1/accepted-findings': () => {
      review = { ...slipped, accepted: [accepted] };
      return review.accepted;
    },
  });
  const list = await pane();
  const item = (await within(list).findByText('Finds nothing')).closest('li');
  if (item === null) throw new Error('no item');
  await user.click(within(item).getByText('let it stand'));
  await user.type(within(item).getByLabelText('Why it may stand'), 'it is in the protocol');
  await user.click(within(item).getByText('Accept'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('accepted-findings'))?.body).toEqual({
      check: 'finds-nothing',
      at: 'term:t',
      detail: 'lampes',
      message: '“lampes” finds nothing here.',
      reason: 'it is in the protocol',
    }),
  );
});

test('what is accepted stands apart with its reason, and is no warning at its line', async () => {
  const accepted: AcceptedFinding = {
    check: 'finds-nothing',
    at: 'term:t',
    detail: 'lampes',
    message: '',
    reason: 'it is in the protocol',
    acceptedAt: '2026-11-27T08:00:00.000Z',
    acceptedBy: 'Ada',
  };
  show({ ...slipped, accepted: [accepted] });
  const list = await pane();
  await within(list).findByText('1 accepted');
  expect(list.textContent).toContain('Accepted by Ada, 27 Nov 2026: “it is in the protocol”');
  expect(screen.getByRole('grid').textContent).not.toContain('finds nothing here');
});

test('possible spellings are told only where they would change what is found', async () => {
  const withHeading = reviewWith([
    term('h', headingContent('tree', 'Lamps')),
    term('t', wordsContent('lamp')),
  ]);
  const found = { ...rehearsal, terms: { t: { ...counted(5), adds: 5 }, h: { ...counted(5), adds: 5 } } };
  const useless = ({ body }: FakeRequest): MendEffects => ({
    ...effects({ body } as FakeRequest),
    mends: (body as { mends: unknown[] }).mends.map(() => ({ place: { before: 5, after: 5 }, whole: 10 })),
  });
  const { asked } = show(withHeading, {
    'GET reviews/r1/rehearsal': () => found,
    'POST reviews/r1/mends': useless,
  });
  const list = await pane();
  await waitFor(() => expect(asked.some(({ path }) => path.endsWith('/mends'))).toBe(true));
  await act(async () => new Promise((resolve) => setTimeout(resolve, 50)));
  expect(list.textContent).not.toContain('One spelling');
});
