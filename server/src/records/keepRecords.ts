/** Records as they are kept: each once in a review, with what every run or search found of it. */
import { createHash, randomUUID } from 'node:crypto';
import { In, type EntityManager } from 'typeorm';
import { addToCount } from './recordCounts.js';
import { ElsewhereRecordRow, RecordRow, RecordStateRow, RunRecordRow, RunRow } from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { shownOf, type RankedRecord } from './foundRecords.js';

const UNDECIDED = {
  decision: 'undecided', decidedBy: null, decidedAt: null, version: 1, design: null, designJudged: false,
}; // prettier-ignore

/** The digest by which a state of a record is known. @param record as JSON */
export function stateDigest(record: string): string {
  return createHash('sha256').update(record).digest('hex');
}

/** What found records: a run, or a search that somebody made elsewhere. */
export type FoundBySource =
  | { kind: 'run'; id: string; reviewId: string; database: string; release: string }
  | { kind: 'search'; id: string; reviewId: string; database: string };

/** A run, as what found records. */
export function asSource({ id, reviewId, database, release }: RunRow): FoundBySource {
  return { kind: 'run', id, reviewId, database, release };
}

/**
 * Keeps a page of records. A record found before keeps its decision and takes on what the database says now; what it said
 * before is kept beside it. A run that asked an earlier release changes no record that a later one told of.
 */
export async function keepRecords(
  manager: EntityManager,
  source: FoundBySource,
  records: readonly RankedRecord[],
): Promise<void> {
  const { reviewId, database } = source;
  const accession = In(records.map(({ record }) => record.accession));
  const rows = await manager.find(RecordRow, {
    where: { reviewId, database, accession },
    select: { id: true, accession: true, record: true, designJudged: true, lastRunId: true },
  });
  const known = new Map(rows.map((each) => [each.accession, each]));
  const isEarlier = await earlierThan(manager, source);
  const last =
    source.kind === 'run'
      ? { lastRunId: source.id, lastSearchId: null }
      : { lastRunId: null, lastSearchId: source.id };
  const added: RecordRow[] = [];
  const states: Omit<RecordStateRow, 'id'>[] = [];
  const found: Found[] = [];
  for (const { record, rank } of records) {
    const shown = { ...shownOf(record, rank), ...last };
    const digest = stateDigest(shown.record);
    found.push({ accession: record.accession, rank, digest });
    const before = known.get(record.accession);
    if (before === undefined) {
      const own = { id: randomUUID(), reviewId, database, accession: record.accession };
      added.push({ ...own, ...shown, ...UNDECIDED });
      continue;
    }
    const state = { reviewId, database, accession: record.accession };
    const changed = before.record !== shown.record;
    if (isEarlier(before.lastRunId)) {
      if (changed) states.push({ ...state, digest, record: shown.record });
      continue;
    }
    if (changed) states.push({ ...state, digest: stateDigest(before.record), record: before.record });
    // What the database says otherwise now may tell of another design.
    const untold = changed && !before.designJudged ? { design: null } : {};
    await manager.update(RecordRow, { id: before.id }, { ...shown, ...untold });
  }
  await inBatches(added, (batch) => manager.insert(RecordRow, batch));
  await addToCount(manager, reviewId, 'undecided', added.length);
  await keepFound(manager, source, found);
  await keepStates(manager, states);
}

type Found = Pick<RunRecordRow, 'accession' | 'rank' | 'digest'>;

async function keepFound(
  manager: EntityManager,
  { kind, id }: FoundBySource,
  found: readonly Found[],
): Promise<void> {
  await inBatches(found, (batch) =>
    kind === 'run'
      ? manager.insert(
          RunRecordRow,
          batch.map((each) => ({ ...each, runId: id })),
        )
      : manager.insert(
          ElsewhereRecordRow,
          batch.map((each) => ({ ...each, searchId: id })),
        ),
  );
}

/** @returns whether a source asked an earlier release than a run */
async function earlierThan(
  manager: EntityManager,
  source: FoundBySource,
): Promise<(runId: string | null) => boolean> {
  if (source.kind === 'search' || source.release === '') return () => false;
  const { reviewId, database, release } = source;
  const runs = await manager.find(RunRow, {
    where: { reviewId, database },
    select: { id: true, release: true },
  });
  const releases = new Map(runs.map((run) => [run.id, run.release]));
  return (runId) => release < (releases.get(runId ?? '') ?? '');
}

async function keepStates(
  manager: EntityManager,
  states: readonly Omit<RecordStateRow, 'id'>[],
): Promise<void> {
  const fresh: RecordStateRow[] = [];
  for (const state of states) {
    const { record: _record, ...key } = state;
    if (!(await manager.existsBy(RecordStateRow, key))) fresh.push({ id: randomUUID(), ...state });
  }
  await inBatches(fresh, (batch) => manager.insert(RecordStateRow, batch));
}
