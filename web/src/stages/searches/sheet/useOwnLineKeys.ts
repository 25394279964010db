import type { ReviewOwnLine } from '@even-lantern/contract';
import type { KeyboardEvent } from 'react';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useReview } from '../../../review/useReview.js';
import { usersOf } from './OwnLinePane.js';
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
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      const before = event.key === 'ArrowUp' ? ownLines[at - 1] : ownLines[at + 2];
      if (event.key === 'ArrowUp' ? at > 0 : at < ownLines.length - 1) {
        void edits.change(own, { before: before?.id ?? null });
      }
      return;
    }
    if (event.altKey || event.ctrlKey || event.metaKey) return;
    if (event.key === 'Delete') {
      if (usersOf(own, ownLines).length > 0) onLeave(own);
      else {
        void edits.remove(own, ownLineName(own, names));
        onRemoved();
      }
    } else if (event.key.toLowerCase() === 'x') {
      void edits.change(own, { on: !own.on });
    } else return;
    event.preventDefault();
  };
}
