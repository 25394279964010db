import fc from 'fast-check';
import type { TermContent } from '../strategy/index.js';
import { keyOfThing, stateOfThings, thingsOf, type EditableState, type Thing } from './editable.js';
import { reversed, stepBetween, takeBack } from './editStep.js';
import { stepInWords } from './stepInWords.js';

const words = (text: string): TermContent => ({ kind: 'words', text, field: 'words', near: null });
const term = (id: string) => ({ id, content: words(`word ${id}`), origin: 'typed' as const, heldBack: null });
const lane = (id: string, ...terms: string[]) => ({
  id,
  elementId: null,
  name: `lane ${id}`,
  leftOut: false,
  terms: terms.map(term),
});
const own = (id: string) => ({ id, role: 'looks' as const, on: true, text: id, note: '' });

const START: EditableState = {
  framework: 'pico',
  linesFor: 'term',
  ladder: null,
  accepted: [],
  elements: [{ id: 'e', key: 'P', text: 'nurses', note: '', searched: true }],
  strategy: {
    lanes: [lane('A', 'a', 'b', 'c'), lane('B', 'd', 'e')],
    ownLines: [own('x'), own('y')],
    limits: [],
    written: [],
  },
  shelf: [],
};

/** An edit of a state, as a person makes it; numbers choose what it is about. */
type Edit = (state: EditableState, n: number, fresh: string) => void;

const EDITS: Record<string, Edit> = {
  addTerm: ({ strategy }, n, fresh) => void pick(strategy.lanes, n)?.terms.push(term(fresh)),
  takeOutTerm: ({ strategy }, n) => void remove(pick(strategy.lanes, n)?.terms, n >> 2),
  changeTerm: ({ strategy }, n, fresh) => {
    const some = pick(pick(strategy.lanes, n)?.terms ?? [], n >> 2);
    if (some !== undefined) some.content = words(`word ${fresh}`);
  },
  moveTerm: ({ strategy }, n) => {
    const some = remove(pick(strategy.lanes, n)?.terms, n >> 2);
    if (some !== undefined) pick(strategy.lanes, n >> 1)?.terms.push(some);
  },
  beginLane: ({ strategy }, n, fresh) => void strategy.lanes.splice(n % 3, 0, lane(fresh)),
  endLane: ({ strategy }, n) => void remove(strategy.lanes, n),
  moveLane: ({ strategy }, n) => turn(strategy.lanes, n),
  leaveOut: ({ strategy }, n) => {
    const some = pick(strategy.lanes, n);
    if (some !== undefined) some.leftOut = !some.leftOut;
  },
  addOwn: ({ strategy }, n, fresh) => void strategy.ownLines.splice(n % 3, 0, own(fresh)),
  endOwn: ({ strategy }, n) => void remove(strategy.ownLines, n),
  moveOwn: ({ strategy }, n) => turn(strategy.ownLines, n),
  write: ({ elements }, _n, fresh) => {
    for (const element of elements) element.text = fresh;
  },
  toShelf: ({ strategy, shelf }, n, fresh) => {
    const some = remove(pick(strategy.lanes, n)?.terms, n >> 2);
    if (some !== undefined) shelf.push({ id: fresh, name: fresh, contents: [some.content] });
  },
  letStand: ({ accepted }, n, fresh) => {
    const some = pick(accepted, n);
    if (some !== undefined && n % 2 === 1) some.reason = fresh;
    else
      accepted.push({ check: 'a check', at: `term:${fresh}`, detail: '', message: 'odd', reason: 'meant' });
  },
  letStandNoMore: ({ accepted }, n) => void remove(accepted, n),
  fineness: (state) => {
    state.linesFor = state.linesFor === 'term' ? 'lane' : 'term';
  },
  ladder: (state, n, fresh) => {
    state.ladder = n % 3 === 0 ? null : [{ designs: [fresh], answers: true, reason: '' }];
  },
};

function pick<T>(list: readonly T[], n: number): T | undefined {
  return list[n % Math.max(1, list.length)];
}
function remove<T>(list: T[] | undefined, n: number): T | undefined {
  return list === undefined || list.length === 0 ? undefined : list.splice(n % list.length, 1)[0];
}
function turn<T>(list: T[], n: number): void {
  const some = remove(list, n);
  if (some !== undefined) list.splice((n >> 2) % (list.length + 1), 0, some);
}

const anEdit = fc.record({ name: fc.constantFrom(...Object.keys(EDITS)), n: fc.nat(1000) });
const edited = (state: EditableState, { name, n }: { name: string; n: number }, fresh: string) => {
  const next = structuredClone(state);
  EDITS[name]?.(next, n, fresh);
  return next;
};
const plain = (state: EditableState) => stateOfThings(thingsOf(state));
const sorted = (things: ReadonlyMap<string, Thing>) => [...things].sort(([a], [b]) => (a < b ? -1 : 1));

test('a state made of things and put together again is the same', () => {
  expect(plain(START)).toEqual(START);
});

