import {
  allNarrower,
  indexVocabulary,
  type EvaluationContext,
  type VocabularyTree,
} from '@even-lantern/core';
import type { Vocabulary } from '@even-lantern/core';
import { useMemo } from 'react';
import { api } from './api.js';
import { useReview } from './useReview.js';

const trees = new WeakMap<Vocabulary, VocabularyTree>();

/** The vocabulary of the database at hand, ready for walking; null while it is fetched, or when there is none. */
export function useVocabulary(): VocabularyTree | null {
  const { database } = useReview();
  const { data } = api.useVocabularyQuery(database?.id ?? '', { skip: database?.vocabulary == null });
  return useMemo(() => {
    if (data === undefined) return null;
    const tree = trees.get(data) ?? indexVocabulary(data);
    trees.set(data, tree);
    return tree;
  }, [data]);
}

/** What highlighting needs to know of the vocabulary. */
export function useEvaluationContext(): EvaluationContext {
  const tree = useVocabulary();
  return useMemo(
    () => ({
      narrowerOf: (_vocabulary, label) =>
        tree === null ? null : (allNarrower(tree, label)?.map((heading) => heading.label) ?? null),
    }),
    [tree],
  );
}
