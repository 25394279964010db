import { strategyApi } from './api/strategyApi.js';
import { useEditsUnderWay } from './useEditsUnderWay.js';
import { useReview } from './useReview.js';

/** The live counts of the review at hand. `data` stays while new counts are to come; `isFetching` says so. */
export function useRehearsal() {
  const { review, database } = useReview();
  const editsUnderWay = useEditsUnderWay();
  const answer = strategyApi.useRehearsalQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null, refetchOnReconnect: true },
  );
  // Counts of the database that was chosen before are no earlier state of these.
  const data = answer.data?.database === database?.id ? answer.data : undefined;
  return { ...answer, data, isFetching: answer.isFetching || editsUnderWay };
}
