import { Choice } from '../Controls.tsx';

/** From so many rules on there is a field to find one by, and an order to choose. */
const many = 8;

/** Finds a rule in a long list, and orders the list. */
export function FindAndSort<Order extends string>({
  label,
  placeholder = label,
  count,
  sought,
  find,
  order,
  orders,
  sort,
}: {
  readonly label: string;
  readonly placeholder?: string;
  /** Rules there are, found or not. */
  readonly count: number;
  readonly sought: string;
  find(text: string): void;
  readonly order: Order;
  readonly orders: readonly (readonly [Order, string])[];
  sort(order: Order): void;
}) {
  if (count < many) return null;
  return (
    <div className="mb-2 flex flex-wrap gap-2">
      <input
        aria-label={label}
        placeholder={placeholder}
        className="min-w-[180px] flex-1 rounded-md border bg-surface px-2.5 py-1.5 placeholder:text-soft"
        value={sought}
        onChange={(event) => find(event.target.value)}
      />
      <Choice label="Order of the list" value={order} options={orders} change={sort} />
    </div>
  );
}
