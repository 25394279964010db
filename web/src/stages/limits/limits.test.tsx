import type { LimitProfile, LimitStep, LimitValueCounts, ReviewLimit } from '@even-lantern/contract';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import type { YearsChosen } from '@even-lantern/core';
import { renderAt } from '../../testing/renderAt.js';
import { database, renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { Refusal } from '../../testing/fakeServer.js';
import { LimitsStage } from './LimitsStage.js';
import { ValuesChoice } from './inspector/ValuesChoice.js';
import { YearsChoice } from './inspector/YearsChoice.js';
import { limitKind } from '@even-lantern/core';

const limit = (parts: Partial<ReviewLimit> = {}): ReviewLimit => ({
  id: 'l1',
  kind: 'language',
  values: { kind: 'values', values: ['English'] },
  reason: 'what we read',
  on: true,
  ways: {},
  changedAt: '2026-11-27T10:00:00Z',
  changedBy: 'Ada',
  version: 1,
  ...parts,
});
const step = (parts: Partial<LimitStep> = {}): LimitStep => ({
  limitId: 'l1',
  way: 'own',
  ways: ['own'],
  unavailable: null,
  unknown: [],
  changes: [],
  written: false,
  line: 4,
  remains: { hits: 60, error: null },
  lost: 40,
  only: 12,
  lacking: 7,
  kept: [],
  warnings: [],
  compared: null,
  against: null,
  ...parts,
});
const profile = (...steps: LimitStep[]): LimitProfile => ({
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  simulated: true,
  before: { hits: 100, error: null },
  remains: steps.at(-1)?.remains ?? { hits: 100, error: null },
  steps,
  problems: [],
});
const list = () => ({ databases: [database], failed: [], order: ['db'] });
const counts: LimitValueCounts = {
  counted: [{ value: 'English', count: 60 }],
  known: ['English'],
  hits: 100,
};

function renderStage(limits: ReviewLimit[], answers: Parameters<typeof renderInReview>[2] = {}) {
  return renderInReview({ ...reviewWith([]), limits }, () => <LimitsStage />, {
    'GET databases': list,
    'POST reviews/r1/profile': () => profile(...limits.map(({ id }) => step({ limitId: id }))),
    'POST reviews/r1/profile/values': () => counts,
    'POST reviews/r1/profile/sample': () => ({ hits: 40, error: null, records: [], decisions: {} }),
    'GET designs': () => new Refusal(500, { title: 'no designs' }),
    ...answers,
  });
}

describe('the profile', () => {
  test('shows what each limit leaves, takes, takes alone and takes for want of data, with its reason', async () => {
    renderStage([limit()]);
    expect(await screen.findByText('12 only through this limit')).toBeTruthy();
    expect(screen.getByText('7 merely lack the data (no language recorded)')).toBeTruthy();
    expect(screen.getByText('−40')).toBeTruthy();
    expect(screen.getByText('because what we read')).toBeTruthy();
    expect(screen.getByTestId('remains').textContent).toBe('60');
  });

  test('says where a limit cannot be applied, and what comes nearest', async () => {
    renderStage([limit({ kind: 'peerReview', values: { kind: 'values', values: ['yes'] } })], {
      'POST reviews/r1/profile': () =>
        profile(
          step({
            way: 'none',
            ways: [],
            unavailable: 'There is none. Look each journal up.',
            lost: 0,
            only: 0,
            lacking: null,
          }),
        ),
    });
    expect(await screen.findByText('not available here')).toBeTruthy();
    expect(screen.getByText('There is none. Look each journal up.')).toBeTruthy();
  });

  test('a limit is switched by key on the version that was seen', async () => {
    const { asked } = renderStage([limit()], { 'PATCH limits/l1': () => limit({ on: false, version: 2 }) });
    const row = await screen.findByRole('button', { name: /Language English/ });
    act(() => row.focus());
    fireEvent.keyDown(row, { key: 'x' });
    await waitFor(() => expect(asked.some(({ method }) => method === 'PATCH')).toBe(true));
    const change = asked.find(({ method }) => method === 'PATCH');
    expect([change?.body, change?.headers.get('if-match')]).toEqual([{ on: false }, '"1"']);
  });

  test('a refused change says why beside the limit, and is not lost in a notice', async () => {
    const { user } = renderStage([limit()], {
      'PATCH limits/l1': () =>
        new Refusal(400, {
          title: 'This cannot be.',
          errors: [{ path: 'values', message: 'Choose at least one value.' }],
        }),
    });
    await user.click(await screen.findByRole('button', { name: /Language English/ }));
    await user.click(await screen.findByRole('checkbox', { name: /English 60/ }));
    expect(await screen.findByText('Choose at least one value.')).toBeTruthy();
  });

  test('records that were kept and would be lost are named', async () => {
    renderStage([limit()], {
      'POST reviews/r1/profile': () => profile(step({ kept: [{ id: 'x', title: 'Naps', year: 2001 }] })),
    });
    expect(await screen.findByText('1 kept record among them')).toBeTruthy();
  });
});

describe('years', () => {
  function Years({ onChange }: { onChange: (values: YearsChosen) => void }) {
    const [values, setValues] = useState<YearsChosen>({ kind: 'years', from: 2005, to: null });
    return (
      <YearsChoice
        values={values}
        thisYear={2026}
        years={[
          { value: '2000', count: 4 },
          { value: '2005', count: 6 },
          { value: '2020', count: 10 },
        ]}
        onChange={(changed) => {
          setValues(changed);
          onChange(changed);
        }}
      />
    );
  }

  test('tell how many records are within, and move by key', async () => {
    const changed: YearsChosen[] = [];
    renderAt('/', <Years onChange={(values) => changed.push(values)} />);
    expect(screen.getByText('16 of 20 records')).toBeTruthy();
    const first = screen.getByRole('slider', { name: 'First year' });
    fireEvent.keyDown(first, { key: 'ArrowLeft' });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'First year' }), { key: 'PageUp' });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Last year' }), { key: 'ArrowLeft' });
    expect(changed.map(({ from, to }) => [from, to])).toEqual([
      [2004, null],
      [2009, null],
      [2009, 2025],
    ]);
    expect(await screen.findByText('10 of 20 records')).toBeTruthy();
  });

  test('are typed; what runs backwards or is no year is told and changes nothing', async () => {
    const changed: YearsChosen[] = [];
    const user = renderAt('/', <Years onChange={(values) => changed.push(values)} />);
    const to = screen.getByRole('textbox', { name: 'To' });
    await user.type(to, '1999{Enter}');
    expect(screen.getByText(/run backwards/)).toBeTruthy();
    await user.clear(to);
    await user.type(to, '20x{Enter}');
    expect(screen.getByText(/four digits/)).toBeTruthy();
    expect(changed).toEqual([]);
    await user.clear(to);
    await user.type(to, '2020{Enter}');
    expect(changed).toEqual([{ kind: 'years', from: 2005, to: 2020 }]);
  });
});

