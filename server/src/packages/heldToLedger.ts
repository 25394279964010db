/**
 * Holds the rows of a package to its ledger: the records to the digests in its entries, the versions of the strategy to
 * theirs, and the ledger's own files to its chain. What no entry vouches for is told.
 */
import {
  formatCount,
  isRun,
  recordsDigest,
  resultFingerprint,
  writeLedger,
  JSON_LEDGER,
  MARKDOWN_LEDGER,
  type AboutLedger,
  type BibRecord,
  type FoundDigest,
  type LedgerContent,
  type LedgerEntry,
  type RunContent,
} from '@even-lantern/core';
import { digestOfText } from '../records/foundDigests.js';
import { shownOf } from '../records/foundRecords.js';
import { stateDigest } from '../records/keepRecords.js';

type Row = Record<string, unknown>;
type Tell = (trouble: string) => void;

/** An entry, and what it belongs to. */
export interface EntryOf {
  entry: LedgerEntry;
  runId: string | null;
  searchId: string | null;
}

/** A record as it is kept, with what brought it last. */
interface KeptRecord {
  at: string;
  source: string;
  accession: string;
  digest: string;
}

/** What nobody vouches for in any package, since it may change after what the ledger tells of. */
export const NEVER_VOUCHED =
  'Decisions, designs that people judged, notes, the question, and lanes and limits as they are now are no part of the ledger: the package says who made them, and nothing proves it.';

export class HeldToLedger {
  /** by run or search, what it found */
  private readonly found = new Map<string, FoundDigest[]>();
  private readonly records: KeptRecord[] = [];
  private readonly versions = new Map<number, string>();

  constructor(private readonly tell: Tell) {}

  row(name: string, row: Row, at: string): void {
    if (name === 'run_record' || name === 'elsewhere_record') this.foundRow(row);
    else if (name === 'record') this.recordRow(row, at);
    else if (name === 'record_state' && stateDigest(String(row['record'])) !== row['digest']) {
      this.tell(`${at}: its record is not that of its digest.`);
    } else if (name === 'strategy_version') {
      const digest = String(row['digest']);
      this.versions.set(Number(row['position']), digest);
      if (digestOfText(String(row['state'])) !== digest)
        this.tell(`${at}: its state is not that of its digest.`);
    }
  }

  private foundRow(row: Row): void {
    const source = String(row['runId'] ?? row['searchId']);
    let found = this.found.get(source);
    if (found === undefined) this.found.set(source, (found = []));
    const digest = typeof row['digest'] === 'string' ? row['digest'] : '';
    found.push({ accession: String(row['accession']), digest });
  }

  private recordRow(row: Row, at: string): void {
    const text = String(row['record']);
    const record = JSON.parse(text) as BibRecord;
    const { title, year, journal, publicationTypes } = shownOf(record, 0);
    const listed = { title, year, journal, publicationTypes: JSON.stringify(publicationTypes) };
    for (const [column, value] of Object.entries(listed)) {
      // Tables of earlier releases do not have them all.
      if (column in row && row[column] !== value)
        this.tell(`${at}: its ${column} is not that of its record.`);
    }
    if (record.accession !== row['accession'])
      this.tell(`${at}: its record has another number than the row.`);
    const source = row['lastRunId'] ?? row['lastSearchId'];
    if (typeof source !== 'string') return;
    this.records.push({ at, source, accession: record.accession, digest: stateDigest(text) });
  }

  /** @returns what the ledger cannot vouch for, in sentences */
  end(entries: readonly EntryOf[]): string[] {
    const untold: number[] = [];
    for (const { entry, runId, searchId } of entries) {
      const { content } = entry;
      const found = this.found.get(searchId ?? runId ?? '') ?? [];
      if (isRun(content)) this.heldToRun(content, runId === null ? null : found, untold);
      else if (content.kind === 'elsewhere' && content.file !== null) {
        const { records, recordsDigest: digest } = content.file;
        if (found.length !== records)
          this.tell(`The records of entry ${content.entry} are not as many as its file held.`);
        else this.heldToDigest(content, digest, found, untold);
      }
    }
    const digests = new Map<string, Map<string, string>>();
    for (const [source, found] of this.found) {
      digests.set(source, new Map(found.map(({ accession, digest }) => [accession, digest])));
    }
    for (const { at, source, accession, digest } of this.records) {
      const told = digests.get(source)?.get(accession);
      if (told === undefined) this.tell(`${at}: what brought it last did not find it.`);
      else if (told !== '' && told !== digest)
        this.tell(`${at}: it says something else than when it was found.`);
    }
    return [...untoldText(untold), NEVER_VOUCHED];
  }

  private heldToRun(content: RunContent, found: FoundDigest[] | null, untold: number[]): void {
    const { entry, version, recordsDigest: digest } = content;
    if (version != null && this.versions.get(version.number) !== version.digest) {
      this.tell(`The strategy of entry ${entry} is not the version that the entry tells of.`);
    }
    if (found === null) return;
    if (resultFingerprint(found.map(({ accession }) => accession)) !== content.fingerprint) {
      this.tell(`The records of the run of entry ${entry} are not those that the entry tells of.`);
      return;
    }
    this.heldToDigest(content, digest, found, untold);
  }

  private heldToDigest(
    { entry }: LedgerContent,
    told: string | undefined,
    found: readonly FoundDigest[],
    untold: number[],
  ): void {
    if (told === undefined) {
      if (found.length > 0) untold.push(entry);
    } else if (recordsDigest(found, digestOfText) !== told) {
      this.tell(`The records of entry ${entry} do not say what they said when they were found.`);
    }
  }
}

function untoldText(entries: readonly number[]): string[] {
  const [first] = entries;
  if (first === undefined) return [];
  const which =
    entries.length === 1 ? `entry ${first}` : `${formatCount(entries.length)} entries, from ${first} on,`;
  return [
    `What the records of ${which} say is not proved: entries written by earlier releases prove which records were found, and not their text.`,
  ];
}

/** The files of the ledger in a package, by their paths, with the SHA-256 that each should have. */
export function ledgerFiles(entries: readonly LedgerEntry[], about: AboutLedger): Map<string, string> {
  return new Map(
    [JSON_LEDGER, MARKDOWN_LEDGER].map((form) => [
      `ledger.${form.extension}`,
      digestOfText(writeLedger(form, entries, about)),
    ]),
  );
}
