import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { StrategyDocument } from '@even-lantern/core';
import { Refusal } from '../../../testing/fakeServer.js';
import { database, renderInReview, reviewWith } from '../../../testing/renderInReview.js';
import { PasteStrategy } from './PasteStrategy.js';

const onClose = jest.fn();
const READ = { terms: 3, present: 1, ownLines: 1, limits: 0, written: 0 };
const show = (answers: Parameters<typeof renderInReview>[2] = {}) => {
  onClose.mockClear();
  const corvane = { ...database, dialect: { kind: 'corvane', names: {}, lacks: [] } };
  return renderInReview(reviewWith([]), () => <PasteStrategy databases={[corvane]} onClose={onClose} />, {
    'POST reviews/r1/strategy.json': () => READ,
    ...answers,
  });
};
const paste = (text: string) =>
  fireEvent.change(screen.getByLabelText('Paste all of it, line by line'), { target: { value: text } });
const TEXT = [
  '1. words("nurse*")  44',
  '2. words("light") or words("lamp*")',
  '3. words("newborn*")',
  '4. 1 and 2',
  '5. 1 and words("dusk")',
  '6. 4 not 3',
].join('\n');

test('nothing is offered before something is pasted', () => {
  show();
  expect(screen.getByText(/check them before anything is added/)).toBeTruthy();
  expect((screen.getByRole('button', { name: /^Add/ }) as HTMLButtonElement).disabled).toBe(true);
});

test('lanes and lines are shown, named and placed, and added as they are chosen', async () => {
  const { user, asked } = show();
  paste(TEXT);
  expect(await screen.findByText(/6 of 6 lines can be read/)).toBeTruthy();
  const lane = within(await screen.findByRole('region', { name: 'Lane: light' }));
  expect(lane.getByText('light, lamp*')).toBeTruthy();
  expect(within(screen.getByRole('region', { name: 'Lane: newborn' })).getByText('left out:')).toBeTruthy();
  fireEvent.change(lane.getByLabelText('Name of the lane'), { target: { value: 'bright light' } });
  await user.selectOptions(screen.getByLabelText('What bright light is part of'), 'I');
  await user.click(screen.getByRole('button', { name: 'Add 3 lanes and 1 line' }));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  const { lanes, ownLines } = asked.find(({ path }) => path === 'reviews/r1/strategy.json')
    ?.body as StrategyDocument;
  expect(lanes.map(({ name, element, leftOut }) => [name, element, leftOut])).toEqual([
    ['nurse', null, false],
    ['bright light', 'I', false],
    ['newborn', null, true],
  ]);
  expect(ownLines).toMatchObject([{ role: 'looks', note: 'pasted as line 5' }]);
  expect(ownLines[0]?.text).toContain('cql.resultSetId = "lane:1"');
});

test('what refers to a lane that is not taken cannot be taken either', async () => {
  const { user } = show();
  paste(TEXT);
  await user.click(await screen.findByLabelText('Take the lane nurse'));
  expect(screen.getByText('refers to what is not taken')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Add 2 lanes' })).toBeTruthy();
});

test('lines that cannot be read are told with their place, and those that follow from them together', async () => {
  show();
  paste('1. words("nurse*"\n2. words("light")\n3. 1 and 2\n4. 3 or 2');
  const wrong = within(await screen.findByRole('list', { name: 'Lines that cannot be read' }));
  expect(wrong.getByText(/Expected “\)”/)).toBeTruthy();
  expect(wrong.getByText(/Lines 3, 4 refer to what cannot be read/)).toBeTruthy();
});

test('a text in CQL is read as such, and another language can be chosen', async () => {
  const { user } = show();
  paste('1. el.title = "nurse*"\n2. el.title = light or el.title = lamp\n3. 1 and 2');
  expect(await screen.findByText(/3 of 3 lines can be read/)).toBeTruthy();
  const choice = screen.getByLabelText(/^Written for/) as HTMLSelectElement;
  expect(choice.value).toBe('cql');
  await user.selectOptions(choice, 'db');
  expect(await screen.findByText(/0 of 3 lines can be read/)).toBeTruthy();
});

test('where the server refuses, what was pasted stays', async () => {
  const { user } = show({
    'POST reviews/r1/strategy.json': () => new Refusal(409, { title: 'A review has at most 40 lanes.' }),
  });
  paste(TEXT);
  await user.click(await screen.findByRole('button', { name: 'Add 3 lanes and 1 line' }));
  expect(await screen.findByText('A review has at most 40 lanes.')).toBeTruthy();
  expect(onClose).not.toHaveBeenCalled();
  expect((screen.getByLabelText('Paste all of it, line by line') as HTMLTextAreaElement).value).toBe(TEXT);
});
