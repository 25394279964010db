import type { RunContent } from '@even-lantern/core';
import type { Drift, LedgerEntryDetail } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import type { FakeRequest } from '../../testing/fakeServer.js';
import { HASH, run, SCHEDULE, server, summary } from '../../testing/ledgerFixtures.js';
import { database, renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { EntryPage } from './EntryPage.js';

const content: RunContent = {
  kind: 'run',
  form: 4,
  entry: 2,
  outcome: 'complete',
  reason: null,
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  dialect: 'call form',
  queryType: 'corvane',
  lines: [{ number: 1, description: 'light', string: 'words("light")', hits: 1234, losses: ['ending cut'] }],
  limits: [],
  hits: 1234,
  fetched: 1234,
  remarks: [],
  fingerprint: 'f'.repeat(64),
  startedAt: '2026-11-02T09:30:00.000Z',
  timeZone: 'UTC',
  durationMs: 800,
  ranBy: 'Mara Quillfeather',
  applicationVersion: '0.1.0',
  purpose: 'Update of the search',
  note: '',
  version: { number: 3, name: 'as sent to the team', digest: 'd' },
  accepted: [
    { message: 'A phrase is not quoted.', reason: 'meant so', by: 'Ada', at: '2026-11-01T00:00:00.000Z' },
  ],
  settled: [],
  repeats: { entry: 1, hash: 'hash1' },
  renamed: [],
};
const drift: Drift = {
  database: 'db',
  databaseName: 'A database',
  then: { entry: 1, release: '2026-07-01', at: '2026-08-02T09:30:00.000Z', fetched: 1230 },
  now: { entry: 2, release: '2026-10-01', at: content.startedAt, fetched: 1234 },
  counts: { gained: { new: 5 }, lost: { unexplained: 1 }, kept: {} },
  same: 1229,
  renamed: [],
  records: [
    { accession: 'A1', title: 'New light', year: 2026, side: 'gained', reason: 'new', what: ['it came in'] },
    { accession: 'A2', title: '', year: 0, side: 'lost', reason: 'unexplained', what: ['it is the same'] },
  ],
  matching: 6,
};
const page = (
  detail: Partial<LedgerEntryDetail> = {},
  parts: Partial<RunContent> = {},
  more: Record<string, (asked: FakeRequest) => unknown> = {},
) =>
  renderInReview(
    reviewWith([]),
    () => <EntryPage />,
    {
      ...server([summary(1), summary(2)]),
      'GET reviews/r1/ledger/entries/2': (): LedgerEntryDetail => ({
        entry: { content: { ...content, ...parts }, previousHash: 'hash1', hash: HASH },
        about: [],
        repeatedBy: [],
        runId: 'run',
        versionId: 'v3',
        ...detail,
      }),
      'GET reviews/r1/ledger/entries/2/drift': ({ query }: FakeRequest) =>
        query.get('reason') === 'unexplained'
          ? { ...drift, records: drift.records.slice(1), matching: 1 }
          : drift,
      ...more,
    },
    undefined,
    2,
  );

test('an entry is shown as it was logged, with what changed since, and what nothing explains is an alarm', async () => {
  const { user, asked } = page();
  expect(await screen.findByText('Update of the search')).toBeTruthy();
  for (const told of ['version 3, as sent to the team', 'ending cut', 'meant so', `2-${HASH}`]) {
    expect(screen.getByText(told)).toBeTruthy();
  }
  const section = await screen.findByRole('region', { name: 'Drift' });
  expect(await within(section).findByText(/1.230 \+ 5 − 1 = 1.234; 1.229 records as before/)).toBeTruthy();
  expect(within(section).getByRole('alert').textContent).toContain('1 record nothing explains');
  await user.click(within(section).getByRole('button', { name: 'unexplained 1' }));
  await waitFor(() => expect(section.querySelectorAll('[data-drift]')).toHaveLength(1));
  expect(asked.at(-1)?.query.get('side')).toBe('lost');
});

test('what is noted and corrected of an entry becomes entries of their own', async () => {
  const about = [
    {
      previousHash: null,
      hash: 'x',
      content: {
        kind: 'correction' as const,
        entry: 3,
        applicationVersion: '',
        timeZone: 'UTC',
        about: { entry: 2, hash: HASH },
        what: 'count',
        was: '12',
        is: '21',
        text: 'figures exchanged',
        by: 'Ada',
        at: content.startedAt,
      },
    },
  ];
  const { user, asked } = page({ about }, {}, { 'POST reviews/r1/ledger/notes': () => about[0] });
  const section = await screen.findByRole('region', { name: 'Notes and corrections' });
  expect(section.textContent).toContain('count: 12 21figures exchanged');
  await user.click(within(section).getByRole('button', { name: 'Add a note' }));
  await user.type(within(section).getByLabelText('Note'), 'Seen');
  await user.click(within(section).getByRole('button', { name: 'Add the note' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('notes'))?.body).toMatchObject({ about: 2, text: 'Seen' }),
  );
});

test('an entry can be run again, in its own release too where the database answers for it', async () => {
  // Once it is answered the page goes to the new entry, so the answer waits until all is seen.
  let answer = () => {};
  const seen = new Promise<void>((resolve) => (answer = resolve));
  const { user, asked } = page(
    {},
    { release: '2026-07-01' },
    {
      'GET databases': () => ({
        databases: [{ ...database, releases: ['2026-07-01', '2026-10-01'] }],
        failed: [],
        order: ['db'],
      }),
      'POST reviews/r1/ledger/entries/2/runs': () => seen.then(() => ({ ...run, id: 'again' })),
    },
  );
  await user.click(
    await screen.findByRole('button', { name: /Run again in the release of then, 2026-07-01/ }),
  );
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('2/runs'))?.body).toMatchObject({ release: 'then' }),
  );
  expect(
    (screen.getByRole('button', { name: /Run again, release 2026-10-01/ }) as HTMLButtonElement).disabled,
  ).toBe(true);
  answer();
});

