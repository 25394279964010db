import type { Problem, Run } from '@even-lantern/contract';
import { screen, within } from '@testing-library/react';
import { run } from '../testing/ledgerFixtures.js';
import { database, renderInReview, reviewWith } from '../testing/renderInReview.js';
import { RunProgress } from './RunProgress.js';
import type { RunsState } from './useRuns.js';

const problem: Problem = { type: 'x', title: 'A line is not settled.', status: 400 };
const progress = (runs: Partial<Run>[], parts: Partial<RunsState> = {}, onOpen = jest.fn()) => {
  const state: RunsState = {
    runs: runs.map((each, i) => ({ ...run, id: `run${i}`, ...each })),
    refused: [],
    busyIn: () => true,
    problem: null,
    start: jest.fn(),
    startTogether: jest.fn(),
    follow: jest.fn(),
    stop: jest.fn(),
    clear: jest.fn(),
    ...parts,
  };
  const rendered = renderInReview(reviewWith([]), () => (
    <RunProgress runs={state} databases={[database]} onOpen={onOpen} />
  ));
  return { ...rendered, state, onOpen };
};

test('each run tells which line it counts, then how many records it fetched, and is stopped by itself', async () => {
  const { user, state } = progress([
    {},
    { databaseName: 'Another', linesCounted: 7, hits: 1200, fetched: 300 },
  ]);
  const [first, second] = screen.getAllByRole('status');
  if (first === undefined || second === undefined) throw new Error('not two');
  expect(within(first).getByText('Counting line 4 of 7')).toBeTruthy();
  expect(second.textContent).toContain('Fetching records: 300 of 1\u2009200');
  // What has come can be read while the rest comes.
  expect(within(first).queryByRole('link')).toBeNull();
  expect(within(second).getByRole('link', { name: 'Read what is here' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Stop the run in Another' }));
  expect(state.stop).toHaveBeenCalledWith('run1');
});

test('a run that found more than is fetched without asking offers to fetch all', async () => {
  const { user, state } = progress([
    { status: 'interrupted', hits: 31_000, tooMany: 31_000, reason: 'Too many' },
  ]);
  await user.click(screen.getByRole('button', { name: /fetch all 31.000/ }));
  expect(state.start).toHaveBeenCalledWith({ database: 'db', most: 31_000 });
});

test('what was odd in the answers is told', () => {
  progress([{ status: 'complete', remarks: ['One record came twice.'] }]);
  expect(screen.getByText('One record came twice.')).toBeTruthy();
});

test('a run that was cut off tells what was kept and what to do, beside one that ended well', () => {
  progress([
    { status: 'interrupted', reason: 'It cannot be reached.', fetched: 50 },
    { status: 'complete', databaseName: 'Another', hits: 7, fetched: 7 },
  ]);
  expect(screen.getByRole('alert').textContent).toMatch(
    /The run in A database was interrupted: It cannot be reached. What it had is kept: 3 of 7 lines counted, 50 records fetched.*Run it again/,
  );
  expect(screen.getByRole('status').textContent).toContain('Logged, Another: 7 hits');
});

test('what was not run says the first reason, how many more there are, and leads there', async () => {
  const errors = ['a', 'b', 'c'].map((path) => ({ path, message: `${path} is not settled` }));
  const { user, onOpen } = progress([], { refused: [{ database: 'db', problem: { ...problem, errors } }] });
  const told = screen.getByRole('alert');
  expect(told.textContent).toContain('A database was not run: A line is not settled. And 2 more to settle.');
  expect(told.textContent).not.toContain('b is not settled');
  await user.click(screen.getByRole('button', { name: 'Open its sheet' }));
  expect(onOpen).toHaveBeenCalledWith('db');
});

test('runs that ended well are one list with one way to the records, and all messages are cleared at once', async () => {
  const { user, state } = progress([
    { status: 'complete', databaseName: 'One', hits: 7, fetched: 7 },
    { status: 'complete', databaseName: 'Another', hits: 5, fetched: 5 },
  ]);
  expect(screen.getAllByRole('status')).toHaveLength(1);
  expect(screen.getAllByRole('listitem')).toHaveLength(2);
  expect(screen.getAllByRole('link', { name: 'Read them' })).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Clear these messages' }));
  expect(state.clear).toHaveBeenCalled();
});

test('while all go on there is nothing to clear', () => {
  progress([{ status: 'running' }]);
  expect(screen.queryByRole('button', { name: 'Clear these messages' })).toBeNull();
});
