/** The records of a run, as they are kept: each once in a review, with what every run found of it. */
import { createHash, randomUUID } from 'node:crypto';
import { In, type EntityManager } from 'typeorm';
import { addToCount } from './recordCounts.js';
import { RecordRow, RecordStateRow, RunRecordRow, RunRow } from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { shownOf, type RankedRecord } from './foundRecords.js';

const UNDECIDED = {
  decision: 'undecided', decidedBy: null, decidedAt: null, version: 1, design: null, designJudged: false,
}; // prettier-ignore

/** The digest by which a state of a record is known. @param record as JSON */
export function stateDigest(record: string): string {
  return createHash('sha256').update(record).digest('hex');
}

/**
 * Keeps a page of records. A record found before keeps its decision and takes on what the database says now; what it said
 * before is kept beside it. A run that asked an earlier release changes no record that a later one told of.
 */
export async function keepRecords(
  manager: EntityManager,
  run: RunRow,
  records: readonly RankedRecord[],
): Promise<void> {
  const { reviewId, database } = run;
  const accession = In(records.map(({ record }) => record.accession));
  const rows = await manager.find(RecordRow, {
    where: { reviewId, database, accession },
    select: { id: true, accession: true, record: true, designJudged: true, lastRunId: true },
  });
  const known = new Map(rows.map((each) => [each.accession, each]));
  const releases = await releasesOf(manager, run);
  const added: RecordRow[] = [];
  const states: Omit<RecordStateRow, 'id'>[] = [];
  const found: RunRecordRow[] = [];
  for (const { record, rank } of records) {
    const shown = shownOf(record, rank, run.id);
    const digest = stateDigest(shown.record);
    found.push({ runId: run.id, accession: record.accession, rank, digest });
    const before = known.get(record.accession);
    if (before === undefined) {
      const own = { id: randomUUID(), reviewId, database, accession: record.accession };
      added.push({ ...own, ...shown, ...UNDECIDED });
      continue;
    }
    const state = { reviewId, database, accession: record.accession };
    const changed = before.record !== shown.record;
    const isEarlier = run.release !== '' && run.release < (releases.get(before.lastRunId) ?? '');
    if (isEarlier) {
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
  await inBatches(found, (batch) => manager.insert(RunRecordRow, batch));
  await keepStates(manager, states);
}

/** The releases that the runs of a review asked of the database, by run. */
async function releasesOf(
  manager: EntityManager,
  { reviewId, database }: RunRow,
): Promise<ReadonlyMap<string, string>> {
  const runs = await manager.find(RunRow, {
    where: { reviewId, database },
    select: { id: true, release: true },
  });
  return new Map(runs.map(({ id, release }) => [id, release]));
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
