import type { TakenApart } from '@even-lantern/core';
import { useEffect, useState } from 'react';
import { lookupsWith } from './useLookup.js';
import { useVocabularies, useVocabulary } from './useVocabulary.js';

export interface TextsTakenApart {
  /** the vocabulary that the headings are of */
  vocabulary: string;
  /** in the order of the texts */
  taken: readonly TakenApart[];
}

/**
 * The concepts that some texts hold, worked out beside the page; null until they are known for just these texts. Where
 * the database at hand has no vocabulary, that of another one tells which words belong together.
 * @param texts the same list for the same texts
 */
export function useTakenApart(texts: readonly string[]): TextsTakenApart | null {
  const own = useVocabulary();
  const [first] = useVocabularies();
  const other = useVocabulary(own === null ? first?.id : undefined);
  const vocabulary = (own ?? other)?.vocabulary ?? null;
  const [answer, setAnswer] = useState<(TextsTakenApart & { texts: readonly string[] }) | null>(null);
  useEffect(() => {
    if (vocabulary === null) return;
    let active = true;
    void lookupsWith(vocabulary)
      .then((lookups) => lookups.takeApart(vocabulary.id, [...texts]))
      .then((taken) => {
        if (active) setAnswer({ vocabulary: vocabulary.id, taken, texts });
      });
    return () => {
      active = false;
    };
  }, [vocabulary, texts]);
  return answer?.texts === texts ? answer : null;
}
