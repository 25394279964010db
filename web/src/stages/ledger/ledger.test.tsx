import type { RunContent } from '@even-lantern/core';
import type {
  Drift,
  Ledger,
  LedgerEntryDetail,
  LedgerPage,
  LedgerSummary,
  LedgerVerified,
  Run,
  Schedule,
} from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import type { Asked } from '../../testing/fakeServer.js';
import { database, renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { EntryPage } from './EntryPage.js';
import { LedgerStrip } from './LedgerStrip.js';

const summary = (entry: number, parts: Partial<LedgerSummary> = {}): LedgerSummary => ({
  entry,
  kind: 'run',
  at: '2026-11-02T09:30:00.000Z',
  by: 'Mara Quillfeather',
  title: 'A database',
  database: 'db',
  release: '2026-10-01',
  outcome: 'complete',
  reason: null,
  lines: 1,
  hits: 1234,
  fetched: 1234,
  limits: [],
  purpose: '',
  about: null,
  hash: `hash${entry}`,
  notes: 0,
  ...parts,
});

const HASH = 'a'.repeat(64);
const server = (
  entries: LedgerSummary[],
  ledger: Partial<Ledger> = {},
  more: Record<string, (asked: Asked) => unknown> = {},
) => ({
  'GET reviews/r1/ledger': (): Ledger => ({
    seal: { entries: entries.length, hash: HASH },
    brokenAt: null,
    lastRun: entries.findLast(({ kind }) => kind === 'run') ?? null,
    running: [],
    ...ledger,
  }),
  'GET reviews/r1/schedules': (): Schedule[] => [],
  'GET reviews/r1/ledger/entries': ({ query }: Asked): LedgerPage => {
    const before = Number(query.get('before') ?? Infinity);
    const found = entries.filter(({ kind }) => (query.get('kind') ?? kind) === kind).reverse();
    const page = found.filter(({ entry }) => entry < before).slice(0, Number(query.get('limit')));
    return { entries: page, matching: found.length };
  },
  ...more,
});
const SCHEDULE: Schedule = {
  id: 's1',
  reviewId: 'r1',
  entries: [{ entry: 1, databaseName: 'A database' }],
  every: 'week',
  weekday: 3,
  day: 1,
  time: '07:30',
  timeZone: 'Europe/Lisbon',
  state: 'active',
  nextAt: '2026-12-02T07:30:00.000Z',
  createdAt: '2026-11-02T09:30:00.000Z',
  createdBy: 'Ada',
  version: 4,
  feed: '/api/feeds/secret.atom',
  unseen: 3,
  firings: [
    {
      dueAt: '2026-11-25T07:30:00.000Z',
      missed: 2,
      fresh: 3,
      seen: false,
      parts: [
        { databaseName: 'A database', status: 'done', entry: 2, fresh: 3, trouble: null, againAt: null },
        {
          databaseName: 'Another',
          status: 'failed',
          entry: null,
          fresh: null,
          trouble: 'It is away.',
          againAt: null,
        },
      ],
    },
  ],
};
const strip = (...asked: Parameters<typeof server>) =>
  renderInReview(reviewWith([]), () => <LedgerStrip reviewId="r1" />, server(...asked));
const opened = async (...asked: Parameters<typeof server>) => {
  const rendered = strip(...asked);
  await rendered.user.click(await screen.findByRole('button', { name: /^Ledger/ }));
  return { ...rendered, ledger: await screen.findByRole('region', { name: 'Ledger' }) };
};
const rows = (ledger: HTMLElement) =>
  [...ledger.querySelectorAll('[data-entry]')].map((row) => Number(row.getAttribute('data-entry')));

test('before anything has run, the strip says so', async () => {
  const { ledger } = await opened([]);
  expect(screen.getByText('Nothing run and logged yet')).toBeTruthy();
  expect(await within(ledger).findByText(/Run a strategy on the Searches stage/)).toBeTruthy();
});

test('the strip tells of the last run, and opens into all entries, the latest first', async () => {
  const { user, ledger } = await opened([
    summary(1),
    summary(2, { fetched: 7, hits: 7, about: 1, notes: 2 }),
    summary(3, { kind: 'elsewhere', title: 'A journal', purpose: 'hand search', outcome: null, hits: null }),
  ]);
  const button = screen.getByRole('button', { name: /3 entries/ });
  expect(button.textContent).toContain('1 line, 7 records');
  expect(button.textContent).toContain('Chain verified');
  await waitFor(() => expect(rows(ledger)).toEqual([3, 2, 1]));
  expect(ledger.textContent).toContain('repeats entry 1 · 2 notes');
  expect(ledger.textContent).toContain('hand search');
  expect(within(ledger).getByText('not counted')).toBeTruthy();
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('region', { name: 'Ledger' })).toBeNull();
});

test('a long ledger is fetched in parts, and narrowed by kind', async () => {
  const many = Array.from({ length: 120 }, (_, i) =>
    summary(i + 1, i % 40 === 0 ? { kind: 'note', title: 'noted', about: 1 } : {}),
  );
  const { user, ledger } = await opened(many);
  await waitFor(() => expect(rows(ledger)).toHaveLength(50));
  await user.click(within(ledger).getByRole('button', { name: 'Show earlier entries' }));
  await waitFor(() => expect(rows(ledger)).toHaveLength(100));
  expect(rows(ledger).at(-1)).toBe(21);
  await user.selectOptions(within(ledger).getByLabelText('Kind of entry'), 'note');
  await waitFor(() => expect(rows(ledger)).toEqual([81, 41, 1]));
  expect(within(ledger).getByText('3 entries fit')).toBeTruthy();
  // A note is read where the entry stands that it is about.
  expect(within(ledger).getAllByRole('link', { name: 'noted' })[0]?.getAttribute('href')).toBe(
    '/reviews/r1/ledger/1',
  );
});

