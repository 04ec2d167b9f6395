import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

/**
 * A list put in order by drag, or from the keyboard: space on a grip takes a row up, the arrows move it, space puts
 * it down. `move` gets the places, counted from 0, before and after.
 */
export function SortableList<Item extends { readonly id: string; readonly name: string }>({
  label,
  items,
  move,
  children,
}: {
  readonly label: string;
  readonly items: readonly Item[];
  move(item: Item, from: number, to: number): void;
  children(item: Item, grip: ReactNode): ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const nameOf = (id: unknown): string => items.find((item) => item.id === id)?.name ?? '';
  const placeOf = (id: unknown): number => items.findIndex((item) => item.id === id) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is taken up.`,
    onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)} is over place ${placeOf(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} is put down at place ${placeOf(over.id)}.` : undefined,
    onDragCancel: ({ active }) => `${nameOf(active.id)} is where it was.`,
  };
  const end = ({ active, over }: DragEndEvent): void => {
    const from = items.findIndex((item) => item.id === active.id);
    const to = items.findIndex((item) => item.id === over?.id);
    if (from >= 0 && to >= 0 && from !== to) move(items[from]!, from, to);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis, restrictToParentElement]}
      accessibility={{ announcements }}
      onDragEnd={end}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ul aria-label={label} className="space-y-[5px]">
          {items.map((item) => (
            <SortableRow key={item.id} item={item}>
              {children}
            </SortableRow>
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

function SortableRow<Item extends { readonly id: string; readonly name: string }>({
  item,
  children,
}: {
  readonly item: Item;
  children(item: Item, grip: ReactNode): ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
  });
  const grip = (
    <button
      type="button"
      ref={setActivatorNodeRef}
      aria-label={`Move ${item.name}`}
      className="cursor-grab touch-none rounded p-0.5 text-soft hover:text-ink"
      {...attributes}
      {...listeners}
    >
      <GripVertical size={15} aria-hidden />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
      className={isDragging ? 'relative z-10 opacity-90 shadow-lg' : ''}
    >
      {children(item, grip)}
    </li>
  );
}
