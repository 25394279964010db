/** The records of a run as they come: each once, in the database's order, with what was odd about them. */
import { counted, type BibRecord } from '@even-lantern/core';
import type { RecordRow } from '../store/entities.js';

export interface RankedRecord {
  record: BibRecord;
  /** place in the database's order, from 1 */
  rank: number;
}

export class FoundRecords {
  /** how many the database has given, repeats included: where the next page begins */
  given = 0;
  private readonly seen = new Set<string>();
  private repeated = 0;
  private beyond = 0;

  /** how many different ones */
  get size(): number {
    return this.seen.size;
  }

  accessions(): string[] {
    return [...this.seen];
  }

  /**
   * Takes a page.
   * @param asked for how many the database was asked; what it gives beyond is left out, since it would come again
   * @returns those that have not come before
   */
  take(records: readonly BibRecord[], pageSize: number): RankedRecord[] {
    this.beyond += Math.max(0, records.length - pageSize);
    const fresh: RankedRecord[] = [];
    for (const record of records.slice(0, pageSize)) {
      this.given += 1;
      if (this.seen.has(record.accession)) {
        this.repeated += 1;
        continue;
      }
      this.seen.add(record.accession);
      fresh.push({ record, rank: this.given });
    }
    return fresh;
  }

  /** In sentences; none where all was as it should be. */
  remarks(): string[] {
    const times = this.repeated === 1 ? 'One record came' : `${this.repeated} records came`;
    return [
      ...(this.repeated === 0
        ? []
        : [
            `${times} with an identifier that had come before, and ${this.repeated === 1 ? 'is' : 'are'} kept once.`,
          ]),
      ...(this.beyond === 0
        ? []
        : [
            `The database gave ${counted(this.beyond, 'record')} more than it was asked for; they are left out.`,
          ]),
    ];
  }
}

/** What is listed and sorted of a record, and the whole. */
export function shownOf(
  record: BibRecord,
  rank: number,
): Pick<RecordRow, 'rank' | 'title' | 'year' | 'journal' | 'publicationTypes' | 'record'> {
  const { title, year, journal, publicationTypes } = record;
  return { rank, title, year, journal, publicationTypes, record: JSON.stringify(record) };
}
