import type { LimitChange, ReviewLimit } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { useLimitEdits } from '../useLimitEdits.js';
import { reviewApi } from './reviewApi.js';

const LIMIT = {
  id: 'l1',
  kind: 'years',
  values: { kind: 'years', from: 2005, to: null },
  reason: '',
  on: true,
  ways: {},
  version: 1,
} as unknown as ReviewLimit;
const review = { ...reviewWith([]), limits: [LIMIT] };

/** Two edits of one limit, one right after the other, which are made of what is shown. */
function Edits() {
  const { change } = useLimitEdits();
  const [limit] = reviewApi.useReviewQuery('r1').data?.limits ?? [];
  if (limit === undefined) return null;
  return (
    <>
      <button onClick={() => void change(limit, { reason: 'first' })}>first</button>
      <button onClick={() => void change(limit, { reason: 'second' })}>second</button>
      <p>
        {limit.reason}, version {limit.version}
      </p>
    </>
  );
}

test('the answer to an edit does not hide a later one that is still under way', async () => {
  const answers: (() => void)[] = [];
  let now = LIMIT;
  const { user } = renderInReview(review, () => <Edits />, {
    'GET reviews/r1': () => ({ ...review, limits: [now] }),
    'PATCH limits/l1': ({ body }) =>
      new Promise((resolve) =>
        answers.push(() => {
          now = { ...now, ...(body as Pick<LimitChange, 'reason'>), version: now.version + 1 };
          resolve(now);
        }),
      ),
  });
  await user.click(await screen.findByText('first'));
  await user.click(screen.getByText('second'));
  await screen.findByText('second, version 1');
  await waitFor(() => expect(answers).toHaveLength(1));
  answers[0]?.();
  await screen.findByText('second, version 2');
  await waitFor(() => expect(answers).toHaveLength(2));
  answers[1]?.();
  await screen.findByText('second, version 3');
});

test('what was refused is taken back', async () => {
  const another = { ...review, limits: [{ ...LIMIT, id: 'l2' }] };
  const { user } = renderInReview(another, () => <Edits />, {
    'GET reviews/r1': () => another,
    'PATCH limits/l2': () => new Refusal(400, { title: 'No such reason.' }),
  });
  await user.click(await screen.findByText('first'));
  await screen.findByText(', version 1');
});
