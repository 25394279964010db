/** The records of a run as they come: each once, in the database's order, with what was odd about them. */
import { createHash } from 'node:crypto';
import { accessionFor, counted, type BibRecord } from '@even-lantern/core';
import type { RecordRow } from '../store/entities.js';

export interface RankedRecord {
  record: BibRecord;
  /** place in the database's order, from 1 */
  rank: number;
}

export class FoundRecords {
  /** how many the database has given, repeats included: where the next page begins */
  given = 0;
  /** how many came once more after they had come on an earlier page: as many others may never have come */
  again = 0;
  private pages = 0;
  /** by accession, what the record with it says, and the page that it came on */
  private readonly seen = new Map<string, { content: string; page: number }>();
  /** what the records say that have come, whatever they are known by, and the page on which each came first */
  private readonly contents = new Map<string, number>();
  private repeated = 0;
  private shared = 0;
  private beyond = 0;

  /** how many different ones */
  get size(): number {
    return this.seen.size;
  }

  accessions(): string[] {
    return [...this.seen.keys()];
  }

  /**
   * Takes a page. A record that says the same under the same number, or without a number of its own, has come before.
   * One that says something else under the number of another is another record, and is known by what it says.
   * @param pageSize how many the database was asked for; what it gives beyond is left out, since it would come again
   * @returns those that have not come before
   */
  take(records: readonly BibRecord[], pageSize: number): RankedRecord[] {
    this.beyond += Math.max(0, records.length - pageSize);
    this.pages += 1;
    const page = this.pages;
    const fresh: RankedRecord[] = [];
    for (const record of records.slice(0, pageSize)) {
      this.given += 1;
      const content = contentOf(record);
      const taken = this.seen.get(record.accession);
      const shares = taken !== undefined && taken.content !== content;
      const accession = shares ? `x${content}` : record.accession;
      const unnumbered = shares || accession === accessionFor(record);
      const before = this.seen.get(accession)?.page ?? (unnumbered ? this.contents.get(content) : undefined);
      if (before !== undefined) {
        this.repeated += 1;
        if (before < page) this.again += 1;
        continue;
      }
      if (shares) this.shared += 1;
      this.seen.set(accession, { content, page });
      if (!this.contents.has(content)) this.contents.set(content, page);
      fresh.push({ record: { ...record, accession }, rank: this.given });
    }
    return fresh;
  }

  /** In sentences; none where all was as it should be. */
  remarks(): string[] {
    const [came, are] =
      this.repeated === 1 ? ['One record came', 'is'] : [`${this.repeated} records came`, 'are'];
    const [shares, known] =
      this.shared === 1
        ? ['One record came', 'is known by what it says']
        : [`${this.shared} records came`, 'are known by what they say'];
    return [
      ...(this.repeated === 0 ? [] : [`${came} more than once, and ${are} kept once.`]),
      ...(this.shared === 0 ? [] : [`${shares} with the number of another, and ${known}.`]),
      ...(this.beyond === 0
        ? []
        : [
            `The database gave ${counted(this.beyond, 'record')} more than it was asked for; they are left out.`,
          ]),
    ];
  }
}

/** The same for records that say the same, whatever number they have. */
function contentOf({ accession: _number, ...content }: BibRecord): string {
  return createHash('sha256').update(JSON.stringify(content)).digest('hex').slice(0, 16);
}

/** What is listed and sorted of a record, and the whole. */
export function shownOf(
  record: BibRecord,
  rank: number,
): Pick<RecordRow, 'rank' | 'title' | 'year' | 'journal' | 'publicationTypes' | 'record'> {
  const { title, year, journal, publicationTypes } = record;
  return { rank, title, year, journal, publicationTypes, record: JSON.stringify(record) };
}
