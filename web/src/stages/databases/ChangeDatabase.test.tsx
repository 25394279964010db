import type { DatabaseSettings } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { UndoProvider } from '../../review/undo.js';
import { fakeServer, Refusal, type FakeRequest } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { ChangeDatabase } from './ChangeDatabase.js';

const server: DatabaseSettings = {
  id: 'osier',
  how: 'address',
  address: 'https://example.org/sru',
  version: '1.2',
  recordSchema: 'dc',
  name: 'Osier',
  description: 'Reports',
  dialect: { kind: 'cql', names: { title: 'dc.title' }, lacks: ['near'] },
  vocabulary: null,
};

function show(said: DatabaseSettings, answers: Record<string, (asked: FakeRequest) => unknown> = {}) {
  const asked = fakeServer({
    'GET vocabularies': () => [],
    'GET databases/osier/settings': () => said,
    'PUT databases/osier': ({ body }) => ({ ...(body as object), id: 'osier' }),
    ...answers,
  });
  const user = renderAt(
    '/databases/osier/change',
    <UndoProvider>
      <Routes>
        <Route path="databases" element={<p>All databases</p>} />
        <Route path="databases/:database/change" element={<ChangeDatabase />} />
      </Routes>
      <Toaster />
    </UndoProvider>,
  );
  const saved = () =>
    asked.filter(({ method }) => method === 'PUT').map(({ body }) => ({ ...(body as object), id: 'osier' }));
  return { user, saved };
}

test('what was said of a server is changed with the indexes it has now, and undone', async () => {
  const { user, saved } = show(server, {
    'POST databases/explorations': () => ({
      ...server,
      indexes: [
        { name: 'dc.title', title: 'Title' },
        { name: 'x.all', title: 'All' },
      ],
      recordSchemas: [{ name: 'dc', title: 'Dublin Core', readable: true }],
      test: { query: 'a', hits: 3, error: null, record: null },
    }),
  });
  await user.selectOptions(await screen.findByLabelText('Title, abstract, keywords'), 'x.all');
  const name = screen.getByLabelText('Name');
  await user.clear(name);
  await user.type(name, 'Osier Deposits');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('All databases')).toBeTruthy();
  const changed = {
    ...server,
    name: 'Osier Deposits',
    dialect: { ...server.dialect, names: { title: 'dc.title', words: 'x.all' } },
  };
  expect(saved()).toEqual([changed]);
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(saved()).toEqual([changed, server]));
});

test('while a server does not answer, what is said of it can be changed with the indexes in use', async () => {
  const { user, saved } = show(server, {
    'POST databases/explorations': () => new Refusal(502, { title: 'It cannot be reached.', detail: '' }),
  });
  expect(await screen.findByText('It cannot be reached.')).toBeTruthy();
  expect((screen.getByLabelText('Title') as HTMLSelectElement).value).toBe('dc.title');
  await user.click(screen.getByLabelText('words near each other'));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(saved()).toEqual([{ ...server, dialect: { ...server.dialect, lacks: [] } }]));
});

test('a refused change is told, and what was written stays', async () => {
  const hand: DatabaseSettings = {
    id: 'osier',
    how: 'hand',
    name: 'Ferrow',
    description: '',
    release: '',
    dialect: { kind: 'mindry', names: {}, lacks: [] },
    vocabulary: null,
  };
  const { user } = show(hand, {
    'PUT databases/osier': () => new Refusal(400, { title: '“a” cannot stand for two fields.', detail: '' }),
  });
  const title = await screen.findByLabelText('Title');
  await user.clear(title);
  await user.type(title, 'a');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('“a” cannot stand for two fields.')).toBeTruthy();
  expect((title as HTMLInputElement).value).toMatch(/a$/);
});
