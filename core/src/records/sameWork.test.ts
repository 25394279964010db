import fc from 'fast-check';
import { sharedWorks, worksApart, type WorkSigns } from './index.js';

const work = (title: string, parts: Partial<WorkSigns> = {}): WorkSigns => ({
  title,
  year: 2020,
  doi: null,
  firstAuthor: 'Ortvik',
  ...parts,
});

test('one work in two databases is one, however they write it', () => {
  const sets = [
    [work('Lamps on the ward', { doi: '10.5555/Lamps' }), work('Naps')],
    [
      work('LAMPS ON THE WARD.'),
      work('Another title', { doi: '10.5555/lamps' }),
      work('Naps', { year: 2021 }),
    ],
  ];
  expect(sharedWorks(sets)).toEqual([
    { works: 2, elsewhere: 2, withEach: [2, 2] },
    { works: 2, elsewhere: 2, withEach: [2, 2] },
  ]);
});

test('equal titles of other authors, or of years further apart, are other works', () => {
  const sets = [
    [work('Editorial'), work('')],
    [work('Editorial', { firstAuthor: 'Quill' }), work('Editorial', { year: 2023 }), work('')],
  ];
  expect(sharedWorks(sets).map(({ elsewhere }) => elsewhere)).toEqual([0, 0]);
});

test('differing DOIs are differing works, however alike their titles, and no third record joins them', () => {
  const sets = [
    [work('Editorial', { doi: '10.5555/a', year: 2019 })],
    [work('Editorial', { doi: '10.5555/b', year: 2020 })],
    [work('Editorial')],
  ];
  expect(sharedWorks(sets).map(({ elsewhere }) => elsewhere)).toEqual([0, 0, 0]);
});

test('a work that a database holds twice counts once', () => {
  expect(sharedWorks([[work('Naps'), work('Naps')], []])).toEqual([
    { works: 1, elsewhere: 0, withEach: [1, 0] },
    { works: 0, elsewhere: 0, withEach: [0, 0] },
  ]);
});

test('groups are those of the naive joining of every pair, whatever the order', () => {
  const signs = fc.record({
    title: fc.constantFrom('a1', 'b1', 'A1.', ''),
    year: fc.integer({ min: 2000, max: 2003 }),
    doi: fc.constantFrom(null, null, '10.5555/x', '10.5555/y'),
    firstAuthor: fc.constantFrom('Q', 'R'),
  });
  const sameTitle = (a: WorkSigns, b: WorkSigns) =>
    a.title !== '' &&
    a.title.replace('.', '').toLowerCase() === b.title.replace('.', '').toLowerCase() &&
    a.firstAuthor === b.firstAuthor &&
    Math.abs(a.year - b.year) <= 1;
  /** The classes of a relation, by joining every pair again and again. */
  const closed = (all: readonly WorkSigns[], same: (a: number, b: number) => boolean) => {
    const groups = all.map((_each, i) => i);
    for (let changed = true; changed;) {
      changed = false;
      all.forEach((_a, i) =>
        all.forEach((_b, j) => {
          const [one = 0, other = 0] = [groups[i], groups[j]];
          if (one === other || !same(i, j)) return;
          groups.forEach((group, k) => (groups[k] = group === one ? other : group));
          changed = true;
        }),
      );
    }
    return groups;
  };
  fc.assert(
    fc.property(fc.array(fc.array(signs, { maxLength: 6 }), { minLength: 1, maxLength: 3 }), (sets) => {
      const all = sets.flatMap((set, i) => set.map((record) => ({ record, i })));
      const records = all.map(({ record }) => record);
      const at = (i: number) => records[i] as WorkSigns;
      const titles = closed(records, (i, j) => sameTitle(at(i), at(j)));
      const several = (i: number) =>
        new Set(records.flatMap(({ doi }, k) => (titles[k] === titles[i] && doi !== null ? [doi] : [])))
          .size > 1;
      const groups = closed(records, (i, j) => {
        if (at(i).doi !== null && at(i).doi === at(j).doi) return true;
        if (!sameTitle(at(i), at(j))) return false;
        return !several(i) || (at(i).doi === null && at(j).doi === null);
      });
      const expected = sets.map((_set, i) => {
        const groupsOf = (belongs: (set: number) => boolean) =>
          new Set(groups.filter((_group, k) => belongs(all[k]?.i ?? -1)));
        const own = [...groupsOf((set) => set === i)];
        const others = groupsOf((set) => set !== i);
        return {
          works: own.length,
          elsewhere: own.filter((group) => others.has(group)).length,
          withEach: sets.map((_other, j) => {
            const there = groupsOf((set) => set === j);
            return own.filter((group) => there.has(group)).length;
          }),
        };
      });
      expect(sharedWorks(sets)).toEqual(expected);
      // What a set has alone is what it has without what others have too.
      expect(worksApart(sets).map(({ length }) => length)).toEqual(
        expected.map(({ works, elsewhere }) => works - elsewhere),
      );
    }),
    { numRuns: 400 },
  );
});
