import {
  DndContext,
  DragOverlay,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { describeTerm } from '@even-lantern/core';
import type { ReviewTerm } from '@even-lantern/contract';
import { useState, type ReactNode } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useTermEdits } from '../../review/useTermEdits.js';

const HOLD = 'hold';
/** Pixels to move before a press is a drag and no longer a click. */
const DRAG_FROM = 6;

interface TermDragProps {
  lanes: readonly ReviewLane[];
  /** asks why a term is held back */
  onHold: (termId: string) => void;
  children: ReactNode;
}

/** Terms can be dragged into another lane, or down to be held back. By keyboard the inspector does the same. */
export function TermDrag({ lanes, onHold, children }: TermDragProps) {
  const { move } = useTermEdits();
  const [dragged, setDragged] = useState<ReviewTerm | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }));
  const termOf = (id: unknown) => lanes.flatMap((lane) => lane.terms).find((term) => term.id === id) ?? null;
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const term = termOf(active.id);
    if (term === null || over === null) return;
    if (over.id === HOLD) onHold(term.id);
    else if (over.id !== term.laneId) void move(term, String(over.id));
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => setDragged(termOf(active.id))}
      onDragCancel={() => setDragged(null)}
      onDragEnd={drop}
    >
      {children}
      {dragged !== null && dragged.heldBack === null && <HoldArea />}
      <DragOverlay dropAnimation={null}>
        {dragged !== null && (
          <div className="rule bg-base-100 rounded border px-3 py-2 shadow-lg">
            {describeTerm(dragged.content).text}
          </div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

function HoldArea() {
  const { setNodeRef, isOver } = useDroppable({ id: HOLD });
  return (
    <div
      ref={setNodeRef}
      data-testid="hold-area"
      className={`fixed bottom-12 left-1/2 z-30 -translate-x-1/2 rounded border-2 border-dashed px-10 py-4 ${isOver ? 'bg-base-content text-base-100' : 'bg-base-300'}`}
    >
      Drop here to hold it back: kept, not searched
    </div>
  );
}
