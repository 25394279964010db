/** Making a strategy what it was. Rows are never deleted, so what was taken out since is there to be put back. */
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { StrategyState } from '@even-lantern/core';
import type { Person } from '@even-lantern/contract';
import { In, type EntityManager, type EntityTarget } from 'typeorm';
import { note, type Step } from '../lanes/termSteps.js';
import { ElementRow, LaneRow, LimitRow, LineTextRow, OwnLineRow, TermRow } from '../store/entities.js';

interface Placed {
  id: string;
  position: number;
  removedAt: string | null;
  version: number;
}

export async function restore(
  manager: EntityManager,
  reviewId: string,
  state: StrategyState,
  person: Person,
): Promise<void> {
  const changed = { changedAt: new Date().toISOString(), changedBy: person.id };
  await restoreElements(manager, reviewId, state.searched);
  const lanes = await manager.findBy(LaneRow, { reviewId });
  await restoreRows(
    manager,
    LaneRow,
    lanes,
    state.lanes.map(({ id, elementId, name, leftOut }) => ({ id, elementId, name, leftOut })),
  );
  await restoreTerms(
    manager,
    lanes.map(({ id }) => id),
    state,
    person,
  );
  await restoreRows(
    manager,
    OwnLineRow,
    await manager.findBy(OwnLineRow, { reviewId }),
    state.ownLines.map(({ id, role, on, text, note: noteText }) => ({ id, role, on, text, note: noteText })),
    changed,
  );
  await restoreRows(
    manager,
    LimitRow,
    await manager.findBy(LimitRow, { reviewId }),
    state.limits.map(({ id, kind, values, reason, on, ways }) => ({
      id,
      kind,
      content: values,
      reason,
      on,
      ways,
    })),
    changed,
  );
  await restoreWritten(manager, reviewId, state.written, person);
}

async function restoreElements(
  manager: EntityManager,
  reviewId: string,
  searched: readonly string[],
): Promise<void> {
  for (const { id, searched: now, version } of await manager.findBy(ElementRow, { reviewId })) {
    const was = searched.includes(id);
    if (was !== now) await manager.update(ElementRow, { id }, { searched: was, version: version + 1 });
  }
}

/**
 * Sets the rows of a list to what they were, in the order in which they stood, and takes out those that were not there.
 * @param further set with every row that changes
 */
export async function restoreRows<Row extends Placed>(
  manager: EntityManager,
  entity: EntityTarget<Row>,
  rows: readonly Row[],
  target: readonly (Partial<Row> & { id: string })[],
  further: object = {},
): Promise<void> {
  const repository = manager.getRepository(entity);
  const set = async (row: Row, change: object) => {
    await repository.update(
      { id: row.id } as never,
      { ...change, ...further, version: row.version + 1 } as never,
    );
  };
  const places = placesOf(target, rows);
  for (const row of rows) {
    const was = target.find(({ id }) => id === row.id);
    if (was === undefined) {
      if (row.removedAt === null) await set(row, { removedAt: new Date().toISOString() });
      continue;
    }
    const change = { ...was, position: places.get(row.id) ?? row.position, removedAt: null };
    const differs = Object.entries(change).some(
      ([name, value]) => !isDeepStrictEqual(row[name as keyof Row], value),
    );
    if (differs) await set(row, change);
  }
}

async function restoreTerms(
  manager: EntityManager,
  laneIds: readonly string[],
  { lanes }: StrategyState,
  person: Person,
): Promise<void> {
  const rows = await manager.findBy(TermRow, { laneId: In(laneIds) });
  const target = lanes.flatMap((lane) => placesIn(lane, rows));
  for (const row of rows) {
    const content = row.content;
    const step = (what: Step['what'], parts: Partial<Step> = {}): Promise<void> =>
      note(manager, person, {
        laneId: row.laneId, termId: row.id, what, content, before: null, reason: null, ...parts,
      }); // prettier-ignore
    const was = target.find(({ id }) => id === row.id);
    if (was === undefined) {
      if (row.removedAt !== null) continue;
      const removedAt = new Date().toISOString();
      await manager.update(TermRow, { id: row.id }, { removedAt, version: row.version + 1 });
      await step('taken out');
      continue;
    }
    const { laneId, position, heldBack } = was;
    const now = { laneId: row.laneId, position: row.position, heldBack: row.heldBack, content: row.content };
    const then = { laneId, position, heldBack, content: was.content };
    if (row.removedAt === null && isDeepStrictEqual(now, then)) continue;
    await manager.update(TermRow, { id: row.id }, { ...then, removedAt: null, version: row.version + 1 });
    const there = { laneId, content: was.content };
    if (row.removedAt !== null) await step('put back', there);
    if (row.laneId !== laneId) {
      await step('moved away');
      await step('moved here', there);
    }
    if (!isDeepStrictEqual(content, was.content)) await step('changed', { ...there, before: content });
    if (row.heldBack !== heldBack) {
      await step(heldBack === null ? 'searched again' : 'held back', { ...there, reason: heldBack });
    }
  }
}

function placesIn({ id, terms }: StrategyState['lanes'][number], rows: readonly TermRow[]) {
  const places = placesOf(
    terms,
    rows.filter(({ laneId }) => laneId === id),
  );
  return terms.map((term) => ({ ...term, laneId: id, position: places.get(term.id) ?? 0 }));
}

/**
 * Positions for the rows of a list as it is to be. They keep theirs where these are in order; otherwise all go behind the
 * last, for rows that were taken out keep their positions too, and no two rows of a list may ever have the same one.
 * @param target rows of the list, in their order; those that are not in it yet are new to it
 * @param rows all that ever were in the list, also those that were taken out
 */
function placesOf(
  target: readonly { id: string }[],
  rows: readonly { id: string; position: number }[],
): ReadonlyMap<string, number> {
  const present = new Map(rows.map(({ id, position }) => [id, position]));
  const kept = target.map(({ id }) => present.get(id));
  const inOrder = kept.every((place, i) => place !== undefined && (i === 0 || place > (kept[i - 1] ?? 0)));
  const last = Math.max(0, ...present.values());
  return new Map(target.map(({ id }, i) => [id, inOrder ? (kept[i] ?? 0) : last + i + 1]));
}

/** Earlier states of a line stay; each that differs becomes a later one. */
async function restoreWritten(
  manager: EntityManager,
  reviewId: string,
  written: StrategyState['written'],
  person: Person,
): Promise<void> {
  const rows = await manager.findBy(LineTextRow, { reviewId, latest: true });
  const at = new Date().toISOString();
  for (const row of rows) {
    const was = written.find(({ database, line }) => database === row.database && line === row.line);
    const text = was?.text ?? null;
    if (row.text === text && (was === undefined || row.language === was.language)) continue;
    await manager.update(LineTextRow, { id: row.id }, { latest: false });
    await manager.insert(LineTextRow, {
      ...row,
      id: randomUUID(),
      version: row.version + 1,
      language: was?.language ?? row.language,
      text,
      refersTo: was?.refersTo ?? {},
      at,
      personId: person.id,
      latest: true,
    });
  }
}
