import type { Problem } from '@even-lantern/contract';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { EditConflict } from '../parts/EditConflict.js';
import { useAutosave, type Keep } from './useAutosave.js';

const CONFLICT: Problem = {
  type: 'about:blank',
  title: 'Somebody else changed this in the meantime.',
  status: 412,
  current: { version: 7, text: 'theirs' },
};
const AWAY: Problem = { type: 'about:blank', title: 'The server does not answer.', status: 0 };

function Field({ keep }: { keep: Keep<string> }) {
  const autosave = useAutosave(keep);
  return (
    <>
      <input aria-label="Text" onChange={(event) => autosave.save(event.target.value)} />
      {autosave.problem !== null && (
        <EditConflict
          problem={autosave.problem}
          theirs="theirs"
          onKeepMine={autosave.keepMine}
          onTakeTheirs={autosave.takeTheirs}
        />
      )}
    </>
  );
}

/** A field, whose text the server answers with one problem after the other, and then keeps. */
function field(...problems: (Problem | null)[]) {
  const sent: [string, number | null][] = [];
  const keep: Keep<string> = (text, over) => {
    sent.push([text, over]);
    return Promise.resolve(problems.shift() ?? null);
  };
  const user = userEvent.setup({ advanceTimers: jest.advanceTimersByTime });
  const { unmount } = render(<Field keep={keep} />);
  return { sent, user, unmount, typed: () => user.type(screen.getByRole('textbox'), 'x') };
}
const pause = () => act(() => jest.advanceTimersByTimeAsync(1000));

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('what is typed is kept once, after a pause', async () => {
  const { sent, user } = field();
  await user.type(screen.getByRole('textbox'), 'night');
  expect(sent).toEqual([]);
  await pause();
  expect(sent).toEqual([['night', null]]);
});

test('leaving at once loses nothing of what was typed last', async () => {
  const { sent, typed, unmount } = field();
  await typed();
  unmount();
  await pause();
  expect(sent).toEqual([['x', null]]);
});

test('after somebody else’s change nothing more is sent; mine is then put over exactly theirs', async () => {
  const { sent, user, typed } = field(CONFLICT);
  await typed();
  await pause();
  await typed();
  await pause();
  expect(sent).toEqual([['x', null]]);
  await user.click(screen.getByRole('button', { name: 'Keep mine' }));
  await pause();
  expect(sent).toEqual([
    ['x', null],
    ['xx', 7],
  ]);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('taking theirs sends nothing of mine', async () => {
  const { sent, user, typed, unmount } = field(CONFLICT);
  await typed();
  await pause();
  await user.click(screen.getByRole('button', { name: 'Take theirs' }));
  unmount();
  await pause();
  expect(sent).toHaveLength(1);
});

test('when the server was away, what was typed goes with what is typed next, or when it is tried again', async () => {
  const { sent, user, typed } = field(AWAY, AWAY);
  await typed();
  await pause();
  expect(screen.getByRole('alert').textContent).toContain('does not answer');
  await typed();
  await pause();
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await pause();
  expect(sent.map(([text]) => text)).toEqual(['x', 'xx', 'xx']);
  expect(screen.queryByRole('alert')).toBeNull();
});
