import { ArrowDown, ArrowUp } from 'lucide-react';
import { allChosen, noneChosen } from '../../../state/chosenProducts.ts';
import { useProductTable } from '../../../state/productTable.ts';
import { type Column, titleWidth } from './grid.ts';

/** The names of the columns, each of which sorts by it: up, down, and back to the catalog's own order. */
export function GridHead({
  columns,
  height,
  width,
}: {
  readonly columns: readonly Column[];
  readonly height: number;
  readonly width: number;
}) {
  const { chosen, set } = useProductTable();
  return (
    <div
      role="row"
      aria-rowindex={1}
      className="sticky top-0 z-20 flex border-b bg-paper-deep font-semibold text-[13px]"
      style={{ height, width }}
    >
      <div
        role="columnheader"
        className="sticky left-0 z-10 flex shrink-0 items-center gap-2.5 bg-paper-deep px-3"
        style={{ width: titleWidth }}
      >
        <input
          type="checkbox"
          aria-label="Choose every product the list shows"
          tabIndex={-1}
          ref={(box) => {
            if (box) box.indeterminate = chosen.ids.size > 0;
          }}
          checked={chosen.isAll && chosen.ids.size === 0}
          onChange={(event) => set({ chosen: event.target.checked ? allChosen : noneChosen })}
        />
        <SortButton id="title" label="Title" />
      </div>
      {columns.map(({ id, label, width: size }) => (
        <div key={id} role="columnheader" className="flex shrink-0 items-center px-2.5" style={{ width: size }}>
          <SortButton id={id} label={label} />
        </div>
      ))}
    </div>
  );
}

function SortButton({ id, label }: { readonly id: string; readonly label: string }) {
  const { sort, set } = useProductTable();
  const own = sort?.key === id ? sort.direction : null;
  const next =
    own === null
      ? ({ key: id, direction: 'up' } as const)
      : own === 'up'
        ? ({ key: id, direction: 'down' } as const)
        : null;
  return (
    <button
      type="button"
      tabIndex={-1}
      className="flex min-w-0 items-center gap-1 hover:underline"
      title={
        own === null
          ? `Sort by ${label}`
          : own === 'up'
            ? `Sorted up; sort ${label} down`
            : 'Sorted down; back to catalog order'
      }
      onClick={() => set({ sort: next })}
    >
      <span className="truncate">{label}</span>
      {own === 'up' && <ArrowUp size={13} aria-label="sorted up" />}
      {own === 'down' && <ArrowDown size={13} aria-label="sorted down" />}
    </button>
  );
}
