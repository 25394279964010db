import { limitText } from '@even-lantern/core';
import type { LimitChange, NewLimit, Problem, ReviewLimit } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { limitApi } from './api/limitApi.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving and taking away limits. The server keeps each as a step that can be taken back. */
export function useLimitEdits() {
  const { review } = useReview();
  const [addLimits] = limitApi.useAddLimitsMutation();
  const [changeLimit] = limitApi.useChangeLimitMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<void> => {
    const { title, detail, errors = [], status }: Problem = problemOf(error);
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409) await refresh(review.id);
  };

  return {
    /** @returns the limits as they were added, or null when they were not */
    add: async (limits: NewLimit[]): Promise<ReviewLimit[] | null> => {
      const result = await addLimits({ review: review.id, limits });
      const added = result.data;
      if (added === undefined) {
        await tell(result.error);
        return null;
      }
      return added;
    },

    change: async (limit: ReviewLimit, change: LimitChange): Promise<Problem | null> => {
      const { id, version } = limit;
      const result = await changeLimit({ review: review.id, id, version, change });
      if (result.data === undefined) {
        const problem = problemOf(result.error);
        if (problem.status !== 400) await tell(result.error);
        return problem;
      }
      return null;
    },

    remove: async (limit: ReviewLimit): Promise<void> => {
      const { id, version } = limit;
      const result = await changeLimit({ review: review.id, id, version, change: { removed: true } });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      toast(`Took away ${limitText(limit)}. Ctrl Z brings it back.`);
    },
  };
}
