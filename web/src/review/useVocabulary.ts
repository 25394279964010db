import { allNarrower, treeOf, type EvaluationContext, type VocabularyTree } from '@even-lantern/core';
import type { VocabularySummary } from '@even-lantern/contract';
import { useMemo } from 'react';
import { vocabularyApi } from './api/vocabularyApi.js';
import { useEachVocabulary } from './useEach.js';
import { useReview } from './useReview.js';

/**
 * A vocabulary ready for walking; null while it is fetched, or when there is none.
 * @param id the vocabulary of the database at hand, when it is not said
 */
export function useVocabulary(id?: string): VocabularyTree | null {
  const { database } = useReview();
  const vocabulary = id ?? database?.vocabulary?.id ?? '';
  const { data } = vocabularyApi.useVocabularyQuery(vocabulary, { skip: vocabulary === '' });
  return useMemo(() => (data === undefined ? null : treeOf(data)), [data]);
}

const NONE: VocabularySummary[] = [];

/** All vocabularies that are known. */
export function useVocabularies(): VocabularySummary[] {
  return vocabularyApi.useVocabulariesQuery().data ?? NONE;
}

/** Some vocabularies by id, as far as they have come. */
export function useTrees(ids: readonly string[]): ReadonlyMap<string, VocabularyTree> {
  const all = useEachVocabulary(ids);
  return useMemo(
    () => new Map(all.flatMap((each) => (each === undefined ? [] : [[each.id, treeOf(each)] as const]))),
    [all],
  );
}

/** What highlighting needs to know of vocabularies. */
export function useEvaluationContext(ids: readonly string[]): EvaluationContext {
  const known = useTrees(ids);
  return useMemo(
    () => ({
      narrowerOf: (vocabulary, label) => {
        const tree = known.get(vocabulary);
        return tree === undefined
          ? null
          : (allNarrower(tree, label)?.map((heading) => heading.label) ?? null);
      },
    }),
    [known],
  );
}
