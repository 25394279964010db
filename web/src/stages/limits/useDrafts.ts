import { LIMIT_KINDS, valuesProblem } from '@even-lantern/core';
import { useEffect, useState } from 'react';
import { isFilled, type Draft } from './limitInHand.js';

interface Tried {
  drafts: Draft[];
  /** whether they are only gathered, and counted when they are applied */
  gathering: boolean;
}

/** Limits that are tried in a review. They outlast leaving the stage and loading the page anew, for as long as its tab is open. */
export function useDrafts(review: string) {
  const key = `even-lantern-tried-limits-${review}`;
  const [{ drafts, gathering }, set] = useState<Tried>(() => readTried(sessionStorage.getItem(key)));
  useEffect(() => {
    if (drafts.length === 0 && !gathering) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify({ drafts, gathering }));
  }, [key, drafts, gathering]);
  return {
    drafts,
    gathering,
    setDrafts: (change: (drafts: Draft[]) => Draft[]) =>
      set((now) => ({ ...now, drafts: change(now.drafts) })),
    setGathering: (is: boolean) => set((now) => ({ ...now, gathering: is })),
  };
}

/** What another release of the program kept may not be what this one knows; it is left out then. */
export function readTried(text: string | null): Tried {
  try {
    const { drafts = [], gathering = false } = JSON.parse(text ?? '{}') as Partial<Tried>;
    return { drafts: drafts.filter(isDraft), gathering };
  } catch {
    return { drafts: [], gathering: false };
  }
}

function isDraft(kept: unknown): kept is Draft {
  if (typeof kept !== 'object' || kept === null || !('values' in kept) || !('kind' in kept)) return false;
  const draft = kept as Draft;
  const known = LIMIT_KINDS.some(({ id }) => id === draft.kind);
  return known && (!isFilled(draft) || valuesProblem(draft.kind, draft.values) === null);
}
