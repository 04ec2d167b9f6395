import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useRef } from 'react';

/** A list of rows of one height, of which only those in sight are there: ten thousand scroll as well as ten. */
export function RowList<Item>({
  label,
  items,
  rowHeight,
  mostHeight,
  keyOf = (_, index) => index,
  children,
}: {
  readonly label: string;
  readonly items: readonly Item[];
  /** In pixels. */
  readonly rowHeight: number;
  readonly mostHeight: number;
  /** What a row is, for rows that hold something typed: it stays with its item when items move. Else its place. */
  readonly keyOf?: (item: Item, index: number) => string | number;
  children(item: Item, index: number): ReactNode;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  return (
    <section
      ref={scroller}
      className="overflow-auto rounded-lg border bg-surface"
      style={{ maxHeight: mostHeight }}
      tabIndex={0}
      aria-label={label}
    >
      <ul style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map(({ index, start }) => (
          <li
            key={keyOf(items[index]!, index)}
            className="absolute inset-x-0 flex items-center gap-3 border-b px-3"
            style={{ height: rowHeight, transform: `translateY(${start}px)` }}
          >
            {children(items[index]!, index)}
          </li>
        ))}
      </ul>
    </section>
  );
}