test('edits taken back one after the other, the latest first, lead to each earlier state; and forward again', () => {
  fc.assert(
    fc.property(fc.array(anEdit, { maxLength: 12 }), (edits) => {
      const states = [START];
      for (const [i, edit] of edits.entries()) states.push(edited(states.at(-1) ?? START, edit, `n${i}`));
      let now = thingsOf(states.at(-1) ?? START);
      for (let i = edits.length; i > 0; i -= 1) {
        const [was, is] = [states[i - 1] ?? START, states[i] ?? START];
        const step = stepBetween(thingsOf(was), thingsOf(is));
        if (step === null) continue;
        const back = takeBack(now, step);
        if (!back.ok) throw new Error(`not taken back: ${back.changed.join()}`);
        expect(stateOfThings(back.things)).toEqual(plain(was));
        const again = takeBack(back.things, reversed(step));
        expect(again.ok && stateOfThings(again.things)).toEqual(plain(is));
        now = back.things;
      }
    }),
    { numRuns: 400 },
  );
});

test('what somebody else did since stays: without the first edit, only the second is left', () => {
  let taken = 0;
  fc.assert(
    fc.property(anEdit, anEdit, (first, second) => {
      const one = edited(START, first, 'mine');
      const both = edited(one, second, 'theirs');
      const step = stepBetween(thingsOf(START), thingsOf(one));
      if (step === null) return;
      const back = takeBack(thingsOf(both), step);
      if (!back.ok) {
        expect(back.changed.length).toBeGreaterThan(0);
        return;
      }
      taken += 1;
      // All that the second changed is as the second left it, and all else as it was at first.
      const expected = new Map(thingsOf(START).things);
      for (const { before, after } of stepBetween(thingsOf(one), thingsOf(both))?.changes ?? []) {
        if (before !== null) expected.delete(keyOfThing(before));
        if (after !== null) expected.set(keyOfThing(after), after);
      }
      expect(sorted(back.things.things)).toEqual(sorted(expected));
    }),
    { numRuns: 600 },
  );
  expect(taken).toBeGreaterThan(50);
});

test('a thing that was changed since is not taken back, and is named', () => {
  const one = edited(START, { name: 'changeTerm', n: 0 }, 'mine');
  const step = stepBetween(thingsOf(START), thingsOf(one));
  const two = edited(one, { name: 'changeTerm', n: 0 }, 'theirs');
  expect(step && takeBack(thingsOf(two), step)).toEqual({ ok: false, changed: ['term:a'] });
});

test('a term does not come back into a lane that is gone, nor beside its like', () => {
  const without = edited(START, { name: 'takeOutTerm', n: 0 }, '');
  const step = stepBetween(thingsOf(START), thingsOf(without));
  const gone = edited(without, { name: 'endLane', n: 0 }, '');
  expect(step && takeBack(thingsOf(gone), step)).toMatchObject({ ok: false });
  const again = structuredClone(without);
  again.strategy.lanes[0]?.terms.push({ ...term('z'), content: words('Word  A') });
  expect(step && takeBack(thingsOf(again), step)).toEqual({ ok: false, changed: ['term:a'] });
});

test('an element that a framework brought stays, with its lanes', () => {
  const framed = structuredClone(START);
  framed.framework = 'peo';
  framed.elements.push({ id: 'new', key: 'E', text: '', note: '', searched: false });
  framed.strategy.lanes.push({ ...lane('N'), elementId: 'new' });
  const step = stepBetween(thingsOf(START), thingsOf(framed));
  const back = step && takeBack(thingsOf(framed), step);
  expect(back?.ok && stateOfThings(back.things)).toEqual({ ...framed, framework: 'pico' });
});

test.each([
  ['addTerm', 0, 'added “word new”'],
  ['takeOutTerm', 0, 'took out “word a”'],
  ['changeTerm', 0, 'changed “word new”'],
  ['endLane', 0, 'ended lane A'],
  ['beginLane', 0, 'made the lane lane new'],
  ['leaveOut', 1, 'left out lane B'],
  ['moveLane', 4, 'moved lane B'],
  ['addOwn', 0, 'added a line'],
  ['toShelf', 0, 'moved new to the shelf'],
  ['write', 0, 'wrote population'],
  ['letStand', 0, 'accepted what a check found'],
  ['fineness', 0, 'chose a line for each lane'],
  ['ladder', 1, 'changed the ladder'],
])('%s is told as what was done', (name, n, said) => {
  const next = edited(START, { name, n }, 'new');
  const [before, after] = [thingsOf(START), thingsOf(next)];
  const step = stepBetween(before, after);
  expect(step && stepInWords(step, before, after)).toBe(said);
});

test('an empty lane that comes or goes for an element is not counted among the lanes that were made or ended', () => {
  const empty = structuredClone(START);
  empty.strategy.lanes.push({ ...lane('E'), elementId: 'e' });
  const made = structuredClone(START);
  made.strategy.lanes.push(lane('M', 'm'), lane('N', 'n'));
  const [before, after] = [thingsOf(empty), thingsOf(made)];
  const step = stepBetween(before, after);
  expect(step && stepInWords(step, before, after)).toBe('made 2 lanes');
  const ended = structuredClone(empty);
  ended.strategy.lanes.splice(0, 1);
  ended.strategy.lanes.push(lane('F'));
  const end = stepBetween(thingsOf(empty), thingsOf(ended));
  expect(end && stepInWords(end, thingsOf(empty), thingsOf(ended))).toBe('ended lane A');
});
