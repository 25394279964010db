import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import {
  indexForLookup,
  indexVocabulary,
  printCql,
  vocabularyFromTurtle,
  type LookupIndex,
  type Query,
} from '@even-lantern/core';
import type { Counted, DatabaseProfile } from '@even-lantern/contract';
import { databaseTrouble, notFound } from '../application/problem.js';
import { DatabaseError, type DatabaseConnector, type DatabaseDescription } from './databaseConnector.js';

/** A database as it is known now: the connector to it and how it describes itself. */
export interface OpenDatabase {
  id: string;
  connector: DatabaseConnector;
  description: DatabaseDescription;
  /** its vocabulary, made ready for lookup, or null when it has none */
  vocabulary: LookupIndex | null;
}

const REMEMBERED_COUNTS = 5000;

@Injectable()
export class DatabasesService {
  private readonly vocabularies = new Map<string, LookupIndex>();
  /** counts by database, release and query: a count holds as long as the release does */
  private readonly counts = new LRUCache<string, number>({ max: REMEMBERED_COUNTS });

  constructor(private readonly connectors: ReadonlyMap<string, DatabaseConnector>) {}

  /** All databases; one that does not answer is left out of the list and named in `failed`. */
  async list(): Promise<{ databases: DatabaseProfile[]; failed: { id: string; reason: string }[] }> {
    const databases: DatabaseProfile[] = [];
    const failed: { id: string; reason: string }[] = [];
    for (const [id, connector] of this.connectors) {
      try {
        const { name, description, release, simulated, records, vocabulary } = await connector.explain();
        databases.push({
          id,
          name,
          description,
          release,
          simulated,
          records,
          vocabulary: vocabulary === null ? null : { id: vocabulary.id, name: vocabulary.name },
        });
      } catch (error) {
        if (!(error instanceof DatabaseError)) throw error;
        failed.push({ id, reason: error.message });
      }
    }
    return { databases, failed };
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
    try {
      const { hits, release } = await database.connector.count(text);
      if (release === database.description.release) this.counts.set(key, hits);
      return { hits, error: null };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { hits: null, error: error.message };
    }
  }

  private async vocabularyOf(
    connector: DatabaseConnector,
    { vocabulary }: DatabaseDescription,
  ): Promise<LookupIndex | null> {
    if (vocabulary === null) return null;
    const known = this.vocabularies.get(vocabulary.id);
    if (known !== undefined) return known;
    const read = vocabularyFromTurtle(await connector.vocabulary(vocabulary.address));
    if (!read.ok) throw new DatabaseError(`Its vocabulary cannot be read: ${read.message}`, false);
    const index = indexForLookup(indexVocabulary(read.vocabulary));
    this.vocabularies.set(vocabulary.id, index);
    return index;
  }
}

/** A query as the database is sent it. */
export function canonicalText(database: OpenDatabase, query: Query): string {
  return printCql(query, { vocabulary: database.description.vocabulary?.id ?? '' });
}
