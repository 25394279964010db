import { counted } from '@even-lantern/core';
import type { NewConcepts, NewShelfItem, Problem, ShelfItem } from '@even-lantern/contract';
import { toast } from 'sonner';
import { api, problemOf } from './api.js';
import { laneApi } from './laneApi.js';
import { shelfApi } from './shelfApi.js';
import { useUndo } from './undo.js';
import { useReview } from './useReview.js';

/** Putting terms on the shelf and taking them from it, and making concepts lanes; each with its way back. */
export function useShelf() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [makeConcepts] = shelfApi.useMakeConceptsMutation();
  const [putOnShelf] = shelfApi.usePutOnShelfMutation();
  const [takeOffShelf] = shelfApi.useTakeOffShelfMutation();
  const [putBack] = shelfApi.usePutBackOnShelfMutation();
  const [moveFromShelf] = shelfApi.useMoveFromShelfMutation();
  const [changeTerm] = api.useChangeTermMutation();
  const [changeElement] = api.useChangeElementMutation();
  const [removeLane] = laneApi.useRemoveLaneMutation();
  const [refresh] = api.useLazyReviewQuery();

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
      const { id, version } = result.data;
      const undo = async () => {
        await takeOffShelf({ id, version }).unwrap();
      };
      remember({ what: `put ${item.name} on the shelf`, undo });
      toast(`${item.name} is on the shelf. Ctrl Z takes it off again.`);
      return true;
    },

    async takeOff({ id, name, version }: ShelfItem): Promise<void> {
      const result = await takeOffShelf({ id, version });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      const { version: after } = result.data;
      const undo = async () => {
        await putBack({ id, version: after }).unwrap();
      };
      remember({ what: `took ${name} off the shelf`, undo });
      toast(`Took ${name} off the shelf. Ctrl Z puts it back.`);
    },

    async moveTo({ id, name, version }: ShelfItem, lane: { id: string; name: string }): Promise<void> {
      const result = await moveFromShelf({ id, version, laneId: lane.id });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      const { terms, present } = result.data;
      const undo = async () => {
        await putBack({ id, version: version + 1 }).unwrap();
        for (const term of terms) {
          await changeTerm({ id: term.id, version: term.version, change: { removed: true } }).unwrap();
        }
      };
      remember({ what: `moved ${name} into ${lane.name}`, undo });
      const there = present === 0 ? '' : ` ${counted(present, 'term')} it had already.`;
      toast(`Moved ${name} into the lane ${lane.name}.${there}`);
    },

    /** @returns the new lanes, or null where none was made */
    async make(body: NewConcepts): Promise<string[] | null> {
      const before = review.elements;
      const result = await makeConcepts({ reviewId: review.id, body });
      if (result.data === undefined) {
        await tell(result.error);
        return null;
      }
      const { laneIds } = result.data;
      const undo = async () => {
        // Each answer tells how the review stands after it, which a review fetched beside it need not.
        let present = await refresh(review.id).unwrap();
        for (const id of [...laneIds].reverse()) {
          const lane = present.lanes.find((each) => each.id === id);
          if (lane !== undefined) present = await removeLane({ id, version: lane.version }).unwrap();
        }
        for (const { fromShelf } of body.concepts) {
          const item = review.shelf.find(({ id }) => id === fromShelf);
          if (item !== undefined) await putBack({ id: item.id, version: item.version + 1 }).unwrap();
        }
        for (const { id, text, searched } of before) {
          const now = present.elements.find((each) => each.id === id);
          const written = body.texts.some(({ elementId }) => elementId === id) && now?.text !== text;
          if (now === undefined || (now.searched === searched && !written)) continue;
          const change = { searched, ...(written ? { text } : {}) };
          await changeElement({ reviewId: review.id, id, version: now.version, change }).unwrap();
        }
      };
      const what = counted(laneIds.length, 'lane');
      remember({ what: `made ${what}`, undo });
      toast(`Made ${what}. Ctrl Z takes ${laneIds.length === 1 ? 'it' : 'them'} back.`);
      return laneIds;
    },
  };
}
