import type { TermContent } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';
import { strategyApi } from './api/strategyApi.js';
import { useReview } from './useReview.js';

interface Where {
  /** the lane they may join; null to leave out what they add */
  laneId: string | null;
  /** a term that each would replace */
  instead?: string;
}

/** What terms would find and add before they are added, in the order asked; undefined until counted. */
export function useCandidates(contents: readonly TermContent[], { laneId, instead }: Where) {
  const { review, database } = useReview();
  const { currentData, error, isFetching } = strategyApi.useCandidatesQuery(
    {
      review: review.id,
      candidates: {
        database: database?.id ?? '',
        laneId,
        instead: instead ?? null,
        contents: contents.slice(0, 200),
      },
    },
    { skip: database === null || contents.length === 0 },
  );
  const counts: TermCount[] | undefined = contents.length === 0 ? [] : currentData;
  return { counts, error, isFetching };
}
