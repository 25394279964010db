import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ChoiceMenu } from './ChoiceMenu.js';

const choices = [
  { id: 'a', name: 'First' },
  { id: 'b', name: 'Second', detail: 'with more to say' },
  { id: 'c', name: 'Third' },
];

function show() {
  const onChoose = jest.fn();
  render(<ChoiceMenu label="Which" text="Choose …" choices={choices} chosen="a" onChoose={onChoose} />);
  return { onChoose, user: userEvent.setup() };
}

test('going through the choices by keyboard changes nothing until Enter', async () => {
  const { user, onChoose } = show();
  await user.tab();
  await user.keyboard('{ArrowDown}{ArrowDown}');
  expect(screen.getAllByRole('option')).toHaveLength(3);
  expect(onChoose).not.toHaveBeenCalled();
  await user.keyboard('{Enter}');
  expect(onChoose.mock.calls).toEqual([['b']]);
});

test('leaving the open menu, or Escape, chooses nothing', async () => {
  const { user, onChoose } = show();
  await user.tab();
  await user.keyboard('{ArrowDown}{ArrowDown}{Escape}');
  expect(screen.queryAllByRole('option')).toEqual([]);
  await user.keyboard('{ArrowDown}{ArrowDown}');
  await user.tab();
  expect(onChoose).not.toHaveBeenCalled();
});

test('a click chooses, and the same can be chosen again', async () => {
  const { user, onChoose } = show();
  for (let i = 0; i < 2; i += 1) {
    await user.click(screen.getByRole('combobox', { name: 'Which' }));
    await user.click(screen.getByRole('option', { name: 'Third' }));
  }
  expect(onChoose.mock.calls).toEqual([['c'], ['c']]);
});
