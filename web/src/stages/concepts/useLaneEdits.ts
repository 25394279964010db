import { counted, laneKey, linesReferredTo, termKey } from '@even-lantern/core';
import type { LaneChange, NewLane, Problem } from '@even-lantern/contract';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import { laneApi } from '../../app/laneApi.js';
import type { ReviewLane } from '../../app/lanes.js';
import { useUndo } from '../../app/undo.js';
import { useReview } from '../../app/useReview.js';

/** Beginning, splitting, joining, naming, moving and ending lanes, each with its way back. */
export function useLaneEdits() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [createLane] = laneApi.useCreateLaneMutation();
  const [changeLane] = laneApi.useChangeLaneMutation();
  const [mergeLane] = laneApi.useMergeLaneMutation();
  const [removeLane] = laneApi.useRemoveLaneMutation();
  const [restoreLane] = laneApi.useRestoreLaneMutation();
  const [refresh] = api.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<void> => {
    const { title, detail, errors = [], status }: Problem = problemOf(error);
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409) await refresh(review.id);
  };
  /** The version that a lane is at now, since others may have raised it. */
  const versionNow = async (id: string): Promise<number> =>
    (await refresh(review.id).unwrap()).lanes.find((lane) => lane.id === id)?.version ?? 0;

  const create = async (
    lane: NewLane,
    what: string,
    undo: (id: string) => Promise<void>,
  ): Promise<string | null> => {
    const result = await createLane({ reviewId: review.id, lane });
    if (result.data === undefined) {
      await tell(result.error);
      return null;
    }
    const { laneId } = result.data;
    remember({ what, undo: () => undo(laneId) });
    return laneId;
  };
  const end = async (id: string): Promise<void> => {
    await removeLane({ id, version: await versionNow(id) }).unwrap();
  };

  return {
    /** @returns the new lane, or null when it was not made */
    begin: (elementId: string | null, name = '') => create({ elementId, name }, 'began a lane', end),

    copy: (lane: ReviewLane) => {
      const name = `${lane.name} (copy)`;
      return create(
        { elementId: lane.element?.id ?? null, name, copyOf: lane.id },
        `copied ${lane.name}`,
        end,
      );
    },

    split: (lane: ReviewLane, name: string, termIds: string[]) => {
      const take = { laneId: lane.id, version: lane.kept.version, termIds };
      const rejoin = async (id: string) => {
        await mergeLane({ id, into: lane.id, version: await versionNow(id) }).unwrap();
      };
      return create({ elementId: lane.element?.id ?? null, name, take }, `split ${lane.name}`, rejoin);
    },

    merge: async (lane: ReviewLane, into: ReviewLane): Promise<boolean> => {
      const result = await mergeLane({ id: lane.id, into: into.id, version: lane.kept.version });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      const { moved, takenOut } = result.data.merged;
      const restore = async () => {
        await restoreLane({ id: lane.id, moved, takenOut }).unwrap();
      };
      remember({ what: `joined ${lane.name} to ${into.name}`, undo: restore });
      const twice =
        takenOut.length === 0
          ? ''
          : ` ${counted(takenOut.length, 'term')} ${takenOut.length === 1 ? 'was' : 'were'} there already.`;
      toast(`Joined to ${into.name}.${twice} Ctrl Z parts them.`);
      return true;
    },

    change: async (lane: ReviewLane, change: LaneChange, what: string): Promise<boolean> => {
      const { name, leftOut, elementId, version } = lane.kept;
      const result = await changeLane({ id: lane.id, version, change });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      const after = review.lanes[review.lanes.findIndex(({ id }) => id === lane.id) + 1]?.id ?? null;
      const back: LaneChange = {
        ...(change.name === undefined ? {} : { name }),
        ...(change.leftOut === undefined ? {} : { leftOut }),
        ...(change.elementId === undefined ? {} : { elementId }),
        ...(change.before === undefined ? {} : { before: after }),
      };
      const undo = async () => {
        await changeLane({ id: lane.id, version: await versionNow(lane.id), change: back }).unwrap();
      };
      remember({ what: `${what} ${lane.name}`, undo });
      return true;
    },

    remove: async (lane: ReviewLane): Promise<boolean> => {
      const result = await removeLane({ id: lane.id, version: lane.kept.version });
      if (result.data === undefined) {
        await tell(result.error);
        return false;
      }
      const undo = async () => {
        await restoreLane({ id: lane.id, moved: [], takenOut: [] }).unwrap();
      };
      remember({ what: `ended ${lane.name}`, undo });
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
