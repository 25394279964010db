/** What is kept as JSON and has no name in `core` or `contract`. */
import type {
  DriftedRecord,
  EntryReference,
  LedgerAccepted,
  LedgerSettled,
  Renamed,
  RunContent,
} from '@even-lantern/core';
import type { LedgerSummary, NewSruDatabase } from '@even-lantern/contract';
import type { Described } from '../../connectors/described.js';
import type { HandDatabase } from '../../connectors/handConnector.js';

/** What an entry tells of how its run was begun, beside its lines and limits. */
export interface Begun {
  purpose: string;
  note: string;
  /** the same for runs that one action started; absent for one alone */
  together?: string;
  version: RunContent['version'];
  accepted: LedgerAccepted[];
  settled: LedgerSettled[];
  repeats: EntryReference | null;
  renamed: Renamed[];
}

/** What lists tell of an entry. */
export type KeptSummary = Omit<LedgerSummary, 'entry' | 'hash' | 'notes'>;

/** What is kept of a drift: all but what the entries tell. */
export interface KeptDrift {
  records: DriftedRecord[];
  same: number;
}

/** A record that a schedule brought. */
export interface FreshRecord {
  accession: string;
  title: string;
  year: number;
}

/** What is kept of an added database. */
export type KeptDatabase = Described<NewSruDatabase> | HandDatabase;
