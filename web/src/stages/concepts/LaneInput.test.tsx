import { screen, waitFor } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { countsBy, renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { LaneInput } from './LaneInput.js';

jest.mock('../../review/startLookups.js', () =>
  jest.requireActual<object>('../../testing/lookupsInPlace.js'),
);

const show = (answers = {}) => renderInReview(reviewWith([]), (lane) => <LaneInput lane={lane} />, answers);
const options = () => screen.getAllByRole('option').map((option) => option.textContent);

test('a word that is no heading says so, names the heading to use, and shows counts', async () => {
  const { user } = show();
  await user.type(screen.getByRole('combobox'), 'phototherapy');
  expect(await screen.findByText(/“phototherapy” is no heading, this is used for it/)).toBeTruthy();
  await waitFor(() => expect(options()[0]).toMatch(/^Light therapy7 adds 7/));
  expect(options()[1]).toMatch(/^phototherapy7 adds 7/);
});

test('of a clause what belongs to other concepts is offered as lanes of their own, not as alternatives', async () => {
  const { user } = show();
  await user.type(screen.getByRole('combobox'), 'nurses who feel drowsiness at night');
  await waitFor(() =>
    expect(options().map((each) => /^(?:A lane of its own: \w+|[A-Z]?[a-z]+)/.exec(each)?.[0])).toEqual([
      'Sleepiness',
      'drowsiness',
      'A lane of its own: nurses',
      'A lane of its own: night',
    ]),
  );
});

test('Enter adds what is highlighted, with narrower, and empties the field', async () => {
  const { user, asked } = show({
    'POST reviews/r1/terms': () => term('t1', { kind: 'words', text: 'x', field: 'words', near: null }),
  });
  const field = screen.getByRole('combobox');
  await user.type(field, 'light therapy');
  await screen.findByText(/this is its name/);
  await user.keyboard('{Enter}');
  await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
  expect(asked.find(({ path, method }) => method === 'POST' && path.endsWith('terms'))?.body).toMatchObject({
    laneId: 'l-i',
    content: { kind: 'heading', label: 'Light therapy', narrower: true },
  });
});

test('an unfinished phrase is explained after a moment, and only headings are offered', async () => {
  const { user } = show();
  await user.type(screen.getByRole('combobox'), '"lamps');
  expect(await screen.findByText(/A quotation mark is not closed/)).toBeTruthy();
  expect(options().every((option) => !option.startsWith('"lamps'))).toBe(true);
});

test('what could not be added stays in the field, with the reason', async () => {
  const { user } = show({
    'POST reviews/r1/terms': () => new Refusal(404, { title: 'This lane is not there.' }),
  });
  const field = screen.getByRole('combobox');
  await user.type(field, 'lamps');
  await waitFor(() => expect(options().length).toBeGreaterThan(0));
  await user.keyboard('{Enter}');
  expect(await screen.findByText('This lane is not there.')).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe('lamps');
});

test('a count that the database refuses is shown as missing, never as nought', async () => {
  const { user } = show({
    'POST reviews/r1/candidates': (asked: Parameters<ReturnType<typeof countsBy>>[0]) =>
      countsBy(() => 0)(asked).map(() => ({ hits: null, adds: null, error: 'It does not answer.' })),
  });
  await user.type(screen.getByRole('combobox'), 'lamps');
  await waitFor(() => expect(options()[0]).toContain('—'));
});

test('while the database does not answer, that is said where one types, and what is typed stays', async () => {
  const { user } = renderInReview(reviewWith([]), (lane) => <LaneInput lane={lane} />, {}, null);
  const field = screen.getByRole('combobox');
  await user.type(field, 'lamps');
  expect(screen.queryByRole('alert')).toBeNull();
  expect((await screen.findByRole('alert', {}, { timeout: 3000 })).textContent).toMatch(/does not answer/);
  expect((field as HTMLInputElement).value).toBe('lamps');
});
