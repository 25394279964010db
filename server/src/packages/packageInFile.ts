/**
 * Looks a package through, before anything of it is kept: that nothing is missing or was changed, that rows are rows of
 * this program's tables and hang together, that the chain of the ledger holds, and that what runs found is what their
 * entries say. Nothing is written anywhere.
 */
import { createHash } from 'node:crypto';
import {
  CRATE_METADATA,
  ledgerVerifier,
  readCrate,
  readLedgerFile,
  readSeal,
  verifyLedger,
  type AboutLedger,
  type Crate,
  type CrateFile,
  type LedgerContent,
  type LedgerEntry,
  type Seal,
} from '@even-lantern/core';
import yauzl from 'yauzl';
import { digestOfText } from '../records/foundDigests.js';
import { listedOf } from '../ledger/ledgerSummary.js';
import { bytesOf, entriesIn, linesIn, MOST_FILES, openZip } from './zip.js';
import { misfitIn, type TableDescription } from '../store/description.js';
import { tableNamed } from '../store/tables.js';
import { ScratchStore } from '../store/scratchStore.js';
import { HeldToLedger, ledgerFiles, type EntryOf } from './heldToLedger.js';
import { broughtUp, lookAtUpgraded, MOST_TROUBLES, shapesIn, type Earlier } from './earlierPackage.js';
import { pathOf, type TableShape } from './packageTables.js';

export interface PackageTask {
  path: string;
  /** the tables of this program */
  shapes: Record<string, TableShape>;
  /** the versions of the tables that this program knows, the earliest first; its own is the last */
  versions: string[];
  /** where a package of earlier tables is brought up to those of this program */
  scratch: string;
}

export interface PackageRead {
  /** null where there is trouble */
  crate: Crate | null;
  /** whether its tables were of an earlier version, so that its rows stand in the scratch store */
  upgraded: boolean;
  /** what does not fit, in sentences */
  troubles: string[];
  rows: number;
  /** what its ledger cannot vouch for, in sentences */
  unvouched: string[];
}

const MOST_METADATA_BYTES = 1_000_000;
const MOST_LEDGER_BYTES = 300_000_000;
const LEDGER_JSON = 'ledger.json';
type Row = Record<string, unknown>;

class Trouble extends Error {}

export async function packageInFile(task: PackageTask): Promise<PackageRead> {
  const troubles: string[] = [];
  let crate: Crate | null = null;
  let rows = 0;
  let upgraded = false;
  let unvouched: string[] = [];
  try {
    const zip = await openZip(task.path);
    try {
      const read = await lookThrough(zip, task, troubles);
      crate = read.crate;
      rows = read.rows;
      unvouched = read.unvouched;
      if (read.earlier !== null && troubles.length === 0) {
        upgraded = await broughtUp(read.earlier, task.path, troubles);
      }
      await read.earlier?.store.close();
      if (upgraded) await lookAtUpgraded(task.scratch, troubles);
    } finally {
      zip.close();
    }
  } catch (error) {
    if (!(error instanceof Trouble) && !isOfZip(error)) throw error;
    troubles.push(
      error instanceof Trouble
        ? error.message
        : `The file is damaged, or no package: ${(error as Error).message.replace(/\.+$/, '')}.`,
    );
  }
  return {
    crate: troubles.length === 0 ? crate : null,
    upgraded,
    troubles: troubles.slice(0, MOST_TROUBLES),
    rows,
    unvouched,
  };
}

/** Whether an error tells of the file, and not of this program. */
function isOfZip(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const code = 'code' in error ? String(error.code) : '';
  // What reads zips throws plain errors; another kind is a mistake of this program.
  return code === '' ? error.name === 'Error' : code.startsWith('Z_') || code.startsWith('ERR_');
}

