import type { LedgerEntry, LedgerFile, RunContent } from '@even-lantern/core';
import type { TestApplication } from './testApplication.js';

/** The entries of a review whose ledger holds nothing but runs, the oldest first. */
export async function entriesOf(
  { get }: Pick<TestApplication, 'get'>,
  reviewId: string,
): Promise<LedgerEntry<RunContent>[]> {
  const file = (await get(`/api/reviews/${reviewId}/ledger.json`)).body as LedgerFile;
  return file.entries as LedgerEntry<RunContent>[];
}
