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

/** @returns for each set, in order, its works and how many of them other sets have too */
export function sharedWorks(sets: readonly (readonly WorkSigns[])[]): Shared[] {
  const works = new Works();
  const ofSets = sets.map((records) => records.map((record) => works.add(record)));
  const setsOf = new Map<number, Set<number>>();
  const found = ofSets.map((ids, i) => {
    const own = new Set(ids.map((id) => works.root(id)));
    for (const work of own) setsOf.set(work, (setsOf.get(work) ?? new Set()).add(i));
    return own;
  });
  return found.map((own) => {
    const holders = [...own].map((work) => setsOf.get(work) ?? new Set());
    return {
      works: own.size,
      elsewhere: holders.filter(({ size }) => size > 1).length,
      withEach: sets.map((_set, i) => holders.filter((sets) => sets.has(i)).length),
    };
  });
}

/** Groups that grow together when a sign joins them. */
class Works {
  private readonly parents: number[] = [];
  private readonly bySign = new Map<string, number>();

  add({ title, year, doi, firstAuthor }: WorkSigns): number {
    const id = this.parents.push(this.parents.length) - 1;
    const named = `title:${textKey(title)}|${textKey(firstAuthor)}`;
    // A title of no letters says nothing.
    const hasTitle = textKey(title) !== '';
    if (doi !== null) this.join(id, `doi:${doi.toLowerCase()}`);
    if (!hasTitle) return id;
    for (const near of [year - 1, year + 1]) {
      const other = this.bySign.get(`${named}|${near}`);
      if (other !== undefined) this.unite(id, other);
    }
    this.join(id, `${named}|${year}`);
    return id;
  }

  root(id: number): number {
    let at = id;
    for (let up = this.parents[at]; up !== undefined && up !== at; up = this.parents[at]) at = up;
    this.parents[id] = at;
    return at;
  }

  private join(id: number, sign: string): void {
    const other = this.bySign.get(sign);
    if (other === undefined) this.bySign.set(sign, id);
    else this.unite(id, other);
  }

  private unite(a: number, b: number): void {
    this.parents[this.root(a)] = this.root(b);
  }
}
