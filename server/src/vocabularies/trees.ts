import { indexVocabulary, type Vocabulary, type VocabularyTree } from '@even-lantern/core';

const trees = new WeakMap<Vocabulary, VocabularyTree>();

/** A vocabulary made ready for walking, once. */
export function treeOf(vocabulary: Vocabulary): VocabularyTree {
  const tree = trees.get(vocabulary) ?? indexVocabulary(vocabulary);
  trees.set(vocabulary, tree);
  return tree;
}