describe('values', () => {
  const many: LimitValueCounts = {
    counted: Array.from({ length: 20 }, (_, i) => ({ value: `value ${i}`, count: 20 - i })),
    known: [],
    hits: 210,
  };

  test('more are shown on request, and what is chosen stays in sight', async () => {
    const user = renderAt(
      '/',
      <ValuesChoice
        kind={limitKind('language')}
        values={['value 19']}
        counts={many}
        onChange={() => undefined}
      />,
    );
    expect(screen.getAllByRole('checkbox')).toHaveLength(9);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /value 19/ }).checked).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Show 11 more' }));
    expect(screen.getAllByRole('checkbox')).toHaveLength(20);
  });

  test('a value that nothing has can be chosen; one that is typed is added', async () => {
    const chosen: string[][] = [];
    const user = renderAt(
      '/',
      <ValuesChoice
        kind={limitKind('country')}
        values={[]}
        counts={{ counted: null, known: [], hits: 5 }}
        onChange={(values) => chosen.push(values)}
      />,
    );
    await user.type(screen.getByRole('textbox', { name: 'Country to add' }), 'Arvenmark{Enter}');
    expect(chosen).toEqual([['Arvenmark']]);
  });
});

test('the stage without limits says what a limit is for', async () => {
  renderStage([]);
  expect(await screen.findByText(/There are no limits/)).toBeTruthy();
  await waitFor(() => expect(screen.getByTestId('remains').textContent).toBe('100'));
});
