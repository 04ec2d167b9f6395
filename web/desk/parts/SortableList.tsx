import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { dragTold } from '../../look/dragTold.ts';

const howToMove = {
  draggable: 'Press space to take the row up, the arrow keys to move it, space to put it down, escape to put it back.',
};

/** A row taken up from the keyboard: where it began, and where it is by now. */
interface Held {
  readonly id: string;
  readonly from: number;
  readonly at: number;
}

/**
 * A list put in order by drag, or from the keyboard: space on a grip takes a row up, each arrow moves it at once, space
 * puts it down and escape puts it back. `move` gets the places, counted from 0, before and after. Keys wait for nothing,
 * so that none is lost however fast they come.
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
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const held = useRef<Held | null>(null);
  const [said, setSaid] = useState('');
  const grips = useRef(new Map<string, HTMLButtonElement | null>());
  // A row that the page moves loses the focus, and with it the next key.
  useLayoutEffect(() => {
    if (held.current) grips.current.get(held.current.id)?.focus();
  });
  const list = useRef<HTMLUListElement>(null);
  /** The row that has the focus, or had it last, and its place. */
  const inside = useRef<{ readonly id: string; readonly at: number } | null>(null);
  // Whoever takes a row out goes on at the next one, and at the list where there is none.
  useLayoutEffect(() => {
    const left = inside.current;
    if (!left || items.some(({ id }) => id === left.id)) return;
    inside.current = null;
    if (document.activeElement !== document.body) return;
    const next = items[Math.min(left.at, items.length - 1)];
    (next ? grips.current.get(next.id) : list.current)?.focus();
  });
  const onKey = (item: Item, event: KeyboardEvent): void => {
    const own = held.current?.id === item.id ? held.current : null;
    const takesUp = event.key === ' ' || event.key === 'Enter';
    if (!own && !takesUp) return;
    const step = { ArrowUp: -1, ArrowDown: 1, Home: -items.length, End: items.length }[event.key];
    if (!takesUp && step === undefined && event.key !== 'Escape') return;
    event.preventDefault();
    if (!own) {
      const at = items.findIndex(({ id }) => id === item.id);
      held.current = { id: item.id, from: at, at };
      setSaid(`${item.name} is taken up, place ${at + 1} of ${items.length}.`);
      return;
    }
    const to = step === undefined ? own.from : Math.min(items.length - 1, Math.max(0, own.at + step));
    if (takesUp) {
      held.current = null;
      setSaid(`${item.name} is put down at place ${own.at + 1}.`);
      return;
    }
    if (to !== own.at) move(item, own.at, to);
    held.current = event.key === 'Escape' ? null : { ...own, at: to };
    setSaid(event.key === 'Escape' ? `${item.name} is where it was.` : `${item.name} is at place ${to + 1}.`);
  };
  const announcements = dragTold((id) => {
    const at = items.findIndex((item) => item.id === id);
    return at < 0 ? undefined : { name: items[at]!.name, place: at + 1 };
  });
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
      accessibility={{ announcements, screenReaderInstructions: howToMove }}
      onDragEnd={end}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ul ref={list} tabIndex={-1} aria-label={label} className="space-y-[5px] outline-none">
          {items.map((item, at) => (
            <SortableRow
              key={item.id}
              item={item}
              onKey={(event) => onKey(item, event)}
              enter={() => {
                inside.current = { id: item.id, at };
              }}
              keep={(grip) => grips.current.set(item.id, grip)}
              onLeave={() => {
                held.current = null;
              }}
            >
              {children}
            </SortableRow>
          ))}
        </ul>
      </SortableContext>
      <p role="status" className="sr-only">
        {said}
      </p>
    </DndContext>
  );
}

function SortableRow<Item extends { readonly id: string; readonly name: string }>({
  item,
  onKey,
  onLeave,
  enter,
  keep,
  children,
}: {
  readonly item: Item;
  onKey(event: KeyboardEvent): void;
  /** The focus goes elsewhere. */
  onLeave(): void;
  /** The focus comes into it. */
  enter(): void;
  keep(grip: HTMLButtonElement | null): void;
  children(item: Item, grip: ReactNode): ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
  });
  const grip = (
    <button
      type="button"
      ref={(node) => {
        setActivatorNodeRef(node);
        keep(node);
      }}
      aria-label={`Move ${item.name}`}
      className="cursor-grab touch-none rounded p-0.5 text-soft hover:text-ink"
      {...attributes}
      {...listeners}
      onKeyDown={onKey}
      onBlur={(event) => event.relatedTarget && onLeave()}
    >
      <GripVertical size={15} aria-hidden />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      onFocus={enter}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
      className={isDragging ? 'relative z-10 opacity-90 shadow-lg' : ''}
    >
      {children(item, grip)}
    </li>
  );
}
