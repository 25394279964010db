import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import {
  databaseContext,
  dialectFrom,
  vocabularyFromTurtle,
  treeOf,
  type Dialect,
  type DialectContext,
  type Vocabulary,
} from '@even-lantern/core';
import type { CallBudget, DatabaseList, DatabaseProfile, DatabaseState } from '@even-lantern/contract';
import { conflict, databaseTrouble, notFound } from '../http/problem.js';
import { withTimeout } from '../connectors/timeout.js';
import { Configuration } from '../configuration/configuration.js';
import { DatabaseWatch, type KnownDatabase } from './databaseWatch.js';
import { OWN_BUDGET } from '../connectors/proposedBudget.js';
import { forgetPriorities } from '../connectors/callQueue.js';
import { describedAddress } from '../connectors/described.js';
import {
  DatabaseError,
  type DatabaseConnector,
  type DatabaseDescription,
} from '../connectors/databaseConnector.js';

/** A database as it is known now: the connector to it and how it describes itself. */
export interface OpenDatabase {
  id: string;
  connector: DatabaseConnector;
  description: DatabaseDescription;
  /** its vocabulary, or null when it has none */
  vocabulary: Vocabulary | null;
  /** how its strings are written; null where it takes our CQL alone, which can say everything */
  dialect: Dialect | null;
  /** how much it may be asked; null where nothing is called */
  budget: CallBudget | null;
}

/** How long a list waits for a database that has never been heard. */
const TIMEOUT_MS = 1500;
/** How long looking for a vocabulary waits for one that never answered yet. */
const VOCABULARY_MS = 8000;
/** How long listing vocabularies waits for one that never answered yet: it comes into the list when it does. */
const UNHEARD_MS = 3000;
/** How often an answer is asked for anew because the database moved to another release meanwhile. */
const MOST_MOVES = 2;

/** The databases that are known: how they answer, how they describe themselves, and the vocabularies that they serve. */
@Injectable()
export class DatabasesService implements OnApplicationShutdown {
  /** by address */
  private readonly vocabularies = new Map<string, Vocabulary>();

  private readonly watches = new Map<string, DatabaseWatch>();

  /** how much each may be asked, where somebody said so or proposed it */
  private readonly budgets = new Map<string, CallBudget>();

  /** what each is called, as far as it was told */
  private readonly names = new Map<string, string>();

  /** those that ship with the program; others are connected later */
  private readonly shipped: ReadonlyMap<string, DatabaseConnector>;

  constructor(private readonly configuration: Configuration) {
    this.shipped = configuration.shippedDatabases;
    for (const [id, connector] of this.shipped) this.watch(id, connector);
  }

  onApplicationShutdown(): void {
    for (const watch of this.watches.values()) watch.stop();
    forgetPriorities();
  }

  /** Adds a database, or reaches one otherwise than before. */
  connect(id: string, name: string, connector: DatabaseConnector, proposed = OWN_BUDGET): void {
    this.names.set(id, name);
    if (!this.budgets.has(id)) this.budgets.set(id, proposed);
    this.watch(id, connector).start();
  }

  /** Says how much a database may be asked, whether it is connected yet or not. */
  setBudget(id: string, budget: CallBudget): void {
    this.budgets.set(id, budget);
    this.watches.get(id)?.keepTo(budget);
  }

  disconnect(id: string): void {
    this.watches.get(id)?.stop();
    this.watches.delete(id);
  }

  private watch(id: string, connector: DatabaseConnector): DatabaseWatch {
    this.watches.get(id)?.stop();
    const read = (direct: DatabaseConnector, description: DatabaseDescription) =>
      this.vocabularyOf(direct, description);
    const watch = new DatabaseWatch(connector, read, this.configuration.watchTimes);
    watch.keepTo(this.budgets.get(id) ?? OWN_BUDGET);
    this.watches.set(id, watch);
    return watch;
  }

