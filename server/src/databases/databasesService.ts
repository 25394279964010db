import { Injectable } from '@nestjs/common';
import {
  allNarrower,
  dialectFrom,
  vocabularyFromTurtle,
  treeOf,
  type Dialect,
  type DialectContext,
  type Vocabulary,
} from '@even-lantern/core';
import type { DatabaseList, DatabaseProfile } from '@even-lantern/contract';
import { conflict, databaseTrouble, notFound } from '../application/problem.js';
import { within } from './patience.js';
import { describedAddress } from './described.js';
import { DatabaseError, type DatabaseConnector, type DatabaseDescription } from './databaseConnector.js';

/** A database as it is known now: the connector to it and how it describes itself. */
export interface OpenDatabase {
  id: string;
  connector: DatabaseConnector;
  description: DatabaseDescription;
  /** its vocabulary, or null when it has none */
  vocabulary: Vocabulary | null;
  /** how its strings are written; null where it takes our CQL alone, which can say everything */
  dialect: Dialect | null;
}

/** How long a list waits for one database. */
const PATIENCE_MS = 1500;
/** How long looking for a vocabulary waits for one that never answered yet. */
const VOCABULARY_MS = 8000;
/** How long listing vocabularies waits for one that never answered yet: it comes into the list when it does. */
const UNHEARD_MS = 3000;
/** How long news is waited for from one that answered before. */
const FRESH_MS = 400;

/** The databases that are known: which answer, how they describe themselves, and the vocabularies that they serve. */
@Injectable()
export class DatabasesService {
  /** by address */
  private readonly vocabularies = new Map<string, Vocabulary>();

  /** how databases describe themselves, while they are being asked, by database */
  private readonly descriptions = new Map<string, Promise<DatabaseDescription>>();

  /** how they last described themselves */
  private readonly lastDescriptions = new Map<string, DatabaseDescription>();

  private readonly connectors: Map<string, DatabaseConnector>;

  /** what each is called, as far as it was told */
  private readonly names = new Map<string, string>();

  /** @param shipped the databases that ship with the program; others are connected later */
  constructor(private readonly shipped: ReadonlyMap<string, DatabaseConnector>) {
    this.connectors = new Map(shipped);
  }

  /** Adds a database, or reaches one otherwise than before. */
  connect(id: string, name: string, connector: DatabaseConnector): void {
    this.descriptions.delete(id);
    this.lastDescriptions.delete(id);
    this.connectors.set(id, connector);
    this.names.set(id, name);
  }

  disconnect(id: string): void {
    this.connectors.delete(id);
  }

  /**
   * All databases; one that does not answer is left out of the list and named in `failed`. One that takes its time
   * does not hold up the others.
   */
  async list(): Promise<DatabaseList> {
    const databases: DatabaseProfile[] = [];
    const failed: DatabaseList['failed'] = [];
    const asked = [...this.connectors].map(([id, connector]) =>
      within(PATIENCE_MS, this.profileOf(id, connector), { id, reason: 'it has not answered yet.' }),
    );
    for (const answer of await Promise.all(asked)) {
      if ('reason' in answer) {
        const { id, reason } = answer;
        failed.push({ id, name: this.names.get(id) ?? id, reason, added: !this.shipped.has(id) });
      } else databases.push(answer);
    }
    return { databases, failed, order: [...this.connectors.keys()] };
  }

  private async profileOf(
    id: string,
    connector: DatabaseConnector,
  ): Promise<DatabaseProfile | { id: string; reason: string }> {
    try {
      const { pageCap: _pageCap, vocabulary, ...shown } = await this.describedNow(id, connector);
      return { id, ...shown, vocabulary: vocabulary && { id: vocabulary.id, name: vocabulary.name } };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return { id, reason: error.message };
    }
  }

  /**
   * How a database describes itself now.
   * @throws ProblemException when it does not answer
   */
  async profile(id: string): Promise<DatabaseProfile> {
    const connector = this.connectors.get(id);
    if (connector === undefined) throw notFound(`The database “${id}”`);
    const profile = await this.profileOf(id, connector);
    if ('reason' in profile) throw databaseTrouble(profile.reason, 'Try again.');
    return profile;
  }

  knows(id: string): boolean {
    return this.connectors.has(id);
  }

  /**
   * A vocabulary that one of the databases serves: of the first that tells so, since the others may take their time.
   * Where the one that serves it does not answer now, as it was last read.
   * @param patience how long databases are waited for that nothing is known of yet, in milliseconds
   * @returns null when none does
   */
  async vocabularyById(id: string, patience = VOCABULARY_MS): Promise<Vocabulary | null> {
    const serving = async ([database, connector]: [string, DatabaseConnector]): Promise<Vocabulary> => {
      const description = await this.lastDescribed(database, connector, patience);
      // One that people ask by hand has its vocabulary from another, so it serves none.
      const serves = description?.reached === 'shipped' && description.vocabulary?.id === id;
      const vocabulary = serves ? await this.vocabularyOf(connector, description) : null;
      if (vocabulary === null) throw new DatabaseError('It does not serve it.', false);
      return vocabulary;
    };
    try {
      return await Promise.any([...this.connectors].map(serving));
    } catch (error) {
      if (error instanceof AggregateError && error.errors.every((each) => each instanceof DatabaseError))
        return null;
      throw error;
    }
  }

