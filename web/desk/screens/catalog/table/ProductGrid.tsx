import {
  columnSizingFeature,
  createColumnHelper,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ClipboardEvent, type KeyboardEvent, useMemo, useRef, useState } from 'react';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import type { ListedProduct } from '../../../../../api/productEndpoints.ts';
import { isChosen } from '../../../state/chosenProducts.ts';
import { useRowsInSight } from '../../../state/productRows.ts';
import { useProductTable } from '../../../state/productTable.ts';
import { GridHead } from './GridHead.tsx';
import { GridRow } from './GridRow.tsx';
import { type At, titleWidth } from './grid.ts';
import { pasteInto, typeInto } from './typeInto.ts';

const rowHeight = 44;
const headHeight = 36;
const nothing: ListedProduct[] = [];
const features = tableFeatures({ columnSizingFeature, rowSortingFeature });
const helper = createColumnHelper<typeof features, ListedProduct>();

const widthOf = ({ kind }: AttributeRow): number =>
  kind === 'number' || kind === 'price' ? 100 : kind === 'path' ? 124 : 114;

/**
 * The table itself. Arrows move from cell to cell, Enter or typing changes one, Escape leaves it as it was; what is
 * copied from a spreadsheet is pasted over the cells from where one is. Rows out of sight are not there.
 */
export function ProductGrid({
  attributes,
  columns,
  total,
  tell,
}: {
  readonly attributes: readonly AttributeRow[];
  readonly columns: readonly string[];
  readonly total: number;
  tell(problem: string | null): void;
}) {
  const listing = useProductTable();
  const scroller = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<At>({ row: 0, column: -1 });
  /** What is being typed into the cell one is at, or null. */
  const [draft, setDraft] = useState<string | null>(null);
  const table = useTable({
    features,
    data: nothing,
    manualSorting: true,
    columns: useMemo(
      () =>
        helper.columns(
          columns.map((key) => {
            const attribute = attributes.find((row) => row.key === key)!;
            return helper.accessor((row) => row.cells[key]?.text ?? '', {
              id: key,
              header: attribute.label,
              size: widthOf(attribute),
            });
          }),
        ),
      [attributes, columns],
    ),
  });
  const leaves = table.getAllLeafColumns();
  const width = titleWidth + leaves.reduce((sum, column) => sum + column.getSize(), 0);
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    scrollPaddingStart: headHeight,
  });
  const inSight = virtual.getVirtualItems();
  const rowAt = useRowsInSight(listing, columns, inSight[0]?.index ?? 0, inSight.at(-1)?.index ?? 0);

  const move = (row: number, column: number): void => {
    const next = {
      row: Math.min(total - 1, Math.max(0, row)),
      column: Math.min(columns.length - 1, Math.max(-1, column)),
    };
    setDraft(null);
    setAt(next);
    virtual.scrollToIndex(next.row);
    const left =
      titleWidth + leaves.slice(0, Math.max(0, next.column)).reduce((sum, column) => sum + column.getSize(), 0);
    const element = scroller.current;
    if (element && next.column >= 0) {
      const right = left + (leaves[next.column]?.getSize() ?? 0);
      if (left - titleWidth < element.scrollLeft) element.scrollLeft = left - titleWidth;
      else if (right > element.scrollLeft + element.clientWidth) element.scrollLeft = right - element.clientWidth;
    }
    element?.focus();
  };
  const keyAt = (column: number): string => (column < 0 ? 'title' : columns[column]!);
  const canType = (column: number): boolean =>
    column < 0 || attributes.find((row) => row.key === columns[column])?.canDecide !== false;
  const begin = (text?: string): void => {
    const row = rowAt(at.row);
    if (!row) return;
    if (!canType(at.column)) {
      const label = attributes.find(({ key }) => key === keyAt(at.column))?.label;
      tell(`${label} comes from the file and cannot be set here.`);
      return;
    }
    tell(null);
    const own = at.column < 0 ? row.title : (row.cells[keyAt(at.column)]?.text ?? '');
    setDraft(text ?? own);
  };
  const finish = async (text: string, next: At): Promise<void> => {
    const row = rowAt(at.row);
    const key = keyAt(at.column);
    move(next.row, next.column);
    if (row) tell(await typeInto(attributes, [{ row, key, text }]));
  };
  const press = (event: KeyboardEvent): void => {
    if (draft !== null || event.target !== scroller.current) return;
    const { row, column } = at;
    const page = Math.max(1, Math.floor((scroller.current!.clientHeight - headHeight) / rowHeight) - 1);
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
    const to = moves[event.key];
    if (to) {
      event.preventDefault();
      move(...to);
    } else if (event.key === 'Enter' || event.key === 'F2') {
      event.preventDefault();
      begin();
    } else if (event.key === ' ') {
      event.preventDefault();
      const product = rowAt(row)?.product;
      if (product) listing.choose(product, !isChosen(listing.chosen, product));
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      void finish('', at);
    } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      begin(event.key);
    }
  };
  const paste = (event: ClipboardEvent): void => {
    if (draft !== null) return;
    event.preventDefault();
    const text = event.clipboardData.getData('text/plain');
    void pasteInto(attributes, { text, at, columns, rowAt }).then(tell);
  };
  const copy = (event: ClipboardEvent): void => {
    if (draft !== null) return;
    const row = rowAt(at.row);
    event.preventDefault();
    event.clipboardData.setData(
      'text/plain',
      at.column < 0 ? (row?.title ?? '') : (row?.cells[keyAt(at.column)]?.text ?? ''),
    );
  };

  return (
    <div
      ref={scroller}
      role="grid"
      aria-label="Catalog"
      aria-rowcount={total + 1}
      aria-colcount={columns.length + 1}
      aria-activedescendant={draft === null ? `cell-${at.row}-${at.column}` : undefined}
      tabIndex={0}
      className="relative min-h-0 flex-1 overflow-auto rounded-t-lg border border-b-[3px] border-b-edge bg-surface outline-offset-[-2px]"
      onKeyDown={press}
      onPaste={paste}
      onCopy={copy}
    >
      <GridHead leaves={leaves} height={headHeight} width={width} attributes={attributes} />
      <div role="rowgroup" style={{ height: virtual.getTotalSize(), width, position: 'relative' }}>
        {inSight.map(({ index, start }) => (
          <GridRow
            key={index}
            index={index}
            row={rowAt(index)}
            leaves={leaves}
            style={{ height: rowHeight, width, transform: `translateY(${start}px)` }}
            at={at.row === index ? at.column : null}
            draft={at.row === index ? draft : null}
            goTo={(column) => move(index, column)}
            begin={() => begin()}
            typing={setDraft}
            finish={(text, step) =>
              void finish(
                text,
                step === 'down'
                  ? { row: index + 1, column: at.column }
                  : step === 'right'
                    ? { row: index, column: at.column + 1 }
                    : at,
              )
            }
            leave={() => move(at.row, at.column)}
          />
        ))}
      </div>
    </div>
  );
}
