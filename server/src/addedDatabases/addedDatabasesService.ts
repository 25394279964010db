import { Injectable, Logger, type OnModuleInit } from '@nestjs/common';
import { dialectFrom, vocabularyToTurtle } from '@even-lantern/core';
import type {
  CallBudget,
  ExploredServer,
  NewDatabase,
  Person,
  DatabaseSettings,
} from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { badInput, conflict, databaseTrouble, notFound } from '../http/problem.js';
import { AddedDatabaseRow, type KeptDatabase } from '../store/entities.js';
import { VocabulariesService } from '../vocabularies/vocabulariesService.js';
import { DatabaseError, type DatabaseConnector } from '../connectors/databaseConnector.js';
import { BudgetsService } from '../databases/budgetsService.js';
import { DatabaseEventsService } from '../databases/databaseEventsService.js';
import { DatabasesService } from '../databases/databasesService.js';
import { HandAnswersService } from './handAnswersService.js';
import { handConnector } from '../connectors/handConnector.js';
import { proposedBudget } from '../connectors/proposedBudget.js';
import { exploreServer } from '../connectors/sru/explorer.js';
import { addedConnector } from '../connectors/sru/addedConnector.js';
import { Configuration } from '../configuration/configuration.js';
import { UnreadableColumn } from '../store/description.js';
import { Store } from '../store/store.js';

/** Databases that people add: SRU servers by their address, and databases that they ask by hand. */
@Injectable()
export class AddedDatabasesService implements OnModuleInit {
  private readonly logger = new Logger('added databases');

  constructor(
    private readonly store: Store,
    private readonly databases: DatabasesService,
    private readonly vocabularies: VocabulariesService,
    private readonly events: DatabaseEventsService,
    private readonly budgets: BudgetsService,
    private readonly hand: HandAnswersService,
    private readonly configuration: Configuration,
  ) {}

  onModuleInit(): Promise<void> {
    return this.connectNew();
  }

  /** Lets databases be asked that are kept and not known yet: at the start, and when a package brought them. */
  async connectNew(): Promise<void> {
    const rows = await this.store.read.getRepository(AddedDatabaseRow).find({
      where: { removedAt: IsNull() },
      order: { addedAt: 'ASC' },
      select: { id: true },
    });
    for (const row of rows.filter(({ id }) => !this.databases.knows(id))) {
      try {
        this.connect(row.id, await this.kept(row.id));
      } catch (error) {
        // One that cannot be used must not keep the program from starting.
        this.logger.error(
          `“${row.id}” is set aside: ${error instanceof Error ? error.message : String(error)}`,
        );
        this.databases.connect(row.id, row.id, setAside());
      }
    }
  }

  /** @throws ProblemException where there is no SRU server at the address */
  async explore(address: string, person: Person): Promise<ExploredServer> {
    await this.events.note('', 'explored', address, person);
    try {
      return await exploreServer(address, {
        ...this.configuration.addedServers,
        timeoutMs: 6000,
        retries: 0,
      });
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      throw databaseTrouble(
        error.message,
        'Look at the address: it is that of an SRU server, not of a page.',
      );
    }
  }

  async add(settings: NewDatabase, person: Person): Promise<DatabaseSettings> {
    const { budget, database } = budgetApart(settings);
    checkNames(database);
    const described = await this.described(database, null);
    return this.store.write(async (manager) => {
      const id = await this.freeId(database.name, manager);
      // Whatever cannot be reached in this way fails here, before anything is saved.
      this.connectorOf(id, described);
      await manager.insert(AddedDatabaseRow, {
        id,
        content: described,
        addedAt: new Date().toISOString(),
        addedBy: person.id,
        removedAt: null,
      });
      await this.events.noteWithin(manager, id, 'added', described.name, person);
      if (budget !== null) {
        await this.budgets.changeWithin(manager, id, budget, person);
        this.databases.setBudget(id, budget);
      }
      this.connect(id, described);
      return { ...database, id };
    });
  }

  /** What people said of a database that was added. */
  async settings(id: string): Promise<DatabaseSettings> {
    return settingsOf(id, await this.kept(id));
  }

  /** Says something else of a database. What was run in it, counted and given stays. */
  async change(id: string, settings: NewDatabase, person: Person): Promise<DatabaseSettings> {
    // How much it may be asked is changed by itself.
    const { database } = budgetApart(settings);
    const before = await this.kept(id);
    if (!this.databases.knows(id)) throw notFound(`The added database “${id}” on the list`);
    if (
      before.how !== database.how ||
      (before.how === 'address' && database.how === 'address' && before.address !== database.address)
    ) {
      throw badInput([
        { path: 'how', message: 'How it is reached cannot be changed: add it as another database.' },
      ]);
    }
    checkNames(database);
    const described = await this.described(database, before.vocabulary);
    this.connectorOf(id, described);
    await this.store.write(async (manager) => {
      await manager.update(AddedDatabaseRow, { id }, { content: described });
      await this.events.noteWithin(manager, id, 'changed', described.name, person);
    });
    this.connect(id, described);
    return { ...database, id };
  }

