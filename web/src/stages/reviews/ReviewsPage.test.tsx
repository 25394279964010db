import type { ReviewSummary } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { PersonContext } from '../../review/api/person.js';
import { fakeServer, Refusal } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { ReviewsPage } from './ReviewsPage.js';

const review: ReviewSummary = {
  id: 'r1',
  title: 'Bright light at night',
  version: 3,
  createdAt: '2026-10-01T08:00:00Z',
  trouble: null,
  sentence: 'In nurses, does bright light affect sleepiness?',
  stage: 'records',
  lanes: 3,
  unread: 1259,
  lastRun: { at: '2026-10-02T09:00:00Z', databaseName: 'Corvane', hits: 1300, status: 'complete' },
  lastChange: { at: '2026-10-03T09:00:00Z', person: 'Mara' },
  putAwayAt: null,
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
  expect(await screen.findByRole('link', { name: /^Lamps on the ward/ })).toBeTruthy();
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

test('each review tells how far it is, what was run last, who did the last thing and when', async () => {
  const begun = { stage: 'question', lanes: 0, unread: 0, lastRun: null, lastChange: null } as const;
  fakeServer({ 'GET reviews': () => [review, { ...review, id: 'r2', title: 'New', ...begun }] });
  renderAt('/reviews', page());
  const link = await screen.findByRole('link', { name: /^Bright light at night/ });
  expect(link.textContent).toMatch(/at the records3 lanes/);
  expect(link.textContent).toMatch(/last run 2 Oct 2026 in Corvane: 1.300 records/);
  expect(link.textContent).toMatch(/Mara, 3 Oct 2026/);
  expect(link.getAttribute('href')).toBe('/reviews/r1/records');
  expect(screen.getByRole('link', { name: /^New/ }).textContent).toMatch(/at the questionbegun 1 Oct 2026/);
});

test('a review is put away, listed apart, and brought back', async () => {
  let putAwayAt: string | null = null;
  fakeServer({
    'GET reviews': () => [{ ...review, putAwayAt }],
    'PATCH reviews/r1': ({ body }) => {
      putAwayAt = (body as { putAway: boolean }).putAway ? '2026-10-04T00:00:00Z' : null;
      return { id: 'r1', version: 4 };
    },
  });
  const user = renderAt('/reviews', page());
  await user.click(await screen.findByRole('button', { name: 'Put “Bright light at night” away' }));
  await user.click(await screen.findByText('1 review put away'));
  expect(screen.getByText(/All reviews are put away/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Bring “Bright light at night” back' }));
  expect(await screen.findByRole('list', { name: 'Reviews at work' })).toBeTruthy();
});

test('deleting tells what goes, and takes the title that is typed', async () => {
  let gone = false;
  const asked = fakeServer({
    'GET reviews': () => (gone ? [] : [review]),
    'GET reviews/r1/holdings': () => ({
      lanes: 3,
      terms: 12,
      onShelf: 1,
      ledgerEntries: 2,
      records: 1300,
      decided: 41,
    }),
    'POST reviews/r1/deletion': ({ body }) => {
      gone = (body as { title: string }).title === review.title;
      return gone ? null : new Refusal(400, { title: 'Type the title as it stands.' });
    },
  });
  const user = renderAt('/reviews', page());
  await user.click(await screen.findByRole('button', { name: 'Delete “Bright light at night”' }));
  expect(
    await screen.findByText(
      /the question, 3 lanes of 12 terms, 1 item on the shelf, 2 ledger entries and 1 300 records, 41 decisions/,
    ),
  ).toBeTruthy();
  const field = screen.getByLabelText(/^Type its title/);
  await user.type(field, 'Bright{Enter}');
  expect(await screen.findByText('Type the title as it stands.')).toBeTruthy();
  await user.type(field, ' light at night{Enter}');
  expect(await screen.findByText(/No review yet/)).toBeTruthy();
  expect(asked.filter(({ method }) => method === 'POST')).toHaveLength(2);
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

test('a review is saved as one file, and taken in from one; what does not fit is told', async () => {
  let fits = false;
  const asked = fakeServer({
    'GET reviews': () => [review],
    'POST packages': () =>
      fits
        ? {
            id: 'r9',
            title: 'Taken in',
            rows: 12,
            paused: 1,
            seal: '1-ab',
            standing: [
              {
                text: 'One heading is settled otherwise here.',
                instead: [{ kind: 'settled heading', id: 's1' }],
              },
              { text: 'A database is described otherwise here.', instead: [] },
            ],
            unvouched: ['Decisions are not.'],
          }
        : new Refusal(400, { title: 'The file data/run.ndjson is missing.' }),
    'POST packages/answers': () => ({ taken: 1 }),
  });
  const user = renderAt('/reviews', page());
  const link = await screen.findByRole('link', { name: 'Save “Bright light at night” as one file' });
  expect(link.getAttribute('href')).toBe('/api/reviews/r1/package.zip');
  const file = new File(['zip'], 'review.zip', { type: 'application/zip' });
  await user.upload(screen.getByLabelText('A review as one file'), file);
  expect((await screen.findByRole('alert')).textContent).toContain('data/run.ndjson is missing');
  fits = true;
  await user.upload(screen.getByLabelText('A review as one file'), file);
  // Lists are asked for again at any moment.
  const sent = () => asked.filter(({ path }) => path === 'packages');
  await waitFor(() => expect(sent()).toHaveLength(2));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  expect(sent().at(-1)?.headers.get('content-type')).toBe('application/zip');
  const open = await screen.findByRole('link', { name: 'Open the review' });
  expect(open.getAttribute('href')).toBe('/reviews/r9');
  for (const told of [
    '1-ab',
    'One heading is settled otherwise here.',
    'Decisions are not.',
    /^1 schedule paused/,
  ]) {
    expect(screen.getByText(told)).toBeTruthy();
  }
  // What can be taken over has a button of its own; a description of a database cannot.
  await user.click(screen.getByRole('button', { name: 'Take over what the package says' }));
  await screen.findByText(/^Taken over/);
  const [over] = asked.filter(({ path }) => path === 'packages/answers');
  expect(over?.body).toEqual({ answers: [{ kind: 'settled heading', id: 's1' }] });
  expect(screen.queryByRole('button', { name: 'Take over what the package says' })).toBeNull();
});
