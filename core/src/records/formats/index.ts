/** The formats of records: each one file, and one line here. */
import type { BibRecord } from '../model.js';
import { CSL_JSON } from './csl.js';
import type { RecordFormat, RecordSource } from './format.js';
import { MODS } from './mods.js';
import { RIS } from './ris.js';

export const RECORD_FORMATS: readonly RecordFormat[] = [RIS, CSL_JSON, MODS];

export interface SourcedRecord {
  record: BibRecord;
  source: RecordSource;
}

/** A whole file. @see RecordFormat for writing one in parts */
export function writeRecords(format: RecordFormat, records: readonly SourcedRecord[]): string {
  const { before, between, after, write } = format;
  return before + records.map(({ record, source }) => write(record, source)).join(between) + after;
}

export { CSL_JSON } from './csl.js';
export type { CslItem } from './csl.js';
export type { ReadRecords, RecordFormat, RecordSource, RecordTrouble } from './format.js';
export { MODS } from './mods.js';
export { pageRange, pagesOf } from './pages.js';
export { RIS } from './ris.js';
export { risCollector, type RisCollector } from './risReader.js';
