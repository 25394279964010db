import type { LookupHit, Vocabulary } from '@even-lantern/core';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Lookups } from './lookupWorker.js';
import { startLookups } from './startLookups.js';
import { useVocabulary } from './useVocabulary.js';

const OFFERED = 6;

let worker: Remote<Lookups> | null = null;
const loaded = new WeakMap<Vocabulary, Promise<void>>();

function lookupsWith(vocabulary: Vocabulary): Promise<Remote<Lookups>> {
  worker ??= startLookups();
  const lookups = worker;
  const loading = loaded.get(vocabulary) ?? lookups.load(vocabulary);
  loaded.set(vocabulary, loading);
  return loading.then(() => lookups);
}

/** The headings that a typed text may mean, the surest first; null until they are known for just this text. */
export function useLookup(typed: string): LookupHit[] | null {
  const tree = useVocabulary();
  const [answer, setAnswer] = useState<{ typed: string; hits: LookupHit[] } | null>(null);
  const vocabulary = tree?.vocabulary ?? null;
  useEffect(() => {
    if (vocabulary === null) return;
    let wanted = true;
    void lookupsWith(vocabulary)
      .then((lookups) => lookups.lookUp(vocabulary.id, typed, OFFERED))
      .then((hits) => {
        if (wanted) setAnswer({ typed, hits });
      });
    return () => {
      wanted = false;
    };
  }, [vocabulary, typed]);
  if (vocabulary === null) return [];
  return answer?.typed === typed ? answer.hits : null;
}
