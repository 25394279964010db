/**
 * Drift: why a search that is run again finds something else. Each record that only one of the two runs found, and each
 * that both found but that says something else now, is explained by its states in both releases. What nothing explains is
 * an alarm, and never passed over.
 */
import type { BibRecord } from '../records/index.js';
import { differencesInWords, isSameRecord, recordDifferences, type Renamed } from './differences.js';

export const DRIFT_REASONS = ['new', 'indexed', 'changed', 'renamed', 'withdrawn', 'unexplained'] as const;
export type DriftReason = (typeof DRIFT_REASONS)[number];

/** `gained`: only the later run found it. `lost`: only the earlier. `kept`: both did, and it says something else now. */
export type DriftSide = 'gained' | 'lost' | 'kept';

export interface DriftedRecord {
  accession: string;
  title: string;
  year: number;
  side: DriftSide;
  reason: DriftReason;
  /** what came about, in sentences without an end */
  what: string[];
}

/** A record in a release: its state, `absent` where the release has no such record, `untold` where nobody can say. */
export type RecordThen = BibRecord | 'absent' | 'untold';

/** A record that the two runs do not agree on, with its states in the releases of both. */
export interface ToExplain {
  accession: string;
  side: DriftSide;
  then: RecordThen;
  now: RecordThen;
}

/** What was asked in the two releases. */
export interface DriftContext {
  /** ISO dates; equal where both runs asked one release */
  releases: { then: string; now: string };
  /** headings that the search names, and that have another name now */
  renames: readonly Renamed[];
}

/** Explains one record. */
export function explainRecord(
  { accession, side, then, now }: ToExplain,
  context: DriftContext,
): DriftedRecord {
  const { title, year } = typeof now === 'object' ? now : typeof then === 'object' ? then : UNKNOWN;
  return { accession, title, year, side, ...reasonOf(side, then, now, context) };
}

const UNKNOWN = { title: '', year: 0 };
type Reason = Pick<DriftedRecord, 'reason' | 'what'>;

function reasonOf(
  side: DriftSide,
  then: RecordThen,
  now: RecordThen,
  { releases, renames }: DriftContext,
): Reason {
  if (releases.then === releases.now && side !== 'kept') {
    return unexplained('both runs asked the same release, and only one found it');
  }
  if (then === 'absent' && now === 'absent') return unexplained('neither release has this record');
  if (then === 'absent') return { reason: 'new', what: [cameIn(now)] };
  if (now === 'absent') return { reason: 'withdrawn', what: ['it is not in the database any more'] };
  if (then === 'untold' || now === 'untold') return byDates(side, now, releases.then);
  const differences = recordDifferences(then, now, renames);
  const what = differencesInWords(differences);
  if (isSameRecord(differences)) {
    return renames.length > 0 && side !== 'kept'
      ? { reason: 'renamed', what: renames.map(({ from, to }) => `heading “${from}” is “${to}” now`) }
      : unexplained('it is the same in both releases');
  }
  if (differences.indexed) return { reason: 'indexed', what };
  const { headingsAdded, headingsGone, parts } = differences;
  const changed = headingsAdded.length + headingsGone.length + parts.length > 0;
  return { reason: changed ? 'changed' : 'renamed', what };
}

function cameIn(now: RecordThen): string {
  const entered = typeof now === 'object' ? now.entered : null;
  return entered === null ? 'it came into the database since' : `it came into the database on ${entered}`;
}

/** Where a database tells nothing of its earlier states, the record's own dates are all there is. */
function byDates(side: DriftSide, now: RecordThen, release: string): Reason {
  if (side === 'lost' || typeof now !== 'object' || release === '') return unexplained(NOT_TOLD);
  if (now.entered !== null && now.entered > release) return { reason: 'new', what: [cameIn(now)] };
  if (now.changed !== null && now.changed > release) {
    return { reason: 'changed', what: [`the database says that it was changed on ${now.changed}`] };
  }
  return unexplained(NOT_TOLD);
}

const NOT_TOLD = 'the database does not tell how it was before';

function unexplained(what: string): Reason {
  return { reason: 'unexplained', what: [what] };
}

/** What two runs found, by accession, with a digest of each record’s state; null where it was not kept. */
export type FoundByRun = ReadonlyMap<string, string | null>;

/** The records of two runs that have to be explained: those of one alone, and those that say something else now. */
export function recordsToExplain(
  then: FoundByRun,
  now: FoundByRun,
): { accession: string; side: DriftSide }[] {
  const drifted: { accession: string; side: DriftSide }[] = [];
  for (const [accession, digest] of now) {
    const before = then.get(accession);
    if (before === undefined) drifted.push({ accession, side: 'gained' });
    else if (before !== null && digest !== null && before !== digest)
      drifted.push({ accession, side: 'kept' });
  }
  for (const accession of then.keys()) if (!now.has(accession)) drifted.push({ accession, side: 'lost' });
  return drifted;
}

/** How many records drifted, by side and reason. */
export type DriftCounts = Record<DriftSide, Partial<Record<DriftReason, number>>>;

export function driftCounts(records: readonly DriftedRecord[]): DriftCounts {
  const counts: DriftCounts = { gained: {}, lost: {}, kept: {} };
  for (const { side, reason } of records) counts[side][reason] = (counts[side][reason] ?? 0) + 1;
  return counts;
}