  /**
   * All databases, as they described themselves last; one that has never been heard is named in `failed`. Nobody waits
   * here for one that is slow or away.
   */
  async list(): Promise<DatabaseList> {
    const unheard = [...this.watches.values()].filter(({ present }) => present === null);
    await Promise.all(
      unheard.map((watch) =>
        withTimeout(
          TIMEOUT_MS,
          watch.heard().catch(() => null),
          null,
        ),
      ),
    );
    for (const watch of this.watches.values()) watch.refreshWhenOlder();
    const databases: DatabaseProfile[] = [];
    const failed: DatabaseList['failed'] = [];
    for (const [id, watch] of this.watches) {
      const { state, trouble } = watch.state();
      if (watch.present !== null) databases.push(profileOf(id, watch.present, watch));
      else {
        const name = this.names.get(id) ?? id;
        const reason = state === 'away' && trouble ? trouble : 'it has not answered yet.';
        failed.push({ id, name, reason, added: !this.shipped.has(id) });
      }
    }
    return { databases, failed, order: [...this.watches.keys()] };
  }

  /** How each answers, without asking any. */
  states(): { id: string; state: DatabaseState; release: string | null; reason: string | null }[] {
    return [...this.watches].map(([id, watch]) => {
      const { state, trouble } = watch.state();
      const release = watch.present?.description.release ?? null;
      // One that has not been heard yet, and has not failed either, is only waited for.
      if (release === null && state === 'ready')
        return { id, state: 'slow', release, reason: 'It has not answered yet.' };
      return { id, state, release, reason: trouble };
    });
  }

  /**
   * How a database describes itself now.
   * @throws ProblemException when it does not answer
   */
  async profile(id: string): Promise<DatabaseProfile> {
    const watch = this.watchOf(id);
    try {
      return profileOf(id, await watch.refresh(), watch);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(error.message, 'Try again.');
    }
  }

  knows(id: string): boolean {
    return this.watches.has(id);
  }

  /**
   * A vocabulary that one of the databases serves, as it was last read.
   * @param timeoutMs how long databases are waited for that nothing is known of yet, in milliseconds
   * @returns null when none does
   */
  async vocabularyById(id: string, timeoutMs = VOCABULARY_MS): Promise<Vocabulary | null> {
    // Those that people add have theirs from others, so waiting for them could be waiting for oneself.
    const watches = [...this.watches].flatMap(([each, watch]) => (this.shipped.has(each) ? [watch] : []));
    const known = watches.find((watch) => serves(watch.present, id))?.present?.vocabulary ?? null;
    if (known !== null) return known;
    const serving = async (watch: DatabaseWatch): Promise<Vocabulary> => {
      const heard = await withTimeout(
        timeoutMs,
        watch.heard().catch((error: unknown) => {
          if (error instanceof DatabaseError) return null;
          throw error;
        }),
        null,
      );
      if (!serves(heard, id) || heard?.vocabulary == null)
        throw new DatabaseError('It does not serve it.', true);
      return heard.vocabulary;
    };
    try {
      return await Promise.any(watches.filter(({ present }) => present === null).map(serving));
    } catch (error) {
      if (error instanceof AggregateError && error.errors.every((each) => each instanceof DatabaseError))
        return null;
      throw error;
    }
  }

  /** The vocabularies that databases serve, and the names of those that do, also while they do not answer. */
  async servedVocabularies(): Promise<{ id: string; name: string; databases: string[] }[]> {
    const heard = await Promise.all(
      [...this.watches.values()].map((watch) =>
        withTimeout(
          UNHEARD_MS,
          watch.heard().catch((error: unknown) => {
            if (error instanceof DatabaseError) return null;
            throw error;
          }),
          null,
        ),
      ),
    );
    const served = new Map<string, { id: string; name: string; databases: string[] }>();
    for (const each of heard) {
      if (each === null || each.description.vocabulary === null) continue;
      const { id, name } = each.description.vocabulary;
      const known = served.get(id);
      if (known === undefined) served.set(id, { id, name, databases: [each.description.name] });
      else known.databases.push(each.description.name);
    }
    return [...served.values()];
  }

