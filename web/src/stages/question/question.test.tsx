import type { Rehearsal, ReviewElement } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { wordsContent } from '../../review/headingContent.js';
import { ElementEffect } from './ElementEffect.js';
import { Overview } from './Overview.js';
import { QuestionStage } from './QuestionStage.js';
import { Wordings } from './Wordings.js';

const rehearsal = (whole: number, without: number): Rehearsal => ({
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  countedAt: '',
  lines: [],
  terms: {},
  lanes: {},
  bridges: [],
  without: {},
  withoutElements: { 'e-i': { hits: without, error: null }, 'e-p': null },
  whole: { hits: whole, error: null },
  remains: { hits: whole, error: null },
  problems: [],
  uncounted: 0,
});

const outcome = (parts: Partial<ReviewElement> = {}): ReviewElement => ({
  id: 'e-i',
  key: 'O',
  text: 'sleepiness',
  note: '',
  searched: true,
  version: 1,
  ...parts,
});

const TERMS = [term('t', wordsContent('sleepi*'))];

function effect(element: ReviewElement, whole: number, without: number, terms = TERMS) {
  renderInReview(reviewWith(terms), () => <ElementEffect element={element} />, {
    'GET reviews/r1/rehearsal': () => rehearsal(whole, without),
  });
}

test('an outcome that costs many records says how many', async () => {
  effect(outcome(), 120, 400);
  expect(await screen.findByText(/120 with it|with it, 400 without/)).toBeTruthy();
  expect(screen.getByText(/It costs 280 records/)).toBeTruthy();
});

test('an element that costs little, or that a question cannot do without, is only counted', async () => {
  effect(outcome({ key: 'P' }), 120, 400);
  expect(await screen.findByText(/with it, 400 without/)).toBeTruthy();
  expect(screen.queryByText(/It costs/)).toBeNull();
});

test('an element without terms is not counted, and says why', async () => {
  effect(outcome(), 120, 400, []);
  expect(await screen.findByText(/No terms in its lane yet/)).toBeTruthy();
});

const land = {
  text: 'light night',
  hits: 3,
  release: '2026-10-01',
  years: [
    { value: '2020', count: 1 },
    { value: '2022', count: 2 },
  ],
  kinds: [{ value: 'Randomised trial', count: 2 }],
  headings: [{ value: 'Light therapy', count: 3 }],
  keywords: [{ value: 'night shift', count: 1 }],
};

async function scan(answers: Parameters<typeof renderInReview>[2] = {}) {
  const { user, asked } = renderInReview(reviewWith([]), () => <Overview />, {
    'GET databases/db/overview': () => land,
    ...answers,
  });
  await user.type(screen.getByLabelText('Scan for records with all of these words'), 'light night{Enter}');
  return { user, asked };
}

test('a heading that a scan shows is taken into a lane as that heading', async () => {
  const { user, asked } = await scan({ 'POST reviews/r1/terms': () => term('new', wordsContent('x')) });
  await user.click(await screen.findByRole('combobox', { name: 'Take Light therapy into' }));
  await user.click(screen.getByRole('option', { name: /nurses/ }));
  await waitFor(() =>
    expect(
      asked.find(({ path, method }) => method === 'POST' && path === 'reviews/r1/terms')?.body,
    ).toMatchObject({
      laneId: 'l-p',
      content: { kind: 'heading', label: 'Light therapy' },
    }),
  );
});

test('a keyword is taken into an element behind what stands there already', async () => {
  const { user, asked } = await scan({ 'PATCH elements/e-p': () => ({}) });
  await user.click(await screen.findByRole('combobox', { name: 'Take night shift into' }));
  const [population] = screen
    .getAllByRole('option')
    .filter(({ textContent }) => textContent === 'The questionPopulation');
  if (population === undefined) throw new Error('population is not offered');
  await user.click(population);
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'PATCH')?.body).toEqual({ text: 'nurses, night shift' }),
  );
});

test('kinds of publication can be taken into the question but into no lane', async () => {
  const { user } = await scan();
  await user.click(await screen.findByRole('combobox', { name: 'Take Randomised trial into' }));
  const choices = screen.getAllByRole('option').map(({ textContent }) => textContent);
  expect(choices[0]).toBe('The questionPopulation');
  expect(choices.filter((text) => text.includes('lane'))).toEqual([]);
});

test('the years can be read without seeing the bars', async () => {
  await scan();
  const table = await screen.findByRole('table', { name: 'Records by year' });
  expect(table.textContent).toBe('Records by year2020120222');
});

test('a scan that fails says why, and what was typed stays', async () => {
  await scan({
    'GET databases/db/overview': () => new Refusal(502, { title: 'The database cannot give an overview.' }),
  });
  expect(await screen.findByText('The database cannot give an overview.')).toBeTruthy();
  expect(screen.getByDisplayValue('light night')).toBeTruthy();
});

test('an earlier wording is shown with its date and name, and can be taken back', async () => {
  const onTake = jest.fn();
  const { user } = renderInReview(reviewWith([]), () => <Wordings elementId="e-p" onTake={onTake} />, {
    'GET elements/e-p/wordings': () => [{ text: 'night nurses', at: '2026-11-01T10:00:00Z', person: 'Mara' }],
  });
  await user.click(await screen.findByText('1 earlier wording'));
  expect(await screen.findByText(/1 Nov 2026.*Mara/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take back' }));
  expect(onTake).toHaveBeenCalledWith('night nurses');
});

test('what was written under another framework stays in view', async () => {
  const review = { ...reviewWith([term('t', wordsContent('lamp*'))]), framework: 'peo' as const };
  renderInReview(review, () => <QuestionStage />, {
    'GET reviews/r1/rehearsal': () => rehearsal(1, 1),
    'GET elements/e-p/wordings': () => [],
    'GET elements/e-i/wordings': () => [],
  });
  const others = await screen.findByRole('region', { name: 'Written under another framework' });
  expect(others.textContent).toContain('Intervention');
  expect(screen.getByTestId('sentence').textContent).toBe('In nurses, is … linked to …?');
});
