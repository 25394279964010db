/** Taking a row out of a list of which some pages are loaded. */
import type { RecordRow } from '@even-lantern/contract';

export interface PagesWithout {
  /** the pages that changed, by their number */
  changed: Map<number, RecordRow[]>;
  /** those whose end is not known any more, and that have to be fetched again */
  stale: number[];
}

/**
 * The row leaves, and what follows moves up by one, from page to page as far as they are loaded.
 * @param pages rows by the number of their page, from 0
 * @param size of a page; one that is shorter is the last
 */
export function withoutRow(
  pages: ReadonlyMap<number, readonly RecordRow[]>,
  id: string,
  size: number,
): PagesWithout {
  const from = [...pages].find(([, rows]) => rows.some((row) => row.id === id))?.[0];
  if (from === undefined) return { changed: new Map(), stale: [] };
  const changed = new Map<number, RecordRow[]>();
  const stale: number[] = [];
  for (const number of [...pages.keys()].filter((each) => each >= from).sort((a, b) => a - b)) {
    const rows = pages.get(number) ?? [];
    const known = number === from || pages.has(number - 1);
    if (!known) {
      stale.push(number);
      continue;
    }
    const rest = number === from ? rows.filter((row) => row.id !== id) : rows.slice(1);
    const next = pages.get(number + 1)?.[0];
    changed.set(number, next === undefined ? rest : [...rest, next]);
    if (next === undefined && rows.length >= size && !pages.has(number + 1)) stale.push(number);
  }
  return { changed, stale };
}
