import type { Virtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, type RefObject, useState } from 'react';
import { type At, type Column, leftOf, titleWidth } from './grid.ts';

export const rowHeight = 44;
export const headHeight = 36;

interface GridPlace {
  readonly at: At;
  /** Goes to a cell, or to the nearest there is, and brings it into sight. */
  move(row: number, column: number): void;
  /** Moves as a key says; answers whether it is such a key. */
  moveBy(event: KeyboardEvent): boolean;
}

/** The cell one is at in the table, and how the keys move. */
export function useGridPlace({
  scroller,
  virtual,
  columns,
  total,
  moved,
}: {
  readonly scroller: RefObject<HTMLDivElement | null>;
  readonly virtual: Pick<Virtualizer<HTMLDivElement, Element>, 'scrollToIndex'>;
  readonly columns: readonly Column[];
  readonly total: number;
  moved(): void;
}): GridPlace {
  const [at, setAt] = useState<At>({ row: 0, column: -1 });
  const bringIntoSight = (column: number): void => {
    const element = scroller.current;
    if (!element) return;
    if (column >= 0) {
      const left = leftOf(columns, column);
      const right = left + (columns[column]?.width ?? 0);
      if (left - titleWidth < element.scrollLeft) element.scrollLeft = left - titleWidth;
      else if (right > element.scrollLeft + element.clientWidth) element.scrollLeft = right - element.clientWidth;
    }
    element.focus();
  };
  const move = (row: number, column: number): void => {
    const next = {
      row: Math.min(total - 1, Math.max(0, row)),
      column: Math.min(columns.length - 1, Math.max(-1, column)),
    };
    moved();
    setAt(next);
    virtual.scrollToIndex(next.row);
    bringIntoSight(next.column);
  };
  return {
    at,
    move,
    moveBy(event) {
      const { row, column } = at;
      const page = Math.max(1, Math.floor(((scroller.current?.clientHeight ?? 0) - headHeight) / rowHeight) - 1);
      const moves: Record<string, readonly [number, number]> = {
        ArrowDown: [row + 1, column],
        ArrowUp: [row - 1, column],
        ArrowRight: [row, column + 1],
        ArrowLeft: [row, column - 1],
        PageDown: [row + page, column],
        PageUp: [row - page, column],
        Home: event.ctrlKey ? [0, -1] : [row, -1],
        End: event.ctrlKey ? [total - 1, column] : [row, columns.length - 1],
      };
      const to = Object.hasOwn(moves, event.key) ? moves[event.key] : undefined;
      if (!to) return false;
      event.preventDefault();
      move(...to);
      return true;
    },
  };
}
