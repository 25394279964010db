export { differencesInWords, isSameRecord, recordDifferences } from './differences.js';
export type { RecordDifferences, Renamed } from './differences.js';
export { DRIFT_REASONS, driftCounts, explainRecord, recordsToExplain } from './drift.js';
export type {
  DriftContext,
  DriftCounts,
  DriftedRecord,
  DriftReason,
  DriftSide,
  FoundByRun,
  RecordThen,
  ToExplain,
} from './drift.js';
export { renameHeadings, renamesBetween } from './renamed.js';
