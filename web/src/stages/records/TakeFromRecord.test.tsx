import { emptyRecord, type BibRecord } from '@even-lantern/core';
import { act, screen, waitFor, within } from '@testing-library/react';
import { useRef } from 'react';
import { countsBy, renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { headingContent } from '../../review/headingContent.js';
import { TakeFromRecord } from './TakeFromRecord.js';

const record: BibRecord = {
  ...emptyRecord(),
  keywords: ['dawn lamps', 'night'],
  headings: [
    { vocabulary: 'tree', label: 'Light therapy', central: true, subheadings: [] },
    { vocabulary: 'tree', label: 'Sleepiness', central: false, subheadings: ['effects'] },
  ],
};

function Pane() {
  const top = useRef<HTMLElement>(null);
  return (
    <article ref={top}>
      <p data-testid="text">asleep on duty</p>
      <TakeFromRecord record={record} container={top} />
    </article>
  );
}

const show = (answers: Parameters<typeof renderInReview>[2] = {}) =>
  renderInReview(reviewWith([term('t', headingContent('tree', 'Sleepiness'))]), () => <Pane />, {
    'POST reviews/r1/candidates': countsBy((content) => (content.kind === 'heading' ? 40 : 3)),
    'POST reviews/r1/terms': () => term('new', headingContent('tree', 'Light therapy')),
    ...answers,
  });
const open = async (user: ReturnType<typeof show>['user']) => {
  await user.click(screen.getByText(/Take words and headings of this record/));
  return within(await screen.findByRole('list', { name: 'What can be taken' }));
};

test('a heading of a record goes to a lane with one action, as a heading that came from a record', async () => {
  const { user, asked } = show();
  const list = await open(user);
  expect(await list.findAllByText('40')).not.toEqual([]);
  await user.click(list.getByRole('button', { name: 'Add Light therapy' }));
  expect(await screen.findByText(/Added Light therapy. Ctrl Z/)).toBeTruthy();
  const sent = asked.find(({ path, method }) => method === 'POST' && path === 'reviews/r1/terms')?.body;
  expect(sent).toMatchObject({
    laneId: 'l-p',
    origin: 'record',
    content: { kind: 'heading', vocabulary: 'tree', label: 'Light therapy', narrower: true },
  });
});

test('what another lane would gain is counted for that lane, and what it holds is not offered again', async () => {
  const { user, asked } = show();
  const list = await open(user);
  await user.click(screen.getByRole('combobox', { name: 'Lane to take them into' }));
  await user.click(screen.getByRole('option', { name: 'bright light' }));
  await waitFor(() =>
    expect(
      asked
        .filter(({ path }) => path.endsWith('candidates'))
        .map(({ body }) => (body as { laneId: string }).laneId),
    ).toContain('l-i'),
  );
  expect(list.queryByRole('button', { name: 'Add Sleepiness' })).toBeNull();
  expect(list.getByText('in the lane')).toBeTruthy();
});

test('a keyword is taken as a phrase, and words that are marked in the text too', async () => {
  const { user, asked } = show();
  const list = await open(user);
  await user.click(list.getByRole('button', { name: 'Add dawn lamps' }));
  act(() => {
    document.getSelection()?.selectAllChildren(screen.getByTestId('text'));
    document.dispatchEvent(new Event('selectionchange'));
  });
  await user.click(await list.findByRole('button', { name: 'Add asleep on duty' }));
  await waitFor(() =>
    expect(
      asked
        .filter(({ path, method }) => method === 'POST' && path === 'reviews/r1/terms')
        .map(({ body }) => (body as { content: { text: string } }).content.text),
    ).toEqual(['"dawn lamps"', '"asleep on duty"']),
  );
});
