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
  /** what the database could not be told as it was meant; from the fourth form on */
  losses?: string[];
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

/** What a check found and somebody let stand, as it was when the search was run. */
export interface LedgerAccepted {
  message: string;
  reason: string;
  by: string;
  /** UTC, ISO 8601 */
  at: string;
}

/** How a heading of another vocabulary was said here, as somebody settled it. */
export interface LedgerSettled {
  heading: string;
  vocabulary: string;
  /** headings of this database’s vocabulary; empty where it was said as words */
  headings: string[];
  words: string[];
  by: string;
  /** UTC, ISO 8601 */
  at: string;
}

/** Another entry of the same ledger. */
export interface EntryReference {
  entry: number;
  hash: string;
}

/** The form of entries that are written now. Entries of the first form carry none, and stay as they are. */
export const LEDGER_FORM = 5;

interface AnyContent {
  entry: number;
  /** the form of the entry; the first form did not say */
  form?: number;
  applicationVersion: string;
  /** of the person, such as Europe/Lisbon */
  timeZone: string;
}

/** A search that the program ran. */
export interface RunContent extends AnyContent {
  /** the first three forms, which had nothing else, did not say */
  kind?: 'run';
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
  /** as `recordsDigest` makes it: what the records said; from the fifth form on */
  recordsDigest?: string;
  /** UTC, ISO 8601 */
  startedAt: string;
  durationMs: number;
  ranBy: string;
  /** what it was run for; empty where nobody said; this and what follows from the fourth form on */
  purpose?: string;
  note?: string;
  /** the same for runs that one action started */
  together?: string;
  /** the kept state of the strategy: its number, its name where it has one, and its SHA-256; null where it is another’s */
  version?: { number: number; name: string; digest: string } | null;
  accepted?: LedgerAccepted[];
  settled?: LedgerSettled[];
  /** the entry that this run repeats; null for one of its own */
  repeats?: EntryReference | null;
  /** headings that had another name when what is repeated was run */
  renamed?: { from: string; to: string }[];
}

/** What somebody says of an earlier entry. */
export interface NoteContent extends AnyContent {
  kind: 'note';
  about: EntryReference;
  text: string;
  by: string;
  /** UTC, ISO 8601 */
  at: string;
}

/** What was wrong in an earlier entry, and what is right. */
export interface CorrectionContent extends AnyContent {
  kind: 'correction';
  about: EntryReference;
  /** what is corrected, such as “count” */
  what: string;
  was: string;
  is: string;
  /** how the mistake came about, or how it was found */
  text: string;
  by: string;
  /** UTC, ISO 8601 */
  at: string;
}

/** Ways of searching that no database answers, in the trade’s words. */
export const WAYS_ELSEWHERE = [
  'hand search',
  'web page',
  'expert',
  'citation chasing',
  'grey literature',
  'trial register',
  'other',
] as const;
export type WayElsewhere = (typeof WAYS_ELSEWHERE)[number];

/** A search that was made elsewhere, as somebody tells of it. */
export interface ElsewhereContent extends AnyContent {
  kind: 'elsewhere';
  way: WayElsewhere;
  /** the journal, address, person or register */
  place: string;
  /** what was searched for, or asked; empty where there was no string */
  string: string;
  /** null where nobody counted */
  count: number | null;
  /** the day it was done, as YYYY-MM-DD */
  searchedOn: string;
  text: string;
  /** what it brought, as a file of records; null without one */
  file: {
    name: string;
    bytes: number;
    sha256: string;
    records: number;
    /** as `recordsDigest` makes it; from the fifth form on */
    recordsDigest?: string;
  } | null;
  by: string;
  /** when it was entered; UTC, ISO 8601 */
  at: string;
}

export type LedgerContent = RunContent | NoteContent | CorrectionContent | ElsewhereContent;
export type LedgerKind = NonNullable<LedgerContent['kind']>;

/** Content to which its number is still to be given. */
export type NewContent = {
  [K in LedgerKind]: Omit<Extract<LedgerContent, { kind?: K }>, 'entry' | 'form'>;
}[LedgerKind];

export interface LedgerEntry<Content extends LedgerContent = LedgerContent> {
  content: Content;
  previousHash: string | null;
  hash: string;
}

export function isRun(content: LedgerContent): content is RunContent {
  return content.kind === undefined || content.kind === 'run';
}

/** SHA-256 of the sorted accession ids, each followed by a newline; equal for equal results in any order. */
export function resultFingerprint(accessions: readonly string[]): string {
  const sorted = [...new Set(accessions)].sort();
  return hashText(sorted.map((accession) => `${accession}\n`).join(''));
}

/** A record that was found, and the SHA-256 of what it said, as JSON. */
export interface FoundDigest {
  accession: string;
  digest: string;
}

/**
 * SHA-256 of lines of an accession id, a space and the digest of its record, sorted, each followed by a newline.
 * @param hash SHA-256 of a text in hexadecimal digits, where there is a faster one than our own
 */
export function recordsDigest(
  found: readonly FoundDigest[],
  hash: (text: string) => string = hashText,
): string {
  const lines = found.map(({ accession, digest }) => `${accession} ${digest}\n`);
  return hash(lines.sort().join(''));
}

/** Closes an entry: hashes its content together with the hash of the entry before it. */
export function sealEntry<Content extends LedgerContent>(
  content: Content,
  previousHash: string | null,
): LedgerEntry<Content> {
  return { content, previousHash, hash: entryHash(content, previousHash, hashText) };
}

/** @param hash SHA-256 of a text, in lower-case hexadecimal digits */
export function entryHash(
  content: LedgerContent,
  previousHash: string | null,
  hash: (text: string) => string,
): string {
  return hash(canonicalJson({ content, previousHash }));
}

/** JSON with sorted keys and no spaces (in the manner of RFC 8785), so that equal content has equal bytes. */
export function canonicalJson(value: unknown): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  if (Array.isArray(value)) {
    let text = '[';
    for (let i = 0; i < value.length; i += 1) text += (i === 0 ? '' : ',') + canonicalJson(value[i]);
    return `${text}]`;
  }
  const object = value as Record<string, unknown>;
  let text = '{';
  for (const key of Object.keys(object).sort()) {
    const each = object[key];
    if (each === undefined) continue;
    text += `${text === '{' ? '' : ','}${JSON.stringify(key)}:${canonicalJson(each)}`;
  }
  return `${text}}`;
}

/** SHA-256 of a text, in lower-case hexadecimal digits. */
export function hashText(text: string): string {
  return bytesToHex(sha256(utf8ToBytes(text)));
}
