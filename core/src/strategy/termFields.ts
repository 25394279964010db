/** Where the words of a term are looked for: one search field, or several at once. */
import { SEARCH_FIELDS, type SearchField } from '../query/index.js';

export const TERM_FIELDS = [...SEARCH_FIELDS, 'withHeadings', 'everything'] as const;
export type TermField = (typeof TERM_FIELDS)[number];

const SEVERAL: Readonly<Record<Exclude<TermField, SearchField>, readonly SearchField[]>> = {
  withHeadings: ['words', 'headings'],
  everything: ['words', 'headings', 'author', 'journal', 'fulltext'],
};

/**
 * The search fields that a term's field stands for in a database.
 * @param has the fields that the database has. A single field is kept though it is missing, since the dialect says
 *   what stands for it; of several, those that are missing are left out.
 */
export function searchFieldsOf(field: TermField, has: readonly SearchField[]): readonly SearchField[] {
  if (field !== 'withHeadings' && field !== 'everything') return [field];
  const found = SEVERAL[field].filter((each) => has.includes(each));
  return found.length === 0 ? ['words'] : found;
}

/**
 * What is not searched though the term asks for it. *Everything* is whatever a database has, so nothing is missing
 * from it.
 */
export function missingFields(field: TermField, has: readonly SearchField[]): readonly SearchField[] {
  return field === 'withHeadings' ? SEVERAL[field].filter((each) => !has.includes(each)) : [];
}
