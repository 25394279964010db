import type { Rehearsal, RehearsedLine } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { wordsContent } from '../concepts/headingContent.js';
import { RunProgress } from './RunProgress.js';
import { SearchesStage } from './SearchesStage.js';
import type { RunState } from './useRun.js';

const line = (number: number, parts: Partial<RehearsedLine>): RehearsedLine => ({
  number,
  kind: 'term',
  laneId: 'e-i',
  termId: 't',
  description: `line ${number}`,
  changes: [],
  string: `el.words = "${number}"`,
  hits: number,
  error: null,
  ...parts,
});

const rehearsal = (parts: Partial<Rehearsal>): Rehearsal => ({
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  countedAt: '',
  lines: [
    line(1, {}),
    line(2, { kind: 'lane', termId: null }),
    line(3, { kind: 'whole', laneId: null, termId: null }),
  ],
  terms: {},
  lanes: {},
  bridges: [],
  without: {},
  whole: { hits: 3, error: null },
  problems: [],
  ...parts,
});

const show = (answer: () => unknown) =>
  renderInReview(reviewWith([term('t', wordsContent('light'))]), () => <SearchesStage />, {
    'GET reviews/r1/rehearsal': answer,
  });

test('the string of the last line is shown first, and that of any line when it is chosen', async () => {
  const { user } = show(() => rehearsal({}));
  expect((await screen.findByTestId('string')).textContent).toBe('el.words = "3"');
  await user.click(within(screen.getByRole('grid')).getByText('line 1'));
  expect(screen.getByTestId('string').textContent).toBe('el.words = "1"');
  expect(screen.getByText('What is sent for L1, in CQL')).toBeTruthy();
});

test('what is to settle before a run is told with the way there', async () => {
  show(() => rehearsal({ problems: [{ laneId: 'e-i', termId: 't', message: '“a*” is unfinished.' }] }));
  const section = await screen.findByRole('region', { name: 'To settle before a run' });
  expect(within(section).getByRole('link', { name: 'go there' }).getAttribute('href')).toContain('?term=t');
});

test('a line that could not be counted shows the reason, never a nought', async () => {
  show(() => rehearsal({ lines: [line(1, { hits: null, error: 'It does not answer.' })] }));
  expect(await screen.findByText('It does not answer.')).toBeTruthy();
  expect(within(screen.getByRole('grid')).getByText('—')).toBeTruthy();
  expect(screen.getByText('Not counted.')).toBeTruthy();
});

test('when nothing can be counted, that is said and can be tried again', async () => {
  let failing = true;
  const { user } = show(() =>
    failing ? new Refusal(502, { title: 'The database does not answer.' }) : rehearsal({}),
  );
  expect(await screen.findByText('The database does not answer.')).toBeTruthy();
  expect((screen.getByRole('button', { name: /Run and log/ }) as HTMLButtonElement).disabled).toBe(true);
  failing = false;
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(screen.queryByText('The database does not answer.')).toBeNull());
  expect((screen.getByRole('button', { name: /Run and log/ }) as HTMLButtonElement).disabled).toBe(false);
});

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

test('a run that was cut off tells what was kept and what to do', () => {
  progress({ status: 'interrupted', reason: 'It cannot be reached.', fetched: 50 });
  expect(screen.getByRole('alert').textContent).toMatch(
    /It cannot be reached. What it had is kept: 3 of 7 lines counted, 50 records fetched.*Run it again/,
  );
});
