import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { firstBrokenEntry, sealEntry, type LedgerContent, type LedgerEntry } from '@even-lantern/core';
import { type EntityManager } from 'typeorm';
import { LedgerEntryRow } from '../store/entities.js';
import { Store } from '../store/store.js';

/** The append-only ledger. There is no way here to change or delete an entry. */
@Injectable()
export class LedgerService {
  constructor(private readonly store: Store) {}

  /** All entries of a review, the oldest first. */
  async entries(reviewId: string): Promise<LedgerEntry[]> {
    const rows = await this.store.read
      .getRepository(LedgerEntryRow)
      .find({ where: { reviewId }, order: { entry: 'ASC' } });
    return rows.map((row) => ({
      content: JSON.parse(row.content) as LedgerContent,
      previousHash: row.previousHash,
      hash: row.hash,
    }));
  }

  brokenAt(entries: readonly LedgerEntry[]): number | null {
    return firstBrokenEntry(entries);
  }

  /** Appends an entry inside a transaction; the store refuses a second entry for the same run. */
  async append(
    manager: EntityManager,
    reviewId: string,
    runId: string,
    content: Omit<LedgerContent, 'entry'>,
  ): Promise<LedgerEntry> {
    const [last] = await manager.find(LedgerEntryRow, {
      where: { reviewId },
      order: { entry: 'DESC' },
      take: 1,
    });
    const number = (last?.entry ?? 0) + 1;
    const entry = sealEntry({ entry: number, ...content }, last?.hash ?? null);
    await manager.insert(LedgerEntryRow, {
      id: randomUUID(),
      reviewId,
      runId,
      entry: number,
      content: JSON.stringify(entry.content),
      previousHash: entry.previousHash,
      hash: entry.hash,
    });
    return entry;
  }
}
