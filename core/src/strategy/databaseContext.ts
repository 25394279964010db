/** What strings of a database are written and read with. */
import type { DialectContext } from '../query/index.js';
import { allNarrower, headingCalled, type VocabularyTree } from '../vocabulary/index.js';

export interface KnownOfDatabase {
  /** the id of its vocabulary; null when it has none */
  vocabulary: string | null;
  /** the fields that limits may name */
  limitFields: readonly string[];
  /** its vocabulary, as far as it has been read */
  tree: VocabularyTree | null;
  /** whether it joins the heading of that name to bare words, so that counts are those of what it does */
  joinsHeadings?: boolean;
}

export function databaseContext({
  vocabulary,
  limitFields,
  tree,
  joinsHeadings = false,
}: KnownOfDatabase): DialectContext {
  return {
    vocabulary,
    limitFields,
    ...(tree === null
      ? {}
      : { narrowerOf: ({ label }) => allNarrower(tree, label)?.map((each) => each.label) ?? null }),
    ...(tree === null || !joinsHeadings
      ? {}
      : { headingFor: (words) => headingCalled(tree, words)?.label ?? null }),
  };
}
