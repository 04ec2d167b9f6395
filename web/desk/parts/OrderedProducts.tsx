import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { movedTo } from '../../look/movedTo.ts';
import { counted } from '../../look/price.ts';
import { IconButton } from './Button.tsx';
import { ProductLine, useProducts } from './ProductLine.tsx';
import { ProductPicker } from './ProductPicker.tsx';
import { shelfRow } from './Screen.tsx';
import { SortableList } from './SortableList.tsx';

/** Products listed; a board shows more. */
const mostListed = 60;

/** Products of a list in their order, with the way to move them and to take them out. */
export function OrderedProducts({
  label,
  add,
  takeOut,
  ids,
  most: atMost,
  isChanged,
  under,
  change,
}: {
  readonly label: string;
  readonly add: string;
  takeOut(title: string): string;
  readonly ids: readonly string[];
  readonly most: number;
  readonly isChanged: boolean;
  /** What is said below a product. */
  under?(id: string): ReactNode;
  change(ids: readonly string[]): void;
}) {
  const shown = ids.slice(0, mostListed);
  const products = useProducts(shown);
  const nameOf = (id: string): string => products?.get(id)?.title ?? id;
  return (
    <>
      <SortableList
        label={label}
        items={shown.map((id) => ({ id, name: nameOf(id) }))}
        move={(_, from, to) => change(movedTo(ids, from, to))}
      >
        {({ id, name }, grip) => (
          <div className={`${shelfRow(isChanged)} mb-[5px] flex items-center gap-2 py-1.5 pr-2 pl-2`}>
            {grip}
            <span className="min-w-0 flex-1">
              <ProductLine id={id} card={products?.get(id)} isKnown={products !== undefined} />
              {under?.(id)}
            </span>
            <IconButton label={takeOut(name)} onClick={() => change(ids.filter((each) => each !== id))}>
              <X size={15} aria-hidden />
            </IconButton>
          </div>
        )}
      </SortableList>
      {ids.length > shown.length && (
        <p className="mb-2 text-[13px] text-soft">
          And {counted(ids.length - shown.length, 'product')} more, which the board shows.
        </p>
      )}
      {ids.length < atMost && (
        <ProductPicker label={add} chosen={new Set(ids)} choose={({ id }) => change([...ids, id])} />
      )}
    </>
  );
}
