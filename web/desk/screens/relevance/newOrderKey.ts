import type { SortingOrder } from '../../../../core/setup/parts/relevance/sorting.ts';
import type { TieBreaker } from '../../../../core/setup/parts/relevance/tieBreakers.ts';

/** A key no other order has, made from its signal. */
export function newOrderKey({ attribute, direction }: TieBreaker, orders: readonly SortingOrder[]): string {
  const base = `${attribute}-${direction === 'high' ? 'down' : 'up'}`.slice(0, 70);
  let key = base;
  for (let number = 2; orders.some((order) => order.key === key); number++) key = `${base}-${number}`;
  return key;
}