test('a run that was cut off is marked with the reason; a broken chain says at which entry', async () => {
  const { ledger } = await opened(
    [summary(1, { outcome: 'interrupted', reason: 'It cannot be reached.', hits: null, fetched: 0 })],
    { brokenAt: 1 },
  );
  expect(await within(ledger).findByText(/interrupted: It cannot be reached./)).toBeTruthy();
  expect(screen.getByText('Chain broken at entry 1')).toBeTruthy();
});

test('runs that go on now are told instead of the last one', async () => {
  const running = ['A database', 'Another'].map(
    (databaseName, i) => ({ id: String(i), databaseName }) as Run,
  );
  strip([summary(1)], { running });
  expect(await screen.findByText('Running now in A database, Another')).toBeTruthy();
});

test('markup in what was logged stays text', async () => {
  const { ledger } = await opened([summary(1, { by: '<img src=x>', title: '<b>bold</b>' })]);
  expect(await within(ledger).findByText('<b>bold</b>')).toBeTruthy();
  expect(ledger.textContent).toContain('<img src=x>');
});

test('the seal is shown to be copied, and a kept one is verified', async () => {
  const { user, ledger, asked } = await opened(
    [summary(1)],
    {},
    {
      'POST reviews/r1/ledger/verification': (): LedgerVerified => ({
        seal: { entries: 1, hash: HASH },
        ok: false,
        brokenAt: null,
        message: 'The ledger has only 1 entry, fewer than the seal.',
      }),
    },
  );
  await user.click(within(ledger).getByRole('button', { name: 'Seal' }));
  expect(within(ledger).getByText(`1-${HASH}`)).toBeTruthy();
  await user.type(within(ledger).getByLabelText(/A seal that you kept/), `3-${HASH}`);
  await user.click(within(ledger).getByRole('button', { name: 'Verify all entries' }));
  expect((await within(ledger).findByRole('alert')).textContent).toContain('fewer than the seal');
  expect(asked.find(({ path }) => path.endsWith('verification'))?.body).toEqual({ seal: `3-${HASH}` });
});

test('a search made elsewhere is entered with its day and count', async () => {
  const { user, ledger, asked } = await opened(
    [],
    {},
    {
      'POST reviews/r1/ledger/elsewhere': () => ({ content: { entry: 1 }, previousHash: null, hash: HASH }),
    },
  );
  await user.click(within(ledger).getByRole('button', { name: 'Enter a search made elsewhere' }));
  await user.selectOptions(within(ledger).getByLabelText('How'), 'expert');
  await user.type(within(ledger).getByLabelText('Who was asked'), 'A night nurse');
  await user.type(within(ledger).getByLabelText('How many were found'), '4');
  await user.click(within(ledger).getByRole('button', { name: 'Enter it' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('elsewhere'))?.body).toMatchObject({
      way: 'expert',
      place: 'A night nurse',
      count: 4,
      string: '',
      searchedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
    }),
  );
  await waitFor(() => expect(screen.queryByRole('form', { name: 'A search made elsewhere' })).toBeNull());
});

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
  more: Record<string, (asked: Asked) => unknown> = {},
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
      'GET reviews/r1/ledger/entries/2/drift': ({ query }: Asked) =>
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
  const { user, asked } = page(
    {},
    { release: '2026-07-01' },
    {
      'GET databases': () => ({
        databases: [{ ...database, releases: ['2026-07-01', '2026-10-01'] }],
        failed: [],
        order: ['db'],
      }),
      'POST reviews/r1/ledger/entries/2/runs': () => ({ id: 'again', status: 'running' }),
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
  expect(await screen.findByText(/No version of the strategy was kept with this entry/)).toBeTruthy();
});

test('what schedules brought is told in the strip, and in the ledger with what went wrong', async () => {
  const { user, ledger, asked } = await opened(
    [summary(1), summary(2)],
    {},
    {
      'GET reviews/r1/schedules': () => [SCHEDULE],
      'PATCH schedules/s1': () => [{ ...SCHEDULE, state: 'paused', nextAt: null, version: 5 }],
    },
  );
  expect(await screen.findByText('3 new records by schedule')).toBeTruthy();
  await user.click(within(ledger).getByRole('button', { name: /^Schedules/ }));
  const section = await within(ledger).findByRole('article', { name: 'Schedule of A database' });
  expect(section.textContent).toContain('every Wednesday at 07:30, Europe/Lisbon');
  expect(section.textContent).toContain('2 earlier times went by');
  expect(section.textContent).toContain('Another: It is away. Not tried any more.');
  expect(within(section).getByRole('link', { name: 'A database, entry 2' }).getAttribute('href')).toBe(
    '/reviews/r1/ledger/2',
  );
  expect(within(section).getByRole('link', { name: 'Draft of a mail' }).getAttribute('href')).toBe(
    '/api/schedules/s1/mails/2026-11-25T07:30:00.000Z.eml',
  );
  await user.click(within(section).getByRole('button', { name: 'Pause' }));
  expect(await within(section).findByRole('button', { name: 'Go on' })).toBeTruthy();
  const change = asked.find(({ method }) => method === 'PATCH');
  expect([change?.body, change?.headers.get('if-match')]).toEqual([{ state: 'paused' }, '"4"']);
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
