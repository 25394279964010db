import Joi from 'joi';
import type { BibRecord, LedgerEntry } from '@even-lantern/core';
import { DECISIONS, type Decision } from './decisions.js';

export interface NewRun {
  database: string;
  /** of the person, such as Europe/Lisbon */
  timeZone: string;
  /** an earlier release of the database; the present one where it is not given */
  release?: string;
}

export const newRunSchema = Joi.object<NewRun>({
  database: Joi.string().required(),
  timeZone: Joi.string().max(80).required(),
  release: Joi.string().max(40),
});

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
}

export interface Ledger {
  entries: LedgerEntry[];
  /** the number of the first entry that does not fit the chain; null when all do */
  brokenAt: number | null;
  /** the run that goes on now, if any */
  running: Run | null;
}

export interface DecisionChange {
  decision: Decision;
}

export const decisionChangeSchema = Joi.object<DecisionChange>({
  decision: Joi.string()
    .valid(...DECISIONS)
    .required(),
});

export type RecordSort = 'relevance' | 'newest' | 'oldest';

export interface RecordQuery {
  sort: RecordSort;
  decision: Decision | 'any';
  offset: number;
  limit: number;
}

export const recordQuerySchema = Joi.object<RecordQuery>({
  sort: Joi.string().valid('relevance', 'newest', 'oldest').default('relevance'),
  decision: Joi.string()
    .valid('any', ...DECISIONS)
    .default('any'),
  offset: Joi.number().integer().min(0).default(0),
  limit: Joi.number().integer().min(1).max(200).default(100),
});

export interface RecordRow {
  id: string;
  title: string;
  year: number;
  journal: string;
  publicationTypes: string[];
  decision: Decision;
}

export interface RecordPage {
  rows: RecordRow[];
  /** how many match the narrowing */
  total: number;
  counts: Record<Decision, number>;
}

export interface ReviewRecord {
  id: string;
  database: string;
  decision: Decision;
  decidedBy: string | null;
  decidedAt: string | null;
  record: BibRecord;
}
