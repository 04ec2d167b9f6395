import { persist } from 'zustand/middleware';
import { createStore, type StoreApi } from 'zustand/vanilla';

/** Lists on which a shopper keeps products. */
export const markLists = ['wish', 'compare'] as const;
export type MarkList = (typeof markLists)[number];
/** Products on a list at most: those that are compared stand side by side. */
export const mostMarked: Readonly<Record<MarkList, number>> = { wish: 100, compare: 4 };

/** A product on a list, with the variant that was shown when it was put there. */
export interface MarkedProduct {
  readonly product: string;
  readonly variant: string;
}
export type MarkedLists = Readonly<Record<MarkList, readonly MarkedProduct[]>>;

/** Which products a shopper keeps; known to the browser alone, for one storefront. */
export interface Marked {
  readonly lists: MarkedLists;
  /** Puts a product on a list, or takes it off; what would be too many is let be. */
  toggle(list: MarkList, item: MarkedProduct): void;
}

export const isMarked = ({ lists }: Pick<Marked, 'lists'>, list: MarkList, product: string): boolean =>
  lists[list].some((each) => each.product === product);
export const isListFull = ({ lists }: Pick<Marked, 'lists'>, list: MarkList): boolean =>
  lists[list].length >= mostMarked[list];

/** The lists with a product put on one of them, the last at the end, or taken off it. */
export function withToggled(lists: MarkedLists, list: MarkList, item: MarkedProduct): MarkedLists {
  const others = lists[list].filter(({ product }) => product !== item.product);
  if (others.length < lists[list].length) return { ...lists, [list]: others };
  return others.length >= mostMarked[list] ? lists : { ...lists, [list]: [...others, item] };
}

const isItem = (item: unknown): item is MarkedProduct =>
  typeof item === 'object' &&
  item !== null &&
  typeof (item as MarkedProduct).product === 'string' &&
  typeof (item as MarkedProduct).variant === 'string';

/** Lists as the browser kept them; what others wrote there is left out. */
export function listsFrom(kept: unknown): MarkedLists {
  const lists = (kept as { lists?: Partial<Record<MarkList, unknown>> } | null | undefined)?.lists;
  const read = (list: MarkList): MarkedProduct[] => {
    const items = lists?.[list];
    return Array.isArray(items) ? items.filter(isItem).slice(0, mostMarked[list]) : [];
  };
  return { wish: read('wish'), compare: read('compare') };
}

const stores = new Map<string, StoreApi<Marked>>();

/** The lists of a storefront in this browser: one of each, however many parts of a page show them. */
export function markedOf(storefront: string): StoreApi<Marked> {
  const known = stores.get(storefront);
  if (known) return known;
  const marked = createStore<Marked>()(
    persist(
      (set) => ({
        lists: listsFrom(null),
        toggle: (list, item) => set(({ lists }) => ({ lists: withToggled(lists, list, item) })),
      }),
      {
        name: `marked ${storefront}`,
        merge: (kept, current) => ({ ...current, lists: listsFrom(kept) }),
      },
    ),
  );
  stores.set(storefront, marked);
  return marked;
}
