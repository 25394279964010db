import { counted, laneKey, linesReferredTo, termKey } from '@even-lantern/core';
import type { LaneChange, NewLane } from '@even-lantern/contract';
import { laneApi } from './api/laneApi.js';
import type { ReviewLane } from './lanes.js';
import { useEdit } from './useEdit.js';
import { useReview } from './useReview.js';

/** Beginning, splitting, joining, naming, moving and ending lanes. The server keeps each as a step that can be taken back. */
export function useLaneEdits() {
  const { review } = useReview();
  const edit = useEdit();
  const [createLane] = laneApi.useCreateLaneMutation();
  const [changeLane] = laneApi.useChangeLaneMutation();
  const [mergeLane] = laneApi.useMergeLaneMutation();
  const [removeLane] = laneApi.useRemoveLaneMutation();

  const create = async (lane: NewLane): Promise<string | null> =>
    (await edit(createLane({ review: review.id, lane }))).answer?.laneId ?? null;

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
      const sent = mergeLane({ id: lane.id, into: into.id, version: lane.kept.version });
      const { problem } = await edit(sent, {
        notice: ({ merged: { takenOut } }) => {
          const twice =
            takenOut.length === 0
              ? ''
              : ` ${counted(takenOut.length, 'term')} ${takenOut.length === 1 ? 'was' : 'were'} there already.`;
          return `Joined to ${into.name}.${twice} Ctrl Z parts them.`;
        },
      });
      return problem === null;
    },

    change: async (lane: ReviewLane, change: LaneChange): Promise<boolean> => {
      const sent = changeLane({ id: lane.id, version: lane.kept.version, change });
      return (await edit(sent)).problem === null;
    },

    remove: async (lane: ReviewLane): Promise<boolean> => {
      const keys = [laneKey(lane.id), ...lane.terms.map(({ id }) => termKey(id))];
      const used = review.ownLines.some((line) =>
        linesReferredTo(line.text).some((key) => keys.includes(key)),
      );
      const detail = used ? 'A line of your own refers to it, and cannot be counted now.' : undefined;
      const { problem } = await edit(removeLane({ id: lane.id, version: lane.kept.version }), {
        notice: () => [`Ended the lane ${lane.name}. Ctrl Z brings it back.`, detail],
      });
      return problem === null;
    },
  };
}
