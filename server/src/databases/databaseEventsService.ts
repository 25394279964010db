import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { DatabaseEvent, Person } from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { PeopleService } from '../people/people.js';
import { DatabaseEventRow } from '../store/entities.js';
import { Store } from '../store/store.js';

const MOST_SHOWN = 50;

/** What people did to databases, and who. Rows are only ever added. */
@Injectable()
export class DatabaseEventsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  /** The latest first. */
  async of(database: string): Promise<DatabaseEvent[]> {
    const rows = await this.store.read.find(DatabaseEventRow, {
      where: { database },
      order: { position: 'DESC' },
      take: MOST_SHOWN,
    });
    const nameOf = await this.people.namesOf(rows.map(({ personId }) => personId));
    return rows.map(({ what, detail, at, personId }) => ({
      what: what as DatabaseEvent['what'],
      detail,
      at,
      person: nameOf(personId),
    }));
  }

  note(database: string, what: DatabaseEvent['what'], detail: string, person: Person): Promise<void> {
    return this.store.write((manager) => this.noteWithin(manager, database, what, detail, person));
  }

  /** Within a change that it belongs to. */
  async noteWithin(
    manager: EntityManager,
    database: string,
    what: DatabaseEvent['what'],
    detail: string,
    person: Person,
  ): Promise<void> {
    const last = (await manager.maximum(DatabaseEventRow, 'position', { database })) ?? 0;
    const row = { database, what, detail, at: new Date().toISOString(), personId: person.id };
    await manager.insert(DatabaseEventRow, { id: randomUUID(), position: last + 1, ...row });
  }
}
