/** The records of a review, and what is decided on them. */
import type { BibRecord } from '@even-lantern/core';
import Joi from 'joi';
import { DECISIONS, type Decision } from './decisions.js';
import type { DesignJudgement } from './studyDesigns.js';

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
  /** of this study design with its kinds, as likely or judged; empty for those of which nothing tells any */
  design?: string;
  /** how many to pass over, for a jump into the middle */
  offset: number;
  /** where the page before ended, as it said; goes before `offset`, and stays right while records come and go */
  after?: string;
  limit: number;
}

export const recordQuerySchema = Joi.object<RecordQuery>({
  sort: Joi.string().valid('relevance', 'newest', 'oldest').default('relevance'),
  decision: Joi.string()
    .valid('any', ...DECISIONS)
    .default('any'),
  design: Joi.string().allow('').max(200),
  offset: Joi.number().integer().min(0).max(10_000_000).default(0),
  after: Joi.string().max(2000),
  limit: Joi.number().integer().min(1).max(200).default(100),
});

export interface RecordRow {
  id: string;
  title: string;
  year: number;
  journal: string;
  publicationTypes: string[];
  decision: Decision;
  /** of the decision */
  version: number;
  /** the run that found it last */
  /** the run that found it last; null where a search made elsewhere brought it */
  runId: string | null;
  /** the study design that is likely or was judged; empty where nothing tells of any, null until that is worked out */
  design: string | null;
  /** whether a person judged the design */
  designJudged: boolean;
}

/** How many records of a review have each design, by their decision. */
export interface DesignCounts {
  designs: { design: string; records: RecordCounts }[];
  /** records whose designs are still to be worked out, which goes on meanwhile */
  pending: number;
  /** why it does not go on; null where nothing is wrong */
  trouble: string | null;
}

export interface RecordPage {
  rows: RecordRow[];
  /** where the page ends; null where it is the last */
  next: string | null;
}

/** How many records of a review there are, by their decision. */
export type RecordCounts = Record<Decision, number>;

/** A decision as it stands now. */
export interface Decided {
  id: string;
  decision: Decision;
  decidedBy: string | null;
  decidedAt: string | null;
  version: number;
}

export interface ReviewRecord extends Decided {
  database: string;
  /** the run that found it last */
  /** the run that found it last; null where a search made elsewhere brought it */
  runId: string | null;
  record: BibRecord;
  /** what a person judged its design to be; null where nobody did */
  judged: DesignJudgement | null;
}

/** A run that found a record. */
export interface FoundBy {
  /** the number of its entry */
  entry: number;
  release: string;
  /** UTC, ISO 8601 */
  at: string;
  /** place in the order of the database, from 1 */
  rank: number;
  /** the lines that find it, as it was then; null where the database is not known now */
  lines: number[] | null;
  /** the way and place of a search made elsewhere; null for a run */
  elsewhere: string | null;
}
