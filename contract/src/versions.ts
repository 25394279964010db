/** States of a strategy that are kept, and what differs between two of them. */
import type { BibRecord, StrategyChange, StrategyState } from '@even-lantern/core';
import Joi from 'joi';

/** A kept state of a strategy. */
export interface StrategyVersion {
  id: string;
  /** 1 and up */
  number: number;
  /** empty for one that nobody named */
  name: string;
  /** who named it; null where nobody did, or where that was not noted yet */
  namedBy: string | null;
  /** when it came to be, and whose change made it so */
  at: string;
  person: string;
  /** whether the strategy is so now */
  present: boolean;
}

export interface StrategyVersionWithState extends StrategyVersion {
  state: StrategyState;
}

export interface VersionName {
  name: string;
}

/** What of a version is taken up again. */
export interface GoingBack {
  /** the ids of lanes; all of the strategy where none are named */
  lanes?: string[];
}

/** Two versions, by their ids, compared in a database. */
export interface VersionComparisonRequest {
  database: string;
  from: string;
  to: string;
}

/** Records that only one of two versions finds. */
export interface OnlyFound {
  /** null where not counted */
  records: number | null;
  /** a few of them */
  sample: BibRecord[];
}

export interface VersionComparison {
  from: StrategyVersion;
  to: StrategyVersion;
  changes: StrategyChange[];
  database: string;
  databaseName: string;
  release: string;
  /** what each finds; null where it finds nothing that could be counted */
  hits: { from: number | null; to: number | null };
  gained: OnlyFound;
  lost: OnlyFound;
}

export const versionNameSchema = Joi.object<VersionName>({
  name: Joi.string().allow('').trim().max(200).required().messages({
    'string.max': 'The name of a version has at most 200 characters.',
  }),
});

export const goingBackSchema = Joi.object<GoingBack>({
  lanes: Joi.array().items(Joi.string().max(80)).min(1).max(1000).unique(),
});

export const versionComparisonSchema = Joi.object<VersionComparisonRequest>({
  database: Joi.string().required(),
  from: Joi.string().required(),
  to: Joi.string().required(),
});
