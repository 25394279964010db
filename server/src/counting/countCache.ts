import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import {
  matchesPattern,
  MIN_LETTERS_BEFORE_ANY_ENDING,
  printCql,
  type Query,
  type SearchField,
  type WordPattern,
} from '@even-lantern/core';
import type { Counted, IndexWord, IndexWords, Sample } from '@even-lantern/contract';
import { databaseTrouble } from '../http/problem.js';
import { DatabaseError, type CountAnswer, type FacetAnswer } from '../connectors/databaseConnector.js';
import { forgetAllowances, beforeTimeout, takeCall } from './callAllowance.js';
import { queryKey, shortKey } from './queryKey.js';
import { contextOf, type OpenDatabase } from '../databases/databasesService.js';

/** How long the counts of a database hold that tells no release. */
const UNDATED_MS = 300_000;
const REMEMBERED_COUNTS = 20_000;
const REMEMBERED_WORDS = 2000;
/** Words asked for in one scan, and listed at most. */
const SCAN_PAGE = 200;
const MOST_WORDS = 2000;
const SAMPLE_SIZE = 5;

/** What does not fit into what the database may be asked. */
const NOT_ASKED: Counted = { hits: null, error: null };
const NOT_READ: CountedOwn = { ...NOT_ASKED, understood: null };

/** A count, with how the database read what it counted. */
type CountedOwn = Counted & { understood: string | null };

function asCounted({ hits, understood }: CountAnswer): CountedOwn {
  return { hits, error: null, understood: understood || null };
}

/** What databases answer; remembered as long as their release holds. */
@Injectable()
export class CountCache implements OnApplicationShutdown {
  /** counts by database, release and query: a count holds as long as the release does */
  private readonly counts = new LRUCache<string, number>({ max: REMEMBERED_COUNTS });

  /** what databases made of strings in their own dialect, by the same keys */
  private readonly understood = new LRUCache<string, CountAnswer>({ max: REMEMBERED_COUNTS });

  /** the words of indexes that match patterns, by database, release, field and pattern */
  private readonly words = new LRUCache<string, { words: string[] | null }>({ max: REMEMBERED_WORDS });

  /** counts that are being asked for now, by the same keys */
  private readonly pending = new Map<string, Promise<Counted>>();
  private readonly pendingOwn = new Map<string, Promise<CountedOwn>>();

  onApplicationShutdown(): void {
    forgetAllowances();
  }

  /** Counts a query. A failure becomes part of the answer, so that other counts go on. */
  async count(database: OpenDatabase, query: Query): Promise<Counted> {
    // Writing out a long query takes longer than knowing what it found, so it is written only to be asked.
    if (takesCql(database)) {
      const key = keyOf(database, queryKey(query));
      return this.remembered(key) ?? this.askOnce(database, key, () => askedText(database, query).text);
    }
    const { text, loses } = askedText(database, query);
    if (loses) return { hits: null, error: 'The database cannot be asked this.' };
    const key = keyOf(database, shortKey(text));
    return this.remembered(key) ?? this.askOnce(database, key, () => text);
  }

  private remembered(key: string): Counted | null {
    const known = this.counts.get(key);
    return known === undefined ? null : { hits: known, error: null };
  }

  /** Whoever asks the same meanwhile waits for the same answer. @param text writes what is sent */
  private askOnce(database: OpenDatabase, key: string, text: () => string): Promise<Counted> {
    const under = this.pending.get(key);
    if (under === undefined && !takeCall()) return Promise.resolve(NOT_ASKED);
    const request = under ?? this.ask(database, text(), key).finally(() => this.pending.delete(key));
    this.pending.set(key, request);
    return beforeTimeout(request, NOT_ASKED);
  }

  /** Counts a string in a database's own dialect, and tells how the database read it. */
  async countOwn(database: OpenDatabase, text: string, queryType: string): Promise<CountedOwn> {
    const key = keyOf(database, `${queryType}\n${shortKey(text)}`);
    const known = this.understood.get(key);
    if (known !== undefined) return asCounted(known);
    const under = this.pendingOwn.get(key);
    if (under === undefined && !takeCall()) return NOT_READ;
    const request =
      under ?? this.askOwn(database, text, queryType, key).finally(() => this.pendingOwn.delete(key));
    this.pendingOwn.set(key, request);
    return beforeTimeout(request, NOT_READ);
  }

