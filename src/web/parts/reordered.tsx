import {
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { type ReactNode } from 'react';

/**
 * The row whose upper or lower edge lies nearest to the same edge of the one that is moved. Rows differ in height, and the
 * middle of a tall one never comes near that of a short one above it.
 */
const nearestEdge: CollisionDetection = ({ collisionRect, droppableRects, droppableContainers }) =>
  droppableContainers
    .flatMap((droppableContainer) => {
      const { id } = droppableContainer;
      const rect = droppableRects.get(id);
      if (!rect) return [];
      const upper = Math.abs(rect.top - collisionRect.top);
      const lower = Math.abs(rect.bottom - collisionRect.bottom);
      return [{ id, data: { droppableContainer, value: Math.min(upper, lower) } }];
    })
    .sort((p, q) => p.data.value - q.data.value);

interface Props {
  /** Of the rows, from top to bottom. */
  ids: string[];
  /** Called with the row that was moved and the one whose place it takes. */
  onMove(id: string, to: string): void;
  children: ReactNode;
}

/** A list whose rows are dragged, or moved by keys, into another order. */
export function Reordered({ ids, onMove, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(String(active.id), String(over.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={nearestEdge} onDragEnd={drop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
