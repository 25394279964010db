import type { ReviewTerm, TermChange } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { TermInspector } from './TermInspector.js';

const mine = term('t', wordsContent('lamp*'), { version: 1 });
const theirs: ReviewTerm = { ...mine, version: 2, content: wordsContent('lantern*') };

function inspect(own: ReviewTerm, answers = {}) {
  const onClose = jest.fn();
  const shown = renderInReview(
    reviewWith([own]),
    (lane) => (
      <TermInspector
        term={own}
        lane={lane}
        count={{ hits: 40, adds: 3, error: null }}
        askWhyHeld={false}
        onClose={onClose}
      />
    ),
    answers,
  );
  return { ...shown, onClose };
}

const changes = (asked: { method: string; body: unknown; headers: Headers }[]) =>
  asked
    .filter(({ method }) => method === 'PATCH')
    .map(({ body, headers }) => [body as TermChange, headers.get('If-Match')] as const);

test('when somebody else was quicker, both versions are shown and mine can be made on top of theirs', async () => {
  let calls = 0;
  const { user, asked } = inspect(mine, {
    'PATCH terms/t': ({ body }: { body: unknown }) => {
      calls += 1;
      if (calls === 1)
        return new Refusal(412, { title: 'Somebody else changed this term.', current: theirs });
      return { ...theirs, ...(body as TermChange), version: 3 };
    },
  });
  const words = screen.getByLabelText('Words');
  await user.clear(words);
  await user.type(words, 'lamps{Enter}');
  const note = await screen.findByRole('alert');
  expect(note.textContent).toContain('Theirs: lantern*');
  expect(note.textContent).toContain('Yours: lamps');
  await user.click(within(note).getByRole('button', { name: 'Keep mine' }));
  await waitFor(() => expect(screen.queryByText('Somebody else changed this term.')).toBeNull());
  expect(changes(asked).map(([change, version]) => [change.content, version])).toEqual([
    [wordsContent('lamps'), '"1"'],
    [wordsContent('lamps'), '"2"'],
  ]);
});

test('theirs can be taken, and nothing is written then', async () => {
  const { user, asked } = inspect(mine, {
    'PATCH terms/t': () => new Refusal(412, { title: 'Somebody else changed this term.', current: theirs }),
  });
  await user.type(screen.getByLabelText('Words'), 's{Enter}');
  await user.click(await screen.findByRole('button', { name: 'Take theirs' }));
  await waitFor(() => expect(screen.queryByText('Somebody else changed this term.')).toBeNull());
  expect(changes(asked)).toHaveLength(1);
});

test('a pattern that cannot be read is explained, and Escape brings back what was there', async () => {
  const { user, asked } = inspect(mine);
  const words = screen.getByLabelText('Words');
  await user.clear(words);
  await user.type(words, 'la*');
  expect(await screen.findByText(/write at least 3 letters/)).toBeTruthy();
  await user.keyboard('{Escape}');
  expect((words as HTMLInputElement).value).toBe('lamp*');
  expect(changes(asked)).toHaveLength(0);
});

test('words are looked for elsewhere, or put near each other', async () => {
  const own = term('t', wordsContent('bright light'));
  const { user, asked } = inspect(own, { 'PATCH terms/t': () => ({ ...own, version: 2 }) });
  await user.selectOptions(screen.getByLabelText('Looked for in'), 'title only');
  await user.selectOptions(screen.getByLabelText('Looked for in'), 'everything');
  await user.selectOptions(screen.getByLabelText('Together'), 'within 3 words of each other');
  await waitFor(() => expect(changes(asked)).toHaveLength(3));
  expect(changes(asked).map(([{ content }]) => content)).toEqual([
    { ...own.content, field: 'title' },
    { ...own.content, field: 'everything' },
    { ...own.content, near: 3 },
  ]);
});

test('a term moves to another lane, and taking it out closes the inspector', async () => {
  const { user, asked, onClose } = inspect(mine, { 'PATCH terms/t': () => ({ ...mine, version: 2 }) });
  await user.click(screen.getByRole('combobox', { name: 'Move to another lane' }));
  await user.click(screen.getByRole('option', { name: 'nurses' }));
  await waitFor(() => expect(changes(asked)[0]?.[0]).toEqual({ laneId: 'l-p' }));
  await user.click(screen.getByRole('button', { name: 'Take out of the lane' }));
  await waitFor(() => expect(changes(asked)[1]?.[0]).toEqual({ removed: true }));
  expect(onClose).toHaveBeenCalled();
});

test('a heading shows how it is searched, where it stands and what it is also called', async () => {
  inspect(term('t', headingContent('tree', 'Light therapy')));
  expect(screen.getByRole('heading', { name: 'Light therapy' })).toBeTruthy();
  expect(await screen.findByText('with all 2 narrower')).toBeTruthy();
  expect(screen.getByText('phototherapy')).toBeTruthy();
  expect(screen.getByText('alone, subheading dose')).toBeTruthy();
});

test('a term held back says why and can be searched again', async () => {
  const held = { ...mine, heldBack: 'too broad' };
  const { user, asked } = inspect(held, { 'PATCH terms/t': () => ({ ...mine, version: 2 }) });
  expect(screen.getByText(/too broad. It is kept here but not searched/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Search it again' }));
  await waitFor(() => expect(changes(asked)[0]?.[0]).toEqual({ heldBack: null }));
});
