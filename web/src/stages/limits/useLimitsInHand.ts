import { limitFindings, type Limit } from '@even-lantern/core';
import type { LimitChange, Problem } from '@even-lantern/contract';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useLimitEdits } from '../../review/useLimitEdits.js';
import { useReview } from '../../review/useReview.js';
import { asTried, firstValues, isFilled, type Draft, type LimitInHand } from './limitInHand.js';
import { useDrafts } from './useDrafts.js';

const NOTHING_CHOSEN: Problem = {
  type: '',
  status: 0,
  title: 'Nothing is chosen yet.',
  detail: 'Choose at least one value.',
};

/** The limits of the review and those that are tried, the one that is selected, and how they are edited. */
export function useLimitsInHand() {
  const { review } = useReview();
  const edits = useLimitEdits();
  const [params, setParams] = useSearchParams();
  const { drafts, gathering, setDrafts, setGathering } = useDrafts(review.id);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [thisYear] = useState(() => new Date().getFullYear());

  const limits: LimitInHand[] = [
    ...review.limits.map((limit): LimitInHand => ({ tried: false, limit })),
    ...drafts.map((limit): LimitInHand => ({ tried: true, limit })),
  ];
  const selected = limits.find(({ limit }) => limit.id === params.get('limit'));

  const select = (id: string | null) => {
    setProblem(null);
    setParams(
      (before) => {
        if (id === null) before.delete('limit');
        else before.set('limit', id);
        return before;
      },
      { replace: true },
    );
  };
  const drop = (id: string) => {
    setDrafts((now) => now.filter((draft) => draft.id !== id));
    select(null);
  };
  const keep = async (some: readonly Draft[]) => {
    const filled = some.filter(isFilled);
    if (filled.length === 0) return setProblem(NOTHING_CHOSEN);
    const added = await edits.add(filled.map(({ id: _id, ...limit }) => limit));
    if (added === null) return;
    setDrafts((now) => now.filter((draft) => !filled.includes(draft)));
    setGathering(false);
    select(filled.length === 1 ? (added[0]?.id ?? null) : null);
  };
  return {
    limits,
    selected,
    select,
    /** why the last edit was refused */
    problem,
    /** what contradicts itself or comes twice among the limits */
    findings: limitFindings(
      limits.map(({ limit }): Limit => limit),
      thisYear,
    ),
    /** all limits with those that are tried, which counts are asked for; undefined where none is tried */
    tried: gathering ? undefined : asTried(review.limits, drafts),

    /** Tries a limit of a kind: it is kept in the page until somebody keeps it in the review. */
    begin: (kind: string, values = firstValues(kind, thisYear)) => {
      const id = `tried-${crypto.randomUUID()}`;
      setDrafts((now) => [...now, { id, kind, values, on: true, ways: {}, reason: '' }]);
      setProblem(null);
      setParams(
        (before) => {
          before.set('limit', id);
          before.delete('view');
          return before;
        },
        { replace: true },
      );
    },
    keep,
    change: async ({ tried, limit }: LimitInHand, changed: LimitChange) => {
      setProblem(null);
      if (tried) {
        const { removed: _removed, before: _before, ...rest } = changed;
        setDrafts((now) => now.map((draft) => (draft.id === limit.id ? { ...draft, ...rest } : draft)));
      } else setProblem(await edits.change(limit, changed));
    },
    remove: ({ tried, limit }: LimitInHand) => {
      if (tried) return drop(limit.id);
      select(null);
      void edits.remove(limit);
    },
    move: ({ tried, limit }: LimitInHand, by: -1 | 1) => {
      if (tried) return;
      const i = review.limits.findIndex(({ id }) => id === limit.id);
      const before = by === -1 ? review.limits[i - 1] : review.limits[i + 2];
      void edits.change(limit, { before: before?.id ?? null });
    },
    moveBefore: (id: string, before: string | null) => {
      const limit = review.limits.find((each) => each.id === id);
      if (limit !== undefined) void edits.change(limit, { before });
    },
    /** Leaves the selected limit; one that is tried alone is dropped. */
    leave: () => {
      if (selected?.tried === true && !gathering) drop(selected.limit.id);
      else select(null);
    },

    /** whether limits are gathered first and counted when they are applied */
    gathering,
    /** how many of those gathered have a value */
    gathered: drafts.filter(isFilled).length,
    gather: () => setGathering(true),
    applyGathered: () => void keep(drafts),
    dropGathered: () => {
      setDrafts(() => []);
      setGathering(false);
      select(null);
    },
  };
}

export type LimitsInHand = ReturnType<typeof useLimitsInHand>;
