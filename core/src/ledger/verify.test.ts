import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020.js';
import fc from 'fast-check';
import {
  JSON_LEDGER,
  LEDGER_FORM,
  canonicalJson,
  ledgerVerifier,
  readLedgerFile,
  readSeal,
  sealEntry,
  sealOf,
  sealText,
  verificationText,
  verifyLedger,
  writeLedger,
  type LedgerContent,
  type LedgerEntry,
  type LedgerFile,
  type RunContent,
} from './index.js';

const about = { form: LEDGER_FORM, applicationVersion: '0.1.0', timeZone: 'UTC' };
const written = (entries: LedgerEntry[], title: string, exportedAt: string) =>
  writeLedger(JSON_LEDGER, entries, { review: { id: 'r', title }, exportedAt, seal: sealOf(entries) });
const told = { by: 'Mara Quillfeather', at: '2026-11-02T10:00:00.000Z' };

/** A ledger of entries of all kinds, chained as the program chains them. */
function chain(texts: readonly string[]): LedgerEntry[] {
  const entries: LedgerEntry[] = [];
  for (const [i, text] of texts.entries()) {
    const before = entries.at(-1);
    const entry = i + 1;
    const content: LedgerContent =
      before === undefined || i % 2 === 0
        ? {
            ...about,
            ...told,
            entry,
            kind: 'elsewhere',
            way: 'hand search',
            place: text,
            string: '',
            count: text.length,
            searchedOn: '2026-11-01',
            text,
            file: null,
          }
        : { ...about, ...told, entry, kind: 'note', about: { entry: i, hash: before.hash }, text };
    entries.push(sealEntry(content, before?.hash ?? null));
  }
  return entries;
}

const ledgers = fc.array(fc.string(), { minLength: 1, maxLength: 12 }).map(chain);
/** A place in a ledger, however long it is. */
const place = fc.nat(1000);

/** Every leaf of a value, with a way to change it. */
function changedAt(value: unknown, at: number): { value: unknown; left: number } {
  if (typeof value === 'object' && value !== null) {
    let left = at;
    const changed = Object.entries(value).map(([key, each]) => {
      const result = changedAt(each, left);
      left = result.left;
      return [key, result.value] as const;
    });
    return { value: Object.fromEntries(changed), left };
  }
  if (at !== 0) return { value, left: at - 1 };
  return { value: typeof value === 'number' ? value + 1 : `${String(value)}x`, left: -1 };
}

test('a ledger as it was written fits, and so does every seal that was kept of it', () => {
  fc.assert(
    fc.property(ledgers, place, (entries, at) => {
      const kept = sealOf(entries.slice(0, at % (entries.length + 1)));
      const { broken, fit, seal } = verifyLedger(entries, kept);
      expect(broken).toBeNull();
      expect(fit).toBe(kept.entries === entries.length ? 'same' : 'goes-on');
      expect(readSeal(` ${sealText(seal).toUpperCase()}\n`)).toEqual({ ok: true, seal });
    }),
  );
});

test('a change of anything in any entry is found at that entry', () => {
  fc.assert(
    fc.property(ledgers, place, fc.nat(12), (entries, at, leaf) => {
      const i = at % entries.length;
      const { value, left } = changedAt(entries[i]?.content, leaf);
      fc.pre(left === -1);
      const forged = entries.map((entry, j) =>
        j === i ? { ...entry, content: value as LedgerContent } : entry,
      );
      expect(verifyLedger(forged).broken?.entry).toBe(i + 1);
    }),
  );
});

