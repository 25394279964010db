import type { Vocabulary } from '@even-lantern/core';
import type { NewSettlement, Rehearsal, SettledStep } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal, type FakeRequest } from '../../testing/fakeServer.js';
import {
  heading,
  renderInReview,
  reviewWith,
  summaryOf,
  term,
  vocabulary,
} from '../../testing/renderInReview.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { LaneAcross } from './LaneAcross.js';
import { LaneInput } from './LaneInput.js';
import { OtherVocabularies } from '../../review/OtherVocabularies.js';
import { TermRow } from './TermRow.js';

jest.mock('../../review/startLookups.js', () =>
  jest.requireActual<object>('../../testing/lookupsInPlace.js'),
);

const care: Vocabulary = {
  id: 'care',
  name: 'Care words',
  release: '2026-09-01',
  headings: [
    heading('Lamps as treatment', [], ['phototherapy', 'light therapy']),
    heading('Weariness', [], ['tiredness']),
    heading('Foot baths', [], ['soaking']),
  ],
};

/** A server that remembers what is settled. */
function crosswalkServer(first: SettledStep[] = []) {
  let settled = first;
  return {
    'GET vocabularies': () => [summaryOf(vocabulary, ['A database']), summaryOf(care, ['B database'])],
    'GET vocabularies/care': () => care,
    'GET crosswalk': () => settled,
    'POST crosswalk': ({ body }: FakeRequest) => {
      const { verdict, ...step } = body as NewSettlement;
      settled = settled.filter(({ targetLabel }) => targetLabel !== step.targetLabel);
      if (verdict !== 'open') {
        settled = [...settled, { ...step, verdict, at: '2026-11-01T10:00:00Z', person: 'Ada' }];
      }
      return settled;
    },
  };
}

const settled = (targetLabel: string | null, verdict: SettledStep['verdict']): SettledStep => ({
  vocabulary: 'tree',
  label: 'Light therapy',
  target: 'care',
  targetLabel,
  verdict,
  at: '2026-11-01T10:00:00Z',
  person: 'Ada',
});

const steps = (asked: readonly FakeRequest[]) =>
  asked.filter(({ method, path }) => method === 'POST' && path === 'crosswalk').map(({ body }) => body);

