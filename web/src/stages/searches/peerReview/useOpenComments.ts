import { useMemo } from 'react';
import { peerReviewApi } from '../../../review/api/peerReviewApi.js';

/** How many comments are open on each line, by its key; under an empty key those on the whole strategy. */
export function useOpenComments(review: string): ReadonlyMap<string, number> {
  const { data } = peerReviewApi.usePeerReviewsQuery(review);
  return useMemo(() => {
    const open = new Map<string, number>();
    for (const { place, settled } of data?.flatMap(({ comments }) => comments) ?? []) {
      if (settled === null) open.set(place, (open.get(place) ?? 0) + 1);
    }
    return open;
  }, [data]);
}
