/** A limit of a review: what it restricts, why, and how each database applies it. */
import type { Strength } from '../designs/index.js';

/** Years of publication, both ends included; either may be open, not both. */
export interface YearsChosen {
  kind: 'years';
  from: number | null;
  to: number | null;
}

/** Any of the values will do. A limit that is either on or off has the one value `yes`. */
export interface ValuesChosen {
  kind: 'values';
  values: readonly string[];
  /** how its words are set, for a kind that has several strengths; balanced where nothing is said */
  strength?: Strength;
  /** words of one’s own in place of those that the kind would be said by */
  words?: OwnWords;
}

/** Phrases as people type them; `title:` before one looks in titles alone. */
export interface OwnWords {
  /** any of them will do */
  any: readonly string[];
  /** none of them may be there */
  without: readonly string[];
  /** the saved filter whose words they are, as it was when it was taken; left out where they are nobody else’s */
  from?: FilterSource;
}

/** Characters in the name of a saved filter, at most. */
export const LONGEST_FILTER_NAME = 100;

/** Where a filter comes from. */
export interface FilterSource {
  name: string;
  /** who made it or changed it last, and when (ISO date) */
  by: string;
  date: string;
  /** whether its words were changed here afterwards */
  changed?: boolean;
}

export type LimitValues = YearsChosen | ValuesChosen;

/**
 * How a database applies a limit: by its own limit, by a string of words and headings, by either (so that records
 * without the index data are found by words), or not at all.
 */
export const LIMIT_WAYS = ['own', 'words', 'either', 'none'] as const;
export type LimitWay = (typeof LIMIT_WAYS)[number];

export interface Limit {
  id: string;
  /** the id of its kind */
  kind: string;
  values: LimitValues;
  /** why it is there; empty while it is tried out */
  reason: string;
  /** one that is switched off stays in its place and restricts nothing */
  on: boolean;
  /** by database, where it is not applied in the way that comes first there */
  ways: Readonly<Record<string, LimitWay>>;
}
