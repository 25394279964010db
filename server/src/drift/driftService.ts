import { randomUUID } from 'node:crypto';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import {
  driftCounts,
  explainRecord,
  recordsToExplain,
  DRIFT_REASONS,
  type BibRecord,
  type DriftedRecord,
  type RecordThen,
  type RunContent,
} from '@even-lantern/core';
import type { Drift, DriftEnd, DriftQuery } from '@even-lantern/contract';
import { In } from 'typeorm';
import { badInput, databaseTrouble } from '../http/problem.js';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import {
  DriftRow,
  type KeptDrift,
  RecordRow,
  RecordStateRow,
  RunRecordRow,
  type RunRow,
} from '../store/entities.js';
import { inBatches } from '../store/inBatches.js';
import { Store } from '../store/store.js';
import { stateDigest } from '../records/keepRecords.js';
import { LedgerService, runOfEntry } from '../ledger/ledgerService.js';

const PAGE = 200;
/** Records whose states are asked for in one call, where a page of the database holds so many. */
const MOST_AT_A_TIME = 50;
const EXPLAINED_AT_A_TIME = 100;
const READ_AT_A_TIME = 2000;

/** An end of a drift: an entry with its run. */
interface End {
  content: RunContent;
  run: RunRow;
  /** by accession, the digest of what it found */
  found: ReadonlyMap<string, string | null>;
}

/** Why a search that was run again found something else, record by record. */
@Injectable()
export class DriftService {
  /** those that are being explained, so that nobody explains one twice */
  private readonly going = new Map<string, Promise<KeptDrift>>();

  constructor(
    private readonly store: Store,
    private readonly ledger: LedgerService,
    private readonly databases: DatabasesService,
  ) {}

  /** The drift of an entry against the one that it repeats. */
  async of(reviewId: string, number: number, query: DriftQuery = {}): Promise<Drift> {
    const now = await this.content(reviewId, number);
    if (now.repeats == null) {
      throw badInput([
        { path: 'entry', message: `Entry ${number} repeats no other: run one again to compare.` },
      ]);
    }
    const then = await this.content(reviewId, now.repeats.entry);
    const against = now.repeats.entry;
    const { records, same } = await this.kept(reviewId, number, against);
    const { side, reason, offset = 0, limit = PAGE } = query;
    const matching = records.filter(
      (each) =>
        (side === undefined || each.side === side) && (reason === undefined || each.reason === reason),
    );
    return {
      database: now.database,
      databaseName: now.databaseName,
      then: endOf(against, then),
      now: endOf(number, now),
      counts: driftCounts(records),
      same,
      renamed: now.renamed ?? [],
      records: matching.slice(offset, offset + limit),
      matching: matching.length,
    };
  }

  private async kept(reviewId: string, entry: number, against: number): Promise<KeptDrift> {
    const row = await this.store.read.findOneBy(DriftRow, { reviewId, entry, against });
    if (row !== null) return row.content;
    const key = `${reviewId} ${entry} ${against}`;
    const before = this.going.get(key);
    if (before !== undefined) return before;
    const explaining = this.explain(reviewId, entry, against).finally(() => this.going.delete(key));
    this.going.set(key, explaining);
    return explaining;
  }

  private async explain(reviewId: string, entry: number, against: number): Promise<KeptDrift> {
    const then = await this.end(reviewId, against);
    const now = await this.end(reviewId, entry);
    const drifted = recordsToExplain(then.found, now.found);
    const database = await this.databases.open(now.content.database);
    const records: DriftedRecord[] = [];
    // A part at a time, so that neither memory fills nor others wait.
    for (let at = 0; at < drifted.length; at += EXPLAINED_AT_A_TIME) {
      const some = drifted.slice(at, at + EXPLAINED_AT_A_TIME);
      records.push(...(await this.explained(reviewId, database, then, now, some)));
      await othersFirst();
    }
    const order = (reason: DriftedRecord['reason']) =>
      reason === 'unexplained' ? -1 : DRIFT_REASONS.indexOf(reason);
    records.sort(
      (a, b) =>
        SIDES.indexOf(a.side) - SIDES.indexOf(b.side) ||
        order(a.reason) - order(b.reason) ||
        (a.accession < b.accession ? -1 : 1),
    );
    const kept = records.filter(({ side }) => side === 'kept').length;
    const inBoth = [...now.found.keys()].filter((accession) => then.found.has(accession)).length;
    const drift: KeptDrift = { records, same: inBoth - kept };
    await this.store.write(async (manager) => {
      const key = { reviewId, entry, against };
      if (await manager.existsBy(DriftRow, key)) return;
      const at = new Date().toISOString();
      await manager.insert(DriftRow, { id: randomUUID(), ...key, content: drift, at });
    });
    return drift;
  }

