import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useFollowing } from './useFollowing.js';

function Field({ value, onSend }: { value: string; onSend: (value: string) => void }) {
  const { text, setText, send } = useFollowing(value);
  return (
    <input
      value={text}
      onChange={({ target }) => setText(target.value)}
      onKeyDown={({ key }) => {
        if (key !== 'Enter') return;
        send(text);
        onSend(text);
      }}
    />
  );
}

const field = () => screen.getByRole<HTMLInputElement>('textbox');

test('a field shows what its value has become', () => {
  const { rerender } = render(<Field value="2005" onSend={() => undefined} />);
  rerender(<Field value="2012" onSend={() => undefined} />);
  expect(field().value).toBe('2012');
});

test('what is typed on while one’s own value is on its way stays, and the field keeps the focus', async () => {
  const sent: string[] = [];
  const user = userEvent.setup();
  const { rerender } = render(<Field value="" onSend={(value) => sent.push(value)} />);
  const before = field();
  await user.type(before, 'because{Enter}');
  await user.type(before, ' so');
  rerender(<Field value="because" onSend={(value) => sent.push(value)} />);
  expect(field().value).toBe('because so');
  expect(field()).toBe(before);
  expect(document.activeElement).toBe(before);
  expect(sent).toEqual(['because']);
  // What another person, or undo, makes of it is shown.
  rerender(<Field value="" onSend={() => undefined} />);
  expect(field().value).toBe('');
});
