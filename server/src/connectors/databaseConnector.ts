/** What the product asks of a database, however it is reached. */
import type { CallBudget, DatabaseProfile } from '@even-lantern/contract';
import type { BibRecord, SearchField } from '@even-lantern/core';

/** What a database says of itself: what people are told of it, less what the server knows of how it answers. */
export interface DatabaseDescription extends Omit<
  DatabaseProfile,
  'id' | 'state' | 'trouble' | 'budget' | 'estimates' | 'vocabulary'
> {
  vocabulary: { id: string; name: string; address: string } | null;
  /** the most records in one answer */
  pageCap: number;
}

/** The language and release of a query, where it is not in CQL or not of the present release. */
export interface SearchOptions {
  queryType?: string;
  release?: string;
}

export interface CountAnswer {
  hits: number;
  release: string;
  /** the query as the database understood it */
  understood: string;
  /** the database says that its count is no exact one */
  estimated?: true;
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

/** Is told of every single call as it begins; what it gives back is told whether the call was answered. */
export interface CallObserver {
  begins(): (answered: boolean) => void;
}

export interface DatabaseConnector {
  /** Tells of every single call from now on; left out where each question is one call. */
  observe?(observer: CallObserver): void;
  /** From now on, so many calls may be made; left out where nothing is called. */
  keepTo?(budget: CallBudget): void;
  explain(signal?: AbortSignal): Promise<DatabaseDescription>;
  /** @param query canonical text, unless `options` names another language */
  count(query: string, signal?: AbortSignal, options?: SearchOptions): Promise<CountAnswer>;
  search(query: string, page: Page, signal?: AbortSignal, options?: SearchOptions): Promise<SearchAnswer>;
  /**
   * Records by the database's own numbers: those that it has. Left out where it cannot be asked so.
   * @param accessions no more than a page holds
   * @param release whose state is wanted; the present one where nothing is said
   */
  fetch?(accessions: readonly string[], release?: string, signal?: AbortSignal): Promise<SearchAnswer>;
  /**
   * Words of the database's index in alphabetical order.
   * @param from the first word, or what it would stand after
   * @param release as with counts; the present one where nothing is said
   */
  scan(field: SearchField, from: string, most: number, release?: string): Promise<ScannedWord[]>;
  /** @param indexes how many values of each index are wanted */
  facets(query: string, indexes: Record<string, number>, signal?: AbortSignal): Promise<FacetAnswer>;
  /** The database's vocabulary as SKOS Turtle. */
  vocabulary(address: string, signal?: AbortSignal): Promise<string>;
  /** Moves a simulated database to its next release. */
  advance(): Promise<void>;
}

/** A database could not be reached, or refused. `message` is for people. */
export class DatabaseError extends Error {
  constructor(
    message: string,
    /** what the database itself said was wrong with the query, as opposed to not answering */
    readonly refused: boolean,
    /** whether somebody on our side ended the call, which tells nothing of the database */
    readonly stopped = false,
    /** by its number in SRU, what hindered the database, where it said so */
    readonly diagnostic: number | null = null,
  ) {
    super(message);
  }
}
