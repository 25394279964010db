/**
 * `npm run ledger -- verify`: verifies the ledgers of a data folder, or one exported as JSON, and ends with 1 where one
 * does not fit. It reads the store beside a server that uses it, and changes nothing.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
  ledgerVerifier,
  readLedgerFile,
  readSeal,
  sealText,
  verificationText,
  type KeptEntry,
  type LedgerEntry,
  type Seal,
} from '@even-lantern/core';
import Database from 'better-sqlite3';

const USE = `Verifies ledgers.

  npm run ledger -- verify                         every ledger of the data folder (EVEN_LANTERN_DATA)
  npm run ledger -- verify --review <id>           one of them
  npm run ledger -- verify ledger.json             one that was exported as JSON
  … --seal <seal>                                  and whether it goes on from a seal that was kept`;

const FITS = 0;
const DOES_NOT_FIT = 1;
const CANNOT_TELL = 2;

/** What cannot be verified at all, in words for a person. */
class Stop extends Error {}

interface ToVerify {
  name: string;
  entries: Iterable<KeptEntry>;
  /** what it is held to */
  seals: Seal[];
}

try {
  process.exitCode = main(process.argv.slice(2));
} catch (error) {
  console.error(error instanceof Stop ? error.message : error);
  process.exitCode = CANNOT_TELL;
}

function main(args: string[]): number {
  const { values, positionals } = parse(args);
  const [command, file] = positionals;
  if (command !== 'verify' || values.help === true) throw new Stop(USE);
  const kept = values.seal === undefined ? [] : [sealIn(values.seal)];
  const ledgers = file === undefined ? inFolder(values.review, kept) : [inFile(file, kept)];
  let result = FITS;
  for (const { name, entries, seals } of ledgers) {
    for (const message of troubles(entries, seals)) {
      if (!message.fits) result = DOES_NOT_FIT;
      console.log(`${message.fits ? 'fits    ' : 'DOES NOT FIT'} ${name}: ${message.text}`);
    }
  }
  return result;
}

function parse(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: { seal: { type: 'string' }, review: { type: 'string' }, help: { type: 'boolean' } },
    });
  } catch (error) {
    throw new Stop(`${error instanceof Error ? error.message : String(error)}\n\n${USE}`);
  }
}

function sealIn(text: string): Seal {
  const read = readSeal(text);
  if (!read.ok) throw new Stop(read.message);
  return read.seal;
}

function inFile(path: string, kept: Seal[]): ToVerify {
  if (!existsSync(path)) throw new Stop(`There is no file ${path}.`);
  const read = readLedgerFile(readFileSync(path, 'utf8'));
  if (!read.ok) throw new Stop(`${path}: ${read.message}`);
  return { name: read.title || path, entries: read.entries.map(keptOf), seals: [read.seal, ...kept] };
}

function keptOf({ content, previousHash, hash }: LedgerEntry): KeptEntry {
  return { text: JSON.stringify(content), previousHash, hash };
}

function* inFolder(review: string | undefined, kept: Seal[]): Iterable<ToVerify> {
  const path = join(process.env['EVEN_LANTERN_DATA'] ?? join(process.cwd(), 'data'), 'even-lantern.sqlite');
  if (!existsSync(path))
    throw new Stop(`There is no store at ${path}. Name its folder with EVEN_LANTERN_DATA.`);
  const store = new Database(path, { readonly: true });
  try {
    const reviews = store
      .prepare('SELECT id, title FROM review WHERE "deletedAt" IS NULL ORDER BY "createdAt"')
      .all() as { id: string; title: string }[];
    const chosen = reviews.filter(({ id }) => review === undefined || id === review);
    if (review !== undefined && chosen.length === 0) throw new Stop(`There is no review ${review}.`);
    if (kept.length > 0 && chosen.length > 1) {
      throw new Stop('A seal is of one ledger: say of which with --review.');
    }
    const rows = store.prepare(
      'SELECT content AS text, "previousHash", hash FROM ledger_entry WHERE "reviewId" = ? ORDER BY entry',
    );
    for (const { id, title } of chosen) {
      yield { name: `${title} (${id})`, entries: rows.iterate(id) as Iterable<KeptEntry>, seals: kept };
    }
  } finally {
    store.close();
  }
}

/** What the chain comes to with each seal, or alone. */
function* troubles(
  entries: Iterable<KeptEntry>,
  seals: readonly Seal[],
): Iterable<{ fits: boolean; text: string }> {
  const verifiers = (seals.length === 0 ? [null] : seals).map((seal) => ledgerVerifier(seal, sha256));
  for (const entry of entries) for (const verifier of verifiers) verifier.takeKept(entry);
  const printed = new Set<string>();
  for (const verifier of verifiers) {
    const result = verifier.end();
    const text = `${verificationText(result)} Seal ${sealText(result.seal)}`;
    if (printed.has(text)) continue;
    printed.add(text);
    yield { fits: result.broken === null && result.fit !== 'cut' && result.fit !== 'other', text };
  }
}

function sha256(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}
