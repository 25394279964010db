import type { LedgerContent, LedgerEntry } from '@even-lantern/core';
import type { Ledger, Run } from '@even-lantern/contract';
import { screen, within } from '@testing-library/react';
import { fakeServer } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { LedgerStrip } from './LedgerStrip.js';

const entry = (number: number, parts: Partial<LedgerContent> = {}): LedgerEntry => ({
  hash: `hash${number}`,
  previousHash: number === 1 ? null : `hash${number - 1}`,
  content: {
    entry: number,
    outcome: 'complete',
    reason: null,
    database: 'db',
    databaseName: 'A database',
    release: '2026-10-01',
    dialect: 'CQL',
    lines: [{ number: 1, description: 'light', string: 'el.words = "light"', hits: 1234 }],
    hits: 1234,
    fetched: 1234,
    fingerprint: 'f'.repeat(64),
    startedAt: '2026-11-02T09:30:00.000Z',
    timeZone: 'UTC',
    durationMs: 800,
    ranBy: 'Mara Quillfeather',
    applicationVersion: '0.1.0',
    ...parts,
  },
});

function strip(ledger: Partial<Ledger>) {
  fakeServer({ 'GET reviews/r1/ledger': () => ({ entries: [], brokenAt: null, running: null, ...ledger }) });
  return renderAt('/', <LedgerStrip reviewId="r1" />);
}

test('before anything has run, the strip says so', async () => {
  const user = strip({});
  expect(await screen.findByText('Nothing run and logged yet')).toBeTruthy();
  await user.click(screen.getByRole('button'));
  expect(await screen.findByText(/Run a strategy on the Searches stage/)).toBeTruthy();
});

test('the strip tells of the last run, and opens into all of them, the latest first', async () => {
  const user = strip({ entries: [entry(1), entry(2, { fetched: 7, hits: 7 })] });
  const button = await screen.findByRole('button', { name: /2 entries/ });
  expect(button.textContent).toContain('1 line, 7 records');
  expect(button.textContent).toContain('Chain verified');
  await user.click(button);
  const ledger = await screen.findByRole('region', { name: 'Ledger' });
  expect(
    within(ledger)
      .getAllByText(/^Entry/)
      .map(({ textContent }) => textContent),
  ).toEqual(['Entry 2', 'Entry 1']);
  expect(within(ledger).getAllByText('1 234').length).toBeGreaterThan(0);
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('region', { name: 'Ledger' })).toBeNull();
});

test('a run that was cut off is marked, with the reason and what was not counted', async () => {
  const lines = [{ number: 1, description: 'light', string: 'el.words = "light"', hits: null }];
  const user = strip({
    entries: [
      entry(1, { outcome: 'interrupted', reason: 'It cannot be reached.', hits: null, fetched: 0, lines }),
    ],
  });
  await user.click(await screen.findByRole('button', { name: /interrupted/ }));
  const ledger = await screen.findByRole('region', { name: 'Ledger' });
  expect(ledger.textContent).toContain('interrupted: It cannot be reached.');
  expect(within(ledger).getAllByText('not counted')).toHaveLength(2);
});

test('a broken chain says at which entry', async () => {
  strip({ entries: [entry(1), entry(2)], brokenAt: 2 });
  expect(await screen.findByText('Chain broken at entry 2')).toBeTruthy();
});

test('a run that goes on now is told instead of the last one', async () => {
  strip({ entries: [entry(1)], running: { id: 'run' } as Run });
  expect(await screen.findByText('Running now')).toBeTruthy();
});

test('markup in what was logged stays text', async () => {
  const user = strip({ entries: [entry(1, { ranBy: '<img src=x>' })] });
  await user.click(await screen.findByRole('button', { name: /1 entry/ }));
  expect(await screen.findByText(/by <img src=x>/)).toBeTruthy();
});
