/** Lookup and the crosswalk's proposals, over vocabularies that are loaded before. */
import {
  headingByLabel,
  indexForCrosswalk,
  indexForLookup,
  indexVocabulary,
  lookUp,
  proposeCounterparts,
  type CrosswalkIndex,
  type LookupHit,
  type LookupIndex,
  type TakenApart,
  takeApart,
  type Proposal,
  type Settlement,
  type Vocabulary,
  type VocabularyTree,
  type CheckedStrategy,
  type Finding,
  checkStrategy,
} from '@even-lantern/core';

export interface Lookups {
  load(vocabulary: Vocabulary): void;
  lookUp(vocabulary: string, typed: string, limit: number): LookupHit[];
  /** The concepts that each of some texts holds. */
  takeApart(vocabulary: string, texts: string[]): TakenApart[];
  /** For each label, what may stand for it in the other vocabulary. */
  propose(vocabulary: string, labels: string[], target: string, settlements: Settlement[]): Proposal[][];
  /** What the checks find, with the vocabularies that are loaded. */
  check(strategy: StrategyToCheck): Finding[];
}

export type StrategyToCheck = Omit<CheckedStrategy, 'vocabulary'>;

export function makeLookups(): Lookups {
  const trees = new Map<string, VocabularyTree>();
  const indexes = new Map<string, LookupIndex>();
  const crosswalks = new Map<string, CrosswalkIndex>();

  const crosswalkIndex = (id: string): CrosswalkIndex | null => {
    const known = crosswalks.get(id);
    const tree = trees.get(id);
    if (known !== undefined || tree === undefined) return known ?? null;
    const index = indexForCrosswalk(tree);
    crosswalks.set(id, index);
    return index;
  };

  return {
    load(vocabulary) {
      const tree = indexVocabulary(vocabulary);
      trees.set(vocabulary.id, tree);
      indexes.set(vocabulary.id, indexForLookup(tree));
      crosswalks.delete(vocabulary.id);
    },
    lookUp(vocabulary, typed, limit) {
      const index = indexes.get(vocabulary);
      return index === undefined ? [] : lookUp(index, typed, limit);
    },
    takeApart(vocabulary, texts) {
      const index = indexes.get(vocabulary);
      return index === undefined ? [] : texts.map((text) => takeApart(index, text));
    },
    check: (strategy) => checkStrategy({ ...strategy, vocabulary: (id) => trees.get(id) ?? null }),
    propose(vocabulary, labels, target, settlements) {
      const own = crosswalkIndex(vocabulary);
      const other = crosswalkIndex(target);
      return labels.map((label) => {
        const heading = own === null ? null : headingByLabel(own.tree, label);
        return own === null || other === null || heading === null
          ? []
          : proposeCounterparts(own, heading, other, settlements);
      });
    },
  };
}
