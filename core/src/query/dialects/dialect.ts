/** A dialect: how one database wants a query written, and how it reads what is written. */
import type { Abilities } from '../abilities.js';
import type { HeadingQuery, Query, SearchField, WordPattern } from '../model.js';
import type { Names } from './names.js';

/** What a loss does to what is found; `same` holds as of the present release only. */
export type Effect = 'widens' | 'narrows' | 'either' | 'same';

/** Something of a query that a dialect cannot say. */
export interface Loss {
  /** where in the printed text, as UTF-16 offsets */
  from: number;
  to: number;
  /** what could not be said */
  lost: string;
  /** what was said instead */
  instead: string;
  effect: Effect;
  /** the part of the query that could not be said, and the part that is said for it: so that both can be counted */
  intended: Query;
  sent: Query;
}

export interface Printed {
  text: string;
  /** in the order of the text */
  losses: Loss[];
}

/** Where and why a string could not be read, or what to beware of in it. */
export interface DialectError {
  message: string;
  /** UTF-16 offset into the string */
  at: number;
}

export type DialectResult =
  | {
      ok: true;
      query: Query;
      /** what other databases would read otherwise, or what this one adds by itself */
      cautions: DialectError[];
    }
  | { ok: false; error: DialectError };

/** What printing and reading need to know of the database. */
export interface DialectContext {
  /** id of its vocabulary; null when it has none */
  vocabulary: string | null;
  /** fields that limits may name, beside `year` */
  limitFields: readonly string[];
  /**
   * The words of its index that match a pattern, so that a pattern can be spelled out; null when they are not
   * known, or too many.
   */
  wordsMatching?: (pattern: WordPattern, field: SearchField) => readonly string[] | null;
  /** The words that stand for a heading where it cannot be said: its label and entry terms. */
  namesOf?: (heading: HeadingQuery) => readonly string[];
  /** The labels of all headings below one, so that they can be named one by one; null where they are not known. */
  narrowerOf?: (heading: HeadingQuery) => readonly string[] | null;
  /** A line of the strategy without references, for a database that cannot refer to lines. */
  lineQuery?: (line: number) => Query | null;
  /** The heading that a database by itself adds to words without a field; null where it adds none. */
  headingFor?: (words: string) => string | null;
}

export interface Dialect {
  /** what SRU calls the query type */
  id: string;
  /** what kind of writing it is, in a few words */
  form: string;
  /** how AND, OR and NOT are read without parentheses, as the end of a sentence */
  precedence: string;
  /** what it calls its fields */
  names: Names;
  abilities: Abilities;
  /** @throws RangeError for a query without operands, which has no written form */
  print(query: Query, context: DialectContext): Printed;
  /** Never throws: what cannot be read is told with its place. */
  parse(text: string, context: DialectContext): DialectResult;
}
