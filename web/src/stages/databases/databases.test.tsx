import type { DatabaseChoice, DatabaseProfile } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import type { FakeRequest } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { DatabasesStage } from './DatabasesStage.js';

const profile = (id: string, name: string, suits: number): DatabaseProfile => ({
  id,
  name,
  description: '',
  release: '2026-10-01',
  simulated: true,
  state: 'ready' as const,
  trouble: null,
  records: 8000,
  vocabulary: null,
  limits: { careSetting: [] },
  dialect: { kind: 'skein', names: {}, lacks: [] },
  reached: 'shipped',
  releases: ['2026-10-01'],
  nextRelease: id === 'old' ? '2027-01-15' : null,
  budget: { atOnce: 6, perSecond: null },
  about: {
    covers: 'All there is',
    goodFor: 'much',
    weakFor: 'little',
    firstYear: 1994,
    lastYear: 2026,
    suits: { intervention: { degree: suits, because: `It has trials to degree ${suits}` } },
  },
});

function show(choices: DatabaseChoice[] = [], old: Partial<DatabaseProfile> = {}) {
  return renderInReview(reviewWith([]), () => <DatabasesStage />, {
    'GET databases': () => ({
      databases: [{ ...profile('old', 'Old index', 1), ...old }, profile('new', 'New index', 3)],
      failed: [{ id: 'gone', name: 'Gone index', reason: 'it cannot be reached.', added: true }],
      order: ['old', 'new', 'gone'],
    }),
    'GET reviews/r1/databases': () => choices,
    'GET reviews/r1/overlap': () => ({
      databases: {
        new: { works: 1200, elsewhere: 300, reason: null },
        old: { works: null, elsewhere: null, reason: 'It does not answer.' },
      },
    }),
    'DELETE databases/old': () => null,
    'POST databases/old/restoration': () => profile('old', 'Old index', 1),
    'GET reviews/r1/rehearsal': () => ({
      lines: [{}],
      whole: { hits: 1234, error: null },
      problems: [{ termId: 't', message: 'x' }],
    }),
    'PUT reviews/r1/databases/old': ({ body }: FakeRequest) => {
      choices = [
        {
          database: 'old',
          at: '2026-11-23T10:00:00Z',
          person: 'Ada',
          ...(body as { chosen: boolean; note: string }),
        },
      ];
      return choices;
    },
    'POST databases/old/advance': () => ({ ...profile('old', 'Old index', 1), release: '2027-01-15' }),
  });
}

const entry = async (name: string) => {
  const found = (await screen.findByRole('heading', { name: new RegExp(name) })).closest('li');
  if (found === null) throw new Error(name);
  return within(found);
};

test('databases that suit the question stand first, each with what it is and what the strategy finds there', async () => {
  show();
  const best = await entry('New index');
  expect(best.getByText('Recommended')).toBeTruthy();
  expect(best.getByText(/: It has trials to degree 3\./)).toBeTruthy();
  expect(screen.getByText('New index', { selector: 'b' })).toBeTruthy();
  expect(await best.findByText('1 234')).toBeTruthy();
  expect(best.getByText('1994 to 2026')).toBeTruthy();
  expect(best.getByText('year, care setting')).toBeTruthy();
  expect(best.getByText(/plain form; without near/)).toBeTruthy();
  expect(best.getByText('without parentheses, OR is read before words side by side are joined')).toBeTruthy();
  expect(best.getByText('without 1 term that is still to settle there')).toBeTruthy();
  const names = screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent);
  expect(names[0]).toContain('New index');
  expect(screen.getByText('Gone index does not answer: it cannot be reached.')).toBeTruthy();
});

