/** What is asked for again after an edit: what depends on it, and nothing else. */
import { screen, waitFor } from '@testing-library/react';
import { database, renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { useLimitEdits } from '../useLimitEdits.js';
import { useRehearsal } from '../useRehearsal.js';
import { useShelf } from '../useShelf.js';
import { reviewApi } from './reviewApi.js';

const review = reviewWith([]);
const rehearsal = { database: database.id, release: database.release, lines: [], effects: {} };

function Edits() {
  const { put } = useShelf();
  const { add } = useLimitEdits();
  const { data } = useRehearsal();
  reviewApi.useReviewQuery('r1');
  return (
    <>
      <button onClick={() => void put({ name: 'Colds', contents: [], origin: 'typed', source: '' })}>
        to the shelf
      </button>
      <button onClick={() => void add([])}>a limit</button>
      {data === undefined ? null : 'counted'}
    </>
  );
}

async function after(button: string) {
  const { user, asked } = renderInReview(review, () => <Edits />, {
    'GET reviews/r1/rehearsal': () => rehearsal,
    'POST reviews/r1/shelf': () => ({ id: 's1' }),
    'POST reviews/r1/limits': () => [],
  });
  await screen.findByText('counted');
  const times = (path: string) => asked.filter((each) => each.path.startsWith(path)).length;
  const reviews = () => asked.filter(({ path }) => path === 'reviews/r1').length;
  const [counts, before] = [times('reviews/r1/rehearsal'), reviews()];
  await user.click(screen.getByRole('button', { name: button }));
  await waitFor(() => expect(reviews()).toBe(before + 1));
  return { recounts: times('reviews/r1/rehearsal') - counts };
}

test('what is put on the shelf is searched nowhere, so that nothing is counted again', async () => {
  expect(await after('to the shelf')).toEqual({ recounts: 0 });
});

test('a limit changes what is found, so that it is counted again', async () => {
  expect(await after('a limit')).toEqual({ recounts: 1 });
});
