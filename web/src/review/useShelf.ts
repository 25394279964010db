import { counted } from '@even-lantern/core';
import type { NewConcepts, NewShelfItem, ShelfItem } from '@even-lantern/contract';
import { shelfApi } from './api/shelfApi.js';
import { useEdit } from './useEdit.js';
import { useReview } from './useReview.js';

/** Putting terms on the shelf and taking them from it, and making concepts lanes. The server keeps each as a step that can be taken back. */
export function useShelf() {
  const { review } = useReview();
  const edit = useEdit();
  const [makeConcepts] = shelfApi.useMakeConceptsMutation();
  const [putOnShelf] = shelfApi.usePutOnShelfMutation();
  const [takeOffShelf] = shelfApi.useTakeOffShelfMutation();
  const [moveFromShelf] = shelfApi.useMoveFromShelfMutation();

  return {
    async put(item: NewShelfItem): Promise<boolean> {
      const notice = () => `${item.name} is on the shelf. Ctrl Z takes it off again.`;
      return (await edit(putOnShelf({ review: review.id, item }), { notice })).problem === null;
    },

    async takeOff({ id, name, version }: ShelfItem): Promise<void> {
      const notice = () => `Took ${name} off the shelf. Ctrl Z puts it back.`;
      await edit(takeOffShelf({ id, version }), { notice });
    },

    async moveTo({ id, name, version }: ShelfItem, lane: { id: string; name: string }): Promise<void> {
      await edit(moveFromShelf({ id, version, laneId: lane.id }), {
        notice: ({ present }) => {
          const there = present === 0 ? '' : ` ${counted(present, 'term')} it had already.`;
          return `Moved ${name} into the lane ${lane.name}.${there}`;
        },
      });
    },

    /** @returns the new lanes, or null where none was made */
    async make(body: NewConcepts): Promise<string[] | null> {
      const { answer } = await edit(makeConcepts({ review: review.id, body }), {
        notice: ({ laneIds }) =>
          `Made ${counted(laneIds.length, 'lane')}. Ctrl Z takes ${laneIds.length === 1 ? 'it' : 'them'} back.`,
      });
      return answer?.laneIds ?? null;
    },
  };
}