test('entries as they are kept verify as entries do, whether their JSON is canonical or not', () => {
  fc.assert(
    fc.property(ledgers, place, fc.nat(12), fc.boolean(), (entries, at, leaf, canonical) => {
      const kept = (each: LedgerEntry) => {
        const text = canonical ? canonicalJson(each.content) : JSON.stringify(each.content);
        return { text, previousHash: each.previousHash, hash: each.hash };
      };
      const verified = (list: readonly LedgerEntry[]) => {
        const verifier = ledgerVerifier(sealOf(entries));
        for (const each of list) verifier.takeKept(kept(each));
        return verifier.end();
      };
      expect(verified(entries)).toEqual(verifyLedger(entries, sealOf(entries)));
      const i = at % entries.length;
      const { value, left } = changedAt(entries[i]?.content, leaf);
      fc.pre(left === -1);
      const forged = entries.map((each, j) =>
        j === i ? { ...each, content: value as LedgerContent } : each,
      );
      expect(verified(forged)).toEqual(verifyLedger(forged, sealOf(entries)));
      expect(verified(entries.slice(1))).toEqual(verifyLedger(entries.slice(1), sealOf(entries)));
    }),
    { numRuns: 40 },
  );
});

test('an entry that is kept as something that is no JSON is found, and stops nothing', () => {
  const [first, second] = chain(['a', 'b']);
  for (const text of ['', '{', 'null', '7']) {
    const verifier = ledgerVerifier();
    for (const each of [first, second]) {
      if (each === undefined) throw new Error('no entry');
      const kept = each === second ? text : JSON.stringify(each.content);
      verifier.takeKept({ text: kept, previousHash: each.previousHash, hash: each.hash });
    }
    expect(verifier.end().broken?.entry).toBe(2);
  }
});

test('entries that are removed, exchanged or doubled are found', () => {
  fc.assert(
    fc.property(ledgers, place, place, (entries, at, to) => {
      const [i, j] = [at % entries.length, to % entries.length];
      const [one, other] = [entries[i], entries[j]];
      if (one === undefined || other === undefined) throw new Error('no entry');
      const doubled = [...entries.slice(0, i), one, ...entries.slice(i)];
      expect(verifyLedger(doubled).broken?.entry).toBe(i + 2);
      const removed = entries.filter((_entry, place) => place !== i);
      if (i < entries.length - 1) expect(verifyLedger(removed).broken?.entry).toBe(i + 1);
      if (i === j) return;
      const exchanged = entries.map((entry, place) => (place === i ? other : place === j ? one : entry));
      expect(verifyLedger(exchanged).broken?.entry).toBe(Math.min(i, j) + 1);
    }),
  );
});

test('the chain alone cannot tell that its end is missing or that all of it was written anew; the seal can', () => {
  fc.assert(
    fc.property(ledgers, place, (entries, at) => {
      const kept = sealOf(entries);
      const cut = entries.slice(0, at % entries.length);
      expect(verifyLedger(cut)).toMatchObject({ broken: null, fit: null });
      expect(verifyLedger(cut, kept).fit).toBe('cut');
      const anew = chain([...entries.map(() => 'anew and longer than any text'), 'one more']);
      expect(verifyLedger(anew)).toMatchObject({ broken: null });
      expect(verifyLedger(anew, kept).fit).toBe('other');
    }),
  );
});

test('what a verification comes to is told in words', () => {
  const entries = chain(['a', 'b', 'c']);
  expect(verificationText(verifyLedger(entries))).toBe('All 3 entries fit.');
  expect(verificationText(verifyLedger(entries.slice(1)))).toBe(
    'Entry 1 does not fit: entries before it are missing, were added or exchanged.',
  );
  expect(verificationText(verifyLedger(entries.slice(0, 1), sealOf(entries)))).toContain(
    'The ledger has only 1 entry, fewer than the seal',
  );
  expect(verificationText(verifyLedger([]))).toBe('The ledger has no entry yet.');
});

test('what is no seal is refused', () => {
  const hash = 'a'.repeat(64);
  for (const text of ['', '12', `12-${'a'.repeat(63)}`, '3-none', `0-${hash}`, `-1-${hash}`, `1.5-${hash}`]) {
    expect(readSeal(text)).toMatchObject({ ok: false, message: expect.stringContaining('Copy it whole') });
  }
});

