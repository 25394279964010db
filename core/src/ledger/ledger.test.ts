import {
  LEDGER_FORM,
  CSV_LEDGER,
  MARKDOWN_LEDGER,
  resultFingerprint,
  sealEntry,
  sealOf,
  verifyLedger,
  writeLedger,
  type LedgerContent,
  type LedgerEntry,
  type LedgerForm,
} from './index.js';

const content: LedgerContent = {
  entry: 1,
  outcome: 'complete',
  reason: null,
  database: 'corvane',
  databaseName: 'Corvane Medical Index',
  release: '2026-10-01',
  dialect: 'CQL',
  lines: [{ number: 1, description: '=HYPERLINK("x")', string: 'el.words = "light"', hits: 3 }],
  hits: 3,
  fetched: 3,
  fingerprint: resultFingerprint(['b', 'a']),
  startedAt: '2026-11-21T16:40:00.000Z',
  timeZone: 'UTC',
  durationMs: 12,
  ranBy: 'Ada | Librarian',
  applicationVersion: '0.1.0',
};
const first = sealEntry(content, null);
const second = sealEntry({ ...content, entry: 2 }, first.hash);
const written = (form: LedgerForm, entries: LedgerEntry[], title = 'Light') =>
  writeLedger(form, entries, { review: { id: 'r', title }, exportedAt: '', seal: sealOf(entries) });

test('the fingerprint is the SHA-256 of the sorted accession ids', () => {
  // printf 'a\nb\n' | sha256sum
  const expected = '911169ddaaf146aff539f58c26c489af3b892dff0fe283c1c264c65ae5aa59a2';
  expect(resultFingerprint(['b', 'a'])).toBe(expected);
  expect(resultFingerprint(['a', 'b', 'a'])).toBe(expected);
});

test('a ledger whose entries were changed, reordered or removed from before others is found out', () => {
  expect(verifyLedger([first, second]).broken).toBeNull();
  expect(verifyLedger([{ ...first, content: { ...content, hits: 4 } }, second]).broken?.entry).toBe(1);
  expect(verifyLedger([second, first]).broken?.entry).toBe(1);
  expect(verifyLedger([second]).broken?.entry).toBe(1);
  expect(verifyLedger([first, sealEntry({ ...content, entry: 2 }, null)]).broken?.entry).toBe(2);
  const third = sealEntry({ ...content, entry: 3 }, second.hash);
  expect(verifyLedger([first, third]).broken?.entry).toBe(2);
  expect(verifyLedger([second, third]).broken?.entry).toBe(1);
});

test('CSV cells that look like formulas are defused', () => {
  expect(written(CSV_LEDGER, [first])).toContain(`"'=HYPERLINK(""x"")"`);
});

test('Markdown shows names and strings as text', () => {
  const markdown = written(MARKDOWN_LEDGER, [first], 'Bright <b>light</b>');
  expect(markdown).toContain('# Ledger: Bright \\<b\\>light\\</b\\>');
  expect(markdown).toContain('- Ran by: Ada \\| Librarian');
  expect(markdown).toContain('| L1 | =HYPERLINK("x") | ` el.words = "light" ` | 3 |');
});

test('entries of the first form, which did not say what form they are, still verify beside later ones', () => {
  const later = sealEntry(
    { ...content, entry: 2, form: LEDGER_FORM, queryType: 'cql', remarks: ['One record came twice.'] },
    first.hash,
  );
  const read = JSON.parse(JSON.stringify([first, later])) as (typeof first)[];
  expect(verifyLedger(read).broken).toBeNull();
  const forged = read.map((entry, i) =>
    i === 1 ? { ...entry, content: { ...entry.content, form: 1 } } : entry,
  );
  expect(verifyLedger(forged).broken?.entry).toBe(2);
  expect(written(CSV_LEDGER, read)).toContain('One record came twice.');
});
