import type { DatabaseProfile, Review } from '@even-lantern/contract';
import { useOutletContext } from 'react-router';

/** What every stage of a review needs. */
export interface ReviewContext {
  review: Review;
  /** the database that counts come from; null while it does not answer */
  database: DatabaseProfile | null;
}

export function useReview(): ReviewContext {
  return useOutletContext<ReviewContext>();
}
