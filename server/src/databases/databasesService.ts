import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import { printCql, vocabularyFromTurtle, type Query, type Vocabulary } from '@even-lantern/core';
import type { Counted, DatabaseProfile, IndexWord, IndexWords, Sample } from '@even-lantern/contract';
import { databaseTrouble, notFound } from '../application/problem.js';
import {
  DatabaseError,
  type DatabaseConnector,
  type DatabaseDescription,
  type FacetAnswer,
} from './databaseConnector.js';

/** A database as it is known now: the connector to it and how it describes itself. */
export interface OpenDatabase {
  id: string;
  connector: DatabaseConnector;
  description: DatabaseDescription;
  /** its vocabulary, or null when it has none */
  vocabulary: Vocabulary | null;
}

const REMEMBERED_COUNTS = 20_000;
/** Words asked for in one scan, and listed at most. */
const SCAN_PAGE = 200;
const MOST_WORDS = 2000;
const SAMPLE_SIZE = 5;

@Injectable()
export class DatabasesService {
  private readonly vocabularies = new Map<string, Vocabulary>();
  /** counts by database, release and query: a count holds as long as the release does */
  private readonly counts = new LRUCache<string, number>({ max: REMEMBERED_COUNTS });

  /** counts that are being asked for now, by the same keys */
  private readonly asking = new Map<string, Promise<Counted>>();

  constructor(private readonly connectors: ReadonlyMap<string, DatabaseConnector>) {}

  /** All databases; one that does not answer is left out of the list and named in `failed`. */
  async list(): Promise<{ databases: DatabaseProfile[]; failed: { id: string; reason: string }[] }> {
    const databases: DatabaseProfile[] = [];
    const failed: { id: string; reason: string }[] = [];
    const asked = [...this.connectors].map(([id, connector]) => this.profileOf(id, connector));
    for (const answer of await Promise.all(asked)) {
      if ('reason' in answer) failed.push(answer);
      else databases.push(answer);
    }
    return { databases, failed };
  }

  private async profileOf(
    id: string,
    connector: DatabaseConnector,
  ): Promise<DatabaseProfile | { id: string; reason: string }> {
    try {
      const { name, description, release, simulated, records, vocabulary, limits } =
        await connector.explain();
      const own = vocabulary === null ? null : { id: vocabulary.id, name: vocabulary.name };
      return { id, name, description, release, simulated, records, limits, vocabulary: own };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { id, reason: error.message };
    }
  }

  /** A vocabulary that one of the databases serves; null when none does that answers. */
  async vocabularyById(id: string): Promise<Vocabulary | null> {
    const known = this.vocabularies.get(id);
    if (known !== undefined) return known;
    for (const connector of this.connectors.values()) {
      try {
        const description = await connector.explain();
        if (description.vocabulary?.id === id) return await this.vocabularyOf(connector, description);
      } catch (error) {
        if (!(error instanceof DatabaseError)) throw error;
      }
    }
    return null;
  }

  /**
   * Asks a database how it is now, so that counts remembered from another release are not used.
   * @throws ProblemException when it does not answer
   */
  async open(id: string): Promise<OpenDatabase> {
    const connector = this.connectors.get(id);
    if (connector === undefined) throw notFound(`The database “${id}”`);
    try {
      const description = await connector.explain();
      return { id, connector, description, vocabulary: await this.vocabularyOf(connector, description) };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      const detail = 'What you have written is kept. Counts come back when the database answers; try again.';
      throw databaseTrouble(`The database does not answer: ${error.message}`, detail);
    }
  }

  /** Counts a query. A failure becomes part of the answer, so that other counts go on. */
  async count(database: OpenDatabase, query: Query): Promise<Counted> {
    const text = canonicalText(database, query);
    const key = `${database.id}\n${database.description.release}\n${text}`;
    const known = this.counts.get(key);
    if (known !== undefined) return { hits: known, error: null };
    const asking =
      this.asking.get(key) ?? this.ask(database, text, key).finally(() => this.asking.delete(key));
    this.asking.set(key, asking);
    return asking;
  }

  private async ask(database: OpenDatabase, text: string, key: string): Promise<Counted> {
    try {
      const { hits, release } = await database.connector.count(text);
      if (release === database.description.release) this.counts.set(key, hits);
      return { hits, error: null };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message };
    }
  }

  /** The words of the index that begin with some letters. */
  async wordsBeginning(id: string, letters: string): Promise<IndexWords> {
    const { connector } = await this.open(id);
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
      return await database.connector.facets(canonicalText(database, query), indexes);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(`The database cannot give an overview: ${error.message}`, 'Nothing was changed.');
    }
  }

  /** The first records that a query finds. */
  async sample(database: OpenDatabase, query: Query): Promise<Sample> {
    try {
      const page = { start: 1, size: SAMPLE_SIZE };
      const { hits, records } = await database.connector.search(canonicalText(database, query), page);
      return { hits, error: null, records };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message, records: [] };
    }
  }

  private async vocabularyOf(
    connector: DatabaseConnector,
    { vocabulary }: DatabaseDescription,
  ): Promise<Vocabulary | null> {
    if (vocabulary === null) return null;
    const known = this.vocabularies.get(vocabulary.id);
    if (known !== undefined) return known;
    const read = vocabularyFromTurtle(await connector.vocabulary(vocabulary.address));
    if (!read.ok) throw new DatabaseError(`Its vocabulary cannot be read: ${read.message}`, false);
    this.vocabularies.set(vocabulary.id, read.vocabulary);
    return read.vocabulary;
  }
}

/** A query as the database is sent it. */
export function canonicalText(database: OpenDatabase, query: Query): string {
  return printCql(query, { vocabulary: database.description.vocabulary?.id ?? '' });
}
