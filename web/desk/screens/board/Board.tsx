import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DragStartEvent,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type KeyboardEvent, type MouseEvent, type ReactNode, useRef, useState } from 'react';
import type { Gap, Result } from '../../../../core/answer/answer.ts';
import { dragTold } from '../../../look/dragTold.ts';
import { columnsOf, placeAfterKey } from '../../../look/gridKeys.ts';
import { counted } from '../../../look/price.ts';
import { BoardCard, GapCard } from './BoardCard.tsx';
import { chosenAfter } from './boardOrder.ts';

/** Products of a search or a collection as cards, in their order. */
export function Board({
  label,
  cards,
  gaps,
  isFixed,
  chosen,
  setChosen,
  put,
  lineText,
  children,
}: {
  readonly label: string;
  readonly cards: readonly Result[];
  readonly gaps: readonly Gap[];
  /** Whether a product stands where somebody put it. */
  isFixed(card: Result): boolean;
  readonly chosen: ReadonlySet<string>;
  setChosen(chosen: ReadonlySet<string>): void;
  /** Puts products at a place, counted from 1, and those right after it. */
  put(products: readonly string[], place: number): void;
  /** What stands on the line behind what was put in place. */
  readonly lineText: string;
  /** What can be done with what is chosen. */
  readonly children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // A finger that rests takes up, one that moves scrolls.
    useSensor(TouchSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
  );
  const order = cards.map(({ familyId }) => familyId);
  const [last, setLast] = useState<string | null>(null);
  const [lifted, setLifted] = useState<readonly string[]>([]);
  const [said, setSaid] = useState('');
  const buttons = useRef(new Map<string, HTMLButtonElement | null>());
  const list = useRef<HTMLOListElement>(null);
  const focusable = last !== null && order.includes(last) ? last : order[0];
  const inOrder = (products: ReadonlySet<string>): string[] => order.filter((product) => products.has(product));
  const choose = (product: string, { shiftKey, ctrlKey, metaKey }: MouseEvent | KeyboardEvent): void => {
    setChosen(chosenAfter(order, chosen, last, product, { shift: shiftKey, toggle: ctrlKey || metaKey }));
    setLast(product);
  };
  const moveTo = (products: readonly string[], place: number): void => {
    put(products, place);
    setSaid(`${counted(products.length, 'product')} put at place ${place}.`);
  };
  const onKey = (product: string, at: number, event: KeyboardEvent): void => {
    if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      setChosen(chosenAfter(order, chosen, last, product, { shift: event.shiftKey, toggle: true }));
      setLast(product);
      return;
    }
    if (event.key === 'Escape') {
      setChosen(new Set());
      return;
    }
    const columns = list.current ? columnsOf(list.current) : 1;
    const to = placeAfterKey(event.key, at, { columns, count: cards.length });
    if (to === null) return;
    event.preventDefault();
    // With the alt key what is chosen goes along.
    if (event.altKey) {
      const moved = chosen.has(product) ? inOrder(chosen) : [product];
      if (to !== at) moveTo(moved, to + 1);
      setLast(product);
      return;
    }
    const next = order[to]!;
    if (event.shiftKey) setChosen(new Set([...chosen, product, next]));
    setLast(next);
    buttons.current.get(next)?.focus();
  };
  const begin = ({ active }: DragStartEvent): void => {
    const product = String(active.id);
    setLifted(chosen.has(product) ? inOrder(chosen) : [product]);
  };
  const end = ({ over }: DragEndEvent): void => {
    const target = over ? order.indexOf(String(over.id)) : -1;
    if (target >= 0 && !(lifted.length === 1 && lifted[0] === order[target])) moveTo(lifted, target + 1);
    setLifted([]);
  };
  const fixedCount = cards.findIndex((card) => !isFixed(card));
  const inPlace = fixedCount < 0 ? cards.length : fixedCount;
  const carried = cards.find(({ familyId }) => familyId === lifted[0]);
  const announcements = dragTold((id) => {
    const at = order.indexOf(String(id));
    return at < 0 ? undefined : { name: cards[at]!.title, place: at + 1 };
  });
  const gapsAt = (place: number): ReactNode =>
    gaps
      .filter((gap) => gap.place === place)
      .map((gap) => <GapCard key={`gap/${gap.product}`} gap={gap} instead={cards[place - 1]?.title} />);
  const shown = (from: number, to: number): ReactNode =>
    cards.slice(from, to).map((card, index) => {
      const at = from + index;
      const { familyId } = card;
      return [
        // Right behind what is in place a gap belongs to it, and stands above the line.
        at === inPlace ? null : gapsAt(at + 1),
        <BoardCard
          key={familyId}
          card={card}
          place={at + 1}
          isFixed={isFixed(card)}
          isChosen={chosen.has(familyId)}
          isLifted={lifted.includes(familyId)}
          isFocusable={familyId === focusable}
          choose={(event) => choose(familyId, event)}
          onKey={(event) => onKey(familyId, at, event)}
          keep={(button) => buttons.current.set(familyId, button)}
        />,
      ];
    });
  // Cards stand apart, and the shelf edge below them runs through.
  const grid = '-mx-[5px] grid grid-cols-[repeat(auto-fill,minmax(140px,1fr))] gap-y-1.5';
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ announcements }}
      onDragStart={begin}
      onDragEnd={end}
      onDragCancel={() => setLifted([])}
    >
      {children}
      {(inPlace > 0 || gaps.some(({ place }) => place === 1)) && (
        <ol aria-label={`${label}, in place`} className={grid} ref={inPlace === cards.length ? list : undefined}>
          {shown(0, inPlace)}
          {gapsAt(inPlace + 1)}
        </ol>
      )}
      <p className="my-1.5 flex items-center gap-3 text-[12.5px] text-soft after:h-0 after:flex-1 after:border-t after:border-dashed">
        {lineText}
      </p>
      {inPlace < cards.length && (
        <ol aria-label={label} className={grid} ref={list}>
          {shown(inPlace, cards.length)}
        </ol>
      )}
      {gaps
        .filter(({ place }) => place > cards.length + 1)
        .map((gap) => (
          <p key={gap.product} className="text-[13px] text-soft">
            Place {gap.place}: {gap.title} is not shown.
          </p>
        ))}
      <DragOverlay dropAnimation={null}>
        {carried && (
          <div className="w-[132px] rounded-lg border-2 border-press bg-surface p-2 font-semibold text-[13px] shadow-xl">
            {carried.title}
            {lifted.length > 1 && <span className="block text-press">and {lifted.length - 1} more</span>}
          </div>
        )}
      </DragOverlay>
      <p aria-live="polite" className="sr-only">
        {said}
      </p>
    </DndContext>
  );
}
