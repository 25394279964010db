import type { ExploredServer } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal, type FakeRequest } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { AddDatabase } from './AddDatabase.js';

const found: ExploredServer = {
  address: 'https://example.org/sru',
  version: '1.2',
  name: 'Osier',
  description: 'Reports',
  recordSchemas: [
    { name: 'dc', title: 'Dublin Core', readable: true },
    { name: 'marc', title: 'Another', readable: false },
  ],
  indexes: [
    { name: 'dc.title', title: 'Title' },
    { name: 'x.all', title: 'All' },
  ],
  dialect: { kind: 'cql', names: { title: 'dc.title' }, lacks: ['near'] },
  limits: [],
  budget: { atOnce: 3, perSecond: 5 },
  test: { query: 'cql.serverChoice = "health"', hits: 98, error: null, record: null },
};

const show = (answers: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(reviewWith([]), () => <AddDatabase />, {
    'POST databases/explorations': () => found,
    'POST databases': ({ body }) => ({ ...(body as object), id: 'osier' }),
    ...answers,
  });
const lookAt = async (user: ReturnType<typeof show>['user'], address: string) => {
  await user.type(screen.getByLabelText('Address of the SRU server'), address);
  await user.click(screen.getByRole('button', { name: 'Look at it' }));
};

test('a server is looked at, its proposal changed, and added as it was confirmed', async () => {
  const { user, asked } = show();
  await lookAt(user, 'https://example.org/sru');
  expect(await screen.findByText(/found/)).toBeTruthy();
  expect(screen.getByText('98')).toBeTruthy();
  const example = screen.getByTestId('example');
  expect(example.textContent).toContain('cql.serverChoice = "night shift*" or dc.title = "nightwork"');
  await user.selectOptions(screen.getByLabelText('Title, abstract, keywords'), 'x.all');
  await user.selectOptions(screen.getByLabelText('Title'), '');
  await user.click(screen.getByLabelText('words with any ending (*)'));
  expect(example.textContent).toContain('x.all = "night shift" or x.all = "nightwork"');
  const perSecond = screen.getByLabelText('Calls in a second');
  expect((perSecond as HTMLInputElement).value).toBe('5');
  await user.clear(perSecond);
  await user.type(perSecond, '2');
  await user.click(screen.getByRole('button', { name: 'Add Osier' }));
  expect(await screen.findByText('Added Osier.')).toBeTruthy();
  expect(asked.find(({ path }) => path === 'databases')?.body).toMatchObject({
    how: 'address',
    address: 'https://example.org/sru',
    version: '1.2',
    recordSchema: 'dc',
    budget: { atOnce: 3, perSecond: 2 },
    dialect: { kind: 'cql', names: { words: 'x.all', title: null }, lacks: ['near', 'endings'] },
  });
});

test('records of a kind that cannot be read are warned of, and a refused first search is told', async () => {
  const { user } = show({
    'POST databases/explorations': () => ({
      ...found,
      test: { query: 'a', hits: null, error: 'No such index.', record: null },
    }),
  });
  await lookAt(user, 'https://example.org/sru');
  expect(await screen.findByText(/was refused: No such index\./)).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('Records come as'), 'marc');
  expect(screen.getByText(/choose MODS or Dublin Core/)).toBeTruthy();
});

test('an address that is no server is told with what to do', async () => {
  const { user } = show({
    'POST databases/explorations': () =>
      new Refusal(502, { title: 'It does not explain itself.', detail: 'Look at the address.' }),
  });
  await lookAt(user, 'https://example.org/');
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /It does not explain itself\.Look at the address\./,
  );
});

test('with a vocabulary its headings are asked for, in the index that holds their words', async () => {
  const indexes = [...found.indexes, { name: 'dc.subject', title: 'Subject' }];
  const lacks = ['narrower', 'central', 'subheadings'];
  const dialect = { kind: 'cql', names: { headings: 'dc.subject' }, lacks };
  const { user, asked } = show({ 'POST databases/explorations': () => ({ ...found, indexes, dialect }) });
  await lookAt(user, 'https://example.org/sru');
  const example = await screen.findByTestId('example');
  expect(example.textContent).toContain('cql.serverChoice = "shift work"');
  expect(screen.queryByLabelText('Headings')).toBeNull();
  await user.selectOptions(
    screen.getByLabelText('Its headings are of'),
    await screen.findByRole('option', { name: 'A tree' }),
  );
  expect((screen.getByLabelText('Headings') as HTMLSelectElement).value).toBe('dc.subject');
  expect(example.textContent).toContain('(dc.subject == "Shift work" or dc.subject == "Night work")');
  await user.click(screen.getByLabelText('a heading with all that lie below it'));
  expect(example.textContent).toContain('dc.subject ==/narrower "Shift work"');
  await user.click(screen.getByRole('button', { name: 'Add Osier' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === 'databases')?.body).toMatchObject({
      vocabulary: 'tree',
      dialect: { names: { heading: 'dc.subject' }, lacks: ['central', 'subheadings'] },
    }),
  );
});

test('a database by hand is described by the nearest way of writing, with names of its own', async () => {
  const { user, asked } = show();
  await user.click(screen.getByRole('radio', { name: /By hand/ }));
  await user.type(screen.getByLabelText('Name'), 'Ferrow');
  await user.selectOptions(screen.getByLabelText('The syntax nearest to its own'), 'assayhouse');
  const names = screen.getByRole('group', { name: 'What it calls what is searched' });
  const title = within(names).getByLabelText('Title');
  await user.clear(title);
  await user.type(title, 'ti');
  await user.selectOptions(
    screen.getByLabelText('Its headings are of'),
    await screen.findByRole('option', { name: 'A tree' }),
  );
  await user.click(within(names).getByLabelText('It has no field for headings'));
  expect(screen.getByTestId('example').textContent).toContain("ti ~ 'nightwork'");
  await user.click(screen.getByRole('button', { name: 'Add Ferrow' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === 'databases')?.body).toMatchObject({
      how: 'hand',
      name: 'Ferrow',
      vocabulary: 'tree',
      dialect: {
        kind: 'assayhouse',
        names: { heading: null, title: expect.stringMatching(/ti$/) },
        lacks: [],
      },
    }),
  );
});
