/**
 * Which records of several databases are of one work. Databases write one work differently: capitals, initials, a
 * missing DOI, the year of the issue or of the first appearance. Equal DOIs make one work, and so does an equal title
 * with an equal first author and years at most one apart. Records that differ more are taken for different works.
 */
import { textKey } from '../text/index.js';
import type { BibRecord } from './model.js';

export type WorkSigns = Pick<BibRecord, 'title' | 'year' | 'doi'> & { firstAuthor: string };

/** What is needed of a record to tell its work. */
export function workSigns({ title, year, doi, authors }: BibRecord): WorkSigns {
  return { title, year, doi, firstAuthor: authors[0]?.family ?? '' };
}

/** How what one database finds is shared with the others. */
export interface Shared {
  /** works, each once however often the database holds it */
  works: number;
  /** of them, found in another database too */
  elsewhere: number;
  /** of them, found in each of the databases, in order; all of them in its own */
  withEach: number[];
}

/**
 * Records are of one work when their DOI is the same; or when title and first author are, and the years are at most one
 * apart. Titles such as “Editorial” come back year after year, so records with differing DOIs are never joined by
 * title, not even through a third that has none.
 *
 * @returns for each set, in order, its works and how many of them other sets have too
 */
export function sharedWorks(sets: readonly (readonly WorkSigns[])[]): Shared[] {
  const records = sets.flat();
  const groups = groupsOf(records);
  let at = 0;
  const found = sets.map((set) => new Set(set.map(() => groups(at++))));
  const setsOf = new Map<number, Set<number>>();
  found.forEach((own, i) => {
    for (const work of own) setsOf.set(work, (setsOf.get(work) ?? new Set()).add(i));
  });
  return found.map((own) => {
    const holders = [...own].map((work) => setsOf.get(work) ?? new Set());
    return {
      works: own.size,
      elsewhere: holders.filter(({ size }) => size > 1).length,
      withEach: sets.map((_set, i) => holders.filter((each) => each.has(i)).length),
    };
  });
}

/**
 * What each of several sets has alone.
 * @returns for each set, in order, the places of the works that no other set has, by their first record
 */
export function worksApart(sets: readonly (readonly WorkSigns[])[]): number[][] {
  const groups = groupsOf(sets.flat());
  let at = 0;
  const found = sets.map((set) => set.map(() => groups(at++)));
  return found.map((own, i) => {
    const elsewhere = new Set(found.flatMap((works, k) => (k === i ? [] : works)));
    const seen = new Set<number>();
    return own.flatMap((work, place) => {
      if (elsewhere.has(work) || seen.has(work)) return [];
      seen.add(work);
      return [place];
    });
  });
}

/** @returns the work of a record, by its place; records of one work have the same */
function groupsOf(records: readonly WorkSigns[]): (at: number) => number {
  const parents = records.map((_record, i) => i);
  const root = (id: number): number => {
    let top = id;
    for (let up = parents[top]; up !== undefined && up !== top; up = parents[top]) top = up;
    parents[id] = top;
    return top;
  };
  const unite = (ids: readonly number[]) => {
    for (const id of ids.slice(1)) parents[root(id)] = root(ids[0] ?? id);
  };
  const withDoi = (id: number) => records[id]?.doi != null;
  for (const same of grouped(records, ({ doi }) => doi?.toLowerCase() ?? null)) unite(same);
  for (const same of grouped(records, titleKey)) {
    for (const chain of chained(same, records)) {
      const dois = new Set(chain.filter(withDoi).map(root));
      if (dois.size <= 1) unite(chain);
      else
        for (const rest of chained(
          chain.filter((id) => !withDoi(id)),
          records,
        ))
          unite(rest);
    }
  }
  return root;
}

/** A title of no letters says nothing. */
function titleKey({ title, firstAuthor }: WorkSigns): string | null {
  const key = textKey(title);
  return key === '' ? null : `${key}|${textKey(firstAuthor)}`;
}

/** Records by what they have in common, as their places; those that have nothing are left out. */
function grouped(records: readonly WorkSigns[], key: (record: WorkSigns) => string | null): number[][] {
  const groups = new Map<string, number[]>();
  records.forEach((record, i) => {
    const name = key(record);
    if (name === null) return;
    const group = groups.get(name);
    if (group === undefined) groups.set(name, [i]);
    else group.push(i);
  });
  return [...groups.values()];
}

/** Parted where the next is more than a year later. */
function chained(ids: readonly number[], records: readonly WorkSigns[]): number[][] {
  const year = (id: number) => records[id]?.year ?? 0;
  const chains: number[][] = [];
  for (const id of [...ids].sort((a, b) => year(a) - year(b))) {
    const chain = chains.at(-1);
    const before = chain?.at(-1);
    if (chain === undefined || before === undefined || year(id) - year(before) > 1) chains.push([id]);
    else chain.push(id);
  }
  return chains;
}
