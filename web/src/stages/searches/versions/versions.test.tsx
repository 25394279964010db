import type { StrategyVersion, VersionComparison } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import type { FakeRequest } from '../../../testing/fakeServer.js';
import { database, renderInReview, reviewWith, term } from '../../../testing/renderInReview.js';
import { wordsContent } from '../../../review/headingContent.js';
import { lineNames } from '../lines/sheetLines.js';
import { VersionsPane } from './VersionsPane.js';

const version = (number: number, parts: Partial<StrategyVersion> = {}): StrategyVersion => ({
  id: `v${number}`,
  number,
  name: '',
  namedBy: null,
  at: '2026-11-27T08:00:00.000Z',
  person: 'Ada',
  present: false,
  ...parts,
});
const VERSIONS = [version(2, { present: true }), version(1, { name: 'looked over' })];
const comparison: VersionComparison = {
  from: version(1),
  to: version(2),
  changes: [
    { what: 'term', did: 'changed', at: 'term:t', within: 'l-i', before: 'lamp', after: 'light' },
    { what: 'own line', did: 'added', at: 'own:a', within: '', before: null, after: 'newborn' },
  ],
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  hits: { from: 12, to: 9 },
  gained: { records: 0, sample: [] },
  lost: { records: 3, sample: [] },
};

const show = (more: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(
    reviewWith([term('t', wordsContent('light'))]),
    () => <VersionsPane database={database} names={lineNames([])} onClose={() => undefined} />,
    {
      'GET reviews/r1/versions': () => VERSIONS,
      'POST reviews/r1/versions': () => VERSIONS,
      'POST reviews/r1/versions/compare': () => comparison,
      ...more,
    },
  );

test('versions are listed, the present one marked, and named', async () => {
  const { user, asked } = show({ 'PUT reviews/r1/versions/v2/name': () => VERSIONS });
  const now = (await screen.findByText('Version 2')).closest('li');
  if (now === null) throw new Error('no version');
  expect(now.textContent).toContain('now');
  expect(within(now).queryByText('go back to it')).toBeNull();
  await user.click(within(now).getByText('name it'));
  await user.type(within(now).getByLabelText('What version 2 is called'), 'for the report{Enter}');
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'PUT')?.body).toEqual({ name: 'for the report' }),
  );
});

test('a version is compared with now: what was done, and what that gained and lost', async () => {
  const { user } = show();
  await user.click(await screen.findByText('compare with now'));
  const told = await screen.findByRole('region', { name: 'Compared with now' });
  expect(told.textContent).toContain('12 then, 9 now in A database.');
  expect(told.textContent).toContain('term changed in bright light: lamp light');
  expect(told.textContent).toContain('own line added: newborn');
  expect(told.textContent).toContain('No record is found now and not then.');
  expect(told.textContent).toContain('3 records found then and not now');
});

test('going back is an edit, which undo takes back', async () => {
  const { user, asked } = show({ 'POST reviews/r1/versions/v1/go-back': () => ({ left: 'v2' }) });
  await user.click(await screen.findByText('go back to it'));
  await waitFor(() => expect(asked.map(({ path }) => path)).toContain('reviews/r1/versions/v1/go-back'));
  expect(await screen.findByText(/Ctrl Z takes it back/)).toBeTruthy();
});
