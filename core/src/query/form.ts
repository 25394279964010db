/** How a dialect writes what it can say. It is given nothing that its abilities do not allow. */
import type { HeadingQuery, NearQuery, WordsQuery } from './model.js';

export interface Form {
  words(query: WordsQuery): string;
  near(query: NearQuery): string;
  heading(query: HeadingQuery): string;
  /** one end may be open, not both */
  years(from: number | null, to: number | null): string;
  /** one value or more, any of which will do */
  limit(field: string, values: readonly string[]): string;
  line(line: number): string;
  everything: string;
  /** what stands between operands, spaces included; every operand that has operands itself stands in parentheses */
  operators: Readonly<Record<'and' | 'or' | 'not', string>>;
}

/** A year as four digits. */
export function fourDigits(year: number): string {
  return String(year).padStart(4, '0');
}
