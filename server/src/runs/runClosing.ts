import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, Logger, type BeforeApplicationShutdown } from '@nestjs/common';
import {
  DIALECTS,
  recordsDigest,
  resultFingerprint,
  type LedgerLimit,
  type LedgerLine,
} from '@even-lantern/core';
import type { RunStatus } from '@even-lantern/contract';
import { APPLICATION_VERSION } from '../http/version.js';
import { AddedDatabaseRow, PersonRow, RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { StoreTrouble } from '../store/storeTrouble.js';
import { digestOfText, foundDigests } from '../records/foundDigests.js';
import type { FoundRecords } from '../records/foundRecords.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { begunOf, linesOf } from './runState.js';

/** Behind the dialect in the ledger, where a person asked. */
const BY_HAND = ', asked by hand: counts entered, records from exported files';
/** What goes on by itself can wait longer for the store than a person who looks on. */
export const LONG_TIMEOUT = { timeoutMs: 60_000 };
const AGAIN_MS = 1000;
const MOST_PAUSE_MS = 30_000;
const MOST_TRIES = 3;

/** The end of a run: its ledger entry, in the change that closes it. */
@Injectable()
export class RunClosing implements BeforeApplicationShutdown {
  private readonly logger = new Logger('runs');
  private ending = false;

  constructor(
    private readonly store: Store,
    private readonly ledger: LedgerService,
  ) {}

  beforeApplicationShutdown(): void {
    this.ending = true;
  }

  /**
   * Closes a run; where the store cannot take it now, again and again, until it can or the program ends.
   * @returns the number of its entry; null where the next start closes it
   */
  async closeSurely(
    row: RunRow,
    status: Exclude<RunStatus, 'running'>,
    reason: string | null,
    found: FoundRecords | null,
  ): Promise<number | null> {
    for (let tries = 1; ; tries += 1) {
      try {
        return await this.close(row, status, reason, found);
      } catch (error) {
        this.logger.error(
          `Run ${row.id} cannot be closed yet: ${error instanceof Error ? error.message : String(error)}`,
        );
        // What is no trouble of the store would not pass; the next start closes the run.
        const passes = error instanceof StoreTrouble || tries < MOST_TRIES;
        if (!passes || this.ending) return null;
        await pause(Math.min(MOST_PAUSE_MS, AGAIN_MS * tries), undefined, { ref: false });
      }
    }
  }

  /**
   * @param found what was fetched, where it is known without reading it back
   * @returns the number of its entry
   */
  async close(
    row: RunRow,
    status: Exclude<RunStatus, 'running'>,
    reason: string | null,
    found: FoundRecords | null,
  ): Promise<number> {
    const lines = linesOf(row);
    const hits = lines.at(-1)?.hits ?? null;
    // Of a run that a crash cut off, the time until it was last heard of counts, not that until somebody came back.
    const endedAt = found === null ? Date.parse(row.lastAt) : Date.now();
    return this.store.write(async (manager) => {
      const digests = await foundDigests(manager, { runId: row.id });
      const accessions = found?.accessions() ?? digests.map(({ accession }) => accession);
      const person = await manager.findOneByOrFail(PersonRow, { id: row.ranBy });
      const added = await manager.findOneBy(AddedDatabaseRow, { id: row.database });
      const byHand = added !== null && added.content.how === 'hand';
      const { content } = await this.ledger.append(
        manager,
        row.reviewId,
        { runId: row.id },
        {
          kind: 'run',
          outcome: status,
          reason,
          database: row.database,
          databaseName: row.databaseName,
          release: row.release,
          dialect: (DIALECTS.get(row.queryType)?.form ?? 'CQL') + (byHand ? BY_HAND : ''),
          queryType: row.queryType,
          lines,
          limits: limitsCounted(row.limits, lines),
          hits,
          fetched: accessions.length,
          remarks: row.remarks,
          fingerprint: resultFingerprint(accessions),
          recordsDigest: recordsDigest(digests, digestOfText),
          startedAt: row.startedAt,
          timeZone: row.timeZone,
          durationMs: Math.max(0, endedAt - Date.parse(row.startedAt)),
          ranBy: person.name,
          ...begunOf(row),
          applicationVersion: APPLICATION_VERSION,
        },
      );
      const change = { status, reason, hits, fetched: accessions.length };
      await manager.update(RunRow, { id: row.id }, change);
      Object.assign(row, change);
      return content.entry;
    }, LONG_TIMEOUT);
  }
}

/** With what each left, which is what its line and the one before it found. */
function limitsCounted(limits: readonly LedgerLimit[] | null, lines: readonly LedgerLine[]): LedgerLimit[] {
  const hitsOf = (line: number) => lines.find(({ number }) => number === line)?.hits ?? null;
  return (limits ?? []).map((limit) =>
    limit.line === null ? limit : { ...limit, before: hitsOf(limit.line - 1), after: hitsOf(limit.line) },
  );
}
