/** The log of what was run, noted and entered: read in parts, verified, and added to. */
import {
  WAYS_ELSEWHERE,
  type LedgerEntry,
  type LedgerKind,
  type ElsewhereContent,
  type RecordTrouble,
  type Seal,
} from '@even-lantern/core';
import Joi from 'joi';
import type { FileEncoding } from './fileEncodings.js';
import { encodingSchema, type FileQuery } from './fileQuery.js';
import { timeZoneSchema } from './timeZone.js';
import type { Run } from './runs.js';

/** What is told of a ledger before any entry is read. */
export interface Ledger {
  seal: Seal;
  /** the number of the first entry that does not fit the chain; null when all do */
  brokenAt: number | null;
  /** the latest run that was logged; null before there is one */
  lastRun: LedgerSummary | null;
  /** the runs that go on now */
  running: Run[];
}

/** An entry as a list shows it. */
export interface LedgerSummary {
  entry: number;
  kind: LedgerKind;
  /** UTC, ISO 8601: when a run began, or when something was entered */
  at: string;
  by: string;
  /** the database, the place elsewhere, or what is said */
  title: string;
  /** null where no database answered */
  database: string | null;
  release: string;
  /** null for what is no run */
  outcome: 'complete' | 'interrupted' | null;
  reason: string | null;
  lines: number;
  hits: number | null;
  fetched: number;
  /** the limits that a run applied, in words */
  limits: string[];
  /** what it was run for, or the way of searching elsewhere */
  purpose: string;
  /** the entry that it repeats, or that it is about */
  about: number | null;
  hash: string;
  /** how many notes and corrections are about it */
  notes: number;
}

export interface LedgerPage {
  /** the latest first */
  entries: LedgerSummary[];
  /** how many there are in all under the filter */
  matching: number;
}

/** What narrows the list of entries. */
export interface LedgerQuery {
  /** the latest of those before this number; from the last one where it is not given */
  before?: number;
  limit?: number;
  /** words that the entry holds: strings, names, places, notes */
  search?: string;
  kind?: LedgerKind;
  database?: string;
  outcome?: 'complete' | 'interrupted';
}

/** An entry with what stands around it. */
export interface LedgerEntryDetail {
  entry: LedgerEntry;
  /** notes and corrections about it, the oldest first */
  about: LedgerEntry[];
  /** the entries that repeat it, by their numbers */
  repeatedBy: number[];
  /** null for what is no run */
  runId: string | null;
  /** the version of the strategy that was run; null where none is kept here */
  versionId: string | null;
}

export interface LedgerNote {
  /** the number of the entry */
  about: number;
  text: string;
  timeZone: string;
}

export interface LedgerCorrection extends LedgerNote {
  what: string;
  was: string;
  is: string;
}

/** A search that was made elsewhere, as it is entered. */
export interface SearchElsewhere extends Pick<
  ElsewhereContent,
  'way' | 'place' | 'string' | 'count' | 'searchedOn' | 'text' | 'timeZone'
> {
  /** the id of a file of records that waits for it; null or absent where there is none */
  file?: string | null;
}

/** A file of records that was read, and waits until the search that brought it is entered. */
export interface WaitingFile {
  id: string;
  name: string;
  bytes: number;
  sha256: string;
  records: number;
  /** of the first records */
  titles: string[];
  troubles: RecordTrouble[];
  encoding: FileEncoding;
}

export interface WaitingFileQuery extends FileQuery {
  name: string;
  job: string;
}

export interface SealToVerify {
  /** a seal that was kept, as it was copied; empty where the chain alone is verified */
  seal: string;
}

/** What verifying a ledger came to. */
export interface LedgerVerified {
  seal: Seal;
  ok: boolean;
  brokenAt: number | null;
  /** in a sentence */
  message: string;
}

/** Records that one file of a search made elsewhere may hold. */
export const MOST_RECORDS_ELSEWHERE = 10_000;

const LONGEST = 4000;
const text = Joi.string().trim().max(LONGEST);
const MOST_IN_A_PAGE = 200;

export const ledgerQuerySchema = Joi.object<LedgerQuery>({
  before: Joi.number().integer().min(1),
  limit: Joi.number().integer().min(1).max(MOST_IN_A_PAGE),
  search: Joi.string().allow('').trim().max(200),
  kind: Joi.string().valid('run', 'note', 'correction', 'elsewhere'),
  database: Joi.string().max(200),
  outcome: Joi.string().valid('complete', 'interrupted'),
});

const note = {
  about: Joi.number().integer().min(1).required(),
  timeZone: timeZoneSchema.required(),
};

export const ledgerNoteSchema = Joi.object<LedgerNote>({
  ...note,
  text: text.required().messages({ 'string.empty': 'Write the note first.' }),
});

export const ledgerCorrectionSchema = Joi.object<LedgerCorrection>({
  ...note,
  what: text.max(200).required().messages({ 'string.empty': 'Say what is corrected, such as “count”.' }),
  was: text.allow('').required(),
  is: text.required().messages({ 'string.empty': 'Say what is right.' }),
  text: text.allow('').required(),
});

/** A day that has been, anywhere on earth. */
function knownDay(value: string, { message }: Joi.CustomHelpers<string>) {
  const time = Date.parse(`${value}T00:00:00Z`);
  if (Number.isNaN(time) || new Date(time).toISOString().slice(0, 10) !== value) {
    return message({ custom: `“${value}” is no day. Write it as 2026-11-02.` });
  }
  const HOURS_AHEAD_OF_UTC = 14;
  if (time > Date.now() + HOURS_AHEAD_OF_UTC * 3_600_000) {
    return message({ custom: 'That day is still to come. Enter the day on which it was searched.' });
  }
  return value;
}

export const searchElsewhereSchema = Joi.object<SearchElsewhere>({
  way: Joi.string()
    .valid(...WAYS_ELSEWHERE)
    .required(),
  place: text
    .max(500)
    .required()
    .messages({ 'string.empty': 'Say where: the journal, address, person or register.' }),
  string: text.allow('').required(),
  count: Joi.number().integer().min(0).max(1e9).allow(null).required(),
  searchedOn: Joi.string().custom(knownDay).required().messages({ 'string.empty': 'Say on which day.' }),
  text: text.allow('').required(),
  timeZone: timeZoneSchema.required(),
  file: Joi.string().max(100).allow(null),
});

export const waitingFileQuerySchema = Joi.object<WaitingFileQuery>({
  name: Joi.string().trim().max(300).required(),
  job: Joi.string().max(100).required(),
  encoding: encodingSchema,
});

export const sealToVerifySchema = Joi.object<SealToVerify>({
  seal: Joi.string().allow('').max(200).required(),
});
