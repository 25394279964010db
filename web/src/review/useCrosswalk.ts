import {
  resolverIn,
  settledAs,
  type TermResolver,
  type Proposal,
  type Settled,
  type TermContent,
} from '@even-lantern/core';
import type { NewSettlement, SettledStep } from '@even-lantern/contract';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { vocabularyApi } from './api/vocabularyApi.js';
import { lookupsWith } from './useLookup.js';
import { useUndo } from './undo.js';
import { verdictOn } from './verdictOn.js';
import { useReview } from './useReview.js';
import { useTrees, useVocabularies } from './useVocabulary.js';

const NOTHING: SettledStep[] = [];

/** What is settled between vocabularies, and how to settle more. */
export function useCrosswalk() {
  const { data } = vocabularyApi.useCrosswalkQuery();
  const [settleNow] = vocabularyApi.useSettleMutation();
  const { remember } = useUndo();
  const settlements = data ?? NOTHING;
  const settle = async (step: NewSettlement, what: string) => {
    const before = verdictOn(settlements, step);
    const result = await settleNow(step);
    if (result.error !== undefined) {
      toast.error(problemOf(result.error).title);
      return;
    }
    const put = (from: NewSettlement['verdict'], verdict: NewSettlement['verdict']) =>
      ({ kind: 'settle heading', from, step: { ...step, verdict } }) as const;
    remember({ what, undo: put(step.verdict, before), redo: put(before, step.verdict) });
  };
  return { settlements, known: data !== undefined, settle };
}

/** What a term's heading has been settled to be in the database at hand; null where nothing needs settling. */
export function useSettledHere(content: TermContent): Settled | null {
  const { database } = useReview();
  const { settlements, known } = useCrosswalk();
  const target = database?.vocabulary?.id;
  if (!known || content.kind !== 'heading' || target === undefined || target === content.vocabulary)
    return null;
  return settledAs(settlements, content.vocabulary, content.label, target);
}

/** How the database with a vocabulary reads the headings of all others, as far as they are known. */
export function useTermResolvers(): (target: string | null) => TermResolver {
  const { review } = useReview();
  const { settlements } = useCrosswalk();
  const served = useVocabularies().filter(({ databases }) => databases.length > 0);
  const inLanes = review.lanes.flatMap(({ terms }) =>
    terms.flatMap(({ content }) => (content.kind === 'heading' ? [content.vocabulary] : [])),
  );
  const trees = useTrees([...new Set([...served.map(({ id }) => id), ...inLanes])]);
  return useMemo(() => {
    const known = new Map<string | null, TermResolver>();
    return (target) => {
      let reading = known.get(target);
      if (reading === undefined) {
        const tree = target === null ? null : (trees.get(target) ?? null);
        known.set(target, (reading = resolverIn(tree, settlements, (id) => trees.get(id) ?? null)));
      }
      return reading;
    };
  }, [settlements, trees]);
}

export interface Proposed {
  label: string;
  target: string;
  proposals: Proposal[];
}

/** What may stand for some headings of a vocabulary in others; null until it is known. */
export function useProposals(
  vocabulary: string,
  labels: readonly string[],
  targets: readonly string[],
): Proposed[] | null {
  const { settlements, known } = useCrosswalk();
  const trees = useTrees([vocabulary, ...targets]);
  const [proposed, setProposed] = useState<Proposed[] | null>(null);
  const key = JSON.stringify([labels, targets]);
  useEffect(() => {
    const [wantedLabels, wantedTargets] = JSON.parse(key) as [string[], string[]];
    const own = trees.get(vocabulary);
    if (own === undefined || !known) return;
    let active = true;
    const requests = wantedTargets.flatMap((target) => {
      const other = trees.get(target);
      if (other === undefined) return [];
      return [
        Promise.all([lookupsWith(own.vocabulary), lookupsWith(other.vocabulary)])
          .then(([lookups]) => lookups.propose(vocabulary, wantedLabels, target, settlements))
          .then((all) => all.map((proposals, i) => ({ label: wantedLabels[i] ?? '', target, proposals }))),
      ];
    });
    void Promise.all(requests).then((answers) => {
      if (active) setProposed(answers.flat());
    });
    return () => {
      active = false;
    };
  }, [vocabulary, key, trees, settlements, known]);
  return proposed;
}
