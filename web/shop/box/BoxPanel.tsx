import type { UseComboboxGetItemPropsReturnValue, UseComboboxGetMenuPropsReturnValue } from 'downshift';
import { useId } from 'react';
import type { Result } from '../../../core/answer/answer.ts';
import type { BoxAnswer } from '../../../core/suggest/boxAnswer.ts';
import { useTexts } from '../../look/texts.tsx';
import { BoxLine } from './BoxLine.tsx';
import type { BoxItem, ShownBlock } from './boxItems.ts';

interface Lines {
  readonly items: readonly BoxItem[];
  readonly highlightedIndex: number;
  readonly answer: BoxAnswer | undefined;
  readonly typed: string;
  /** Puts a product into the basket; the box stays as it is. */
  put(card: Result): void;
  itemProps(options: { readonly item: BoxItem; readonly index: number }): UseComboboxGetItemPropsReturnValue;
}

const widths: Readonly<Record<BoxAnswer['wide'], string>> = {
  box: 'inset-x-0',
  page: 'end-0 w-[min(760px,calc(100vw-2rem))] min-w-full',
  free: 'end-0',
};

/** What hangs under the box: its blocks in columns, and the way to all results. */
export function BoxPanel({
  menu,
  columns,
  all,
  isHanging,
  isFull,
  forget,
  ...lines
}: Lines & {
  readonly menu: UseComboboxGetMenuPropsReturnValue;
  readonly columns: readonly (readonly ShownBlock[])[];
  readonly all: BoxItem | null;
  readonly isHanging: boolean;
  /** Whether it takes the whole window, as on a phone. */
  readonly isFull: boolean;
  /** Forgets what was searched for before; null where nothing is kept. */
  readonly forget: (() => void) | null;
}) {
  const { answer, typed } = lines;
  const { say } = useTexts();
  const isWide = !isFull && columns.length > 1;
  const place = isFull
    ? 'mt-2'
    : `absolute top-full z-30 mt-1.5 rounded-xl border border-line bg-surface shadow-xl ${widths[answer?.wide ?? 'box']}`;
  return (
    <div
      hidden={!isHanging}
      className={place}
      // A width in pixels is the merchandiser's own: no class can say it.
      style={!isFull && answer?.wide === 'free' ? { width: `min(${answer.pixels}px, calc(100vw - 2rem))` } : undefined}
    >
      <div
        {...menu}
        className={isWide ? 'flex max-h-[70vh] overflow-y-auto' : isFull ? '' : 'max-h-[70vh] overflow-y-auto'}
      >
        {columns.map((blocks, at) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
            key={at}
            role="presentation"
            className={`min-w-0 p-2 ${isWide ? `${at === columns.length - 1 ? 'flex-[1.6]' : 'flex-1'} [&+&]:border-line [&+&]:border-s` : ''}`}
          >
            {blocks.map((block) => (
              <Block key={block.kind} block={block} {...lines} forget={block.kind === 'recent' ? forget : null} />
            ))}
            {all && at === columns.length - 1 && <Line item={all} {...lines} />}
          </div>
        ))}
      </div>
      {typed !== '' && answer?.moment === 'nothing' && columns.length === 0 && (
        <p className="p-3 text-soft">{say('box.nothing')}</p>
      )}
    </div>
  );
}

/** By products in a row; a list needs none. */
const inRows = ['', 'grid grid-cols-2', 'grid grid-cols-3', 'grid grid-cols-4'];

function Block({
  block,
  forget,
  ...lines
}: Lines & { readonly block: ShownBlock; readonly forget: (() => void) | null }) {
  const id = useId();
  const { say } = useTexts();
  return (
    // biome-ignore lint/a11y/useSemanticElements: a group of options within a list box has no element of its own
    <div role="group" aria-labelledby={block.title ? id : undefined} className="py-1">
      <div role="presentation" className="flex items-baseline">
        {block.title && (
          <span id={id} className="px-2 py-0.5 text-[12.5px] text-soft">
            {block.title}
          </span>
        )}
        {forget && (
          <button
            type="button"
            className="ms-auto min-h-6 px-2 text-[12.5px] text-soft underline hover:text-ink"
            onMouseDown={(event) => event.preventDefault()}
            onClick={forget}
          >
            {say('box.forget')}
          </button>
        )}
      </div>
      {block.text && <p className="max-w-prose whitespace-pre-line break-words px-2 py-1 font-shop">{block.text}</p>}
      <div role="presentation" className={inRows[block.inRow - 1]}>
        {block.items.map((item) => (
          <Line key={item.key} item={item} isCard={block.inRow > 1} {...lines} />
        ))}
      </div>
    </div>
  );
}

function Line({
  item,
  isCard = false,
  items,
  highlightedIndex,
  answer,
  typed,
  put,
  itemProps,
}: Lines & { readonly item: BoxItem; readonly isCard?: boolean }) {
  const index = items.indexOf(item);
  return (
    <div
      {...itemProps({ item, index })}
      aria-keyshortcuts={
        item.what === 'product' && item.card.variantAvailable && answer?.line.includes('basket')
          ? 'Shift+Enter'
          : undefined
      }
      className={`flex min-h-8 min-w-0 cursor-default gap-2.5 rounded-lg px-2 py-1 ${isCard ? 'flex-col' : 'items-center'} ${
        index === highlightedIndex ? 'bg-press-soft' : 'hover:bg-paper'
      }`}
    >
      <BoxLine {...{ item, typed, isCard, put }} marks={answer?.marks ?? true} line={answer?.line ?? []} />
    </div>
  );
}
