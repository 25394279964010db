import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { CallBudget, Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { notFound } from '../http/problem.js';
import { CallBudgetRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { DatabaseEventsService } from './databaseEventsService.js';
import { DatabasesService } from './databasesService.js';

/** What people said of how much each database may be asked. */
@Injectable()
export class BudgetsService implements OnModuleInit {
  constructor(
    private readonly store: Store,
    private readonly databases: DatabasesService,
    private readonly events: DatabaseEventsService,
  ) {}

  async onModuleInit(): Promise<void> {
    for (const { database, atOnce, perSecond } of await this.store.read.find(CallBudgetRow)) {
      this.databases.setBudget(database, { atOnce, perSecond });
    }
  }

  async change(database: string, budget: CallBudget, person: Person): Promise<CallBudget> {
    if (!this.databases.knows(database)) throw notFound(`The database “${database}”`);
    await this.store.write((manager) => this.changeWithin(manager, database, budget, person));
    this.databases.setBudget(database, budget);
    return budget;
  }

  /** As part of another change, after which `setBudget` puts it into force. */
  async changeWithin(
    manager: EntityManager,
    database: string,
    budget: CallBudget,
    person: Person,
  ): Promise<void> {
    const changed = { changedAt: new Date().toISOString(), changedBy: person.id };
    await manager.upsert(CallBudgetRow, { database, ...budget, ...changed }, ['database']);
    await this.events.noteWithin(manager, database, 'budget', budgetInWords(budget), person);
  }
}

function budgetInWords({ atOnce, perSecond }: CallBudget): string {
  return `${atOnce} at once, ${perSecond === null ? 'as many in a second as it answers' : `${perSecond} in a second`}`;
}
