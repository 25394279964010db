import { api } from './api.js';
import { useReview } from './useReview.js';

/** The live counts of the review at hand. `data` stays while new counts are fetched; `isFetching` says so. */
export function useRehearsal() {
  const { review, database } = useReview();
  const answer = api.useRehearsalQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null, refetchOnReconnect: true },
  );
  // Counts of the database that was chosen before are no earlier state of these.
  const data = answer.data?.database === database?.id ? answer.data : undefined;
  return { ...answer, data };
}
