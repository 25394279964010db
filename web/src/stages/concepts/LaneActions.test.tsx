import type { KeptReviewLane } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { wordsContent } from '../../review/headingContent.js';
import { LaneActions } from './LaneActions.js';

const review = (parts: Partial<KeptReviewLane> = {}) => {
  const whole = reviewWith([term('t1', wordsContent('lamp*')), term('t2', wordsContent('ward'))]);
  return { ...whole, lanes: whole.lanes.map((lane) => (lane.id === 'l-i' ? { ...lane, ...parts } : lane)) };
};
const onSelect = jest.fn();
const show = (answers: Parameters<typeof renderInReview>[2] = {}, parts: Partial<KeptReviewLane> = {}) =>
  renderInReview(review(parts), (lane) => <LaneActions lane={lane} onSelect={onSelect} />, answers);
const bodies = (asked: ReturnType<typeof show>['asked'], path: string) =>
  asked.filter((each) => each.path === path && each.method !== 'GET').map(({ body }) => body);

test('the terms that were chosen are split off, under the name that was written', async () => {
  const { user, asked } = show({ 'POST reviews/r1/lanes': () => ({ laneId: 'new', review: review() }) });
  const form = within(screen.getByRole('form', { name: 'Split the lane' }));
  expect((form.getByRole('button') as HTMLButtonElement).disabled).toBe(true);
  await user.click(form.getByLabelText('ward'));
  await user.type(form.getByLabelText('Name of the new lane'), 'wards{Enter}');
  await waitFor(() =>
    expect(bodies(asked, 'reviews/r1/lanes')).toEqual([
      { elementId: 'e-i', name: 'wards', take: { laneId: 'l-i', version: 1, termIds: ['t2'] } },
    ]),
  );
  await waitFor(() => expect(onSelect).toHaveBeenCalledWith('new'));
});

test('a split that would leave nothing is not offered, and says why', async () => {
  const { user } = show();
  const form = within(screen.getByRole('form', { name: 'Split the lane' }));
  await user.click(form.getByLabelText('ward'));
  await user.click(form.getByLabelText('lamp*'));
  expect((form.getByRole('button') as HTMLButtonElement).disabled).toBe(true);
  expect(form.getByText(/Leave at least one term/)).toBeTruthy();
});

test('when somebody else split the lane first, that is told and the lane is fetched anew', async () => {
  const { user, asked } = show({
    'POST reviews/r1/lanes': () =>
      new Refusal(412, { title: 'Somebody else changed this lane “bright light” in the meantime.' }),
  });
  const form = within(screen.getByRole('form', { name: 'Split the lane' }));
  await user.click(form.getByLabelText('ward'));
  await user.click(form.getByRole('button'));
  expect(await screen.findByText(/Somebody else changed this lane “bright light”/)).toBeTruthy();
  await waitFor(() =>
    expect(asked.filter(({ path, method }) => path === 'reviews/r1' && method === 'GET')).not.toEqual([]),
  );
});

test('a lane is left out, and says what that does', async () => {
  const { user, asked } = show({ 'PATCH lanes/l-i': () => review() });
  expect(screen.getByText(/even if it answers your question/)).toBeTruthy();
  await user.click(screen.getByRole('checkbox', { name: /Leave out what it finds/ }));
  await waitFor(() => expect(bodies(asked, 'lanes/l-i')).toEqual([{ leftOut: true }]));
});

test('a lane joins another, which is told with what was there already', async () => {
  const merged = { laneId: 'l-i', into: 'l-p', moved: ['t1'], takenOut: ['t2'] };
  const { user, asked } = show({
    'POST lanes/l-i/merge': () => ({ merged, review: review() }),
    'POST reviews/r1/undo': () => ({ words: 'joined light to nurses', at: new Date().toISOString() }),
  });
  await user.click(screen.getByRole('combobox', { name: 'Join the lane to another' }));
  await user.click(screen.getByRole('option', { name: 'nurses' }));
  expect(await screen.findByText(/Joined to nurses. 1 term was there already/)).toBeTruthy();
  expect(bodies(asked, 'lanes/l-i/merge')).toEqual([{ into: 'l-p' }]);
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: joined light to nurses')).toBeTruthy();
  expect(bodies(asked, 'reviews/r1/undo')).toEqual([{ since: null }]);
});

test('a name is saved when the field is left, and only when it changed', async () => {
  const { user, asked } = show({ 'PATCH lanes/l-i': () => review() });
  const field = screen.getByLabelText('Its name');
  await user.click(field);
  await user.tab();
  await user.type(field, ' lamps ');
  await user.tab();
  await waitFor(() => expect(bodies(asked, 'lanes/l-i')).toEqual([{ name: 'lamps' }]));
});
