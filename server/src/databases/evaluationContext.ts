import {
  allNarrower,
  headingByLabel,
  treeOf,
  type EvaluationContext,
  type Vocabulary,
} from '@even-lantern/core';

/** What evaluating queries here needs of the vocabulary of a database, which may have none. */
export function evaluationContextOf(vocabulary: Vocabulary | null): EvaluationContext {
  const tree = vocabulary === null ? null : treeOf(vocabulary);
  const own = (id: string) => (tree !== null && id === tree.vocabulary.id ? tree : null);
  return {
    narrowerOf: (id, label) => {
      const known = own(id);
      return known === null ? null : (allNarrower(known, label)?.map((heading) => heading.label) ?? null);
    },
    subheadingsOf: (id, label) => {
      const known = own(id);
      return known === null ? null : (headingByLabel(known, label)?.subheadings ?? null);
    },
  };
}
