import { persist } from 'zustand/middleware';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { mostBeside } from '../../api/limits.ts';
import { own } from '../../core/base/named.ts';

/** Of one product, at most. */
export const mostOfOne = 99;

/** A basket that only counts: how many of each variant, by its id. Kept by the browser, for one storefront. */
export interface Basket {
  readonly items: Readonly<Record<string, number>>;
  add(variant: string, quantity?: number): void;
  set(variant: string, quantity: number): void;
  empty(): void;
}

/** How many of a variant there are; it may be called like a part of every object. */
export const quantityIn = (items: Basket['items'], variant: string): number => own(items, variant) ?? 0;

/** The items with another quantity of one; none of it takes it out, and what would be too many different ones is let be. */
export function withQuantity(items: Basket['items'], variant: string, quantity: number): Basket['items'] {
  const { [variant]: _, ...others } = items;
  const kept = Math.min(mostOfOne, Math.max(0, Math.round(quantity)));
  if (kept === 0) return others;
  if (!Object.hasOwn(items, variant) && Object.keys(items).length >= mostBeside) return items;
  return { ...items, [variant]: kept };
}

const baskets = new Map<string, StoreApi<Basket>>();

/** The basket of a storefront in this browser: one, however many parts of a page show it. */
export function basketOf(storefront: string): StoreApi<Basket> {
  const known = baskets.get(storefront);
  if (known) return known;
  const basket = createStore<Basket>()(
    persist(
      (set) => ({
        items: {},
        add: (variant, quantity = 1) =>
          set(({ items }) => ({ items: withQuantity(items, variant, quantityIn(items, variant) + quantity) })),
        set: (variant, quantity) => set(({ items }) => ({ items: withQuantity(items, variant, quantity) })),
        empty: () => set({ items: {} }),
      }),
      { name: `basket ${storefront}` },
    ),
  );
  baskets.set(storefront, basket);
  return basket;
}

/** How many things are in it. */
export const countOf = ({ items }: Pick<Basket, 'items'>): number =>
  Object.values(items).reduce((sum, quantity) => sum + quantity, 0);