  /** Some records, each by its states in both releases. */
  private async explained(
    reviewId: string,
    database: OpenDatabase,
    then: End,
    now: End,
    drifted: readonly Pick<DriftedRecord, 'accession' | 'side'>[],
  ): Promise<DriftedRecord[]> {
    const of = (side?: string) =>
      drifted.flatMap((each) => (side === undefined || each.side === side ? [each.accession] : []));
    const states = await this.statesFound(reviewId, then, now, of());
    const releases = { then: then.content.release, now: now.content.release };
    const elsewhere =
      releases.then === releases.now
        ? { then: null, now: null }
        : {
            then: await this.statesAsked(database, of('gained'), releases.then),
            now: await this.statesAsked(database, of('lost'), releases.now),
          };
    const state = (end: End, fetched: RecordStates, accession: string): RecordThen => {
      const digest = end.found.get(accession);
      if (digest === undefined) return fetched === null ? 'untold' : (fetched.get(accession) ?? 'absent');
      return states.get(stateKey(accession, digest)) ?? states.get(stateKey(accession, null)) ?? 'untold';
    };
    const context = { releases, renames: now.content.renamed ?? [] };
    return (
      drifted
        .map(({ accession, side }) => {
          const both = {
            then: state(then, elsewhere.then, accession),
            now: state(now, elsewhere.now, accession),
          };
          return explainRecord({ accession, side, ...both }, context);
        })
        // States that differ in nothing that is told, such as the day of the last change, are one and the same.
        .filter(({ side, reason }) => side !== 'kept' || reason !== 'unexplained')
    );
  }

  private async content(reviewId: string, number: number): Promise<RunContent> {
    const { content } = await this.ledger.entry(this.store.read, reviewId, number);
    return content as RunContent;
  }

  private async end(reviewId: string, number: number): Promise<End> {
    const content = await this.content(reviewId, number);
    const run = await runOfEntry(this.store.read, reviewId, number);
    if (content.outcome === 'interrupted' || run === null) {
      const message = `Entry ${number} was interrupted: what it did not fetch cannot be told from what is gone. Run it again.`;
      throw badInput([{ path: 'entry', message }]);
    }
    return { content, run, found: await this.foundBy(run.id) };
  }

  private async foundBy(runId: string): Promise<End['found']> {
    const found = new Map<string, string | null>();
    for (let last = ''; ;) {
      const rows = await this.store.read
        .createQueryBuilder(RunRecordRow, 'found')
        .select('found.accession', 'accession')
        .addSelect('found.digest', 'digest')
        .where('found.runId = :runId AND found.accession > :last', { runId, last })
        .orderBy('found.accession', 'ASC')
        .limit(READ_AT_A_TIME)
        .getRawMany<Pick<RunRecordRow, 'accession' | 'digest'>>();
      for (const { accession, digest } of rows) found.set(accession, digest);
      if (rows.length < READ_AT_A_TIME) return found;
      last = rows.at(-1)?.accession ?? '';
      await othersFirst();
    }
  }

  /** The states in which runs found records, by accession and digest; by accession alone for what is there now. */
  private async statesFound(
    reviewId: string,
    then: End,
    now: End,
    accessions: readonly string[],
  ): Promise<ReadonlyMap<string, BibRecord>> {
    const { database } = now.content;
    const states = new Map<string, BibRecord>();
    const take = (accession: string, text: string, present: boolean) => {
      const digest = stateDigest(text);
      const inEither = [then, now].some(({ found }) => found.get(accession) === digest);
      if (!inEither && !present) return;
      const record = JSON.parse(text) as BibRecord;
      if (inEither) states.set(stateKey(accession, digest), record);
      // Runs of earlier releases of the program kept no states: what is there now stands for those.
      if (present) states.set(stateKey(accession, null), record);
    };
    await inBatches(accessions, async (batch) => {
      const where = { reviewId, database, accession: In([...batch]) };
      for (const { accession, record } of await this.store.read.find(RecordStateRow, { where })) {
        take(accession, record, false);
      }
      const select = { accession: true, record: true };
      for (const { accession, record } of await this.store.read.find(RecordRow, { where, select })) {
        take(accession, record, true);
      }
    });
    return states;
  }

  /** How records stand in a release; null where the database does not tell. */
  private async statesAsked(
    { connector, description }: OpenDatabase,
    accessions: readonly string[],
    release: string,
  ): Promise<RecordStates> {
    const { fetch } = connector;
    const answers = release === description.release || description.releases.includes(release);
    if (fetch === undefined || !answers) return null;
    const states = new Map<string, BibRecord>();
    const size = Math.min(MOST_AT_A_TIME, description.pageCap);
    for (let at = 0; at < accessions.length; at += size) {
      try {
        const { records } = await fetch(accessions.slice(at, at + size), release);
        for (const record of records) states.set(record.accession, record);
      } catch (error) {
        if (!(error instanceof DatabaseError)) throw error;
        throw databaseTrouble(
          `What changed cannot be explained yet: ${description.name} does not tell.`,
          `${error.message} Both runs are kept. Look again when it answers.`,
        );
      }
    }
    return states;
  }
}

type RecordStates = ReadonlyMap<string, BibRecord> | null;
const SIDES: readonly DriftedRecord['side'][] = ['gained', 'lost', 'kept'];

function stateKey(accession: string, digest: string | null): string {
  return `${digest ?? ''} ${accession}`;
}

function endOf(entry: number, { release, startedAt, fetched }: RunContent): DriftEnd {
  return { entry, release, at: startedAt, fetched };
}
