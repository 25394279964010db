import type { ReviewOwnLine } from '@even-lantern/contract';
import type { KeyboardEvent } from 'react';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useReview } from '../../../review/useReview.js';
import { onKeys } from '../../../parts/keys/useKey.js';
import { usersOf } from './usersOf.js';
import { ownLineName, type LineNames, type SheetRow } from '../lines/sheetLines.js';

interface OwnLineKeys {
  names: LineNames;
  /** a line that others use is about to be taken away: they are named first */
  onLeave: (own: ReviewOwnLine) => void;
  onRemoved: () => void;
}

/** The keys of an own line’s row: move with Alt and arrows, switch off or on, take away. */
export function useOwnLineKeys({ names, onLeave, onRemoved }: OwnLineKeys) {
  const { ownLines } = useReview().review;
  const edits = useOwnLineEdits();
  return ({ own }: SheetRow, event: KeyboardEvent): void => {
    if (own === null) return;
    const at = ownLines.findIndex(({ id }) => id === own.id);
    const moveBefore = (line: ReviewOwnLine | undefined) =>
      void edits.change(own, { before: line?.id ?? null });
    onKeys({
      'searches.move-up': () => at > 0 && moveBefore(ownLines[at - 1]),
      'searches.move-down': () => at < ownLines.length - 1 && moveBefore(ownLines[at + 2]),
      'searches.switch': () => void edits.change(own, { on: !own.on }),
      'searches.remove': () => {
        if (usersOf(own, ownLines).length > 0) return onLeave(own);
        void edits.remove(own, ownLineName(own, names));
        onRemoved();
      },
    })(event);
  };
}
