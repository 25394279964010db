import { screen } from '@testing-library/react';
import { fakeServer, Refusal } from '../testing/fakeServer.js';
import { renderAt } from '../testing/renderAt.js';
import { PersonGate } from './PersonGate.js';
import { PersonMenu } from '../review/PersonMenu.js';

const people = [{ id: 'p1', name: 'Mara Quillfeather' }];

beforeEach(() => localStorage.clear());

function page() {
  return (
    <PersonGate>
      <PersonMenu />
      <p>The reviews</p>
    </PersonGate>
  );
}

test('nothing is shown before somebody says who they are, and the browser remembers it', async () => {
  fakeServer({ 'GET people': () => people });
  const user = renderAt('/', page());
  await user.click(await screen.findByRole('button', { name: 'Continue as Mara Quillfeather' }));
  expect(await screen.findByText('The reviews')).toBeTruthy();
  expect(localStorage.getItem('even-lantern-person')).toBe('p1');
});

test('somebody else can take over, under a name of their own', async () => {
  localStorage.setItem('even-lantern-person', 'p1');
  const known = [...people];
  fakeServer({
    'GET people': () => known,
    'POST people': ({ body }) => {
      const added = { id: 'p2', name: (body as { name: string }).name };
      known.push(added);
      return added;
    },
  });
  const user = renderAt('/', page());
  await user.click(await screen.findByRole('button', { name: /Working as Mara Quillfeather/ }));
  expect(screen.queryByText('The reviews')).toBeNull();
  await user.type(screen.getByLabelText('Or somebody else'), 'Ilse Farrowmere{Enter}');
  expect(await screen.findByRole('button', { name: /Working as Ilse Farrowmere/ })).toBeTruthy();
});

test('a refused name keeps what was typed and says why', async () => {
  fakeServer({
    'GET people': () => [],
    'POST people': () => new Refusal(400, { title: 'Write your name.' }),
  });
  const user = renderAt('/', page());
  const field = await screen.findByLabelText('Your name');
  await user.type(field, '  {Enter}');
  expect(await screen.findByText('Write your name.')).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe('  ');
});

test('a person the server no longer knows is asked again', async () => {
  localStorage.setItem('even-lantern-person', 'gone');
  fakeServer({ 'GET people': () => people });
  renderAt('/', page());
  expect(await screen.findByText('Who is working here?')).toBeTruthy();
});

test('when the server does not answer, that is said', async () => {
  globalThis.fetch = () => Promise.reject(new Error('refused'));
  renderAt('/', page());
  expect(await screen.findByText('The server does not answer.')).toBeTruthy();
});
