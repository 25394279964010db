import { api } from './api.js';
import { useReview } from './useReview.js';

/** The live counts of the review at hand. `data` stays while new counts are fetched; `isFetching` says so. */
export function useRehearsal() {
  const { review, database } = useReview();
  return api.useRehearsalQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null, refetchOnReconnect: true },
  );
}
