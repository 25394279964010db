import { limitText } from '@even-lantern/core';
import type { LimitChange, NewLimit, Problem, ReviewLimit } from '@even-lantern/contract';
import { limitApi } from './api/limitApi.js';
import { useEdit } from './useEdit.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving and taking away limits. The server keeps each as a step that can be taken back. */
export function useLimitEdits() {
  const { review } = useReview();
  const edit = useEdit();
  const [addLimits] = limitApi.useAddLimitsMutation();
  const [changeLimit] = limitApi.useChangeLimitMutation();
  const send = ({ id, version }: ReviewLimit, change: LimitChange) =>
    changeLimit({ review: review.id, id, version, change });

  return {
    /** @returns the limits as they were added, or null when they were not */
    add: async (limits: NewLimit[]): Promise<ReviewLimit[] | null> =>
      (await edit(addLimits({ review: review.id, limits }))).answer,

    /** @returns why it was not changed; what is wrong with the values themselves is shown beside them */
    change: async (limit: ReviewLimit, change: LimitChange): Promise<Problem | null> =>
      (await edit(send(limit, change), { shownBeside: [400] })).problem,

    remove: async (limit: ReviewLimit): Promise<void> => {
      const notice = () => `Took away ${limitText(limit)}. Ctrl Z brings it back.`;
      await edit(send(limit, { removed: true }), { notice });
    },
  };
}