  private async askOwn(
    database: OpenDatabase,
    text: string,
    queryType: string,
    key: string,
  ): Promise<CountedOwn> {
    try {
      const answer = await database.connector.count(text, undefined, { queryType });
      if (answer.release === database.description.release && remembers(database)) {
        this.understood.set(key, answer, rememberedFor(database));
      }
      return asCounted(answer);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message, understood: null };
    }
  }

  /**
   * The words of the index that match a pattern, in the present release where nothing else is said.
   * @returns null where there are too many to list, or they cannot be listed
   */
  async wordsMatching(
    { id, connector, description, dialect }: OpenDatabase,
    pattern: WordPattern,
    field: SearchField,
    release = description.release,
  ): Promise<string[] | null> {
    const letters = pattern.text.replace(/\?.*/, '');
    if (letters.length < MIN_LETTERS_BEFORE_ANY_ENDING) return null;
    // As counts do, the words of an index hold as long as its release; which index it is, people may change.
    const key = JSON.stringify([id, release, dialect?.names[field] ?? field, pattern]);
    const known = this.words.get(key);
    if (known !== undefined) return known.words;
    try {
      const present = release === description.release;
      const page = await connector.scan(field, letters, SCAN_PAGE, present ? undefined : release);
      const words = page.map(({ word }) => word).filter((word) => word.startsWith(letters));
      const whole = words.length < page.length || page.length < SCAN_PAGE;
      const found = { words: whole ? words.filter((word) => matchesPattern(word, pattern)) : null };
      this.words.set(key, found);
      return found.words;
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return null;
    }
  }

  private async ask(database: OpenDatabase, text: string, key: string): Promise<Counted> {
    try {
      const { hits, release } = await database.connector.count(text);
      if (release === database.description.release && remembers(database)) {
        this.counts.set(key, hits, rememberedFor(database));
      }
      return { hits, error: null };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message };
    }
  }

  /** The words of the index that begin with some letters. */
  async wordsBeginning({ connector }: OpenDatabase, letters: string): Promise<IndexWords> {
    const words: IndexWord[] = [];
    try {
      for (let from = letters; words.length < MOST_WORDS;) {
        const page = await connector.scan('words', from, SCAN_PAGE);
        // A server may begin with the word asked from, or with the one after it.
        const next = page.filter(({ word }) => word.startsWith(letters) && word > (words.at(-1)?.word ?? ''));
        words.push(...next);
        if (next.length === 0 || page.length < SCAN_PAGE || page.at(-1)?.word.startsWith(letters) !== true) {
          return { words, more: false };
        }
        from = page.at(-1)?.word ?? '';
      }
      return { words: words.slice(0, MOST_WORDS), more: true };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(
        `The words of the index cannot be listed: ${error.message}`,
        'Nothing was changed.',
      );
    }
  }

  /** @throws ProblemException when the database fails, or cannot count by index */
  async facets(database: OpenDatabase, query: Query, indexes: Record<string, number>): Promise<FacetAnswer> {
    try {
      return await database.connector.facets(askedText(database, query).text, indexes);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(`The database cannot give an overview: ${error.message}`, 'Nothing was changed.');
    }
  }

  /** The first records that a query finds. */
  async sample(database: OpenDatabase, query: Query): Promise<Sample> {
    try {
      const page = { start: 1, size: SAMPLE_SIZE };
      const { hits, records } = await database.connector.search(askedText(database, query).text, page);
      return { hits, error: null, records };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message, records: [] };
    }
  }
}

/** Whether it takes our CQL, in which everything can be said. */
function takesCql({ description, dialect }: OpenDatabase): boolean {
  return description.reached === 'shipped' || dialect === null;
}

function keyOf({ id, description }: OpenDatabase, asked: string): string {
  return `${id}\n${description.release}\n${asked}`;
}

/** Counts hold as long as a release does; those that a person enters can be corrected. */
function remembers({ description }: OpenDatabase): boolean {
  return description.reached !== 'hand';
}

/** Where a database tells no release, nobody can see that it changed, so what it said holds for a while only. */
export function rememberedFor({ description }: OpenDatabase): { ttl?: number } {
  return description.release === '' ? { ttl: UNDATED_MS } : {};
}

/**
 * A query as the database is asked for its count: those that ship with the program take our CQL, in which everything
 * can be said; others only their own dialect.
 * @returns with `loses` where that says something else than the query
 */
export function askedText(database: OpenDatabase, query: Query): { text: string; loses: boolean } {
  const { description, dialect } = database;
  if (takesCql(database) || dialect === null) {
    return { text: printCql(query, { vocabulary: description.vocabulary?.id ?? '' }), loses: false };
  }
  const { text, losses } = dialect.print(query, contextOf(database));
  return { text, loses: losses.some(({ effect }) => effect !== 'same') };
}
