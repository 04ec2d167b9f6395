import { type Pin, putPins } from '../../../../core/rules/putPins.ts';

/** Some products of an order put at a place of it, counted from 1, and the others closed up around them. */
export function putInOrder(order: readonly string[], products: readonly string[], place: number): string[] {
  const moved = new Set(products);
  const others = order.filter((product) => !moved.has(product));
  return [...others.slice(0, place - 1), ...products, ...others.slice(place - 1)];
}

/** The order in which products stand where some of them change places among themselves: the first of them takes the first of their places. */
export function permuted(order: readonly string[], sorted: readonly string[]): string[] {
  const among = new Set(sorted);
  let next = 0;
  return order.map((product) => (among.has(product) ? sorted[next++]! : product));
}

/** Products by their amounts, highest first or lowest; what has none stands last, and equals stay in their order. */
export function byAmount(
  products: readonly string[],
  amounts: ReadonlyMap<string, number | null>,
  direction: 'high' | 'low',
): string[] {
  const amountOf = (product: string): number | null => amounts.get(product) ?? null;
  return [...products].sort((a, b) => {
    const [x, y] = [amountOf(a), amountOf(b)];
    if (x === null || y === null) return (x === null ? 1 : 0) - (y === null ? 1 : 0);
    return direction === 'high' ? y - x : x - y;
  });
}

/** Pins under which some products stand where an order has them, those pinned there already pushed on. */
export function pinnedAsIn(pins: readonly Pin[], order: readonly string[], products: readonly string[]): Pin[] {
  const moved = new Set(products);
  const others = pins.filter(({ product }) => !moved.has(product));
  return order
    .flatMap((product, at) => (moved.has(product) ? [{ product, place: at + 1 }] : []))
    .reduce<Pin[]>((all, { product, place }) => putPins(all, [product], place), others);
}

/** What is chosen after a click: one more or one fewer with the control key, all from the last one with shift, else just it. */
export function chosenAfter(
  order: readonly string[],
  chosen: ReadonlySet<string>,
  last: string | null,
  clicked: string,
  keys: { readonly shift: boolean; readonly toggle: boolean },
): ReadonlySet<string> {
  if (keys.shift && last !== null) {
    const [from, to] = [order.indexOf(last), order.indexOf(clicked)].sort((a, b) => a - b) as [number, number];
    if (from >= 0) return new Set([...chosen, ...order.slice(from, to + 1)]);
  }
  if (!keys.toggle) return chosen.size === 1 && chosen.has(clicked) ? new Set() : new Set([clicked]);
  const next = new Set(chosen);
  if (!next.delete(clicked)) next.add(clicked);
  return next;
}
