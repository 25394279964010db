import fc from 'fast-check';
import { sharedWorks, type WorkSigns } from './index.js';

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
  const same = (a: WorkSigns, b: WorkSigns) =>
    (a.doi !== null && a.doi === b.doi) ||
    (a.title !== '' &&
      a.title.replace('.', '').toLowerCase() === b.title.replace('.', '').toLowerCase() &&
      a.firstAuthor === b.firstAuthor &&
      Math.abs(a.year - b.year) <= 1);
  fc.assert(
    fc.property(fc.array(fc.array(signs, { maxLength: 6 }), { minLength: 1, maxLength: 3 }), (sets) => {
      const all = sets.flatMap((set, i) => set.map((record) => ({ record, i })));
      const groups = all.map((_each, i) => i);
      for (let changed = true; changed;) {
        changed = false;
        all.forEach((a, i) =>
          all.forEach((b, j) => {
            const [one = 0, other = 0] = [groups[i], groups[j]];
            if (one !== other && same(a.record, b.record)) {
              groups.forEach((group, k) => (groups[k] = group === one ? other : group));
              changed = true;
            }
          }),
        );
      }
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
    }),
    { numRuns: 400 },
  );
});
