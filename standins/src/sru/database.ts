import {
  DIALECTS,
  SEARCH_FIELDS,
  type BibRecord,
  type SearchField,
  type SearchIndex,
  type VocabularyTree,
} from '@even-lantern/core';
import type { About } from '../content.js';

/** A simulated database: its records in one release, and how it describes itself. */
export interface StandInDatabase {
  id: string;
  name: string;
  description: string;
  about: About;
  /** ISO date of the state it is in */
  release: string;
  /** the releases that can be asked for, and the one to come; of the present release only */
  releases?: readonly string[];
  next?: string | null;
  records: readonly BibRecord[];
  index: SearchIndex;
  /** null for a database without a vocabulary */
  tree: VocabularyTree | null;
  /** fields that limits may name, beside year, with their values; empty where they are too many to list */
  limits: Readonly<Record<string, readonly string[]>>;
  /** the most records in one answer */
  pageCap: number;
}

/** CQL, and the database's own dialect where it has one. */
export function queryTypesOf({ id }: StandInDatabase): string[] {
  return DIALECTS.has(id) ? ['cql', id] : ['cql'];
}

/** The fields that its records have: those that its own dialect can name. */
export function fieldsOf({ id }: StandInDatabase): readonly SearchField[] {
  return DIALECTS.get(id)?.abilities.fields ?? SEARCH_FIELDS;
}