async function lookThrough(
  zip: yauzl.ZipFile,
  { shapes: present, versions, scratch }: PackageTask,
  troubles: string[],
): Promise<{ crate: Crate; rows: number; earlier: Earlier | null; unvouched: string[] }> {
  const entries = await entriesIn(zip, MOST_FILES);
  const described = entries.get(CRATE_METADATA);
  if (described === undefined)
    throw new Trouble(`The file is no package of a review: it has no ${CRATE_METADATA}.`);
  const read = readCrate((await bytesOf(zip, described, MOST_METADATA_BYTES)).toString('utf8'));
  if (!read.ok) throw new Trouble(read.message);
  const { crate } = read;
  if (!versions.includes(crate.tablesAsOf)) {
    throw new Trouble(
      `It was written by a later release of Even Lantern (${crate.application || 'not told which'}). Read it with that one, or a later one.`,
    );
  }
  const store =
    crate.tablesAsOf === versions.at(-1) ? null : await ScratchStore.open(scratch, crate.tablesAsOf);
  const shapes = store === null ? present : shapesIn(await store.columns(), present);
  const earlier = store === null ? null : { store, shapes };
  const files = new Map(crate.files.map((file) => [file.path, file]));
  for (const path of entries.keys()) {
    if (path !== CRATE_METADATA && !files.has(path))
      troubles.push(`It holds a file that nothing tells of: ${path}.`);
  }
  for (const path of Object.keys(shapes).map(pathOf)) {
    if (!files.has(path)) troubles.push(`The table ${path} is missing.`);
  }
  for (const path of files.keys()) if (!entries.has(path)) troubles.push(`The file ${path} is missing.`);
  if (troubles.length > 0) return { crate, rows: 0, earlier, unvouched: [] };
  const check = new Check(crate, troubles, store === null);
  let rows = 0;
  // In the order in which tables refer to others.
  for (const [name, shape] of Object.entries(shapes)) {
    const path = pathOf(name);
    const file = files.get(path);
    const entry = entries.get(path);
    if (file === undefined || entry === undefined) continue;
    rows += await lookAtTable(zip, entry, file, name, shape, check);
    files.delete(path);
    if (troubles.length > MOST_TROUBLES) return { crate, rows, earlier, unvouched: [] };
  }
  const { ledger, unvouched } = check.end();
  const due = ledger === null ? new Map<string, string>() : ledgerFiles(ledger, check.about());
  for (const file of files.values()) {
    const entry = entries.get(file.path);
    if (entry === undefined) continue;
    await lookAtFile(zip, entry, file, troubles);
    const sha256 = due.get(file.path);
    if (sha256 === undefined || sha256 === file.sha256) continue;
    // Another release may have put it in other words; the chain is told by its hashes all the same.
    if (file.path !== LEDGER_JSON) {
      unvouched.push(
        `${file.path} is not what this release writes of the ledger, so read the ledger itself.`,
      );
    } else if (!isOfChain((await bytesOf(zip, entry, MOST_LEDGER_BYTES)).toString('utf8'), crate)) {
      troubles.push(`${file.path} is not the ledger of the package.`);
    }
  }
  return { crate, rows, earlier, unvouched };
}

async function lookAtTable(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  file: CrateFile,
  name: string,
  shape: TableShape,
  check: Check,
): Promise<number> {
  const hash = createHash('sha256');
  let number = 0;
  for await (const line of linesIn(zip, entry, (bytes) => hash.update(bytes))) {
    number += 1;
    check.row(name, shape, line, number);
    if (check.isFull()) return number;
  }
  if (hash.digest('hex') !== file.sha256)
    check.tell(`The file ${file.path} was changed: its SHA-256 is another.`);
  if (file.rows !== number)
    check.tell(`The table ${name} has ${number} rows, and should have ${file.rows ?? 'none'}.`);
  return number;
}

async function lookAtFile(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  file: CrateFile,
  troubles: string[],
): Promise<void> {
  const hash = createHash('sha256');
  for await (const _line of linesIn(zip, entry, (bytes) => hash.update(bytes))) continue;
  if (hash.digest('hex') !== file.sha256)
    troubles.push(`The file ${file.path} was changed: its SHA-256 is another.`);
}

/** What is known of rows that were seen, and what does not fit among them. */
class Check {
  private readonly ids = new Map<string, Set<string>>();
  private readonly verifier;
  private readonly seal: Seal;
  private readonly held: HeldToLedger;
  private title = '';

  constructor(
    private readonly crate: Crate,
    private readonly troubles: string[],
    /** whether its tables are those of this program; rows of earlier ones are held to them once they are brought up */
    private readonly isPresent: boolean,
  ) {
    const seal = readSeal(crate.seal);
    if (!seal.ok) this.tell('It has no seal of the ledger.');
    this.seal = seal.ok ? seal.seal : { entries: 0, hash: null };
    this.verifier = ledgerVerifier(seal.ok ? seal.seal : null, digestOfText);
    this.held = new HeldToLedger((trouble) => this.tell(trouble));
  }

  /** What the files of the ledger tell of the whole. */
  about(): AboutLedger {
    const { id, exportedAt } = this.crate;
    return { review: { id, title: this.title }, exportedAt, seal: this.seal };
  }

