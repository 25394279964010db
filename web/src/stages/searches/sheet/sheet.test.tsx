import { laneKey, ownKey, reference } from '@even-lantern/core';
import type { Rehearsal, RehearsedLine, ReviewOwnLine, StrategyEffects } from '@even-lantern/contract';
import { act, screen, waitFor } from '@testing-library/react';
import { Refusal, type FakeRequest } from '../../../testing/fakeServer.js';
import { database, renderInReview, reviewWith, term } from '../../../testing/renderInReview.js';
import { wordsContent } from '../../../review/headingContent.js';
import { SearchesStage } from '../SearchesStage.js';
import { lineNames, ownLineName, sheetGroups } from '../lines/sheetLines.js';

jest.mock('../../../review/startLookups.js', () =>
  jest.requireActual<object>('../../../testing/lookupsInPlace.js'),
);

const NOTHING = {
  laneId: null,
  termId: null,
  limitId: null,
  ownId: null,
  changes: [],
  string: '',
  error: null,
};
const line = (
  number: number,
  kind: RehearsedLine['kind'],
  parts: Partial<RehearsedLine> = {},
): RehearsedLine => ({
  ...NOTHING,
  number,
  kind,
  description: `line ${number}`,
  hits: number * 10,
  ...parts,
});
const own = (id: string, text: string, parts: Partial<ReviewOwnLine> = {}): ReviewOwnLine => ({
  id,
  role: 'looks',
  on: true,
  text,
  note: '',
  changedAt: '2026-11-27T08:00:00.000Z',
  changedBy: 'Ada',
  version: 1,
  ...parts,
});
const LINES = [
  line(1, 'term', { laneId: 'l-i', termId: 't' }),
  line(2, 'term', { laneId: 'l-i', termId: 'u' }),
  line(3, 'lane', { laneId: 'l-i' }),
  line(4, 'own', { ownId: 'a' }),
  line(5, 'whole'),
  line(6, 'own', { ownId: 'b' }),
];
const OWN = [
  own('a', `${reference(laneKey('l-i'))} not newborn`, { role: 'leavesOut', note: 'too many babies' }),
  own('off', 'dusk', { on: false }),
  own('b', `${reference('whole')} and ${reference(ownKey('a'))}`),
];
const counted = (hits: number) => ({ hits, error: null });
const rehearsal: Rehearsal = {
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  countedAt: '',
  lines: LINES,
  terms: { t: { ...counted(10), adds: 4 }, u: { ...counted(20), adds: 0 } },
  lanes: {},
  bridges: [],
  without: { 'l-i': null },
  withoutElements: {},
  whole: counted(50),
  remains: counted(50),
  problems: [],
  uncounted: 0,
};
const effects: StrategyEffects = {
  database: 'db',
  release: '2026-10-01',
  whole: counted(50),
  terms: { t: counted(38), u: counted(50) },
  own: { a: counted(54) },
  leftOut: { [ownKey('a')]: { records: 4, kept: [{ id: 'r', title: 'Lamps for babies', year: 2020 }] } },
  overlaps: [],
  fall: [],
  uncounted: 0,
  unasked: 0,
};

