import { most } from '../setup/terms/limits.ts';

/** A product at a place, counted from 1. */
export interface Pin {
  readonly product: string;
  readonly place: number;
}

/**
 * Pins with some products put at a place and those right after it, in their order. What is pinned there already moves to
 * the next free place, and nothing else moves: a place that nobody pinned to stays free. Pins beyond the last place that
 * there may be are taken off. Pure.
 */
export function putPins(pins: readonly Pin[], products: readonly string[], place: number): Pin[] {
  const put = [...new Set(products)].map((product, at) => ({ product, place: place + at }));
  const taken = new Set(put.map((pin) => pin.place));
  const moved = new Set(products);
  const others = pins
    .filter(({ product }) => !moved.has(product))
    .sort((a, b) => a.place - b.place)
    .map(({ product, place: own }) => {
      let free = own;
      while (taken.has(free)) free++;
      taken.add(free);
      return { product, place: free };
    });
  return [...put, ...others].filter((pin) => pin.place <= most.place).sort((a, b) => a.place - b.place);
}
