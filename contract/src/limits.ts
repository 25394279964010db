/** Limits of a review, and the profile that shows what each takes away. */
import {
  LIMIT_KINDS,
  LIMIT_WAYS,
  LONGEST_FILTER_NAME,
  LONGEST_VALUE,
  MAX_TERM_LENGTH,
  MOST_VALUES,
  STRENGTHS,
  valuesProblem,
  type FilterSource,
  type Limit,
  type LimitValues,
  type LimitWay,
  type OwnWords,
  type StrategyProblem,
} from '@even-lantern/core';
import Joi from 'joi';
import type { Counted, Sample, ValueCount } from './databases.js';
import type { Decision } from './decisions.js';

/** A review has at most so many limits. */
export const MOST_LIMITS = 40;
const LONGEST_REASON = 1000;
/** Phrases in each part of a filter of one’s own. */
const MOST_PHRASES = 300;

export interface ReviewLimit extends Limit {
  /** when it was last changed, and by whom */
  changedAt: string;
  changedBy: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

export type NewLimit = Pick<Limit, 'kind' | 'values' | 'reason' | 'on' | 'ways'>;

/** Limits that were gathered: all of them are added, or none. */
export interface NewLimits {
  limits: NewLimit[];
}

export interface LimitChange {
  values?: LimitValues;
  reason?: string;
  on?: boolean;
  /** how databases apply it, by their ids */
  ways?: Record<string, LimitWay>;
  /** moves it before this limit; null moves it to the end */
  before?: string | null;
  /** true takes it away, false brings it back */
  removed?: boolean;
}

/** A limit that is tried out: counted as if it were kept. */
export type LimitDraft = Pick<Limit, 'id' | 'kind' | 'values' | 'on' | 'ways'>;

export interface ProfileRequest {
  database: string;
  /** in place of those of the review */
  limits?: LimitDraft[];
}

/** What a limit does at its place. */
export interface LimitStep {
  limitId: string;
  /** how it is applied here; `none` where it is not */
  way: LimitWay;
  /** how it can be applied here */
  ways: readonly LimitWay[];
  /** why it is not applied, and what comes nearest; null where it is, or somebody chose not to */
  unavailable: string | null;
  /** values that this database does not know, or that words cannot say */
  unknown: readonly string[];
  /** what the database is told otherwise */
  changes: string[];
  /** the line that it is, as somebody wrote it by hand for this database; what it loses alone cannot be told then */
  written: boolean;
  /** the number of its line; null where it is none */
  line: number | null;
  /** what is left after it */
  remains: Counted;
  lost: number | null;
  /** lost through this limit alone */
  only: number | null;
  /** of what it loses, what merely lacks the data; null where that cannot be asked */
  lacking: number | null;
  /** of what it loses, what was kept on the reading desk; null where that cannot be told */
  kept: KeptRecord[] | null;
  warnings: string[];
  /**
   * Of what comes to it, what its own limit and its words find without each other; null where it has but one of them, or
   * nobody asked
   */
  compared: { ownOnly: number | null; both: number | null; wordsOnly: number | null } | null;
  /** what words of one’s own find that the filter of the program does not, and the reverse; null where there are none */
  against: { gained: number | null; missed: number | null } | null;
}

/** A record that was kept, and that a limit would lose. */
export interface KeptRecord {
  id: string;
  title: string;
  year: number;
}

export interface LimitProfile {
  database: string;
  databaseName: string;
  release: string;
  simulated: boolean;
  before: Counted;
  remains: Counted;
  /** one for each limit, in their order */
  steps: LimitStep[];
  problems: StrategyProblem[];
}

/**
 * What to read of a step: what it loses, what only it loses, what it loses for want of data, what is left, what its own
 * limit and its words find without each other, or what words of one’s own find that the filter does not and the reverse.
 */
export const STEP_PARTS = [
  'lost',
  'only',
  'lacking',
  'remains',
  'ownOnly',
  'wordsOnly',
  'gained',
  'missed',
] as const;
export type StepPart = (typeof STEP_PARTS)[number];

export interface StepSampleRequest extends ProfileRequest {
  limitId: string;
  part: StepPart;
}

export interface StepSample extends Sample {
  /** by accession number, what was decided of those that the review holds */
  decisions: Record<string, Decision>;
}

export interface LimitValuesRequest extends ProfileRequest {
  kind: string;
  /** the limit whose values are asked for, which therefore restricts nothing meanwhile */
  limitId: string | null;
  /** so many values at most, the most frequent first */
  most: number;
}

/** The values of a kind in one database, among what all other limits leave. */
export interface LimitValueCounts {
  /** null where the database does not count them: then it has those in `known` */
  counted: ValueCount[] | null;
  /** values that can be chosen there */
  known: string[];
  hits: number | null;
}

const phrases = Joi.array().items(Joi.string().trim().min(1).max(MAX_TERM_LENGTH)).max(MOST_PHRASES);
const source = Joi.object<FilterSource>({
  name: Joi.string().trim().min(1).max(LONGEST_FILTER_NAME).required(),
  by: Joi.string().min(1).max(200).required(),
  date: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/, 'date such as 2026-11-27')
    .required(),
  changed: Joi.boolean(),
});

