import fc from 'fast-check';
import { enoughKnown, filterCounts, LEAST_KNOWN } from './known.js';
import type { DesignTree } from './taxonomy.js';

const KINDS: Readonly<Record<string, readonly string[]>> = { trial: ['cross-over', 'cluster'], cohort: [] };
const tree: DesignTree = { designs: [], familyOf: () => null, below: (label) => KINDS[label] ?? [] };
const design = fc.constantFrom('trial', 'cross-over', 'cluster', 'cohort', '', null);

test('a filter is counted as somebody would who goes through the records one by one', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(design, fc.boolean())),
      fc.uniqueArray(fc.constantFrom('trial', 'cohort', 'cluster'), { minLength: 1 }),
      (records, wanted) => {
        const naive = { right: 0, wrong: 0, missed: 0, passed: 0 };
        for (const [known, found] of records) {
          if (known === null) continue;
          const is = wanted.some((each) => known === each || (KINDS[each] ?? []).includes(known));
          if (is && found) naive.right += 1;
          else if (is) naive.missed += 1;
          else if (found) naive.wrong += 1;
          else naive.passed += 1;
        }
        const found = records.flatMap(([, is], place) => (is ? [place] : []));
        const designs = records.map(([known]) => known);
        expect(filterCounts(found, designs, wanted, tree)).toEqual(naive);
        // Told twice, in any order, a record is still one record.
        expect(filterCounts([...found, ...found].reverse(), designs, wanted, tree)).toEqual(naive);
      },
    ),
  );
});

test('enough is known where both the design and the others are there often enough', () => {
  const counts = (ofIt: number, others: number) => ({ right: ofIt, missed: 0, wrong: 0, passed: others });
  expect(enoughKnown(counts(LEAST_KNOWN, LEAST_KNOWN))).toBe(true);
  expect(enoughKnown(counts(LEAST_KNOWN - 1, 500))).toBe(false);
  expect(enoughKnown(counts(500, LEAST_KNOWN - 1))).toBe(false);
});
