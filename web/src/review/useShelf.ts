import { counted } from '@even-lantern/core';
import type { NewConcepts, NewShelfItem, Problem, ShelfItem } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { shelfApi } from './api/shelfApi.js';
import { useReview } from './useReview.js';

/** Putting terms on the shelf and taking them from it, and making concepts lanes. The server keeps each as a step that can be taken back. */
export function useShelf() {
  const { review } = useReview();
  const [makeConcepts] = shelfApi.useMakeConceptsMutation();
  const [putOnShelf] = shelfApi.usePutOnShelfMutation();
  const [takeOffShelf] = shelfApi.useTakeOffShelfMutation();
  const [moveFromShelf] = shelfApi.useMoveFromShelfMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<void> => {
    const { title, detail, errors = [], status }: Problem = problemOf(error);
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409 || status === 404) await refresh(review.id);
  };

  return {
    async put(item: NewShelfItem): Promise<boolean> {
      const result = await putOnShelf({ reviewId: review.id, item });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      toast(`${item.name} is on the shelf. Ctrl Z takes it off again.`);
      return true;
    },

    async takeOff({ id, name, version }: ShelfItem): Promise<void> {
      const result = await takeOffShelf({ id, version });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      toast(`Took ${name} off the shelf. Ctrl Z puts it back.`);
    },

    async moveTo({ id, name, version }: ShelfItem, lane: { id: string; name: string }): Promise<void> {
      const result = await moveFromShelf({ id, version, laneId: lane.id });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      const { present } = result.data;
      const there = present === 0 ? '' : ` ${counted(present, 'term')} it had already.`;
      toast(`Moved ${name} into the lane ${lane.name}.${there}`);
    },

    /** @returns the new lanes, or null where none was made */
    async make(body: NewConcepts): Promise<string[] | null> {
      const result = await makeConcepts({ reviewId: review.id, body });
      if (result.data === undefined) {
        await tell(result.error);
        return null;
      }
      const { laneIds } = result.data;
      const what = counted(laneIds.length, 'lane');
      toast(`Made ${what}. Ctrl Z takes ${laneIds.length === 1 ? 'it' : 'them'} back.`);
      return laneIds;
    },
  };
}