export const ownWordsSchema = Joi.object<OwnWords>({
  any: phrases.required(),
  without: phrases.required(),
  from: source,
});

/** The values of a limit. */
export const limitValues = Joi.alternatives().conditional(Joi.object({ kind: 'years' }).unknown(), {
  then: Joi.object({
    kind: Joi.string().valid('years').required(),
    from: Joi.number().integer().min(1).max(9999).allow(null).required(),
    to: Joi.number().integer().min(1).max(9999).allow(null).required(),
  }).messages({
    'number.base': 'A year is written with digits, such as 2005.',
    'number.integer': 'A year is a whole number, such as 2005.',
    'number.min': 'A year lies between 1 and 9999.',
    'number.max': 'A year lies between 1 and 9999.',
  }),
  otherwise: Joi.object({
    kind: Joi.string().valid('values').required(),
    values: Joi.array()
      .items(Joi.string().trim().min(1).max(LONGEST_VALUE))
      .max(MOST_VALUES)
      .unique((a: string, b: string) => a.toLowerCase() === b.toLowerCase())
      .required()
      .messages({
        'array.unique': 'A value stands there twice. Take one away.',
        'array.max': `A limit has at most ${MOST_VALUES} values.`,
        'string.max': `A value has at most ${LONGEST_VALUE} characters.`,
        'string.empty': 'A value is empty. Write it, or take it away.',
      }),
    strength: Joi.string().valid(...STRENGTHS),
    words: ownWordsSchema,
  }),
});

const kind = Joi.string()
  .valid(...LIMIT_KINDS.map(({ id }) => id))
  .required();
/** By database, how a limit is applied where somebody chose. */
export const limitWays = Joi.object()
  .pattern(Joi.string().min(1).max(200), Joi.string().valid(...LIMIT_WAYS))
  .max(200);
const reason = Joi.string()
  .allow('')
  .trim()
  .max(LONGEST_REASON)
  .messages({ 'string.max': `A reason has at most ${LONGEST_REASON} characters.` });

/** What a kind cannot have is told where it stands. */
function fitting<T extends { kind: string; values: LimitValues }>(
  value: T,
  { message }: Joi.CustomHelpers<T>,
) {
  const problem = valuesProblem(value.kind, value.values);
  return problem === null ? value : message({ custom: problem });
}

const content = {
  kind,
  values: limitValues.required(),
  on: Joi.boolean().required(),
  ways: limitWays.required(),
};

export const limitDocument = Joi.object<NewLimit>({ ...content, reason: reason.required() }).custom(fitting);

export const newLimitsSchema = Joi.object<NewLimits>({
  limits: Joi.array().items(limitDocument).min(1).max(MOST_LIMITS).required(),
});

export const limitChangeSchema = Joi.object<LimitChange>({
  values: limitValues,
  reason,
  on: Joi.boolean(),
  ways: limitWays,
  before: Joi.string().allow(null),
  removed: Joi.boolean(),
}).min(1);

const draft = Joi.object<LimitDraft>({ id: Joi.string().max(100).required(), ...content }).custom(fitting);
const profileRequest = {
  database: Joi.string().required(),
  limits: Joi.array().items(draft).max(MOST_LIMITS).unique('id'),
};

export const profileRequestSchema = Joi.object<ProfileRequest>(profileRequest);

export const stepSampleSchema = Joi.object<StepSampleRequest>({
  ...profileRequest,
  limitId: Joi.string().required(),
  part: Joi.string()
    .valid(...STEP_PARTS)
    .required(),
});

export const limitValuesSchema = Joi.object<LimitValuesRequest>({
  ...profileRequest,
  kind,
  limitId: Joi.string().allow(null).required(),
  most: Joi.number().integer().min(1).max(500).required(),
});
