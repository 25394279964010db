/** Lookup beside the page, so that typing never waits for it. */
import {
  indexForLookup,
  indexVocabulary,
  lookUp,
  type LookupHit,
  type LookupIndex,
  type Vocabulary,
} from '@even-lantern/core';
import { expose } from 'comlink';

const indexes = new Map<string, LookupIndex>();

const lookups = {
  load(vocabulary: Vocabulary): void {
    indexes.set(vocabulary.id, indexForLookup(indexVocabulary(vocabulary)));
  },
  lookUp(vocabulary: string, typed: string, limit: number): LookupHit[] {
    const index = indexes.get(vocabulary);
    return index === undefined ? [] : lookUp(index, typed, limit);
  },
};

export type Lookups = typeof lookups;

expose(lookups);