test('a database is left out with the reason', async () => {
  const { user, asked } = show();
  const old = await entry('Old index');
  await user.click(old.getByRole('radio', { name: 'Leave it out' }));
  const note = await screen.findByRole('textbox', { name: 'Note on Old index' });
  expect(screen.getByText(/Nobody has written why yet/)).toBeTruthy();
  await user.type(note, 'Too old');
  await user.tab();
  const puts = () => asked.filter(({ method }) => method === 'PUT').map(({ body }) => body);
  await waitFor(() =>
    expect(puts()).toEqual([
      { chosen: false, note: '' },
      { chosen: false, note: 'Too old' },
    ]),
  );
});

test('a simulated database goes on to its next release, and one without says nothing of it', async () => {
  const { user } = show();
  await user.click((await entry('Old index')).getByRole('button', { name: 'Go on to 2027-01-15' }));
  expect(await screen.findByText('Old index is now in release 2027-01-15.')).toBeTruthy();
  expect((await entry('New index')).queryByRole('button')).toBeNull();
});

test('how much the other databases have too is told, or why it cannot be', async () => {
  show();
  expect(
    await (await entry('New index')).findByText(/900 of 1 200 works it finds are in none of the others/),
  ).toBeTruthy();
  expect(
    await (await entry('Old index')).findByText('Not compared with the others: It does not answer.'),
  ).toBeTruthy();
});

test('a database that was added is taken from the list; one that ships with the program is not', async () => {
  const { user, asked } = show([], { reached: 'address', simulated: false });
  const old = await entry('Old index');
  expect(old.getByText(/added by its address/)).toBeTruthy();
  await user.click(old.getByRole('button', { name: 'Take it from the list' }));
  expect(await screen.findByText(/What was run in it stays in the ledger/)).toBeTruthy();
  expect((await entry('New index')).queryByRole('button', { name: 'Take it from the list' })).toBeNull();
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(asked.some(({ path }) => path === 'databases/old/restoration')).toBe(true));
});

test('one that was added can be changed or taken from the list also while it does not answer', async () => {
  show();
  const gone = within(
    (await screen.findByText(/Gone index does not answer/)).closest('div') ?? document.body,
  );
  expect(gone.getByRole('button', { name: 'Take it from the list' })).toBeTruthy();
  const link = gone.getByRole('link', { name: 'Change what is said of Gone index' });
  expect(link.getAttribute('href')).toMatch(/gone\/change$/);
});

test('for a database that is asked by hand there is the way to enter what it finds', async () => {
  renderInReview(reviewWith([]), () => <DatabasesStage />, {
    'GET databases': () => ({
      databases: [
        { ...profile('ferrow', 'Ferrow', 1), reached: 'hand', about: null, simulated: false, release: '' },
      ],
      failed: [],
      order: ['ferrow'],
    }),
    'GET reviews/r1/databases': () => [],
    'GET reviews/r1/rehearsal': () => ({
      lines: [{}],
      whole: { hits: null, error: 'Not yet.' },
      problems: [],
    }),
    'GET reviews/r1/overlap': () => ({ databases: {} }),
  });
  const link = await (await entry('Ferrow')).findByRole('link', { name: 'Enter what it finds' });
  expect(link.getAttribute('href')).toContain('/searches?database=ferrow');
  expect(screen.getByText('release not told')).toBeTruthy();
});

test('where no lane holds anything yet, there is nothing to search, and nothing to settle', async () => {
  renderInReview(reviewWith([]), () => <DatabasesStage />, {
    'GET databases': () => ({ databases: [profile('new', 'New index', 3)], failed: [], order: ['new'] }),
    'GET reviews/r1/databases': () => [],
    'GET reviews/r1/rehearsal': () => ({
      lines: [],
      whole: { hits: null, error: null },
      problems: [{ laneId: 'l-p', termId: null, message: 'The lane “nurses” has nothing to search.' }],
    }),
    'GET reviews/r1/overlap': () => ({ databases: {} }),
  });
  expect(await screen.findByText('There is nothing to search yet.')).toBeTruthy();
  expect(screen.queryByText(/still to settle/)).toBeNull();
});
