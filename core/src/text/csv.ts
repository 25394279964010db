/** CSV as RFC 4180 has it: the one place that writes it. */
import { stringify } from 'csv-stringify/sync';

export type CsvCell = string | number | null;

/** What makes a spreadsheet take a cell for a formula, also in the wide forms of the signs and behind spaces. */
const FORMULA = /^\s*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]/u;

/**
 * Writes rows of cells. A cell that a spreadsheet would take for a formula begins with an apostrophe; every cell with a
 * line break of any kind is quoted, so that no reader tears it.
 */
export function toCsv(rows: readonly (readonly CsvCell[])[]): string {
  return stringify(
    rows.map((row) => row.map((cell) => (typeof cell === 'string' ? defused(cell) : (cell ?? '')))),
    { record_delimiter: 'windows', quoted_match: /[\r\n\u2028\u2029\u0085]|^\s|\s$/ },
  );
}

/** Text as it stands in a cell. */
export function defused(text: string): string {
  return FORMULA.test(text) ? `'${text}` : text;
}
