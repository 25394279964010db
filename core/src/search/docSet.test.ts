import fc from 'fast-check';
import {
  docsOf,
  fullSet,
  has,
  intersect,
  setOfSorted,
  subtract,
  subtractAll,
  unite,
  type DocSet,
} from './docSet.js';

const UNIVERSE = 300;
const members = fc.oneof(
  fc.uniqueArray(fc.nat(UNIVERSE - 1), { maxLength: 6 }),
  fc.uniqueArray(fc.nat(UNIVERSE - 1), { minLength: 40, maxLength: 300 }),
);
const setOf = (docs: readonly number[]): DocSet =>
  setOfSorted(Uint32Array.from([...docs].sort((a, b) => a - b)), UNIVERSE);
const list = (set: DocSet) => [...docsOf(set)];
const sorted = (docs: Iterable<number>) => [...docs].sort((a, b) => a - b);

test('set algebra is that of plain sets, whichever way the sets are kept', () => {
  fc.assert(
    fc.property(members, members, (a, b) => {
      const [setA, setB] = [setOf(a), setOf(b)];
      expect(list(intersect(setA, setB))).toEqual(sorted(a.filter((doc) => b.includes(doc))));
      expect(list(subtract(setA, setB))).toEqual(sorted(a.filter((doc) => !b.includes(doc))));
      expect(list(unite([setA, setB], UNIVERSE))).toEqual(sorted(new Set([...a, ...b])));
      expect(unite([setA, setB], UNIVERSE).size).toBe(new Set([...a, ...b]).size);
      for (const doc of [0, 31, 32, UNIVERSE - 1]) expect(has(setA, doc)).toBe(a.includes(doc));
    }),
  );
});

test('many sets at once are joined and taken away as they would be one after the other', () => {
  fc.assert(
    fc.property(members, fc.array(members, { maxLength: 12 }), (a, others) => {
      const sets = others.map(setOf);
      const all = new Set(others.flat());
      expect(list(unite(sets, UNIVERSE))).toEqual(sorted(all));
      expect(list(subtractAll(setOf(a), sets))).toEqual(sorted(a.filter((doc) => !all.has(doc))));
      expect(sets.map(list)).toEqual(others.map(sorted));
    }),
  );
});

test('operations leave their operands as they were', () => {
  fc.assert(
    fc.property(members, members, (a, b) => {
      const [setA, setB] = [setOf(a), setOf(b)];
      intersect(setA, setB);
      subtract(setA, setB);
      unite([setA, setB], UNIVERSE);
      expect([list(setA), list(setB)]).toEqual([sorted(a), sorted(b)]);
    }),
  );
});

test.each([0, 1, 31, 32, 33, 64])('everything of %i documents is just those', (universe) => {
  expect(fullSet(universe).size).toBe(universe);
  expect(list(fullSet(universe))).toEqual(Array.from({ length: universe }, (_, i) => i));
});
