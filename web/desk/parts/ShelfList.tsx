import type { ReactNode } from 'react';
import { RowList } from './RowList.tsx';

/** From so many rows on only those in sight are there. */
export const manyRows = 60;
const mostHeight = 640;

/** Rows on shelf edges, each its own; many of them scroll in a box of their own. */
export function ShelfList<Item>({
  label,
  items,
  keyOf,
  rowHeight,
  children,
}: {
  readonly label: string;
  readonly items: readonly Item[];
  keyOf(item: Item): string;
  /** Of many rows, in pixels. */
  readonly rowHeight: number;
  children(item: Item): ReactNode;
}) {
  if (items.length > manyRows)
    return (
      <RowList label={label} items={items} rowHeight={rowHeight} mostHeight={mostHeight} keyOf={keyOf}>
        {children}
      </RowList>
    );
  return (
    <ul aria-label={label} className="space-y-[5px]">
      {items.map((item) => (
        <li key={keyOf(item)}>{children(item)}</li>
      ))}
    </ul>
  );
}
