import type { DatabaseList, DatabaseProfile } from '@even-lantern/contract';
import { screen, within } from '@testing-library/react';
import { Outlet, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { UndoProvider } from '../../review/undo.js';
import { fakeServer, Refusal } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { database, reviewWith } from '../../testing/renderInReview.js';
import { DatabasePage } from './DatabasePage.js';

const osier: DatabaseProfile = {
  ...database, id: 'osier', name: 'Osier', reached: 'address', simulated: false, records: null,
}; // prettier-ignore
const skein: DatabaseProfile = { ...database, id: 'skein', name: 'Skein' };

const COMPARED = {
  databases: { osier: { works: 28, elsewhere: 20, withEach: { skein: 20 }, reason: null, late: false } },
};

function show(
  list: Partial<DatabaseList> = {},
  overview: () => unknown = () => HOLDINGS,
  overlap: () => unknown = () => COMPARED,
) {
  const review = reviewWith([]);
  fakeServer({
    'GET databases': () => ({ databases: [osier, skein], failed: [], order: ['osier', 'skein'], ...list }),
    'GET reviews/r1/databases': () => [],
    'GET reviews/r1/rehearsal': () => ({
      lines: [{}],
      whole: { hits: 30, error: null },
      problems: [],
      lanes: { 'l-p': { hits: 400 }, 'l-i': { hits: null } },
    }),
    'GET reviews/r1/overlap': overlap,
    'GET databases/osier/overview': overview,
    'DELETE databases/osier': () => null,
  });
  return renderAt(
    '/reviews/r1/databases/osier',
    <UndoProvider>
      <Routes>
        <Route element={<Outlet context={{ review, database }} />}>
          <Route path="reviews/r1/databases" element={<p>All databases</p>} />
          <Route path="reviews/r1/databases/:database" element={<DatabasePage />} />
        </Route>
      </Routes>
      <Toaster />
    </UndoProvider>,
  );
}

const HOLDINGS = {
  text: '',
  hits: 90,
  release: '',
  years: [{ value: '2020', count: 90 }],
  kinds: [{ value: 'Thesis', count: 12 }],
  headings: [],
  keywords: [],
};

test('a database has a page: what it is, what it is worth for the question, and what it holds', async () => {
  show();
  expect(await screen.findByRole('heading', { level: 1, name: /Osier/ })).toBeTruthy();
  const worth = within(await screen.findByRole('region', { name: 'For this question' }));
  expect((await worth.findByText('nurses')).closest('li')?.textContent).toBe('nurses400');
  expect(worth.queryByText('bright light')).toBeNull();
  expect((await worth.findByText('Skein')).closest('li')?.textContent).toBe('Skein20');
  expect(await worth.findByText('Of the 28 works that the strategy finds, others have too')).toBeTruthy();
  const holds = within(screen.getByRole('region', { name: 'What it holds' }));
  expect((await holds.findByText('Thesis')).closest('li')?.textContent).toBe('Thesis12');
});

test('one that is late is told, and compared as soon as it answers', async () => {
  let asked = 0;
  const late = {
    databases: {
      osier: { works: 28, elsewhere: 0, withEach: {}, reason: null, late: false },
      skein: { works: null, elsewhere: null, withEach: {}, reason: 'Not in time.', late: true },
    },
  };
  show({}, undefined, () => (++asked === 1 ? late : COMPARED));
  const worth = within(await screen.findByRole('region', { name: 'For this question' }));
  expect(await worth.findByText(/Still waiting for Skein/)).toBeTruthy();
  // What is in none of the others is not told before all have answered.
  expect(screen.queryByText(/in none of the others/)).toBeNull();
  expect((await worth.findByText('Skein')).closest('li')?.textContent).toBe('Skein20');
  expect(worth.queryByText(/Still waiting/)).toBeNull();
});

test('a database that cannot tell what it holds says why', async () => {
  show({}, () => new Refusal(502, { title: 'It does not count by index.', detail: '' }));
  expect(await screen.findByText('It does not count by index.')).toBeTruthy();
});

test('one that does not answer is told, and can be taken from the list', async () => {
  const failed = [{ id: 'osier', name: 'Osier', reason: 'it is down.', added: true }];
  show({ databases: [skein], failed });
  expect(await screen.findByText('Osier does not answer: it is down.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Take it from the list' })).toBeTruthy();
});

test('when it is not on the list, that is said', async () => {
  show({ databases: [skein] });
  expect(await screen.findByText(/There is no database “osier” on the list/)).toBeTruthy();
});

test('taken from the list on its own page, the list is shown', async () => {
  const user = show();
  await user.click(await screen.findByRole('button', { name: 'Take it from the list' }));
  expect(await screen.findByText('All databases')).toBeTruthy();
});
