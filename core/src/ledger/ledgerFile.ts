/** The ledger as a file of JSON that carries its own proof: entries, hashes and seal (`docs/guide/ledger.schema.json`). */
import type { LedgerContent, LedgerEntry } from './entry.js';
import type { LedgerForm } from './form.js';
import { readSeal, sealText, type Seal } from './verify.js';

/** What the file is, and the version of its form. */
export const LEDGER_FILE = { format: 'even-lantern-ledger', formatVersion: 1 } as const;

export interface LedgerFile {
  format: string;
  formatVersion: number;
  review: { id: string; title: string };
  /** UTC, ISO 8601 */
  exportedAt: string;
  /** as `sealText` writes it */
  seal: string;
  entries: LedgerEntry[];
}

/** Of a whole file, up to where its entries stand and from there on. */
const [HEAD_END, TAIL] = ['[]\n}', '\n  ]\n}'];

export const JSON_LEDGER: LedgerForm = {
  mediaType: 'application/json; charset=utf-8',
  extension: 'json',
  before: ({ review, exportedAt, seal }) => {
    const file: LedgerFile = { ...LEDGER_FILE, review, exportedAt, seal: sealText(seal), entries: [] };
    return `${JSON.stringify(file, null, 2).slice(0, -HEAD_END.length)}[\n`;
  },
  between: ',\n',
  after: TAIL,
  write: (entry) => JSON.stringify(entry, null, 2).replace(/^/gm, '    '),
};

export type LedgerFileResult =
  { ok: true; title: string; seal: Seal; entries: LedgerEntry[] } | { ok: false; message: string };

/** Reads such a file as far as it takes to verify it; what is in the entries is for the chain to judge. */
export function readLedgerFile(text: string): LedgerFileResult {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  if (!isObject(file) || file['format'] !== LEDGER_FILE.format) {
    return refused('This is no ledger: export one as JSON from the ledger of a review.');
  }
  if (file['formatVersion'] !== LEDGER_FILE.formatVersion) {
    return refused('This ledger was written by a later version of the program. Verify it with that.');
  }
  const { entries, seal, review } = file;
  const read = readSeal(typeof seal === 'string' ? seal : '');
  if (!read.ok) return refused(`The file has no seal. ${read.message}`);
  if (!Array.isArray(entries)) return refused('The file has no list of entries.');
  const at = entries.findIndex((entry) => !isEntry(entry));
  if (at !== -1) return refused(`Entry ${at + 1} of the file is no entry: it has no content or no hash.`);
  const title = isObject(review) && typeof review['title'] === 'string' ? review['title'] : '';
  return { ok: true, title, seal: read.seal, entries: entries as LedgerEntry[] };
}

function isEntry(value: unknown): value is LedgerEntry<LedgerContent> {
  if (!isObject(value) || !isObject(value['content'])) return false;
  const { hash, previousHash } = value;
  return typeof hash === 'string' && (previousHash === null || typeof previousHash === 'string');
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function refused(message: string): LedgerFileResult {
  return { ok: false, message };
}
