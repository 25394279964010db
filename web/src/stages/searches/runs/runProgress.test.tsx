import { screen } from '@testing-library/react';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { RunProgress } from './RunProgress.js';
import type { RunState } from './useRun.js';

const run: NonNullable<RunState['run']> = {
  id: 'run',
  reviewId: 'r1',
  database: 'db',
  status: 'running',
  linesCounted: 3,
  linesTotal: 7,
  hits: null,
  fetched: 0,
  reason: null,
  remarks: [],
  tooMany: null,
};
const progress = (parts: Partial<typeof run>, stop = jest.fn()) => {
  const state: RunState = { run: { ...run, ...parts }, problem: null, busy: true, start: jest.fn(), stop };
  return renderInReview(reviewWith([]), () => <RunProgress run={state} />);
};

test('a run tells which line it counts, then how many records it fetched, and can be stopped', async () => {
  const stop = jest.fn();
  const { user } = progress({}, stop);
  expect(screen.getByText('Counting line 4 of 7')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  expect(stop).toHaveBeenCalled();
});

test('a run that fetches tells how far it is', () => {
  progress({ linesCounted: 7, hits: 1200, fetched: 300 });
  expect(screen.getByText('Fetching records: 300 of 1 200')).toBeTruthy();
});

test('a run that found more than is fetched without asking offers to fetch all', async () => {
  const start = jest.fn();
  const found = { ...run, status: 'interrupted' as const, hits: 31_000, tooMany: 31_000, reason: 'Too many' };
  const state: RunState = { run: found, problem: null, busy: false, start, stop: jest.fn() };
  const { user } = renderInReview(reviewWith([]), () => <RunProgress run={state} />);
  await user.click(screen.getByRole('button', { name: /fetch all 31.000/ }));
  expect(start).toHaveBeenCalledWith(undefined, 31_000);
});

test('what was odd in the answers is told', () => {
  progress({ status: 'complete', remarks: ['One record came twice.'] });
  expect(screen.getByText('One record came twice.')).toBeTruthy();
});

test('a run that was cut off tells what was kept and what to do', () => {
  progress({ status: 'interrupted', reason: 'It cannot be reached.', fetched: 50 });
  expect(screen.getByRole('alert').textContent).toMatch(
    /It cannot be reached. What it had is kept: 3 of 7 lines counted, 50 records fetched.*Run it again/,
  );
});
