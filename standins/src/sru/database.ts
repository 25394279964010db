import { DIALECTS, type BibRecord, type SearchIndex, type VocabularyTree } from '@even-lantern/core';

/** A simulated database: its records in one release, and how it describes itself. */
export interface StandInDatabase {
  id: string;
  name: string;
  description: string;
  /** ISO date of the state it is in */
  release: string;
  records: readonly BibRecord[];
  index: SearchIndex;
  tree: VocabularyTree;
  /** fields that limits may name, beside year, with their values */
  limits: Readonly<Record<string, readonly string[]>>;
  /** the most records in one answer */
  pageCap: number;
}

/** CQL, and the database's own dialect where it has one. */
export function queryTypesOf({ id }: StandInDatabase): string[] {
  return DIALECTS.has(id) ? ['cql', id] : ['cql'];
}
