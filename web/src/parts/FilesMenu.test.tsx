import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FilesMenu, ReadJson } from './FilesMenu.js';

function menu() {
  const read: unknown[] = [];
  render(
    <>
      <FilesMenu>
        <li>
          <a href="#csv">CSV</a>
        </li>
        <ReadJson text="Read it" what="lanes" onRead={(document) => read.push(document)} />
      </FilesMenu>
      <button>elsewhere</button>
    </>,
  );
  const summary = screen.getByText('Files');
  const isOpen = () => summary.closest('details')?.open;
  return { read, summary, isOpen, user: userEvent.setup() };
}

/** The document of these tests reads no files by itself. */
const file = (text: string) =>
  Object.assign(new File([text], 'a.json', { type: 'application/json' }), { text: async () => text });

test.each([
  ['an entry is chosen', (user: ReturnType<typeof menu>['user']) => user.click(screen.getByText('CSV'))],
  ['Escape is pressed', (user: ReturnType<typeof menu>['user']) => user.keyboard('{Escape}')],
  [
    'something else is pressed',
    (user: ReturnType<typeof menu>['user']) => user.click(screen.getByText('elsewhere')),
  ],
])('the menu closes when %s', async (_, turn) => {
  const { user, summary, isOpen } = menu();
  await user.click(summary);
  expect(isOpen()).toBe(true);
  await turn(user);
  expect(isOpen()).toBe(false);
});

test('a file is read where it is JSON', async () => {
  const { user, summary, read } = menu();
  await user.click(summary);
  const field = screen.getByLabelText<HTMLInputElement>('File of lanes');
  await user.upload(field, file('{"lanes": ['));
  expect(read).toEqual([]);
  await user.upload(field, file('{"lanes": []}'));
  await waitFor(() => expect(read).toEqual([{ lanes: [] }]));
});
