import { screen, waitFor } from '@testing-library/react';
import { renderInReview, reviewWith } from '../testing/renderInReview.js';
import { reviewApi } from './api/reviewApi.js';
import { useShelf } from './useShelf.js';

const review = reviewWith([]);

function Lanes() {
  const { make } = useShelf();
  const { data } = reviewApi.useReviewQuery('r1');
  const concepts = [{ elementId: null, name: 'Colds', terms: [] }];
  return (
    <>
      <button onClick={() => void make({ concepts, texts: [] })}>Make</button>
      <ul>
        {data?.lanes.map(({ id }) => (
          <li key={id}>{id}</li>
        ))}
      </ul>
    </>
  );
}

test('lanes that were made stand at once, however long the review takes to be asked for again', async () => {
  let times = 0;
  const { user, asked } = renderInReview(review, () => <Lanes />, {
    'GET reviews/r1': () => {
      times += 1;
      return times === 1 ? review : new Promise(() => {});
    },
    'POST reviews/r1/concepts': () => ({
      laneIds: ['l-new'],
      review: { ...review, lanes: [...review.lanes, { ...review.lanes[0], id: 'l-new', elementId: null }] },
    }),
  });
  await screen.findByText('l-i');
  await user.click(screen.getByRole('button', { name: 'Make' }));
  await screen.findByText('l-new');
  await waitFor(() => expect(asked.filter(({ path }) => path === 'reviews/r1')).toHaveLength(2));
  expect(screen.getByText('l-new')).toBeTruthy();
});
