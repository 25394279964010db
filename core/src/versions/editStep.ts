/**
 * What one edit did, and taking just that back: whatever else was edited since, by the same person or another, stays as
 * it is. Where somebody has since changed the very thing, nothing is taken back.
 */
import { sameTerm } from '../strategy/index.js';
import { keyOfThing, listOf, type Thing, type Things } from './editable.js';

export interface EditStep {
  changes: ThingChange[];
  /** the lists in which things came, went or moved */
  orders: OrderChange[];
}

export interface ThingChange {
  /** null where it was not there */
  before: Thing | null;
  after: Thing | null;
}

export interface OrderChange {
  list: string;
  /** keys of things */
  before: readonly string[];
  after: readonly string[];
}

/** @returns what was done between two states; null where they are the same */
export function stepBetween(before: Things, after: Things): EditStep | null {
  // An element that a framework brought stays with its lanes: it is searched or not, but never gone.
  const brought = new Set(
    [...after.things.values()].flatMap((thing) =>
      thing.kind === 'element' && !before.things.has(keyOfThing(thing)) ? [thing.id] : [],
    ),
  );
  const stays = (thing: Thing) =>
    (thing.kind === 'element' && brought.has(thing.id)) ||
    (thing.kind === 'lane' && thing.elementId !== null && brought.has(thing.elementId));
  const changes: ThingChange[] = [];
  for (const [key, thing] of after.things) {
    const was = before.things.get(key) ?? null;
    if (was === null ? !stays(thing) : !same(was, thing)) changes.push({ before: was, after: thing });
  }
  for (const [key, thing] of before.things) {
    if (!after.things.has(key)) changes.push({ before: thing, after: null });
  }
  const orders: OrderChange[] = [];
  for (const list of new Set([...before.orders.keys(), ...after.orders.keys()])) {
    const [was, is] = [before.orders.get(list) ?? [], after.orders.get(list) ?? []];
    if (!same(was, is)) orders.push({ list, before: was, after: is });
  }
  return changes.length === 0 && orders.length === 0 ? null : { changes, orders };
}

/** The step that does what was taken back. */
export function reversed({ changes, orders }: EditStep): EditStep {
  return {
    changes: changes.map(({ before, after }) => ({ before: after, after: before })),
    orders: orders.map(({ list, before, after }) => ({ list, before: after, after: before })),
  };
}

/** Two steps, one after the other, as one. */
export function joinedSteps(first: EditStep, second: EditStep): EditStep {
  const changes = new Map(first.changes.map((change) => [keyOfChange(change), change]));
  for (const change of second.changes) {
    const key = keyOfChange(change);
    changes.set(key, { before: (changes.get(key) ?? change).before, after: change.after });
  }
  const orders = new Map(first.orders.map((order) => [order.list, order]));
  for (const order of second.orders) {
    orders.set(order.list, { ...order, before: (orders.get(order.list) ?? order).before });
  }
  return { changes: [...changes.values()], orders: [...orders.values()] };
}

/** Whether a step only goes on writing the text that the step before it wrote: of an element, or of a line. */
export function isMoreWriting(first: EditStep, second: EditStep): boolean {
  const [one, ...more] = first.changes;
  const [other, ...others] = second.changes;
  const alone = [more, others, first.orders, second.orders].every((list) => list.length === 0);
  if (!alone || one === undefined || other === undefined || !same(one.after, other.before)) return false;
  const isWriting = ({ before, after }: ThingChange) =>
    after?.kind === 'text' ||
    (after?.kind === 'element' && before?.kind === 'element' && before.text !== after.text);
  return isWriting(one) && isWriting(other);
}

function keyOfChange({ before, after }: ThingChange): string {
  const thing = after ?? before;
  return thing === null ? '' : keyOfThing(thing);
}

export type TakenBack =
  | { ok: true; things: Things }
  | /** the things that stand in the way, by their keys or lists */ { ok: false; changed: string[] };

/**
 * Takes a step back in a state that has gone on since.
 *
 * @returns the state without the step, or what was changed since and so keeps the step from being taken back: the thing
 *   itself, the lane of a term, or the order of a list
 */
export function takeBack(present: Things, { changes, orders }: EditStep): TakenBack {
  const things = new Map(present.things);
  const changed: string[] = [];
  for (const { before, after } of changes) {
    const thing = after ?? before;
    if (thing === null) continue;
    const key = keyOfThing(thing);
    if (!same(present.things.get(key) ?? null, after)) changed.push(key);
    if (before === null) things.delete(key);
    else things.set(key, before);
  }
  changed.push(...withoutPlace(things, changes));
  const next = new Map(present.orders);
  const lists = new Map(orders.map((order) => [order.list, order]));
  // A thing may also have come into a list, or gone from it, that has been emptied or filled since.
  for (const list of new Set([...present.orders.keys(), ...lists.keys()])) {
    const members = new Set([...things].filter(([, thing]) => listOf(thing) === list).map(([key]) => key));
    const order = orderWithout(present.orders.get(list) ?? [], members, lists.get(list));
    if (order === null) changed.push(list);
    else if (order.length === 0) next.delete(list);
    else next.set(list, order);
  }
  return changed.length > 0 ? { ok: false, changed } : { ok: true, things: { things, orders: next } };
}

/** Terms whose lane is gone, or that would stand in their lane twice. */
function withoutPlace(things: ReadonlyMap<string, Thing>, changes: readonly ThingChange[]): string[] {
  const touched = new Set(
    changes.flatMap(({ before, after }) =>
      [before, after].flatMap((each) => (each === null ? [] : [keyOfThing(each)])),
    ),
  );
  const lanes = new Set(changes.flatMap(({ before }) => (before?.kind === 'term' ? [before.laneId] : [])));
  const terms = [...things].flatMap(([key, thing]) => (thing.kind === 'term' ? [{ key, thing }] : []));
  const homeless = terms.filter(({ thing }) => !things.has(`lane:${thing.laneId}`)).map(({ key }) => key);
  const twice = [...lanes].flatMap((laneId) => {
    const here = terms.filter(({ thing }) => thing.laneId === laneId);
    return here
      .filter(({ key }) => touched.has(key))
      .filter(({ key, thing }) =>
        here.some((other) => other.key !== key && sameTerm(other.thing.content, thing.content)),
      )
      .map(({ key }) => key);
  });
  return [...homeless, ...twice];
}

/** @returns the order of the members of a list; null where it was a move, and the order is another one since */
function orderWithout(
  present: readonly string[],
  members: ReadonlySet<string>,
  change: OrderChange | undefined,
): string[] | null {
  const left = present.filter((key) => members.has(key));
  const [before, after] = [change?.before ?? [], change?.after ?? []];
  const both = new Set(before.filter((key) => after.includes(key) && left.includes(key)));
  const within = (order: readonly string[]) => order.filter((key) => both.has(key));
  const was = within(before);
  if (!same(was, within(after))) {
    if (!same(within(left), within(after))) return null;
    const next = was.values();
    for (const [i, key] of left.entries()) {
      if (both.has(key)) left[i] = next.next().value ?? key;
    }
  }
  // Whatever comes back stands behind what it stood behind.
  for (const [i, key] of before.entries()) {
    if (!members.has(key) || left.includes(key)) continue;
    const behind = before.slice(0, i).findLast((each) => left.includes(each));
    left.splice(behind === undefined ? 0 : left.indexOf(behind) + 1, 0, key);
  }
  return [...left, ...[...members].filter((key) => !left.includes(key))];
}

function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