test('from an entry one begins anew with some of its lanes, or is told why not', async () => {
  const lane = (id: string, name: string) => ({
    id,
    elementId: null,
    name,
    leftOut: false,
    terms: [{ id: `of ${id}` }],
  });
  const state = {
    searched: [],
    lanes: [lane('a', 'Staff'), lane('b', 'Light')],
    ownLines: [],
    limits: [],
    written: [],
  };
  const { user, asked } = page(
    {},
    {},
    {
      'GET reviews/r1/versions/v3': () => ({
        id: 'v3',
        number: 3,
        name: '',
        at: '',
        person: '',
        present: false,
        state,
      }),
      'POST reviews/r1/versions/v3/go-back': () => ({ left: 'v9' }),
    },
  );
  await user.click(await screen.findByRole('button', { name: 'Begin anew from here' }));
  await user.click(await screen.findByRole('checkbox', { name: /Staff/ }));
  await user.click(screen.getByRole('button', { name: 'Take up 1 lane' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('go-back'))?.body).toEqual({ lanes: ['b'] }),
  );
  expect(await screen.findByText('Another page')).toBeTruthy();
});

test('an entry of an earlier release of the program says that nothing can be taken up from it', async () => {
  const { version: _version, purpose: _purpose, ...earlier } = content;
  page({ versionId: null, entry: { content: { ...earlier, form: 3 }, previousHash: null, hash: HASH } });
  expect(await screen.findByText(/This entry has no version of the strategy/)).toBeTruthy();
});

test('an entry is set on a schedule, with the latest runs of other databases', async () => {
  const others = [
    summary(3, { database: 'other', title: 'Another' }),
    summary(4, { database: 'other', title: 'Another' }),
  ];
  const { user, asked } = page(
    {},
    {},
    {
      ...server([summary(1), summary(2), ...others]),
      'POST reviews/r1/schedules': () => [SCHEDULE],
    },
  );
  await user.click(await screen.findByRole('button', { name: 'Run on a schedule' }));
  const form = await screen.findByRole('form', { name: 'Run on a schedule' });
  await user.selectOptions(within(form).getByLabelText('How often'), 'month');
  await user.selectOptions(within(form).getByLabelText('On day'), 'the last');
  await user.click(await within(form).findByRole('checkbox', { name: /Another entry 4/ }));
  await user.click(within(form).getByRole('button', { name: 'Set the schedule' }));
  await waitFor(() =>
    expect(
      asked.find(({ path, method }) => path.endsWith('schedules') && method === 'POST')?.body,
    ).toMatchObject({
      every: 'month',
      day: 31,
      entries: [2, 4],
    }),
  );
});
