import type { StrategyVersion } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { useReview } from '../../../review/useReview.js';
import { versionApi } from '../../../review/api/versionApi.js';
import { titleOf } from './titleOf.js';

/** Going back is an edit: what is left is kept, and undo goes there again. */
export function useGoingBack() {
  const { review } = useReview();
  const [goBack] = versionApi.useGoBackMutation();
  return async (version: StrategyVersion) => {
    const answer = await goBack({ review: review.id, id: version.id });
    if (answer.data === undefined) {
      const { title, detail } = problemOf(answer.error);
      toast.error(title, { description: detail });
      return;
    }
    toast(`The strategy is as in ${titleOf(version)} again. Ctrl Z takes it back.`);
  };
}
