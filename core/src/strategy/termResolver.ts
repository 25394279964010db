/** How terms are read for the database at hand. */
import type { HeadingQuery, NearQuery, Query, SearchField, WordsQuery } from '../query/index.js';

export type TermQueryResult =
  | {
      ok: true;
      query: Query;
      /** what the database at hand searches otherwise than the term says */
      changes: string[];
    }
  | { ok: false; message: string; at: number };

/** A heading or words as the database at hand can search them, or why it cannot. */
export type ResolvedTerm = { ok: true; query: Query; changes: string[] } | { ok: false; message: string };
export interface TermResolver {
  (part: HeadingQuery | WordsQuery | NearQuery): ResolvedTerm;
  /** the fields that the database has; all of them where nothing is said */
  fields?: readonly SearchField[];
}
