/** Headings that a search of then names, and that the vocabulary of now calls otherwise. */
import { childrenOf, mapQuery, type Query } from '../query/index.js';
import { textKey } from '../text/index.js';
import { headingByLabel, type VocabularyTree } from '../vocabulary/index.js';
import type { Renamed } from './differences.js';

/**
 * The headings of a query that are not in a vocabulary any more, and lead to one heading there as an entry term: so a
 * vocabulary tells that a heading was renamed. What leads to none, or to several, is left for the database to refuse.
 */
export function renamesBetween(query: Query, now: VocabularyTree): Renamed[] {
  const renames = new Map<string, Renamed>();
  for (const from of headingsNamed(query, now.vocabulary.id)) {
    if (headingByLabel(now, from) !== null) continue;
    const [heading, other] = now.byEntryTerm.get(textKey(from)) ?? [];
    if (heading !== undefined && other === undefined) renames.set(from, { from, to: heading.label });
  }
  return [...renames.values()];
}

/** The same query with the names of now. */
export function renameHeadings(query: Query, renames: readonly Renamed[]): Query {
  const names = new Map(renames.map(({ from, to }) => [from, to]));
  return mapQuery(query, (part) =>
    part.kind === 'heading' ? { ...part, label: names.get(part.label) ?? part.label } : part,
  );
}

function headingsNamed(query: Query, vocabulary: string): string[] {
  if (query.kind === 'heading') return query.vocabulary === vocabulary ? [query.label] : [];
  return childrenOf(query).flatMap((each) => headingsNamed(each, vocabulary));
}
