import { emptyRecord } from '@even-lantern/core';
import type { Decision, ReviewRecord } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { RecordsStage } from './RecordsStage.js';

const TITLES = { a: 'Lamps on the ward', b: 'A night by the window' };
type Id = keyof typeof TITLES;
let decisions: Record<Id, Decision>;
beforeEach(() => {
  // Without a layout, there is nothing to scroll.
  Element.prototype.scrollTo = () => undefined;
  decisions = { a: 'undecided', b: 'undecided' };
});

const row = (id: Id) => ({
  id, title: TITLES[id], year: 2020, journal: 'Annals', publicationTypes: [], decision: decisions[id], version: 1,
  runId: 'run', design: null, designJudged: false,
}); // prettier-ignore
const record = (id: Id): ReviewRecord => ({
  id, decision: decisions[id], decidedBy: null, decidedAt: null, version: 1, database: 'db', runId: 'run', judged: null,
  record: { ...emptyRecord(), accession: id, title: TITLES[id], abstract: [{ label: '', text: 'What it tells.' }] },
}); // prettier-ignore
const counts = () => ({
  undecided: Object.values(decisions).filter((each) => each === 'undecided').length,
  keep: Object.values(decisions).filter((each) => each === 'keep').length,
  unsure: 0,
  'set aside': 0,
});
const decide = (id: Id) => (asked: { body: unknown }) => {
  decisions[id] = (asked.body as { decision: Decision }).decision;
  return { id, decision: decisions[id], decidedBy: 'p', decidedAt: '2026-11-01T08:00:00Z', version: 2 };
};
const desk = (answers: Parameters<typeof renderInReview>[2] = {}) =>
  renderInReview(reviewWith([]), () => <RecordsStage />, {
    'GET reviews/r1/records': () => ({ rows: [row('a'), row('b')], next: null }),
    'GET reviews/r1/records/counts': counts,
    'GET reviews/r1/records/designs': () => ({ designs: [], pending: 0, trouble: null }),
    'GET reviews/r1/marks': () => ({}),
    'GET designs': () => ({ taxonomy: { id: 'designs', name: '', release: '', headings: [] }, rules: '', figures: [] }),
    'GET records/a': () => record('a'),
    'GET records/b': () => record('b'),
    'GET records/a/found-by': () => [],
    'GET records/b/found-by': () => [],
    'PATCH records/a': decide('a'),
    'PATCH records/b': decide('b'),
    ...answers,
  }); // prettier-ignore
const opened = (id: Id) => screen.findByRole('heading', { name: TITLES[id] });

test('one key decides on the version that was seen, and the next record opens', async () => {
  const { user, asked } = desk();
  await opened('a');
  await user.keyboard('k');
  await opened('b');
  const change = asked.find(({ method }) => method === 'PATCH');
  expect([change?.path, change?.body]).toEqual(['records/a', { decision: 'keep' }]);
  expect(change?.headers.get('If-Match')).toBe('"1"');
  await user.keyboard('p');
  await opened('a');
});

test('who has chosen a record by the mouse decides by key too', async () => {
  const { user, asked } = desk();
  await opened('a');
  screen.getByRole('listbox', { name: 'Records' }).focus();
  await user.keyboard('u');
  await opened('b');
  expect(asked.find(({ method }) => method === 'PATCH')?.body).toEqual({ decision: 'unsure' });
});

test('where somebody else has decided meanwhile, nothing is overwritten, and it is told', async () => {
  const current = {
    id: 'a',
    decision: 'set aside',
    decidedBy: 'q',
    decidedAt: '2026-11-01T08:00:00Z',
    version: 2,
  };
  const { user } = desk({
    'PATCH records/a': () =>
      new Refusal(412, { title: 'Somebody else changed this decision in the meantime.', current }),
  }); // prettier-ignore
  await opened('a');
  await user.keyboard('k');
  expect(await screen.findByText('It is “set aside” now. Decide again if you disagree.')).toBeTruthy();
  expect(screen.getByRole('heading', { name: TITLES.a })).toBeTruthy();
});

test('without records it says where they come from', async () => {
  desk({
    'GET reviews/r1/records': () => ({ rows: [], next: null }),
    'GET reviews/r1/records/counts': () => ({ undecided: 0, keep: 0, unsure: 0, 'set aside': 0 }),
  });
  const link = await screen.findByRole('link', { name: 'Go to Searches' });
  await waitFor(() => expect(link.getAttribute('href')).toMatch(/searches$/));
});