  tell(trouble: string): void {
    if (!this.isFull()) this.troubles.push(trouble);
  }

  isFull(): boolean {
    return this.troubles.length > MOST_TROUBLES;
  }

  row(name: string, shape: TableShape, line: string, number: number): void {
    const at = `${name}, row ${number}`;
    const row = parsed(line);
    if (row === null) return this.tell(`${at}: it is no row, or more than the program can read.`);
    const wrong = misfit(row, shape, this.isPresent ? tableNamed(name) : null);
    if (wrong !== null) return this.tell(`${at}: ${wrong}`);
    for (const [column, table] of Object.entries(shape.refersTo)) {
      const value = row[column];
      if (value === null) continue;
      if (this.ids.get(table)?.has(String(value)) !== true) {
        this.tell(`${at}: its ${column} names a row of ${table} that is not in the package.`);
      }
    }
    const key = shape.key.map((each) => String(row[each])).join(' ');
    let known = this.ids.get(name);
    if (known === undefined) this.ids.set(name, (known = new Set()));
    if (known.has(key)) this.tell(`${at}: it is there twice.`);
    known.add(key);
    if (name === 'review' && (row['id'] !== this.crate.id || known.size > 1 || row['deletedAt'] !== null)) {
      this.tell(`${at}: it is another review than the package tells of.`);
    }
    if (name === 'run' && row['status'] === 'running') this.tell(`${at}: the run had not ended.`);
    if (name === 'ledger_entry') this.entry(row, at);
    if (name === 'review') this.title = String(row['title']);
    this.held.row(name, row, at);
  }

  private readonly entries: { row: Row; at: string }[] = [];

  private entry(row: Row, at: string): void {
    this.entries.push({ row, at });
  }

  /** What can be told only when all has been seen. @returns the entries of the chain; null where it does not hold */
  end(): { ledger: LedgerEntry[] | null; unvouched: string[] } {
    const chain: EntryOf[] = [];
    const inOrder = this.entries.sort((a, b) => Number(a.row['entry']) - Number(b.row['entry']));
    for (const { row, at } of inOrder) {
      const content = parsed(String(row['content'])) as LedgerContent | null;
      if (content === null || !canBeListed(content)) {
        this.tell(`${at}: its content cannot be read.`);
        return { ledger: null, unvouched: [] };
      }
      const { previousHash, hash, runId, searchId } = row as {
        previousHash: string | null;
        hash: string;
        runId: string | null;
        searchId?: string | null;
      };
      if (content.entry !== row['entry']) this.tell(`${at}: its content is that of another entry.`);
      const entry = { content, previousHash, hash };
      this.verifier.take(entry);
      chain.push({ entry, runId, searchId: searchId ?? null });
    }
    const { broken, fit } = this.verifier.end();
    if (broken !== null) this.tell(`The ledger does not hold: entry ${broken.entry} does not fit the chain.`);
    else if (fit !== null && fit !== 'same')
      this.tell('The ledger does not end at the seal that the package tells.');
    const unvouched = this.held.end(chain);
    return { ledger: broken === null ? chain.map(({ entry }) => entry) : null, unvouched };
  }
}

/** Whether a file of the ledger has the chain that the package has. Hashes cover what entries say. */
function isOfChain(text: string, { seal }: Crate): boolean {
  const file = readLedgerFile(text);
  const kept = readSeal(seal);
  if (!file.ok || !kept.ok) return false;
  const { broken, fit } = verifyLedger(file.entries, kept.seal);
  return broken === null && fit === 'same';
}

/** What is wrong with the columns of a row; null where nothing is. @param table of this program; null where there is none */
function misfit(row: Row, { columns, json }: TableShape, table: TableDescription | null): string | null {
  const unknown = Object.keys(row).find((each) => !(each in columns));
  if (unknown !== undefined) return `there is no column “${unknown.slice(0, 60)}”.`;
  for (const [name, { type, nullable }] of Object.entries(columns)) {
    const value = row[name];
    if (value === null && nullable) continue;
    if (typeof value !== type) return `its ${name} should be a ${type}.`;
  }
  return misfitIn(row, { json, checks: table?.checks ?? {} });
}

/** Whether an entry says what lists show of it. A chain that somebody made anew holds whatever its entries say. */
function canBeListed(content: LedgerContent): boolean {
  try {
    listedOf(content);
    return true;
  } catch {
    return false;
  }
}

function parsed(line: string): Row | null {
  try {
    const value: unknown = JSON.parse(line);
    return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Row) : null;
  } catch {
    return null;
  }
}