  /** The vocabularies that databases serve, and the names of those that do, also while they do not answer. */
  async servedVocabularies(): Promise<{ id: string; name: string; databases: string[] }[]> {
    const descriptions = await Promise.all(
      [...this.connectors].map(([id, connector]) => this.lastDescribed(id, connector, UNHEARD_MS)),
    );
    const served = new Map<string, { id: string; name: string; databases: string[] }>();
    for (const description of descriptions) {
      if (description === null || description.vocabulary === null) continue;
      const { id, name } = description.vocabulary;
      const known = served.get(id);
      if (known === undefined) served.set(id, { id, name, databases: [description.name] });
      else known.databases.push(description.name);
    }
    return [...served.values()];
  }

  /**
   * How a database describes itself, or did when it last answered.
   * @param patience how long it is waited for where it never has, in milliseconds
   * @returns null where it never has
   */
  private lastDescribed(
    id: string,
    connector: DatabaseConnector,
    patience: number,
  ): Promise<DatabaseDescription | null> {
    const last = this.lastDescriptions.get(id) ?? null;
    const now = this.describedNow(id, connector).catch((error: unknown) => {
      if (error instanceof DatabaseError) return last;
      throw error;
    });
    return within(last === null ? patience : FRESH_MS, now, last);
  }

  /**
   * Asks a database how it is now, so that counts remembered from another release are not used.
   * @throws ProblemException when it does not answer
   */
  async open(id: string): Promise<OpenDatabase> {
    const connector = this.connectors.get(id);
    if (connector === undefined) throw notFound(`The database “${id}”`);
    try {
      const description = await this.describedNow(id, connector);
      const vocabulary = await this.vocabularyOf(connector, description);
      const dialect = description.dialect === null ? null : dialectFrom(description.dialect);
      return { id, connector, description, vocabulary, dialect };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      const detail = 'What you have written is kept. Counts come back when the database answers; try again.';
      throw databaseTrouble(`The database does not answer: ${error.message}`, detail);
    }
  }

  /** Whoever asks while the database is describing itself waits for the same answer. */
  private describedNow(id: string, connector: DatabaseConnector): Promise<DatabaseDescription> {
    const known = this.descriptions.get(id);
    if (known !== undefined) return known;
    const asked = connector
      .explain()
      .then((description) => {
        this.names.set(id, description.name);
        this.lastDescriptions.set(id, description);
        return description;
      })
      .finally(() => this.descriptions.delete(id));
    this.descriptions.set(id, asked);
    return asked;
  }

  /** Reads what the databases describe and their vocabularies, so that whoever comes first need not wait for it. */
  async makeReady(): Promise<void> {
    await Promise.allSettled([...this.connectors.keys()].map((id) => this.open(id)));
  }

  /**
   * Moves a simulated database to its next release.
   * @throws ProblemException when it cannot be moved
   */
  async advance(id: string): Promise<DatabaseProfile> {
    const { connector, description } = await this.open(id);
    if (description.nextRelease === null) {
      throw conflict(`${description.name} has no later release.`, 'It stays as it is.');
    }
    try {
      await connector.advance();
      this.descriptions.delete(id);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(error.message, 'Look at its release, then try again.');
    }
    return this.profile(id);
  }

  private async vocabularyOf(
    connector: DatabaseConnector,
    { vocabulary }: DatabaseDescription,
  ): Promise<Vocabulary | null> {
    if (vocabulary === null) return null;
    // The address names the release, so that a vocabulary of another one is read anew.
    const known = this.vocabularies.get(vocabulary.address);
    if (known !== undefined) return known;
    const read = vocabularyFromTurtle(await connector.vocabulary(vocabulary.address));
    if (!read.ok) throw new DatabaseError(`Its vocabulary cannot be read: ${read.message}`, false);
    if (vocabulary.address !== describedAddress(vocabulary.id)) this.forgetDescribed(vocabulary.id);
    this.vocabularies.set(vocabulary.address, read.vocabulary);
    return read.vocabulary;
  }

  /** Where people said that a database has this vocabulary, it is read anew: there is another release of it. */
  forgetDescribed(vocabulary: string): void {
    this.vocabularies.delete(describedAddress(vocabulary));
  }
}

/** What strings are written and read with in a database. */
export function contextOf({ description, vocabulary }: OpenDatabase): DialectContext {
  const context = {
    vocabulary: description.vocabulary?.id ?? null,
    limitFields: Object.keys(description.limits),
  };
  if (vocabulary === null) return context;
  return {
    ...context,
    narrowerOf: ({ label }) => allNarrower(treeOf(vocabulary), label)?.map((each) => each.label) ?? null,
  };
}
