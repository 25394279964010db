import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { designTree, filterWordsProblem } from '@even-lantern/core';
import type { NewSavedFilter, Person, SavedFilter, SavedFilterChange } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { badInput, conflict } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { changeVersion } from '../edits/changeVersion.js';
import { SavedFilterRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { DesignContent } from './designContent.js';
import { expectDesigns } from './expectDesigns.js';

/** More are hard to tell apart in a list. */
const MOST_FILTERS = 500;

/** Design filters that people write and save, for all reviews. One that is taken away is kept, and can come back. */
@Injectable()
export class SavedFiltersService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
    private readonly content: DesignContent,
  ) {}

  async list(): Promise<SavedFilter[]> {
    const rows = await this.store.read.findBy(SavedFilterRow, { removedAt: IsNull() });
    const nameOf = await this.people.namesOf(rows.map(({ changedBy }) => changedBy));
    return rows
      .map((row) => filterOf(row, nameOf(row.changedBy)))
      .sort((a, b) => a.name.localeCompare(b.name, 'en') || (a.id < b.id ? -1 : 1));
  }

  async add(filter: NewSavedFilter, person: Person): Promise<SavedFilter> {
    await this.expectFit(filter);
    return this.store.write(async (manager) => {
      await expectOwnName(manager, filter.name, null);
      if ((await manager.countBy(SavedFilterRow, { removedAt: IsNull() })) >= MOST_FILTERS) {
        throw conflict(
          `At most ${MOST_FILTERS} filters are kept.`,
          'Nothing was saved. Take one away that nobody uses, or change one.',
        );
      }
      const row: SavedFilterRow = {
        id: randomUUID(),
        name: filter.name,
        designs: filter.designs,
        words: wordsOf(filter.words),
        ...now(person),
        removedAt: null,
        version: 1,
      };
      await manager.insert(SavedFilterRow, row);
      return filterOf(row, person.name);
    });
  }

  async change(id: string, change: SavedFilterChange, version: number, person: Person): Promise<SavedFilter> {
    await this.expectFit(change);
    return this.store.write(async (manager) => {
      const { removed } = change;
      const columns = {
        ...columnsOf(change),
        ...now(person),
        ...(removed === undefined ? {} : { removedAt: removed ? new Date().toISOString() : null }),
      };
      const present = await manager.findOneBy(SavedFilterRow, { id });
      // A name that was free when the filter was taken away may be another's when it comes back.
      if (present !== null && removed !== true) await expectOwnName(manager, change.name ?? present.name, id);
      const nameOf = await this.people.namesOf(present === null ? [] : [present.changedBy], manager);
      return changeVersion(manager, SavedFilterRow, { id, version }, columns, 'filter', (row) =>
        filterOf(row, row.changedBy === person.id ? person.name : nameOf(row.changedBy)),
      );
    });
  }

  /** @throws ProblemException for designs that there are not, and words that cannot be read */
  private async expectFit({ designs, words }: SavedFilterChange): Promise<void> {
    if (designs !== undefined) {
      expectDesigns(designs, designTree((await this.content.get()).taxonomy), 'designs');
    }
    const problem = words === undefined ? null : filterWordsProblem(words);
    if (problem !== null) throw badInput([{ path: 'words', message: problem }]);
  }
}

/** @param id of the filter that may have the name itself */
async function expectOwnName(manager: EntityManager, name: string, id: string | null): Promise<void> {
  const rows = await manager.find(SavedFilterRow, {
    where: { removedAt: IsNull() },
    select: { id: true, name: true },
  });
  const taken = rows.find((row) => row.id !== id && row.name.toLowerCase() === name.toLowerCase());
  if (taken === undefined) return;
  throw conflict(
    `There is a filter “${taken.name}” already.`,
    'Nothing was saved. Change that one, or take another name.',
  );
}

function columnsOf({ name, designs, words }: Partial<NewSavedFilter>) {
  return {
    ...(name === undefined ? {} : { name }),
    ...(designs === undefined ? {} : { designs }),
    ...(words === undefined ? {} : { words: wordsOf(words) }),
  };
}

function wordsOf({ any, without }: SavedFilter['words']): SavedFilter['words'] {
  return { any, without };
}

function now(person: Person): Pick<SavedFilterRow, 'changedAt' | 'changedBy'> {
  return { changedAt: new Date().toISOString(), changedBy: person.id };
}

function filterOf(row: SavedFilterRow, changedBy: string): SavedFilter {
  const { id, name, changedAt, version } = row;
  return {
    id,
    name,
    designs: row.designs,
    words: row.words,
    changedAt,
    changedBy,
    version,
  };
}
