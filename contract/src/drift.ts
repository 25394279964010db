/** How a search that was run again differs from what it found before. */
import {
  DRIFT_REASONS,
  type DriftCounts,
  type DriftedRecord,
  type DriftReason,
  type DriftSide,
  type Renamed,
} from '@even-lantern/core';
import Joi from 'joi';

export interface Drift {
  database: string;
  databaseName: string;
  /** the earlier entry and the later one */
  then: DriftEnd;
  now: DriftEnd;
  counts: DriftCounts;
  /** records that both found, and that say the same */
  same: number;
  renamed: Renamed[];
  /** a part of those that drifted, under the filter: what nothing explains first */
  records: DriftedRecord[];
  /** how many there are under the filter */
  matching: number;
}

export interface DriftEnd {
  entry: number;
  release: string;
  /** when it was run */
  at: string;
  fetched: number;
}

export interface DriftQuery {
  side?: DriftSide;
  reason?: DriftReason;
  offset?: number;
  limit?: number;
}

const MOST_IN_A_PAGE = 500;

export const driftQuerySchema = Joi.object<DriftQuery>({
  side: Joi.string().valid('gained', 'lost', 'kept'),
  reason: Joi.string().valid(...DRIFT_REASONS),
  offset: Joi.number().integer().min(0),
  limit: Joi.number().integer().min(1).max(MOST_IN_A_PAGE),
});
