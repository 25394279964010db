/** What a dialect has names for, and what it may lack. */
import { SEARCH_FIELDS } from '../model.js';

/** What a database has names for, beside its limits. */
export const NAMED = [...SEARCH_FIELDS, 'heading', 'year'] as const;
export type Named = (typeof NAMED)[number];

/** Of these, where words of a record are looked for: in all three at once, or in each. */
export const WORD_FIELDS = ['words', 'title', 'abstract', 'keywords'] as const;

/** What a database calls each; null where it has no such thing. A name of no letters is not written. */
export type Names = Readonly<Record<Named, string | null>>;

/** What a database may lack that its kind has. */
export const LACKS = ['endings', 'one letter', 'near', 'narrower', 'central', 'subheadings'] as const;
export type Lack = (typeof LACKS)[number];
