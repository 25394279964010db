import type { LookupHit, Vocabulary } from '@even-lantern/core';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Lookups } from './lookups.js';
import { startLookups } from './startLookups.js';
import { useVocabularies, useVocabulary, useTrees } from './useVocabulary.js';

const OFFERED = 6;
const NONE: PlacedHit[] = [];

let worker: Remote<Lookups> | null = null;
const loaded = new WeakMap<Vocabulary, Promise<void>>();

/** The worker, once it holds a vocabulary. */
export function lookupsWith(vocabulary: Vocabulary): Promise<Remote<Lookups>> {
  worker ??= startLookups();
  const lookups = worker;
  const loading = loaded.get(vocabulary) ?? lookups.load(vocabulary);
  loaded.set(vocabulary, loading);
  return loading.then(() => lookups);
}

/** The worker, once it holds some vocabularies; it may hold none. */
export async function lookupsWithAll(vocabularies: readonly Vocabulary[]): Promise<Remote<Lookups>> {
  worker ??= startLookups();
  await Promise.all(vocabularies.map(lookupsWith));
  return worker;
}

/** A hit, and the vocabulary that it is of. */
export interface PlacedHit extends LookupHit {
  vocabulary: string;
}

/**
 * The headings that a typed text may mean, the surest first; null until they are known for just this text. Where
 * the vocabulary at hand has no heading of that name, those of other vocabularies that have one come last.
 * @param only the vocabulary to look in, and in no other
 */
export function useLookup(typed: string, only?: string): PlacedHit[] | null {
  const tree = useVocabulary(only);
  const all = useVocabularies();
  const others = useTrees(only !== undefined || typed === '' ? [] : all.map(({ id }) => id));
  const [answer, setAnswer] = useState<{ typed: string; hits: PlacedHit[] } | null>(null);
  const vocabulary = tree?.vocabulary ?? null;
  useEffect(() => {
    if (vocabulary === null) return;
    let active = true;
    const look = async (): Promise<PlacedHit[]> => {
      const own = await lookIn(vocabulary, typed, OFFERED);
      if (own.some(isSure)) return own;
      const rest = [...others.values()].filter((each) => each.vocabulary !== vocabulary);
      const found = await Promise.all(rest.map((each) => lookIn(each.vocabulary, typed, 1)));
      return [...own, ...found.flat().filter(isSure)];
    };
    void look().then((hits) => {
      if (active) setAnswer({ typed, hits });
    });
    return () => {
      active = false;
    };
  }, [vocabulary, typed, others]);
  if (vocabulary === null) return NONE;
  return answer?.typed === typed ? answer.hits : null;
}

async function lookIn(vocabulary: Vocabulary, typed: string, limit: number): Promise<PlacedHit[]> {
  if (typed === '') return [];
  const lookups = await lookupsWith(vocabulary);
  const hits = await lookups.lookUp(vocabulary.id, typed, limit);
  return hits.map((hit) => ({ ...hit, vocabulary: vocabulary.id }));
}

/** A heading that the typed words name outright, not one that is only likely. */
export function isSure({ reason }: LookupHit): boolean {
  return reason === 'same label' || reason === 'entry term';
}