  /**
   * A database as it was last heard; only one that never was is waited for.
   * @throws ProblemException when nothing is known of it and it does not answer
   */
  async open(id: string): Promise<OpenDatabase> {
    const watch = this.watchOf(id);
    try {
      const { description, vocabulary } = await watch.heard();
      const dialect = description.dialect === null ? null : dialectFrom(description.dialect);
      return { id, connector: watch.connector, description, vocabulary, dialect, budget: watch.budget };
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      const detail = 'What you have written is kept. Counts come back when the database answers; try again.';
      throw databaseTrouble(`The database does not answer: ${error.message}`, detail);
    }
  }

  /**
   * Does something in one release of a database: where it turns out that it moved to another one meanwhile, it is done
   * again, so that figures of two releases never stand side by side.
   */
  async inOneRelease<T>(id: string, work: () => Promise<T>): Promise<T> {
    const watch = this.watchOf(id);
    for (let moves = 0; ; moves += 1) {
      const before = watch.present?.description.release;
      const result = await work();
      // One that was never heard is heard for the first time while the work is done.
      const after = (await watch.settled())?.description.release;
      if (before === undefined || before === after || moves === MOST_MOVES) return result;
    }
  }

  /** Asks a database how it is now; what it said last stays when it does not answer. */
  async refresh(id: string): Promise<void> {
    try {
      await this.watchOf(id).refresh();
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
    }
  }

  /** Begins to watch all, so that whoever comes first need not wait. @returns when all have been asked once */
  async makeReady(): Promise<void> {
    await Promise.allSettled([...this.watches.values()].map((watch) => watch.refresh()));
  }

  /**
   * Moves a simulated database to its next release.
   * @throws ProblemException when it cannot be moved
   */
  async advance(id: string): Promise<DatabaseProfile> {
    await this.refresh(id);
    const { connector, description } = await this.open(id);
    if (description.nextRelease === null) {
      throw conflict(`${description.name} has no later release.`, 'It stays as it is.');
    }
    try {
      await connector.advance();
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(error.message, 'Look at its release, then try again.');
    }
    return this.profile(id);
  }

  private watchOf(id: string): DatabaseWatch {
    const watch = this.watches.get(id);
    if (watch === undefined) throw notFound(`The database “${id}”`);
    return watch;
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
    for (const watch of this.watches.values()) {
      const described = watch.present?.description.vocabulary;
      if (described?.address === describedAddress(vocabulary)) void watch.refresh().catch(() => undefined);
    }
  }
}

/** One that people ask by hand, or whose headings somebody described, has its vocabulary from another. */
function serves(known: KnownDatabase | null, vocabulary: string): boolean {
  return known?.description.reached === 'shipped' && known.description.vocabulary?.id === vocabulary;
}

function profileOf(id: string, { description }: KnownDatabase, watch: DatabaseWatch): DatabaseProfile {
  const { pageCap: _pageCap, vocabulary, ...shown } = description;
  return {
    id,
    ...shown,
    ...watch.state(),
    ...(watch.estimates ? { estimates: true } : {}),
    budget: watch.budget,
    vocabulary: vocabulary && { id: vocabulary.id, name: vocabulary.name },
  };
}

/**
 * What strings are written and read with in a database.
 * @param joined with the heading that it joins to bare words, where it is one of ours
 */
export function contextOf({ description, vocabulary }: OpenDatabase, joined = false): DialectContext {
  return databaseContext({
    vocabulary: description.vocabulary?.id ?? null,
    limitFields: Object.keys(description.limits),
    tree: vocabulary === null ? null : treeOf(vocabulary),
    joinsHeadings: joined && description.reached === 'shipped',
  });
}
