import type { ReviewSummary } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { PersonContext } from '../../app/person.js';
import { fakeServer, Refusal } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { ReviewsPage } from './ReviewsPage.js';

const review: ReviewSummary = {
  id: 'r1',
  title: 'Bright light at night',
  version: 3,
  createdAt: '2026-10-01T08:00:00Z',
  sentence: 'In nurses, does bright light affect sleepiness?',
  unread: 1259,
};

function page() {
  return (
    <PersonContext value={{ person: { id: 'p1', name: 'Mara Quillfeather' }, leave: () => undefined }}>
      <ReviewsPage />
    </PersonContext>
  );
}

test('each review shows its question and how much is unread', async () => {
  fakeServer({
    'GET reviews': () => [review, { ...review, id: 'r2', title: 'Woken on call', sentence: '', unread: 0 }],
  });
  renderAt('/reviews', page());
  expect(await screen.findByText(review.sentence)).toBeTruthy();
  expect(screen.getByText('1 259 unread')).toBeTruthy();
  expect(screen.getByText('No question written yet.')).toBeTruthy();
});

test('a review gets another title, made on the version that was seen', async () => {
  let title = review.title;
  const asked = fakeServer({
    'GET reviews': () => [{ ...review, title }],
    'PATCH reviews/r1': ({ body }) => {
      title = (body as { title: string }).title;
      return { id: 'r1', title, version: 4, elements: [] };
    },
  });
  const user = renderAt('/reviews', page());
  await user.click(await screen.findByRole('button', { name: 'Rename “Bright light at night”' }));
  const field = screen.getByLabelText('New title of “Bright light at night”');
  expect(document.activeElement).toBe(field);
  await user.clear(field);
  await user.type(field, 'Lamps on the ward{Enter}');
  expect(await screen.findByRole('link', { name: /Lamps on the ward/ })).toBeTruthy();
  expect(asked.find(({ method }) => method === 'PATCH')?.headers.get('If-Match')).toBe('"3"');
});

test('a title that somebody else changed meanwhile is not overwritten unseen', async () => {
  const asked = fakeServer({
    'GET reviews': () => [review],
    'PATCH reviews/r1': () => new Refusal(412, { title: 'Somebody else changed this meanwhile.' }),
  });
  const user = renderAt('/reviews', page());
  await user.click(await screen.findByRole('button', { name: /^Rename/ }));
  await user.type(screen.getByLabelText(/^New title/), ' again{Enter}');
  expect(await screen.findByText('Somebody else changed this meanwhile.')).toBeTruthy();
  expect((screen.getByLabelText(/^New title/) as HTMLInputElement).value).toBe('Bright light at night again');
  await user.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByLabelText(/^New title/)).toBeNull());
  expect(asked.filter(({ method }) => method === 'PATCH')).toHaveLength(1);
});

test('a title that is refused stays in its field', async () => {
  fakeServer({
    'GET reviews': () => [],
    'POST reviews': () => new Refusal(400, { title: 'Give the review a title.' }),
  });
  const user = renderAt('/reviews', page());
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  expect(await screen.findByText('Give the review a title.')).toBeTruthy();
});
