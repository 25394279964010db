/** What a format of records is. A further one is one file beside this one, and one line in `index`. */
import type { BibRecord } from '../model.js';

/** The database that a record came from. */
export interface RecordSource {
  /** as the program knows it */
  database: string;
  name: string;
}

/** A line that could not be read or was left out, or a record that could not be read. */
export interface RecordTrouble {
  /** from 1 */
  line: number;
  message: string;
}

export interface ReadRecords {
  records: BibRecord[];
  troubles: RecordTrouble[];
}

/** How records are written, one by one, so that a file can be sent while it is made; and how a file of them is read. */
export interface RecordFormat {
  id: string;
  /** for people */
  name: string;
  mediaType: string;
  extension: string;
  before: string;
  between: string;
  after: string;
  write(record: BibRecord, source: RecordSource): string;
  /** null for one that is only written */
  read: { recognises(text: string): boolean; records(text: string): ReadRecords } | null;
}

/** Records of several databases may have the same number, so the database is part of what they are known by. */
export function sourcedId({ accession }: BibRecord, { database }: RecordSource): string {
  return database === '' ? accession : `${database}:${accession}`;
}

/** Text in one line, without characters that no text has. */
export function plainText(text: string): string {
  return text
    .replace(/[\p{Cc}\p{Zl}\p{Zp}\s]+/gu, ' ')
    .replace(/[\ufffe\uffff]/g, '')
    .trim();
}
