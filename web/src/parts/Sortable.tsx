/** A list whose rows are put in another order by dragging a grip, or by its keys: Space, arrows, Space. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

/** Pixels to move before a press is a drag. */
const DRAG_FROM = 4;

interface SortableListProps {
  ids: readonly string[];
  /** a row was put before another one; null for the end */
  onMove: (id: string, before: string | null) => void;
  children: ReactNode;
}

export function SortableList({ ids, onMove, children }: SortableListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    if (over === null || over.id === active.id) return;
    const id = String(active.id);
    const to = ids.indexOf(String(over.id));
    const moved = arrayMove([...ids], ids.indexOf(id), to);
    onMove(id, moved[to + 1] ?? null);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={drop}
      // What it says to those who cannot see stands beside the page: rows may be those of a grid or a table.
      accessibility={{ container: document.body }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** What a row that can be moved is drawn with, and the grip that it is moved by. */
export function useSortableRow(id: string, name: string) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  const moved = transform === null ? undefined : `translateY(${Math.round(transform.y)}px)`;
  return {
    row: {
      ref: setNodeRef,
      style: { transform: moved, transition },
      className: isDragging ? 'bg-base-100 relative z-10 shadow-lg' : '',
    },
    grip: (
      <button
        ref={setActivatorNodeRef}
        type="button"
        {...attributes}
        {...listeners}
        data-grip
        aria-label={`Move ${name}`}
        title="Drag to move, or Space and arrows"
        className="btn btn-ghost btn-xs btn-square cursor-grab touch-none"
      >
        <GripVertical className="h-3.5 w-3.5" aria-hidden="true" />
      </button>
    ),
  };
}

interface SortableRowProps {
  id: string;
  /** what is moved, for the name of the grip */
  name: string;
  /** the row, with its grip where it belongs */
  children: (grip: ReactNode) => ReactNode;
}

export function SortableRow({ id, name, children }: SortableRowProps) {
  const { row, grip } = useSortableRow(id, name);
  return <div {...row}>{children(grip)}</div>;
}
