/** Matching the indexes of a server to our fields. A proposal only: the person looks at it and confirms. */
import { NAMED, type Named, type Names } from '../names.js';

export interface ServerIndex {
  /** with its context set before a dot, such as `dc.title` */
  name: string;
  title: string;
}

/**
 * What servers call what we call each, best first: the names of elements of Dublin Core (ISO 15836) and MODS, and plain
 * trade words. `headings` are words within headings; headings themselves need a vocabulary, so none is proposed.
 */
const CALLED: Readonly<Record<Named, readonly string[]>> = {
  words: ['words', 'anywhere', 'alltext', 'all', 'any', 'anyfield', 'keyword', 'text', 'serverchoice'],
  title: ['title', 'maintitle'],
  abstract: ['abstract', 'description', 'summary'],
  keywords: ['keywords', 'authorkeywords'],
  headings: ['subject', 'subjects', 'topic', 'headings', 'subjectheading'],
  author: ['creator', 'author', 'name', 'personalname', 'contributor'],
  journal: ['journal', 'source', 'ispartof', 'serial', 'hosttitle', 'publicationname'],
  fulltext: ['fulltext'],
  heading: [],
  year: ['date', 'year', 'issued', 'dateissued', 'publicationyear', 'publicationdate'],
};
/** Of equal names, that of the set which more servers share. */
const SETS = ['dc', 'mods', 'cql', 'rec'];

/** @returns for each of our names the index of the server, or null; words may always be left to the server's choice */
export function proposeNames(indexes: readonly ServerIndex[]): Names {
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '');
  const setOf = (name: string) => {
    const rank = SETS.indexOf(name.split('.')[0]?.toLowerCase() ?? '');
    return rank < 0 ? SETS.length : rank;
  };
  const sorted = [...indexes].sort((a, b) => setOf(a.name) - setOf(b.name));
  const taken = new Set<string>();
  const found = (names: readonly string[]): string | null => {
    for (const read of [
      ({ name }: ServerIndex) => name.split('.').at(-1) ?? '',
      ({ title }: ServerIndex) => title,
    ]) {
      for (const called of names) {
        const index = sorted.find((each) => plain(read(each)) === called && !taken.has(each.name));
        if (index === undefined) continue;
        taken.add(index.name);
        return index.name;
      }
    }
    return null;
  };
  const names = Object.fromEntries(NAMED.map((named) => [named, found(CALLED[named])])) as Record<
    Named,
    string | null
  >;
  return { ...names, words: names.words ?? 'cql.serverChoice' };
}
