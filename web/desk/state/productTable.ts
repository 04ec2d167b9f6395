import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { type ChosenProducts, noneChosen, withChosen } from './chosenProducts.ts';

export type ListState = 'all' | 'decided' | 'hidden' | 'soldOut';

/** What the catalog's table lists and how: kept while one works on other screens. */
export interface ProductTable {
  readonly query: string;
  readonly filters: Readonly<Record<string, readonly string[]>>;
  readonly missing: readonly string[];
  readonly state: ListState;
  readonly kind: 'products' | 'variants';
  readonly sort: { readonly key: string; readonly direction: 'up' | 'down' } | null;
  /** Columns by attribute, in order; null until the catalog's attributes are known. */
  readonly columns: readonly string[] | null;
  readonly chosen: ChosenProducts;
  set(change: Partial<Omit<ProductTable, 'set' | 'choose'>>): void;
  choose(product: string, isChosen: boolean): void;
}

export const useProductTable = create<ProductTable>()(
  persist(
    (set) => ({
      query: '',
      filters: {},
      missing: [],
      state: 'all',
      kind: 'products',
      sort: null,
      columns: null,
      chosen: noneChosen,
      set: (change) =>
        set((before) => {
          const listed = ['query', 'filters', 'missing', 'state'] as const;
          // What is chosen was chosen from the former list.
          const isOther = listed.some((key) => key in change && change[key] !== before[key]);
          return isOther ? { chosen: noneChosen, ...change } : change;
        }),
      choose: (product, isChosen) => set(({ chosen }) => ({ chosen: withChosen(chosen, product, isChosen) })),
    }),
    {
      name: 'clever-shelf.catalog-table',
      partialize: ({ columns, kind }) => ({ columns, kind }),
    },
  ),
);
