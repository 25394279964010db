/**
 * The query: an immutable tree. Everything that reads, changes, evaluates or prints a query works on this value.
 */

/** A field of a record that holds text. */
export type TextField = 'title' | 'abstract' | 'keywords' | 'headings' | 'author' | 'journal' | 'fulltext';

/** Where words are looked for. `words` is title, abstract and author keywords together. */
export type SearchField = TextField | 'words';

export const SEARCH_FIELDS: readonly SearchField[] = [
  'words',
  'title',
  'abstract',
  'keywords',
  'headings',
  'author',
  'journal',
  'fulltext',
];

/** The text fields that a search field stands for. */
export function textFieldsOf(field: SearchField): readonly TextField[] {
  return field === 'words' ? ['title', 'abstract', 'keywords'] : [field];
}

/**
 * One word of a phrase. `text` is normalised as `tokenise` does; a `?` in it stands for exactly one unknown
 * letter. With `anyEnding`, any number of further letters may follow (`therap*`).
 */
export interface WordPattern {
  text: string;
  anyEnding: boolean;
}

/** One or more words that stand next to each other, in order, in one field. */
export interface WordsQuery {
  kind: 'words';
  field: SearchField;
  phrase: readonly WordPattern[];
}

/**
 * Parts that stand, pairwise and without overlap, at most `distance` words from each other in one section of one
 * field. Distance counts from the last word of the one to the first word of the other: neighbours are at 1.
 */
export interface NearQuery {
  kind: 'near';
  parts: readonly WordsQuery[];
  /** in words, 1 to `MAX_NEAR_DISTANCE` */
  distance: number;
  ordered: boolean;
}

/** A heading of a named vocabulary. With several subheadings, any of them will do. */
export interface HeadingQuery {
  kind: 'heading';
  vocabulary: string;
  label: string;
  narrower: boolean;
  central: boolean;
  subheadings: readonly string[];
}

/** A restriction: any of the values, or an inclusive range of years (either end may be open). */
export type LimitQuery =
  | { kind: 'limit'; field: string; values: readonly string[] }
  | { kind: 'limit'; field: 'year'; from: number | null; to: number | null };

/** A reference to another line of the same strategy, 1 and up. */
export interface LineQuery {
  kind: 'line';
  line: number;
}

export interface AndQuery {
  kind: 'and';
  operands: readonly Query[];
}

export interface OrQuery {
  kind: 'or';
  operands: readonly Query[];
}

/** What `include` finds and `exclude` does not. */
export interface NotQuery {
  kind: 'not';
  include: Query;
  exclude: Query;
}

export interface EverythingQuery {
  kind: 'everything';
}

export type Query =
  | WordsQuery
  | NearQuery
  | HeadingQuery
  | LimitQuery
  | LineQuery
  | AndQuery
  | OrQuery
  | NotQuery
  | EverythingQuery;

/** Letters a pattern needs before `*`: fewer would match half the dictionary. */
export const MIN_LETTERS_BEFORE_ANY_ENDING = 3;
/** The widest `near`; sections of a field lie further apart than this, so `near` never crosses them. */
export const MAX_NEAR_DISTANCE = 100;
/** The longest text of one term, in characters. */
export const MAX_TERM_LENGTH = 1000;

/** Why years that run backwards are refused: they would find nothing, without a word. */
export function reversedYears(from: number, to: number): string {
  return `The years ${from} to ${to} run backwards and would find nothing. Write ${to} first.`;
}

export function isYearRange(limit: LimitQuery): limit is Extract<LimitQuery, { from: number | null }> {
  return 'from' in limit;
}

/** The queries directly below a query. */
/**
 * A query with its parts changed; what joins them stays.
 * @param change is given each part that joins no others: words, near, headings, limits, lines, everything
 */
export function mapQuery(query: Query, change: (part: Query) => Query): Query {
  switch (query.kind) {
    case 'and':
    case 'or':
      return { ...query, operands: query.operands.map((each) => mapQuery(each, change)) };
    case 'not':
      return { ...query, include: mapQuery(query.include, change), exclude: mapQuery(query.exclude, change) };
    case 'words':
    case 'near':
    case 'heading':
    case 'limit':
    case 'line':
    case 'everything':
      return change(query);
  }
}

export function childrenOf(query: Query): readonly Query[] {
  switch (query.kind) {
    case 'and':
    case 'or':
      return query.operands;
    case 'not':
      return [query.include, query.exclude];
    case 'near':
      return query.parts;
    case 'words':
    case 'heading':
    case 'limit':
    case 'line':
    case 'everything':
      return [];
  }
}
