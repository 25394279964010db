import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  linesReferredTo,
  mergedText,
  ownKey,
  reference,
  splitText,
  textReferringTo,
} from '@even-lantern/core';
import {
  LONGEST_OWN_LINE,
  MOST_OWN_LINES,
  type NewOwnLines,
  type OwnLineChange,
  type OwnLineMerge,
  type Person,
  type ReviewOwnLine,
} from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { badInput, changedMeanwhile, conflict, notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { ownLineOf, ownLinesInOrder } from '../reviews/ownLineRows.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { changeVersion } from '../edits/changeVersion.js';
import { OwnLineRow } from '../store/entities.js';
import { placeBefore } from '../edits/placeBefore.js';
import { Store } from '../store/store.js';

/** Lines of people’s own: their making, changing, moving, merging and splitting. One that is taken away is kept. */
@Injectable()
export class OwnLinesService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
  ) {}

  /** Adds lines; all or none. */
  add(reviewId: string, { lines, before }: NewOwnLines, person: Person): Promise<ReviewOwnLine[]> {
    return this.store.write((manager) => this.addIn(manager, reviewId, { lines, before }, person));
  }

  /** The same, as part of a change. */
  async addIn(
    manager: EntityManager,
    reviewId: string,
    { lines, before }: NewOwnLines,
    person: Person,
  ): Promise<ReviewOwnLine[]> {
    await this.reviews.expect(reviewId, manager);
    await expectRoom(manager, reviewId, lines.length);
    const added: ReviewOwnLine[] = [];
    for (const { role, text, note } of lines) {
      const row = await insert(manager, { reviewId, role, text, note }, person);
      if (before !== null) {
        const rows = await ownLinesInOrder(manager, reviewId);
        await placeBefore(manager, OwnLineRow, rows, row.id, before, 'line');
      }
      added.push(ownLineOf(row, person.name));
    }
    return added;
  }

  change(id: string, change: OwnLineChange, version: number, person: Person): Promise<ReviewOwnLine> {
    return this.store.write(async (manager) => {
      const present = await manager.findOneBy(OwnLineRow, { id });
      if (present === null) throw notFound('This line');
      const { role, on, text, note, before, removed } = change;
      if (removed === false) await expectRoom(manager, present.reviewId, present.removedAt === null ? 0 : 1);
      const columns = {
        ...(role === undefined ? {} : { role }),
        ...(on === undefined ? {} : { on }),
        ...(text === undefined ? {} : { text }),
        ...(note === undefined ? {} : { note: note.trim() }),
        ...(removed === undefined ? {} : { removedAt: removed ? new Date().toISOString() : null }),
        ...now(person),
      };
      // Who came too late is told who changed it meanwhile.
      const nameOf = await this.people.namesOf([present.changedBy, person.id], manager);
      const changed = await changeVersion(manager, OwnLineRow, { id, version }, columns, 'line', (row) =>
        ownLineOf(row, nameOf(row.changedBy)),
      );
      if (before !== undefined) {
        const rows = await ownLinesInOrder(manager, present.reviewId);
        await placeBefore(manager, OwnLineRow, rows, id, before, 'line');
      }
      return changed;
    });
  }

  /** Makes two lines one, in the place of the first. */
  merge(id: string, { other, version, operator }: OwnLineMerge, own: number, person: Person) {
    return this.changeSeveral(id, own, person, async (manager, line, rows) => {
      const second = rows.find((row) => row.id === other);
      if (second === undefined || second.id === line.id) throw notFound('The other line');
      if (second.version !== version) throw changedMeanwhile('line', second);
      const text = mergedText(line.text, second.text, operator);
      expectShort(text);
      await this.touch(
        manager,
        line,
        { text: textReferringTo(text, ownKey(other), ownKey(line.id)) },
        person,
      );
      await this.touch(manager, second, { removedAt: new Date().toISOString() }, person);
      for (const row of rows) {
        if (row === line || row === second || !linesReferredTo(row.text).includes(ownKey(other))) continue;
        const referring = textReferringTo(row.text, ownKey(other), ownKey(line.id));
        await this.touch(manager, row, { text: referring }, person);
      }
    });
  }

  /** Makes the parts that a line joins lines before it that only look, and the line what joins them. */
  split(id: string, own: number, person: Person) {
    return this.changeSeveral(id, own, person, async (manager, line) => {
      const split = splitText(line.text);
      if (split === null) {
        throw badInput([
          { path: 'text', message: 'This line joins nothing with AND or OR, so there is nothing to split.' },
        ]);
      }
      await expectRoom(manager, line.reviewId, split.parts.length);
      const keys: string[] = [];
      for (const text of split.parts) {
        const part = { reviewId: line.reviewId, role: 'looks' as const, text, note: '' };
        const row = await insert(manager, part, person);
        const rows = await ownLinesInOrder(manager, line.reviewId);
        await placeBefore(manager, OwnLineRow, rows, row.id, line.id, 'line');
        keys.push(ownKey(row.id));
      }
      await this.touch(manager, line, { text: keys.map(reference).join(` ${split.operator} `) }, person);
    });
  }

  private changeSeveral(
    id: string,
    version: number,
    person: Person,
    change: (manager: EntityManager, line: OwnLineRow, rows: readonly OwnLineRow[]) => Promise<void>,
  ): Promise<ReviewOwnLine[]> {
    return this.store.write(async (manager) => {
      const found = await manager.findOneBy(OwnLineRow, { id, removedAt: IsNull() });
      if (found === null) throw notFound('This line');
      if (found.version !== version) throw changedMeanwhile('line', found);
      const rows = await ownLinesInOrder(manager, found.reviewId);
      const line = rows.find((row) => row.id === id) ?? found;
      await change(manager, line, rows);
      return this.reviews.ownLines(found.reviewId, manager);
    });
  }

  private async touch(
    manager: EntityManager,
    { id, version }: OwnLineRow,
    change: Partial<Pick<OwnLineRow, 'text' | 'removedAt'>>,
    person: Person,
  ): Promise<void> {
    await changeVersion(
      manager,
      OwnLineRow,
      { id, version },
      { ...change, ...now(person) },
      'line',
      (row) => row,
    );
  }
}

async function insert(
  manager: EntityManager,
  parts: Pick<OwnLineRow, 'reviewId' | 'role' | 'text' | 'note'>,
  person: Person,
): Promise<OwnLineRow> {
  const last = (await manager.maximum(OwnLineRow, 'position', { reviewId: parts.reviewId })) ?? 0;
  const row: OwnLineRow = {
    ...parts,
    note: parts.note.trim(),
    id: randomUUID(),
    position: last + 1,
    on: true,
    ...now(person),
    removedAt: null,
    version: 1,
  };
  await manager.insert(OwnLineRow, row);
  return row;
}

/** @throws ProblemException when a review would have more lines than it may */
async function expectRoom(manager: EntityManager, reviewId: string, more: number): Promise<void> {
  const present = await manager.countBy(OwnLineRow, { reviewId, removedAt: IsNull() });
  if (present + more <= MOST_OWN_LINES) return;
  throw conflict(
    `A review has at most ${MOST_OWN_LINES} lines of your own.`,
    'Nothing was changed. Take some away, or merge them.',
  );
}

function expectShort(text: string): void {
  if (text.length <= LONGEST_OWN_LINE) return;
  const message = `Together they would have ${text.length} characters; a line has at most ${LONGEST_OWN_LINE}.`;
  throw badInput([{ path: 'other', message }]);
}

function now(person: Person): Pick<OwnLineRow, 'changedAt' | 'changedBy'> {
  return { changedAt: new Date().toISOString(), changedBy: person.id };
}
