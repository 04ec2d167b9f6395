import { type CSSProperties, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { ListedProduct } from '../../../../../api/productEndpoints.ts';
import { Picture } from '../../../parts/ProductLine.tsx';
import { isChosen } from '../../../state/chosenProducts.ts';
import { useProductTable } from '../../../state/productTable.ts';
import { type Column, shownIn, titleWidth } from './grid.ts';

interface Editing {
  /** The column one is at in this row, or null. */
  readonly at: number | null;
  readonly draft: string | null;
  goTo(column: number): void;
  begin(): void;
  typing(text: string): void;
  finish(text: string, step: 'down' | 'right' | 'stay'): void;
  leave(): void;
}

const active = 'outline-2 outline-press -outline-offset-2';

/** One product (or variant) in the table. */
export function GridRow({
  index,
  row,
  columns,
  style,
  ...editing
}: Editing & {
  readonly index: number;
  readonly row: ListedProduct | undefined;
  readonly columns: readonly Column[];
  readonly style: CSSProperties;
}) {
  const { chosen, choose } = useProductTable();
  const isPicked = row !== undefined && isChosen(chosen, row.product);
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-selected={isPicked}
      className={`absolute top-0 left-0 flex border-b ${isPicked ? 'bg-press-soft' : 'bg-surface'}`}
      style={style}
    >
      <div
        role="gridcell"
        id={`cell-${index}--1`}
        tabIndex={-1}
        className={`sticky left-0 z-10 flex shrink-0 items-center gap-2.5 bg-inherit px-3 ${editing.at === -1 ? active : ''}`}
        style={{ width: titleWidth }}
        onClick={() => editing.goTo(-1)}
        onDoubleClick={editing.begin}
        onKeyDown={() => {}}
      >
        {row ? (
          <>
            <input
              type="checkbox"
              tabIndex={-1}
              aria-label={`Choose ${row.title}`}
              checked={isPicked}
              onClick={(event) => event.stopPropagation()}
              onChange={(event) => choose(row.product, event.target.checked)}
            />
            <Picture src={row.picture} />
            {editing.at === -1 && editing.draft !== null ? (
              <CellInput {...editing} draft={editing.draft} label={`Title of ${row.title}`} />
            ) : (
              <span className="min-w-0">
                <Link
                  to={`/catalog/products/${encodeURIComponent(row.product)}`}
                  tabIndex={-1}
                  className={`block truncate font-semibold hover:underline ${row.isHidden ? 'text-soft line-through' : ''}`}
                >
                  {row.title}
                </Link>
                <span className="block truncate text-[12px] text-soft">
                  {[
                    row.variant ?? (row.variants > 1 ? `${row.variants} variants` : row.id),
                    row.isHidden && 'hidden',
                    row.isSoldOut && 'sold out',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
            )}
          </>
        ) : (
          <span className="h-3 w-40 rounded bg-paper-deep" />
        )}
      </div>
      {columns.map((laid, column) => {
        const { id, width: size } = laid;
        const cell = row?.cells[id];
        const isHere = cell?.from === 'here';
        const isActive = editing.at === column;
        return (
          <div
            key={id}
            role="gridcell"
            id={`cell-${index}-${column}`}
            tabIndex={-1}
            className={`flex shrink-0 items-center px-2.5 ${isActive ? active : ''} ${isHere ? 'bg-changed-soft' : ''}`}
            style={{ width: size }}
            title={
              isHere
                ? 'Set here'
                : cell?.contested
                  ? 'Set here too, but the file wins'
                  : laid.isPath
                    ? cell?.shown
                    : undefined
            }
            onClick={() => editing.goTo(column)}
            onDoubleClick={editing.begin}
            onKeyDown={() => {}}
          >
            {isActive && editing.draft !== null ? (
              <CellInput {...editing} draft={editing.draft} label={`${id} of ${row?.title ?? ''}`} />
            ) : (
              <span
                className={`truncate ${cell && cell.different > 1 ? 'text-soft' : ''} ${isHere ? 'text-on-changed' : ''}`}
              >
                {cell && shownIn(laid, cell.shown, cell.different)}
                {isHere && <span className="sr-only"> (set here)</span>}
              </span>
            )}
          </div>
        );
      })}
    </div>
  );
}

/** The cell while it is typed into: Enter takes it and goes down, Tab goes right, Escape leaves it as it was. */
function CellInput({
  draft,
  label,
  typing,
  finish,
  leave,
}: Pick<Editing, 'typing' | 'finish' | 'leave'> & { readonly draft: string; readonly label: string }) {
  const field = useRef<HTMLInputElement>(null);
  /** Leaving by a key is not leaving by the mouse as well. */
  const isDone = useRef(false);
  // Only when it opens: afterwards the caret is the person's.
  useEffect(() => {
    const end = field.current?.value.length ?? 0;
    field.current?.focus();
    field.current?.setSelectionRange(end, end);
  }, []);
  const end = (act: () => void): void => {
    if (isDone.current) return;
    isDone.current = true;
    act();
  };
  return (
    <input
      ref={field}
      aria-label={label}
      className="w-full min-w-0 bg-transparent outline-none"
      value={draft}
      onChange={(event) => typing(event.target.value)}
      onClick={(event) => event.stopPropagation()}
      onBlur={() => end(() => finish(draft, 'stay'))}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') end(() => finish(draft, 'down'));
        else if (event.key === 'Tab') {
          event.preventDefault();
          end(() => finish(draft, 'right'));
        } else if (event.key === 'Escape') end(leave);
      }}
    />
  );
}
