/** What checks found, as people accept it, and what mends would do. */
import { LIMIT_WAYS, OWN_LINE_ROLES, type Finding, type Mend } from '@even-lantern/core';
import Joi from 'joi';
import { lineKey, LONGEST_LINE_TEXT } from './lineTexts.js';
import { LONGEST_OWN_LINE } from './ownLines.js';
import { termContent } from './termContents.js';

/** A finding that somebody let stand, and why. */
export interface AcceptedFinding extends Pick<Finding, 'check' | 'at' | 'detail' | 'message'> {
  reason: string;
  acceptedAt: string;
  acceptedBy: string;
}

/** Accepts a finding; without a reason, acceptance is taken back. */
export interface FindingAcceptance extends Pick<Finding, 'check' | 'at' | 'detail' | 'message'> {
  reason: string | null;
}

export interface MendsRequest {
  database: string;
  mends: Mend[];
}

/** What a mend would change, in records. */
export interface MendEffect {
  /** what the line at its place finds, and would find; null where not counted */
  place: { before: number | null; after: number | null };
  /** what the whole would find; null where not counted */
  whole: number | null;
}

export interface MendEffects {
  database: string;
  release: string;
  /** what the whole finds now */
  whole: number | null;
  /** in the order of the mends; null for one that no longer fits */
  mends: (MendEffect | null)[];
}

/** Mends that are counted at once. */
export const MOST_MENDS = 60;

const place = lineKey.required();

export const findingAcceptanceSchema = Joi.object<FindingAcceptance>({
  check: Joi.string().max(100).required(),
  at: place,
  detail: Joi.string().allow('').max(LONGEST_OWN_LINE).required(),
  message: Joi.string().max(LONGEST_OWN_LINE).required(),
  reason: Joi.string().trim().min(1).max(1000).allow(null).required().messages({
    'string.empty': 'Say why it may stand, so that it can be reported.',
    'string.max': 'A reason has at most 1,000 characters.',
  }),
});

const id = Joi.string().max(100).required();
const mendOf = (kind: Mend['kind'], parts: Joi.SchemaMap) =>
  Joi.object({ kind: Joi.string().valid(kind).required(), ...parts });
const mend = Joi.alternatives().try(
  mendOf('addTerm', { laneId: id, content: termContent.required() }),
  mendOf('changeTerm', { termId: id, content: termContent.required() }),
  mendOf('removeTerm', { termId: id }),
  mendOf('moveTerm', { termId: id, laneId: id }),
  mendOf('writeOwn', { ownId: id, text: Joi.string().allow('').max(LONGEST_OWN_LINE).required() }),
  mendOf('removeOwn', { ownId: id }),
  mendOf('ownRole', {
    ownId: id,
    role: Joi.string()
      .valid(...OWN_LINE_ROLES)
      .required(),
  }),
  mendOf('writeText', { line: place, text: Joi.string().allow('').max(LONGEST_LINE_TEXT).required() }),
  mendOf('switchOn', { ownId: id }),
  mendOf('keepLane', { laneId: id }),
  mendOf('limitWay', {
    limitId: id,
    way: Joi.string()
      .valid(...LIMIT_WAYS)
      .required(),
  }),
);

export const mendsRequestSchema = Joi.object<MendsRequest>({
  database: Joi.string().required(),
  mends: Joi.array().items(mend).max(MOST_MENDS).required(),
});
