import type { LedgerEntry } from './entry.js';
import type { Seal } from './verify.js';

/** What a file of a ledger says of the whole. */
export interface AboutLedger {
  review: { id: string; title: string };
  /** UTC, ISO 8601 */
  exportedAt: string;
  /** of all its entries */
  seal: Seal;
}

/** An open form of a ledger. It is written entry by entry, so that a long one need not be held as a whole. */
export interface LedgerForm {
  mediaType: string;
  /** without a point */
  extension: string;
  before(about: AboutLedger): string;
  /** what stands between two entries */
  between: string;
  after: string;
  write(entry: LedgerEntry, about: AboutLedger): string;
}
