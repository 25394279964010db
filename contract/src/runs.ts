import Joi from 'joi';
import type { Problem } from './problems.js';
import { timeZoneSchema } from './timeZone.js';

/** What a run is told beside the strategy. */
interface RunAbout {
  /** of the person, such as Europe/Lisbon */
  timeZone: string;
  /** what it is run for; nothing where nobody says */
  purpose?: string;
  note?: string;
}

export interface NewRun extends RunAbout {
  database: string;
  /** an earlier release of the database; the present one where it is not given */
  release?: string;
  /** fetch up to so many records; MOST_RECORDS where it is not given */
  most?: number;
}

/** Runs in several databases, side by side. */
export interface NewRuns extends RunAbout {
  databases: string[];
}

/** A run that repeats an entry. */
export interface RepeatedRun extends RunAbout {
  /** against the release of the entry, or that of now */
  release: 'then' | 'present';
}

/** What became of starting runs in several databases. */
export interface StartedRuns {
  started: Run[];
  /** where something has to be settled first */
  refused: { database: string; problem: Problem }[];
}

/** So many records are fetched without being asked for; a strategy that finds more has hardly been meant. */
export const MOST_RECORDS = 20_000;
const MOST_EVER = 1_000_000;
const MOST_DATABASES = 100;

const about = {
  timeZone: timeZoneSchema.required(),
  purpose: Joi.string().trim().allow('').max(200),
  note: Joi.string().trim().allow('').max(4000),
};

export const newRunSchema = Joi.object<NewRun>({
  ...about,
  database: Joi.string().required(),
  release: Joi.string().max(40),
  most: Joi.number().integer().min(1).max(MOST_EVER),
});

export const newRunsSchema = Joi.object<NewRuns>({
  ...about,
  databases: Joi.array()
    .items(Joi.string().max(200))
    .min(1)
    .max(MOST_DATABASES)
    .unique()
    .required()
    .messages({ 'array.min': 'Choose a database at least.' }),
});

export const repeatedRunSchema = Joi.object<RepeatedRun>({
  ...about,
  release: Joi.string().valid('then', 'present').required(),
});

export type RunStatus = 'running' | 'complete' | 'interrupted';

export interface Run {
  id: string;
  reviewId: string;
  database: string;
  databaseName: string;
  status: RunStatus;
  startedAt: string;
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
  /** the entry that it repeats; null for one of its own */
  repeats: number | null;
  /** the entry that it became; null while it goes on */
  entry: number | null;
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