test('a file of a ledger is read back with its seal; what is none is refused with the reason', () => {
  fc.assert(
    fc.property(ledgers, (entries) => {
      const text = written(entries, 'Light', '2026-11-02T10:00:00.000Z');
      // Written in parts, it is what it would be in one.
      expect(text).toBe(
        JSON.stringify(JSON.parse(text), null, 2).replace('[]', entries.length === 0 ? '[\n\n  ]' : '[]'),
      );
      const read = readLedgerFile(text);
      expect(read).toEqual({ ok: true, title: 'Light', seal: sealOf(entries), entries });
    }),
  );
  const file = JSON.parse(written(chain(['a']), '', '')) as object;
  const message = (parts: object) => {
    const read = readLedgerFile(JSON.stringify({ ...file, ...parts }));
    return read.ok ? '' : read.message;
  };
  expect(message({ format: 'other' })).toContain('This is no ledger');
  expect(message({ formatVersion: 2 })).toContain('later version');
  expect(message({ seal: 7 })).toContain('no seal');
  expect(message({ entries: {} })).toContain('no list of entries');
  expect(message({ entries: [{ content: {}, hash: 'a', previousHash: null }, 3] })).toContain('Entry 2');
  expect(readLedgerFile('{')).toMatchObject({ ok: false });
});

test('files are as the schema in the guide says, with entries of all kinds and of all forms', () => {
  const path = join(__dirname, '..', '..', '..', 'docs', 'guide', 'ledger.schema.json');
  const schema = JSON.parse(readFileSync(path, 'utf8')) as object;
  const valid = new Ajv({ strict: false, validateFormats: false }).compile(schema);
  const [first, second] = chain(['a', 'b']);
  if (first === undefined || second === undefined) throw new Error('no entries');
  const correction = sealEntry(
    { ...about, ...told, entry: 3, kind: 'correction', about: { entry: 1, hash: first.hash }, what: 'count', was: '1', is: '2', text: '' },
    second.hash,
  ); // prettier-ignore
  const earlier: RunContent = {
    entry: 4, outcome: 'interrupted', reason: 'away', database: 'db', databaseName: 'A database', release: '', dialect: 'CQL',
    lines: [{ number: 1, description: '', string: 'light', hits: null }], hits: null, fetched: 0, fingerprint: 'f'.repeat(64),
    startedAt: told.at, timeZone: 'UTC', durationMs: 1, ranBy: 'Ada', applicationVersion: '0.1.0',
  }; // prettier-ignore
  const present: RunContent = {
    ...earlier, entry: 5, kind: 'run', form: LEDGER_FORM, purpose: '', note: '', version: null, accepted: [], settled: [],
    repeats: { entry: 4, hash: first.hash }, renamed: [{ from: 'a', to: 'b' }],
  }; // prettier-ignore
  const old = sealEntry(earlier, correction.hash);
  const entries = [first, second, correction, old, sealEntry(present, old.hash)];
  const file = JSON.parse(written(entries, 'Light', told.at)) as LedgerFile;
  expect([valid(file), valid.errors]).toEqual([true, null]);
  expect(valid({ ...file, seal: '5' })).toBe(false);
  expect(valid({ ...file, entries: [{ ...first, content: { ...first.content, way: 'guessing' } }] })).toBe(
    false,
  );
});

test('nothing that a file may hold stops the reading or the verifying of it', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), fc.jsonValue(), (content, seal, entries) => {
      readLedgerFile(JSON.stringify(content));
      const list = [{ content: { ...Object(content) }, previousHash: null, hash: '' }];
      const text = JSON.stringify({
        format: 'even-lantern-ledger',
        formatVersion: 1,
        seal: `0-none`,
        entries: list,
      });
      const read = readLedgerFile(text);
      if (read.ok) expect(verifyLedger(read.entries).broken?.entry).toBe(1);
      readLedgerFile(JSON.stringify({ format: 'even-lantern-ledger', formatVersion: 1, seal, entries }));
    }),
  );
});
