import { useState } from 'react';
import { toast } from 'sonner';
import { most } from '../../../../core/setup/terms/limits.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, NumberField } from '../../parts/Controls.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { byAmount } from './boardOrder.ts';

/** Something a board does to products; `products` come in the order in which they stand. */
export interface BoardAct {
  readonly label: string;
  run(products: readonly string[]): void;
}

const directions = [
  ['high', 'highest first'],
  ['low', 'lowest first'],
] as const;
type Direction = 'high' | 'low';

/** Some products by an attribute's amounts, as the server knows them; null where it does not answer, which is told. */
async function sortedBy(
  attribute: string,
  products: readonly string[],
  direction: Direction,
): Promise<string[] | null> {
  try {
    const { amounts } = await call('amounts', { body: { attribute, products: [...products] } });
    return byAmount(products, new Map(amounts.map(({ product, amount }) => [product, amount])), direction);
  } catch (error) {
    toast.error('The products could not be sorted', { description: (error as Error).message });
    return null;
  }
}

/** What can be done with the products chosen on a board, or, where none is, with its places. */
export function BoardTools({
  order,
  chosen,
  clear,
  put,
  sort,
  acts,
  add,
  known,
}: {
  /** The products shown, in order. */
  readonly order: readonly string[];
  readonly chosen: ReadonlySet<string>;
  clear(): void;
  put(products: readonly string[], place: number): void;
  /** Gives products each other's places, in the order in which they are named. */
  sort(products: readonly string[]): void;
  readonly acts: readonly BoardAct[];
  /** Adds a product that does not stand here. */
  add(product: string): void;
  /** Products that need not be offered, since they are put in place already. */
  readonly known: ReadonlySet<string>;
}) {
  const { attributes = [] } = useAttributes();
  const numeric = attributes.filter(({ isNumeric }) => isNumeric);
  const [place, setPlace] = useState(1);
  const [upTo, setUpTo] = useState(8);
  const [attribute, setAttribute] = useState('');
  const [direction, setDirection] = useState<Direction>('high');
  const by = attribute || (numeric[0]?.key ?? '');
  const some = order.filter((product) => chosen.has(product));
  const amounts = numeric.length > 0 && (
    <>
      <Choice
        label="What to sort by"
        value={by}
        options={numeric.map(({ key, label }) => [key, label] as const)}
        change={setAttribute}
      />
      <Choice<Direction> label="Which end first" value={direction} options={directions} change={setDirection} />
    </>
  );
  const bar =
    'sticky top-0 z-20 mb-2 flex min-h-[46px] flex-wrap items-center gap-x-2 gap-y-1 rounded-lg border bg-paper px-2.5 py-1.5 text-[13px]';
  if (some.length === 0)
    return (
      <div className={bar} role="toolbar" aria-label="Places of the board">
        Fill places
        <NumberField
          label="First place to fill"
          className="w-[52px]"
          value={place}
          least={1}
          most={most.place}
          change={(to) => setPlace(Math.round(to))}
        />
        to
        <NumberField
          label="Last place to fill"
          className="w-[52px]"
          value={upTo}
          least={1}
          most={most.place}
          change={(to) => setUpTo(Math.round(to))}
        />
        by {amounts}
        <Button
          className="px-2.5 py-1"
          disabled={by === '' || upTo < place || order.length === 0}
          title="Of the products shown here, as their amounts are now"
          onClick={() =>
            void sortedBy(by, order, direction).then(
              (sorted) => sorted && put(sorted.slice(0, upTo - place + 1), place),
            )
          }
        >
          Fill
        </Button>
        <span className="ml-auto">
          <ProductPicker label="Add a product" chosen={known} choose={({ id }) => add(id)} />
        </span>
      </div>
    );
  return (
    <div className={bar} role="toolbar" aria-label="What to do with the products chosen">
      <b className="font-semibold" role="status">
        {counted(some.length, 'product')} chosen
      </b>
      <span className="inline-flex items-center gap-1">
        <NumberField
          label="Place to put them at"
          className="w-[52px]"
          value={place}
          least={1}
          most={most.place}
          change={(to) => setPlace(Math.round(to))}
        />
        <Button className="px-2.5 py-1" onClick={() => put(some, place)}>
          Put at place {place}
        </Button>
      </span>
      {some.length > 1 && (
        <span className="inline-flex flex-wrap items-center gap-1">
          {amounts}
          <Button
            className="px-2.5 py-1"
            disabled={by === ''}
            onClick={() => void sortedBy(by, some, direction).then((sorted) => sorted && sort(sorted))}
          >
            Sort them
          </Button>
        </span>
      )}
      {acts.map(({ label, run }) => (
        <Button key={label} className="px-2.5 py-1" onClick={() => run(some)}>
          {label}
        </Button>
      ))}
      <Button tone="quiet" className="ml-auto px-2.5 py-1" onClick={clear}>
        Choose none
      </Button>
    </div>
  );
}
