import type { RecordRow } from '@even-lantern/contract';
import fc from 'fast-check';
import { withoutRow } from './withoutRow.js';

const SIZE = 4;
const row = (id: number) => ({ id: String(id) }) as RecordRow;
const pagesOf = (rows: readonly RecordRow[]) =>
  Array.from({ length: Math.ceil(rows.length / SIZE) }, (_, i) => rows.slice(i * SIZE, (i + 1) * SIZE));

test('whatever pages are loaded, those not fetched again are as the server would give them', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }),
      fc.nat(29),
      fc.array(fc.boolean(), { minLength: 8 }),
      (n, at, loaded) => {
        const rows = Array.from({ length: n }, (_, i) => row(i));
        const gone = String(at % n);
        const before = pagesOf(rows);
        const after = pagesOf(rows.filter(({ id }) => id !== gone));
        const pages = new Map([...before.entries()].filter(([i]) => loaded[i] === true));
        const holds = [...pages.values()].some((page) => page.some(({ id }) => id === gone));
        const { changed, stale } = withoutRow(pages, gone, SIZE);
        if (!holds) return expect([...changed.keys(), ...stale]).toEqual([]);
        for (const number of pages.keys()) {
          if (stale.includes(number)) continue;
          expect(changed.get(number) ?? pages.get(number)).toEqual(after[number] ?? []);
        }
        // at most one page is fetched again for each stretch that is loaded
        const stretches = [...pages.keys()].filter((i) => !pages.has(i - 1)).length;
        const beginnings = stale.filter((i) => pages.has(i) && changed.has(i)).length;
        expect(beginnings).toBeLessThanOrEqual(stretches);
      },
    ),
  );
});
