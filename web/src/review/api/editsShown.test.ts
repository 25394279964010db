import type { ReviewLimit } from '@even-lantern/contract';
import { reviewWith } from '../../testing/renderInReview.js';
import { keepAnswer, showUntilAnswered, withEditsShown } from './editsShown.js';

test('a review that arrives shows edits until they are answered, the latest last, and then what it holds', async () => {
  const from = (year: number) => ({ values: { kind: 'years' as const, from: year, to: null } });
  const limit = { ...from(2005), id: 'l1', kind: 'years', version: 1 } as ReviewLimit;
  const review = { ...reviewWith([]), limits: [limit] };
  const answers: (() => void)[] = [];
  const answered = () => new Promise<void>((resolve) => answers.push(resolve));
  const edits = [2006, 2012].map((year) => showUntilAnswered('l1', from(year), answered()));
  expect(withEditsShown(review).limits[0]).toMatchObject({ ...from(2012), version: 1 });
  for (const answer of answers) answer();
  await Promise.all(edits);
  expect(withEditsShown(review)).toEqual(review);
});

test('a review that was asked for before an edit was answered does not bring back what was before', () => {
  const limit = { id: 'l9', kind: 'years', reason: 'before', version: 1 } as ReviewLimit;
  const at = (version: number, reason: string) => ({
    ...reviewWith([]),
    limits: [{ ...limit, version, reason }],
  });
  keepAnswer({ ...limit, version: 2, reason: 'mine' } as ReviewLimit);
  expect(withEditsShown(at(1, 'before')).limits[0]).toMatchObject({ version: 2, reason: 'mine' });
  expect(withEditsShown(at(2, 'mine')).limits[0]).toMatchObject({ version: 2, reason: 'mine' });
  expect(withEditsShown(at(3, 'theirs')).limits[0]).toMatchObject({ version: 3, reason: 'theirs' });
});