const show = (ownLines = OWN, more: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(
    { ...reviewWith([term('t', wordsContent('light')), term('u', wordsContent('lamp*'))]), ownLines },
    () => <SearchesStage />,
    {
      'GET reviews/r1/rehearsal': () => rehearsal,
      'GET reviews/r1/effects': () => effects,
      'GET reviews/r1/total': () => rehearsal,
      'GET reviews/r1/translation': () => new Refusal(503, { title: 'It went away.' }),
      'GET databases': () => ({ databases: [database], failed: [], order: ['db'] }),
      ...more,
    },
  );
const rowOf = async (key: string) => {
  const grid = await screen.findByRole('grid');
  const found = grid.querySelector(`[data-line="${key}"]`);
  if (!(found instanceof HTMLElement)) throw new Error(`no row ${key}`);
  return found;
};

test('a sheet holds own lines at their place, those without a number too, and those that look at the whole behind it', () => {
  const groups = sheetGroups(LINES, OWN, []);
  expect(groups.map(({ kind, rows }) => [kind, rows.map(({ key }) => key)])).toEqual([
    ['lane', ['term:t', 'term:u', 'lane:l-i']],
    ['own', ['own:a', 'own:off']],
    ['whole', ['whole']],
    ['looking', ['own:b']],
  ]);
  const names = lineNames(LINES);
  expect(OWN.map((each) => ownLineName(each, names))).toEqual(['L4', '“dusk”', 'L6']);
  expect(ownLineName(own('e', ' '), names)).toBe('the empty line');
});

test('each line tells what it does: what it adds, what the whole is without it, what it throws away', async () => {
  show();
  const texts = async (key: string) => (await rowOf(key)).textContent;
  await waitFor(async () => expect(await texts('term:t')).toContain('−12'));
  expect(await texts('term:u')).toContain('adds nothing');
  expect(await texts('term:u')).toContain('±0');
  expect(await texts('own:a')).toContain('L3 not newborn');
  expect(await texts('own:a')).toContain('−4');
  const grid = screen.getByRole('grid');
  expect(grid.textContent).toContain('One of them was kept: Lamps for babies');
  expect(grid.textContent).toContain('too many babies');
  expect(await texts('own:off')).toContain('switched off');
});

test('lines are chosen and joined, the first without the others in the order in which they were chosen', async () => {
  const { user, asked } = show(OWN, { 'POST reviews/r1/own-lines': () => [own('new', '')] });
  await rowOf('term:t');
  await user.keyboard('j');
  await user.click(await rowOf('term:u'));
  await user.click(await rowOf('term:t'));
  expect(screen.getByText('2 lines chosen.').role).toBe('status');
  await user.click(screen.getByText('The first without the others (NOT)'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('own-lines'))?.body).toEqual({
      lines: [{ role: 'looks', text: `${reference('term:u')} not ${reference('term:t')}`, note: '' }],
      before: null,
    }),
  );
  expect(screen.queryByText('Choose the lines to join.')).toBeNull();
});

test('while a line that was begun is not there yet, no other line is opened to be written', async () => {
  // The review in hand is the one of before, as where the answer with the new line is still waited for.
  const { user, asked } = show(OWN, { 'POST reviews/r1/own-lines': () => [own('new', '')] });
  await rowOf('term:t');
  await user.keyboard('n');
  // When it was added, what belongs to the review is asked for anew.
  await waitFor(() =>
    expect(asked.filter(({ path }) => path === 'reviews/r1/peer-reviews').length).toBeGreaterThan(1),
  );
  expect(screen.getByText(/Edit as text/)).toBeTruthy();
});

test('what a term finds is left out of the whole with one action', async () => {
  const { user, asked } = show(OWN, { 'POST reviews/r1/own-lines': () => [own('new', '')] });
  await user.click(await rowOf('term:u'));
  await user.click(await screen.findByText('Leave out'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('own-lines'))?.body).toEqual({
      lines: [{ role: 'leavesOut', text: reference('term:u'), note: '' }],
      before: null,
    }),
  );
});

test('taking away a line that others use names them first', async () => {
  const { user, asked } = show();
  const row = await rowOf('own:a');
  await user.click(row);
  act(() => row.focus());
  await user.keyboard('{Delete}');
  await screen.findByText(/^L6 uses this line/);
  await user.click(screen.getByText('Leave it'));
  expect(screen.queryByText(/uses this line/)).toBeNull();
  expect(asked.some(({ method }) => method === 'PATCH')).toBe(false);
});

test('what part a line takes is changed, and it is switched and moved by key', async () => {
  const { user, asked } = show(OWN, {
    'PATCH own-lines/a': () => OWN[0],
    'PATCH own-lines/off': () => OWN[1],
  });
  await user.click(await rowOf('own:a'));
  await user.click(await screen.findByLabelText(/Narrows/));
  const off = await rowOf('own:off');
  act(() => off.focus());
  await user.keyboard('x');
  await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
  await waitFor(() =>
    expect(asked.filter(({ method }) => method === 'PATCH').map(({ body }) => body)).toEqual([
      { role: 'narrows' },
      { on: true },
      { before: 'a' },
    ]),
  );
});
