/** The entries of a ledger as they are kept, some at a time, so that a long one is never held as a whole. */
import { setImmediate as othersFirst } from 'node:timers/promises';
import {
  sealOf,
  type AboutLedger,
  type KeptEntry,
  type LedgerContent,
  type LedgerEntry,
  type LedgerForm,
  type Seal,
} from '@even-lantern/core';
import type { EntityManager } from 'typeorm';
import { LedgerEntryRow } from '../store/entities.js';

/** So many of thirty lines each are written in some milliseconds. */
const WRITTEN_AT_A_TIME = 10;

/**
 * In their order; between two parts, others have their turn.
 * @param after the entry before the first that is wanted
 */
export async function* keptEntries(
  manager: EntityManager,
  reviewId: string,
  after: number,
  atATime: number,
): AsyncGenerator<(KeptEntry & { entry: number })[]> {
  for (let last = after; ;) {
    const rows = await manager
      .createQueryBuilder(LedgerEntryRow, 'kept')
      .select(['kept.entry AS entry', 'kept.content AS text', 'kept.hash AS hash'])
      .addSelect('kept.previousHash', 'previousHash')
      .where('kept.reviewId = :reviewId AND kept.entry > :last', { reviewId, last })
      .orderBy('kept.entry', 'ASC')
      .limit(atATime)
      .getRawMany<KeptEntry & { entry: number }>();
    yield rows;
    const end = rows.at(-1);
    if (end === undefined || rows.length < atATime) return;
    last = end.entry;
    await othersFirst();
  }
}

const entryOf = ({ text, previousHash, hash }: KeptEntry): LedgerEntry => ({
  content: JSON.parse(text) as LedgerContent,
  previousHash,
  hash,
});

/** The seal of a ledger as it is now. */
export async function presentSeal(manager: EntityManager, reviewId: string): Promise<Seal> {
  const last = await manager.findOne(LedgerEntryRow, {
    where: { reviewId },
    order: { entry: 'DESC' },
    select: { entry: true, hash: true },
  });
  return last === null ? sealOf([]) : { entries: last.entry, hash: last.hash };
}

/** A ledger in one of its forms, in parts; entries that come while it is written are left out. */
export async function* ledgerTexts(
  manager: EntityManager,
  form: LedgerForm,
  about: AboutLedger,
): AsyncGenerator<string> {
  yield form.before(about);
  for await (const rows of keptEntries(manager, about.review.id, 0, WRITTEN_AT_A_TIME)) {
    const sealed = rows.filter(({ entry }) => entry <= about.seal.entries);
    if (sealed.length === 0) break;
    const texts = sealed.map((row) => form.write(entryOf(row), about));
    yield (sealed[0]?.entry === 1 ? '' : form.between) + texts.join(form.between);
  }
  if (form.after !== '') yield form.after;
}
