'use client';

import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { say } from '@/core/say/say';

interface SortableListProps {
  readonly ids: readonly string[];
  /** A row was put where another stood: at this place of the list. */
  readonly onMove: (id: string, place: number) => void;
  readonly className?: string;
  readonly children: React.ReactNode;
}

/** A list whose rows are dragged by their handle, with a mouse or a finger, or moved by the arrows. */
export function SortableList({ ids, onMove, className, children }: SortableListProps) {
  // A press is no drag until it has moved a little.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)));
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <ul className={className}>{children}</ul>
      </SortableContext>
    </DndContext>
  );
}

interface SortableRowProps {
  readonly id: string;
  /** What is moved, for whoever hears it. */
  readonly name: string;
  readonly className?: string;
  /** By so many places: -1 up, 1 down. */
  readonly onStep: (by: number) => void;
  /** The row, given its handle. */
  readonly children: (handle: React.ReactNode) => React.ReactNode;
}

export function SortableRow({ id, name, className = '', onStep, children }: SortableRowProps) {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  const handle = (
    <button
      ref={setActivatorNodeRef}
      type="button"
      aria-label={say('{name}: drag, or press the arrows, to another place', { name })}
      // A finger on it drags the row, not the page.
      className="grid size-10 shrink-0 cursor-grab touch-none place-items-center rounded-lg hover:bg-soft"
      {...listeners}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
        if (by === 0) return;
        event.preventDefault();
        onStep(by);
      }}
    >
      <GripVertical size={18} aria-hidden />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`${className} ${isDragging ? 'relative z-10 bg-soft' : ''}`}
    >
      {children(handle)}
    </li>
  );
}
