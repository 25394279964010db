/** A ledger, and a server that tells of it, for tests of what shows it. */
import type { Ledger, LedgerPage, LedgerSummary, Run, Schedule } from '@even-lantern/contract';
import type { FakeRequest } from './fakeServer.js';

export const summary = (entry: number, parts: Partial<LedgerSummary> = {}): LedgerSummary => ({
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

/** A run that goes on. */
export const run: Run = {
  id: 'run',
  reviewId: 'r1',
  database: 'db',
  databaseName: 'A database',
  startedAt: '2026-11-02T09:30:00.000Z',
  status: 'running',
  linesCounted: 3,
  linesTotal: 7,
  hits: null,
  fetched: 0,
  reason: null,
  remarks: [],
  tooMany: null,
  repeats: null,
  entry: null,
};

export const HASH = 'a'.repeat(64);
export const server = (
  entries: LedgerSummary[],
  ledger: Partial<Ledger> = {},
  more: Record<string, (asked: FakeRequest) => unknown> = {},
) => ({
  'GET reviews/r1/ledger': (): Ledger => ({
    seal: { entries: entries.length, hash: HASH },
    brokenAt: null,
    lastRun: entries.findLast(({ kind }) => kind === 'run') ?? null,
    running: [],
    ...ledger,
  }),
  'GET reviews/r1/schedules': (): Schedule[] => [],
  'GET reviews/r1/ledger/entries': ({ query }: FakeRequest): LedgerPage => {
    const before = Number(query.get('before') ?? Infinity);
    const found = entries.filter(({ kind }) => (query.get('kind') ?? kind) === kind).reverse();
    const page = found.filter(({ entry }) => entry < before).slice(0, Number(query.get('limit')));
    return { entries: page, matching: found.length };
  },
  ...more,
});
export const SCHEDULE: Schedule = {
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
  occurrences: [
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