  /** Takes a database from the list. What was run in it stays in the ledger, with its records. */
  async remove(id: string, person: Person): Promise<void> {
    const removed = { removedAt: new Date().toISOString() };
    await this.store.write(async (manager) => {
      const changed = await manager.update(AddedDatabaseRow, { id, removedAt: IsNull() }, removed);
      if (changed.affected === 0) throw notFound(`The added database “${id}”`);
      await this.events.noteWithin(manager, id, 'taken away', '', person);
    });
    this.hand.disconnect(id);
    this.databases.disconnect(id);
  }

  /** Brings back a database that was taken from the list. */
  async restore(id: string, person: Person): Promise<DatabaseSettings> {
    const kept = await this.kept(id);
    await this.store.write(async (manager) => {
      await manager.update(AddedDatabaseRow, { id }, { removedAt: null });
      await this.events.noteWithin(manager, id, 'brought back', kept.name, person);
    });
    this.connect(id, kept);
    return settingsOf(id, kept);
  }

  /** @throws ProblemException for one that is not there, or cannot be read */
  private async kept(id: string): Promise<KeptDatabase> {
    try {
      const row = await this.store.read.findOneBy(AddedDatabaseRow, { id });
      if (row !== null) return row.content;
    } catch (error) {
      if (!(error instanceof UnreadableColumn)) throw error;
      throw conflict(
        'What is kept of this database cannot be read.',
        'Take it from the list and add it again.',
      );
    }
    throw notFound(`The added database “${id}”`);
  }

  /**
   * With the name of its vocabulary, so that it can be told before anything else answers.
   * @param before the vocabulary that it had, which is known also while nobody serves it
   */
  private async described(database: NewDatabase, before: KeptDatabase['vocabulary']): Promise<KeptDatabase> {
    if (database.vocabulary === null) return { ...database, vocabulary: null };
    if (database.vocabulary === before?.id) return { ...database, vocabulary: before };
    const { id, name } = await this.vocabularies.get(database.vocabulary);
    return { ...database, vocabulary: { id, name } };
  }

  private connect(id: string, database: KeptDatabase): void {
    const proposed = database.how === 'address' ? proposedBudget(database.address) : undefined;
    this.databases.connect(id, database.name, this.connectorOf(id, database), proposed);
  }

  private connectorOf(id: string, database: KeptDatabase): DatabaseConnector {
    const { vocabulary = null } = database;
    const turtle = async () =>
      vocabulary === null ? '' : vocabularyToTurtle(await this.vocabularies.get(vocabulary.id));
    if (database.how === 'address') {
      const { address, version, recordSchema, name, description, dialect } = database;
      const settings = { name, description, dialect, vocabulary, turtle, limits: database.limits };
      return addedConnector({ address, version, recordSchema }, settings, this.configuration.addedServers);
    }
    return handConnector(database, this.hand.connect(id, database), turtle);
  }

  /** The name in small letters, with a number where another database is called so. */
  private async freeId(name: string, manager: EntityManager): Promise<string> {
    const stem =
      name
        .toLowerCase()
        .normalize('NFKD')
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'database';
    for (let i = 1; ; i += 1) {
      const id = i === 1 ? stem : `${stem}-${i}`;
      if (!this.databases.knows(id) && !(await manager.existsBy(AddedDatabaseRow, { id }))) return id;
    }
  }
}

/** In the place of a database that cannot be used as it is kept. */
function setAside(): DatabaseConnector {
  const cannot = () =>
    Promise.reject(
      new DatabaseError(
        'What is kept of this database cannot be used, so it is set aside. Take it from the list and add it again.',
        true,
      ),
    );
  return {
    explain: cannot,
    count: cannot,
    search: cannot,
    facets: cannot,
    scan: cannot,
    vocabulary: cannot,
    advance: cannot,
  };
}

/** How much a database may be asked is kept beside what is said of it, as for those that ship with the program. */
function budgetApart(settings: NewDatabase): { database: NewDatabase; budget: CallBudget | null } {
  if (settings.how === 'hand') return { database: settings, budget: null };
  const { budget = null, ...database } = settings;
  return { database, budget };
}

function settingsOf(id: string, { vocabulary, ...others }: KeptDatabase): DatabaseSettings {
  return { ...others, id, vocabulary: vocabulary?.id ?? null };
}

/** In CQL one index may hold headings and the words within them, since it tells them apart by its relations. */
function checkNames({ dialect }: NewDatabase): void {
  const { heading, ...others } = dialectFrom(dialect).names;
  const shared = dialect.kind === 'cql' && heading === others.headings;
  const names = [...Object.values(others), ...(shared ? [] : [heading])].filter((name) => name);
  const twice = names.find((name, i) => names.indexOf(name) !== i);
  if (twice === undefined || twice === null) return;
  throw badInput([{ path: 'dialect.names', message: `“${twice}” cannot stand for two fields.` }]);
}