describe('beside a heading', () => {
  const show = (label: string, first: SettledStep[] = []) =>
    renderInReview(
      reviewWith([]),
      () => <OtherVocabularies vocabulary="tree" label={label} />,
      crosswalkServer(first),
    );

  test('a proposal gives its reasons, is confirmed, and can be taken back', async () => {
    const { user, asked } = show('Light therapy');
    expect(await screen.findByText('Lamps as treatment?')).toBeTruthy();
    expect(
      screen.getByText(
        /“light therapy” is the name of one and an entry term.*both are used for “phototherapy”/,
      ),
    ).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Confirm Lamps as treatment for Light therapy' }));
    await user.click(await screen.findByRole('button', { name: 'Take back Lamps as treatment' }));
    expect(await screen.findByText('Lamps as treatment?')).toBeTruthy();
    const step = {
      vocabulary: 'tree',
      label: 'Light therapy',
      target: 'care',
      targetLabel: 'Lamps as treatment',
    };
    expect(steps(asked)).toEqual([
      { ...step, verdict: 'confirmed' },
      { ...step, verdict: 'open' },
    ]);
  });

  test('a refused proposal is not made again', async () => {
    const { user } = show('Light therapy');
    await user.click(
      await screen.findByRole('button', { name: 'Refuse Lamps as treatment for Light therapy' }),
    );
    expect(await screen.findByText(/Nothing fits/)).toBeTruthy();
  });

  test('where nothing fits it says so, and offers words or another heading found by typing', async () => {
    const { user, asked } = show('Sleepiness');
    expect(await screen.findByText(/Nothing fits/)).toBeTruthy();
    await user.click(screen.getByText('others …'));
    await user.type(screen.getByLabelText('Find a heading of the Care words for Sleepiness'), 'tiredness');
    await user.click(await screen.findByRole('button', { name: 'Confirm Weariness for Sleepiness' }));
    expect(await screen.findByRole('button', { name: 'Take back Weariness' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take back Weariness' }));
    expect(await screen.findByText('Words instead: sleepiness, drowsiness.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Search its names as words' }));
    expect(await screen.findByRole('button', { name: 'Take back its names as words' })).toBeTruthy();
    expect(steps(asked)).toHaveLength(3);
  });

  test('when the server refuses, it says why', async () => {
    const { user } = renderInReview(
      reviewWith([]),
      () => <OtherVocabularies vocabulary="tree" label="Light therapy" />,
      {
        ...crosswalkServer(),
        'POST crosswalk': () => new Refusal(400, { title: 'There is no such heading.' }),
      },
    );
    await user.click(
      await screen.findByRole('button', { name: 'Confirm Lamps as treatment for Light therapy' }),
    );
    expect(await screen.findByText('There is no such heading.')).toBeTruthy();
  });
});

describe('a lane in all vocabularies', () => {
  const light = term('t1', headingContent('tree', 'Light therapy'));
  const words = term('t2', wordsContent('lamp*'));
  const rehearsal = (database: string, hits: number): Rehearsal => ({
    database,
    databaseName: '',
    release: '',
    countedAt: '',
    lines: [],
    terms: { t1: { hits, adds: 0, error: null }, t2: { hits: hits + 1, adds: 0, error: null } },
    lanes: {
      'l-i': {
        hits: hits + 2,
        error: null,
        headingsOnly: 0,
        both: 0,
        wordsOnly: 0,
        awaitingHeadings: null,
      },
    },
    bridges: [],
    without: {},
    withoutElements: {},
    whole: { hits: null, error: null },
    remains: { hits: null, error: null },
    problems: [],
    uncounted: 0,
  });
  const profile = (id: string, own: Vocabulary) => ({
    id,
    name: `${id} database`,
    description: '',
    release: '',
    simulated: true,
    state: 'ready' as const,
    trouble: null,
    records: 9,
    vocabulary: { id: own.id, name: own.name },
    limits: {},
  });
  const show = (first: SettledStep[] = []) =>
    renderInReview(
      reviewWith([light, words]),
      (lane) => <LaneAcross lane={lane} onClose={() => undefined} />,
      {
        ...crosswalkServer(first),
        'GET databases': () => ({
          databases: [profile('A', vocabulary), profile('B', care)],
          failed: [],
          order: ['A', 'B'],
        }),
        'GET reviews/r1/rehearsal': ({ path }: FakeRequest) => rehearsal(path, 40),
      },
    );

  test('each heading stands beside what it is elsewhere, with counts, and open ones are settled there', async () => {
    const { user } = show();
    expect(await screen.findByText(/1 still open/)).toBeTruthy();
    const row = screen.getByRole('row', { name: /^Light therapy/ });
    await user.click(
      await within(row).findByRole('button', { name: 'Confirm Lamps as treatment for Light therapy' }),
    );
    expect(await screen.findByText('Every heading is settled in every vocabulary.')).toBeTruthy();
    expect(within(row).getAllByText('40')).toHaveLength(2);
    expect(screen.getByRole('row', { name: /^Any of these/ }).textContent).toContain('42');
  });

  test('in a row of the lanes a heading of another vocabulary says what it is here', async () => {
    const own = term('t1', headingContent('care', 'Lamps as treatment'));
    const row = (first: SettledStep[]) =>
      renderInReview(
        reviewWith([own]),
        () => (
          <ul>
            <TermRow
              term={own}
              count={{ hits: null, adds: null, error: 'not settled' }}
              laneHits={null}
              stale={false}
              selected={false}
              onSelect={() => undefined}
            />
          </ul>
        ),
        crosswalkServer(first),
      );
    row([]);
    expect(await screen.findByText(/Say what stands for it/)).toBeTruthy();
    expect(screen.queryByText('not settled')).toBeNull();
    row([
      {
        ...settled('Light therapy', 'confirmed'),
        vocabulary: 'care',
        label: 'Lamps as treatment',
        target: 'tree',
      },
    ]);
    expect(await screen.findByText(/here Light therapy/)).toBeTruthy();
  });
});

test('a word that only another vocabulary has leads to its heading, with the vocabulary’s name', async () => {
  const { user } = renderInReview(reviewWith([]), (lane) => <LaneInput lane={lane} />, crosswalkServer());
  await user.type(screen.getByRole('combobox'), 'soaking');
  expect(await screen.findByText(/Heading of the Care words/)).toBeTruthy();
  await waitFor(() =>
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)[1]).toMatch(/^Foot baths/),
  );
});
