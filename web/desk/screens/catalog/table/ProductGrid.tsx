import { useVirtualizer } from '@tanstack/react-virtual';
import { type ClipboardEvent, type KeyboardEvent, useRef, useState } from 'react';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import { isChosen } from '../../../state/chosenProducts.ts';
import { useRowsInSight } from '../../../state/productRows.ts';
import { useProductTable } from '../../../state/productTable.ts';
import { GridHead } from './GridHead.tsx';
import { GridRow } from './GridRow.tsx';
import { type At, columnsOf, leftOf } from './grid.ts';
import { pasteInto, typeInto } from './typeInto.ts';
import { headHeight, rowHeight, useGridPlace } from './useGridPlace.ts';

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
  /** What is being typed into the cell one is at, or null. */
  const [draft, setDraft] = useState<string | null>(null);
  const laid = columnsOf(columns, attributes);
  const width = leftOf(laid, laid.length);
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    scrollPaddingStart: headHeight,
  });
  const inSight = virtual.getVirtualItems();
  const rowAt = useRowsInSight(listing, columns, inSight[0]?.index ?? 0, inSight.at(-1)?.index ?? 0);
  const { at, move, moveBy } = useGridPlace({ scroller, virtual, columns: laid, total, moved: () => setDraft(null) });

  const keyAt = (column: number): string => (column < 0 ? 'title' : columns[column]!);
  const textAt = (): string => {
    const row = rowAt(at.row);
    return at.column < 0 ? (row?.title ?? '') : (row?.cells[keyAt(at.column)]?.text ?? '');
  };
  const begin = (text?: string): void => {
    if (!rowAt(at.row)) return;
    const attribute = attributes.find(({ key }) => key === keyAt(at.column));
    const isRefused = at.column >= 0 && attribute?.canDecide === false;
    tell(isRefused ? `${attribute.label} comes from the file and cannot be set here.` : null);
    if (!isRefused) setDraft(text ?? textAt());
  };
  const finish = async (text: string, next: At): Promise<void> => {
    const row = rowAt(at.row);
    const key = keyAt(at.column);
    move(next.row, next.column);
    if (row) tell(await typeInto(attributes, [{ row, key, text }]));
  };
  const press = (event: KeyboardEvent): void => {
    if (draft !== null || event.target !== scroller.current || moveBy(event)) return;
    const isLetter = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
    if (event.key === 'Enter' || event.key === 'F2') begin();
    else if (event.key === ' ') {
      const product = rowAt(at.row)?.product;
      if (product) listing.choose(product, !isChosen(listing.chosen, product));
    } else if (event.key === 'Delete' || event.key === 'Backspace') void finish('', at);
    else if (isLetter) begin(event.key);
    else return;
    event.preventDefault();
  };
  const paste = (event: ClipboardEvent): void => {
    if (draft !== null) return;
    event.preventDefault();
    const text = event.clipboardData.getData('text/plain');
    void pasteInto(attributes, { text, at, columns, rowAt }).then(tell);
  };
  const copy = (event: ClipboardEvent): void => {
    if (draft !== null) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', textAt());
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
      <GridHead columns={laid} height={headHeight} width={width} />
      <div role="rowgroup" style={{ height: virtual.getTotalSize(), width, position: 'relative' }}>
        {inSight.map(({ index, start }) => (
          <GridRow
            key={index}
            index={index}
            row={rowAt(index)}
            columns={laid}
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
