import Joi from 'joi';
import type { LedgerEntry } from '@even-lantern/core';

export interface NewRun {
  database: string;
  /** of the person, such as Europe/Lisbon */
  timeZone: string;
  /** an earlier release of the database; the present one where it is not given */
  release?: string;
  /** fetch up to so many records; MOST_RECORDS where it is not given */
  most?: number;
}

/** So many records are fetched without being asked for; a strategy that finds more has hardly been meant. */
export const MOST_RECORDS = 20_000;
const MOST_EVER = 1_000_000;

export const newRunSchema = Joi.object<NewRun>({
  database: Joi.string().required(),
  timeZone: Joi.string().max(80).custom(knownTimeZone).required(),
  release: Joi.string().max(40),
  most: Joi.number().integer().min(1).max(MOST_EVER),
});

/** One of the names of the tz database, as the machine knows them. */
function knownTimeZone(value: string, { message }: Joi.CustomHelpers<string>) {
  try {
    new Intl.DateTimeFormat('en', { timeZone: value });
    return value;
  } catch {
    return message({ custom: `“${value}” is no time zone. Write one such as Europe/Lisbon, or UTC.` });
  }
}

export type RunStatus = 'running' | 'complete' | 'interrupted';

export interface Run {
  id: string;
  reviewId: string;
  database: string;
  status: RunStatus;
  linesCounted: number;
  linesTotal: number;
  hits: number | null;
  fetched: number;
  /** why it was interrupted, in plain words */
  reason: string | null;
  /** what was odd in the answers, in sentences */
  remarks: string[];
  /** where it found more records than are fetched without asking: how many */
  tooMany: number | null;
}

/** What marks a record that a run found. */
export interface RunMark {
  /** null where one line that somebody wrote by hand stands for all lanes */
  laneId: string | null;
  /** the vocabulary of headings, as queries name it */
  vocabulary: string | null;
  /** the fields of limits that it may name */
  limitFields: string[];
  /** what was looked for */
  cql: string;
}

export interface Ledger {
  entries: LedgerEntry[];
  /** the number of the first entry that does not fit the chain; null when all do */
  brokenAt: number | null;
  /** the run that goes on now, if any */
  running: Run | null;
}
