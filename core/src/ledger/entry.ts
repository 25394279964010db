/**
 * Entries of the ledger. Each carries the SHA-256 of its content and of the entry before it, so that a change to
 * any of them, later, shows.
 */
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

export interface LedgerLine {
  number: number;
  description: string;
  /** exactly what was sent to the database */
  string: string;
  /** null when the run was cut off before the line was counted */
  hits: number | null;
}

/** A limit as it was when the search was run. */
export interface LedgerLimit {
  /** what it restricts, such as “Language English, French” */
  limit: string;
  reason: string;
  /** how it was applied, such as “own limit”; null where it could not be */
  way: string | null;
  /** why it was not applied; null where it was */
  notApplied: string | null;
  /** the number of its line; null where it was not applied */
  line: number | null;
  /** hits before and after it; null when they were not counted */
  before: number | null;
  after: number | null;
  setBy: string;
  /** UTC, ISO 8601 */
  setAt: string;
}

/** The form of entries that are written now. Entries of the first form carry none, and stay as they are. */
export const LEDGER_FORM = 3;

export interface LedgerContent {
  entry: number;
  /** the form of the entry; the first form did not say */
  form?: number;
  outcome: 'complete' | 'interrupted';
  /** why it was interrupted, in plain words; null when complete */
  reason: string | null;
  database: string;
  databaseName: string;
  release: string;
  /** the dialect of the strings in words, such as CQL */
  dialect: string;
  /** the dialect's identifier, which says what reads the strings; not in the first form */
  queryType?: string;
  lines: LedgerLine[];
  /** the limits, in their order, those that could not be applied too; not in the first two forms */
  limits?: LedgerLimit[];
  /** hits of the last line, as the database told */
  hits: number | null;
  /** records fetched and kept in the review */
  fetched: number;
  /** what was odd in the answers, in sentences; not in the first form */
  remarks?: string[];
  /** SHA-256 of the sorted accession ids, one per line */
  fingerprint: string;
  /** UTC, ISO 8601 */
  startedAt: string;
  /** of the person who ran it, such as Europe/Lisbon */
  timeZone: string;
  durationMs: number;
  ranBy: string;
  applicationVersion: string;
}

export interface LedgerEntry {
  content: LedgerContent;
  previousHash: string | null;
  hash: string;
}

/** SHA-256 of the sorted accession ids, each followed by a newline; equal for equal results in any order. */
export function resultFingerprint(accessions: readonly string[]): string {
  const sorted = [...new Set(accessions)].sort();
  return hashText(sorted.map((accession) => `${accession}\n`).join(''));
}

/** Closes an entry: hashes its content together with the hash of the entry before it. */
export function sealEntry(content: LedgerContent, previousHash: string | null): LedgerEntry {
  return { content, previousHash, hash: hashText(canonicalJson({ content, previousHash })) };
}

/**
 * Checks a whole ledger, oldest entry first.
 * @returns the number of the first entry that does not fit, or null when all do
 */
export function firstBrokenEntry(entries: readonly LedgerEntry[]): number | null {
  let previousHash: string | null = null;
  for (const [i, entry] of entries.entries()) {
    const expected = sealEntry(entry.content, previousHash);
    if (
      entry.previousHash !== previousHash ||
      entry.hash !== expected.hash ||
      entry.content.entry !== i + 1
    ) {
      return i + 1;
    }
    previousHash = entry.hash;
  }
  return null;
}

/** JSON with sorted keys and no spaces (in the manner of RFC 8785), so that equal content has equal bytes. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (typeof value === 'object' && value !== null) {
    const pairs = Object.entries(value)
      .filter(([, each]) => each !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${pairs.map(([key, each]) => `${JSON.stringify(key)}:${canonicalJson(each)}`).join(',')}}`;
  }
  return JSON.stringify(value);
}

function hashText(text: string): string {
  return bytesToHex(sha256(utf8ToBytes(text)));
}
