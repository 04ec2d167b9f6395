import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { type CSSProperties, Fragment, type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import type { Result } from '../../core/answer/answer.ts';
import { dragTold } from '../look/dragTold.ts';
import { columnsOf, placeAfterKey } from '../look/gridKeys.ts';
import { movedTo } from '../look/movedTo.ts';

const howToMove = {
  draggable:
    'Press space to take the product up, the arrow keys to move it, space to pin it where it is, escape to leave it where it was.',
};

/** A product taken up from the keyboard: where it began, and where it is by now, counted from 0. */
interface Held {
  readonly id: string;
  readonly from: number;
  readonly at: number;
}

/**
 * Shelves of which a product is pinned to a place by putting it there: with the mouse or a finger by its grip, from the
 * keyboard with space and the arrows. `pin` gets the product and the result whose place it takes.
 */
export function ArrangedShelves({
  results,
  className,
  style,
  before,
  next,
  pin,
  children,
}: {
  readonly results: readonly Result[];
  readonly className: string;
  readonly style: CSSProperties;
  /** What stands before a place, counted from 1; `next` is the place behind the last one. */
  before(place: number): ReactNode;
  readonly next: number;
  pin(product: Result, place: number): void;
  /** A product on its shelf, with the grip to move it by. */
  children(result: Result, grip: ReactNode): ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const [held, setHeld] = useState<Held | null>(null);
  const [said, setSaid] = useState('');
  const list = useRef<HTMLOListElement>(null);
  // Other results are another shelf: what was taken up there is where it was.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the results are what is watched
  useEffect(() => setHeld(null), [results]);
  const shown = held ? movedTo(results, held.from, held.at) : results;
  const onKey = (result: Result, event: KeyboardEvent): void => {
    const own = held?.id === result.familyId ? held : null;
    const takesUp = event.key === ' ' || event.key === 'Enter';
    if (!own && !takesUp) return;
    if (!own) {
      event.preventDefault();
      const at = results.indexOf(result);
      setHeld({ id: result.familyId, from: at, at });
      setSaid(`${result.title} is taken up, place ${result.place}.`);
      return;
    }
    if (event.key === 'Escape') {
      setHeld(null);
      setSaid(`${result.title} is where it was.`);
      return;
    }
    if (takesUp) {
      event.preventDefault();
      if (own.at !== own.from) pin(result, results[own.at]!.place);
      else setHeld(null);
      setSaid(`${result.title} is put down at place ${results[own.at]!.place}.`);
      return;
    }
    const columns = list.current ? columnsOf(list.current) : 1;
    const at = placeAfterKey(event.key, own.at, { columns, count: results.length });
    if (at === null) return;
    event.preventDefault();
    setHeld({ ...own, at });
    setSaid(`${result.title} is at place ${results[at]!.place}.`);
  };
  const resultOf = (id: unknown): Result | undefined => results.find(({ familyId }) => familyId === id);
  const announcements = dragTold((id) => {
    const result = resultOf(id);
    return result && { name: result.title, place: result.place };
  });
  const end = ({ active, over }: DragEndEvent): void => {
    const [product, target] = [resultOf(active.id), resultOf(over?.id)];
    if (product && target && product !== target) pin(product, target.place);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements, screenReaderInstructions: howToMove, container: document.body }}
      onDragEnd={end}
    >
      <SortableContext items={shown.map(({ familyId }) => familyId)} strategy={rectSortingStrategy}>
        <ol ref={list} className={className} style={style}>
          {shown.map((result, at) => (
            <Fragment key={result.familyId}>
              {before(results[at]!.place)}
              <Standing
                result={result}
                isHeld={held?.id === result.familyId}
                onKey={(event) => onKey(result, event)}
                leave={() => setHeld(null)}
              >
                {children}
              </Standing>
            </Fragment>
          ))}
          {before(next)}
        </ol>
      </SortableContext>
      {/* How many products there are is the page's status; what is moved is said beside it. */}
      <p aria-live="polite" className="sr-only">
        {said}
      </p>
    </DndContext>
  );
}

/** One product of the shelves. */
function Standing({
  result,
  isHeld,
  onKey,
  leave,
  children,
}: {
  readonly result: Result;
  readonly isHeld: boolean;
  onKey(event: KeyboardEvent): void;
  leave(): void;
  children(result: Result, grip: ReactNode): ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: result.familyId,
  });
  const button = useRef<HTMLButtonElement | null>(null);
  // A product that the page moves loses the focus, and with it the next key.
  useEffect(() => {
    if (isHeld) button.current?.focus();
  });
  const grip = (
    <button
      type="button"
      ref={(node) => {
        setActivatorNodeRef(node);
        button.current = node;
      }}
      title="Drag to a place to pin it there"
      className="grid size-6 cursor-grab touch-none place-items-center rounded text-soft hover:text-ink"
      {...attributes}
      {...listeners}
      aria-label={`Move ${result.title}, at place ${result.place}`}
      onKeyDown={onKey}
      onBlur={(event) => isHeld && event.relatedTarget && leave()}
    >
      <GripVertical size={14} aria-hidden />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      data-product={result.familyId}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
      className={`flex flex-col ${isDragging ? 'relative z-10 opacity-90' : ''} ${isHeld ? 'rounded-lg outline-2 outline-press' : ''}`}
    >
      {children(result, grip)}
    </li>
  );
}
