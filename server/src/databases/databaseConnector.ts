/** What the product asks of a database, however it is reached. */
import type { BibRecord, SearchField } from '@even-lantern/core';

export interface DatabaseDescription {
  name: string;
  description: string;
  release: string;
  simulated: boolean;
  records: number | null;
  vocabulary: { id: string; name: string; address: string } | null;
  /** fields that limits may name, with their values */
  limits: Record<string, string[]>;
  /** the most records in one answer */
  pageCap: number;
}

export interface CountAnswer {
  hits: number;
  release: string;
  /** the query as the database understood it */
  understood: string;
}

export interface SearchAnswer extends CountAnswer {
  records: BibRecord[];
}

export interface ScannedWord {
  word: string;
  hits: number;
}

export interface FacetValue {
  value: string;
  count: number;
}

export interface FacetAnswer {
  hits: number;
  /** by the index asked for, the most frequent first; without those the database does not count */
  facets: Record<string, FacetValue[]>;
}

export interface Page {
  /** from 1 */
  start: number;
  size: number;
}

export interface DatabaseConnector {
  explain(signal?: AbortSignal): Promise<DatabaseDescription>;
  /** @param query canonical text */
  count(query: string, signal?: AbortSignal): Promise<CountAnswer>;
  search(query: string, page: Page, signal?: AbortSignal): Promise<SearchAnswer>;
  /**
   * Words of the database's index in alphabetical order.
   * @param from the first word, or what it would stand after
   */
  scan(field: SearchField, from: string, most: number, signal?: AbortSignal): Promise<ScannedWord[]>;
  /** @param indexes how many values of each index are wanted */
  facets(query: string, indexes: Record<string, number>, signal?: AbortSignal): Promise<FacetAnswer>;
  /** The database's vocabulary as SKOS Turtle. */
  vocabulary(address: string, signal?: AbortSignal): Promise<string>;
}

/** A database could not be reached, or refused. `message` is for people. */
export class DatabaseError extends Error {
  constructor(
    message: string,
    /** what the database itself said was wrong with the query, as opposed to not answering */
    readonly refused: boolean,
  ) {
    super(message);
  }
}
