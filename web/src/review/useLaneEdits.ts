import { counted, laneKey, linesReferredTo, termKey } from '@even-lantern/core';
import type { LaneChange, NewLane, Problem } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { laneApi } from './api/laneApi.js';
import type { ReviewLane } from './lanes.js';
import { useReview } from './useReview.js';

/** Beginning, splitting, joining, naming, moving and ending lanes. The server keeps each as a step that can be taken back. */
export function useLaneEdits() {
  const { review } = useReview();
  const [createLane] = laneApi.useCreateLaneMutation();
  const [changeLane] = laneApi.useChangeLaneMutation();
  const [mergeLane] = laneApi.useMergeLaneMutation();
  const [removeLane] = laneApi.useRemoveLaneMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<void> => {
    const { title, detail, errors = [], status }: Problem = problemOf(error);
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409) await refresh(review.id);
  };
  const create = async (lane: NewLane): Promise<string | null> => {
    const result = await createLane({ reviewId: review.id, lane });
    if (result.data === undefined) {
      await tell(result.error);
      return null;
    }
    return result.data.laneId;
  };

  return {
    /** @returns the new lane, or null when it was not made */
    begin: (elementId: string | null, name = '') => create({ elementId, name }),

    copy: (lane: ReviewLane) => {
      const name = `${lane.name} (copy)`;
      return create({ elementId: lane.element?.id ?? null, name, copyOf: lane.id });
    },

    split: (lane: ReviewLane, name: string, termIds: string[]) => {
      const take = { laneId: lane.id, version: lane.kept.version, termIds };
      return create({ elementId: lane.element?.id ?? null, name, take });
    },

    merge: async (lane: ReviewLane, into: ReviewLane): Promise<boolean> => {
      const result = await mergeLane({ id: lane.id, into: into.id, version: lane.kept.version });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      const { takenOut } = result.data.merged;
      const twice =
        takenOut.length === 0
          ? ''
          : ` ${counted(takenOut.length, 'term')} ${takenOut.length === 1 ? 'was' : 'were'} there already.`;
      toast(`Joined to ${into.name}.${twice} Ctrl Z parts them.`);
      return true;
    },

    change: async (lane: ReviewLane, change: LaneChange): Promise<boolean> => {
      const result = await changeLane({ id: lane.id, version: lane.kept.version, change });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      return true;
    },

    remove: async (lane: ReviewLane): Promise<boolean> => {
      const result = await removeLane({ id: lane.id, version: lane.kept.version });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      const keys = [laneKey(lane.id), ...lane.terms.map(({ id }) => termKey(id))];
      const used = review.ownLines.some((line) =>
        linesReferredTo(line.text).some((key) => keys.includes(key)),
      );
      const description = used ? 'A line of your own refers to it, and cannot be counted now.' : undefined;
      toast(`Ended the lane ${lane.name}. Ctrl Z brings it back.`, { description });
      return true;
    },
  };
}
