import type { LedgerVerified, Run } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { Refusal } from '../../testing/fakeServer.js';
import { HASH, SCHEDULE, server, summary } from '../../testing/ledgerFixtures.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { LedgerStrip } from './LedgerStrip.js';

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
  await user.selectOptions(await within(ledger).findByLabelText('How'), 'expert');
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

test('what is missing of a search made elsewhere is told at its field, and nothing is sent', async () => {
  const { user, ledger, asked } = await opened([], {}, {});
  await user.click(within(ledger).getByRole('button', { name: 'Enter a search made elsewhere' }));
  await user.click(await within(ledger).findByRole('button', { name: 'Enter it' }));
  const place = within(ledger).getByLabelText('Which journal or proceedings, which volumes');
  await waitFor(() => expect(place.getAttribute('aria-invalid')).toBe('true'));
  const told = document.getElementById(place.getAttribute('aria-describedby') ?? '');
  expect(told?.textContent).toBe('Say where: the journal, address, person or register.');
  expect(asked.some(({ path }) => path.endsWith('elsewhere'))).toBe(false);
  await user.type(place, 'Quarterly of Night Work');
  await waitFor(() => expect(place.getAttribute('aria-invalid')).toBe('false'));
});

test('the file that a search brought is told before it is entered, and can be left out again', async () => {
  const file = {
    id: 'f1', name: 'found.ris', bytes: 90, sha256: HASH, records: 2, titles: ['Dusk', 'Dawn'],
    troubles: [{ line: 7, message: 'A line that is no field.' }],
    encoding: { name: 'windows-1252', how: 'letters' },
  }; // prettier-ignore
  let refused = true;
  const { user, ledger, asked } = await opened(
    [],
    {},
    {
      'POST reviews/r1/ledger/files': () =>
        refused ? new Refusal(400, { title: 'The file holds no records.' }) : file,
      'POST reviews/r1/ledger/elsewhere': () => ({ content: { entry: 1 }, previousHash: null, hash: HASH }),
    },
  );
  await user.click(within(ledger).getByRole('button', { name: 'Enter a search made elsewhere' }));
  const form = within(await screen.findByRole('form', { name: 'A search made elsewhere' }));
  const pick = () =>
    user.upload(form.getByLabelText('File of the records found'), new File(['TY  - JOUR'], 'found.ris'));
  await pick();
  expect(await form.findByText('The file holds no records.')).toBeTruthy();
  refused = false;
  await pick();
  expect(await form.findByText(/2 records, beginning with “Dusk”/)).toBeTruthy();
  expect(form.getByText(/Line 7: A line that is no field/)).toBeTruthy();
  // Where letters look wrong, the same file is read in another encoding.
  expect(form.getByText('Read as windows-1252, guessed from its letters.')).toBeTruthy();
  await user.click(form.getByRole('combobox', { name: /Encoding of the file/ }));
  await user.click(await form.findByRole('option', { name: 'macintosh' }));
  await waitFor(() => expect(asked.filter(({ path }) => path.endsWith('ledger/files'))).toHaveLength(3));
  await form.findByText(/2 records, beginning with “Dusk”/);
  expect((form.getByLabelText('How many were found') as HTMLInputElement).value).toBe('2');
  await user.click(form.getByRole('button', { name: 'Leave found.ris out' }));
  expect(form.queryByText(/beginning with/)).toBeNull();
  await pick();
  await form.findByText(/beginning with “Dusk”/);
  await user.type(form.getByLabelText(/Which journal/), 'Lamp Letters');
  await user.click(form.getByRole('button', { name: 'Enter it' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('elsewhere'))?.body).toMatchObject({
      file: 'f1',
      count: 2,
    }),
  );
  expect(await screen.findByText('Entered as entry 1. 2 records came into the review.')).toBeTruthy();
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
