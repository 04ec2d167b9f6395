import { useStore } from 'zustand';
import { isMarked, type Marked, type MarkList, markedOf } from '../shopper/marked.ts';
import { useShopper } from './shopperHere.tsx';

/** What is on the shopper's own lists. */
export const useMarked = <Of>(of: (marked: Marked) => Of): Of => useStore(markedOf(useShopper().storefront), of);

/** Puts a product on one of the shopper's lists, or takes it off, and tells the page around; in the desk's window no list is kept. */
export function useMark(): (list: MarkList, product: string, variant: string) => void {
  const { desk, storefront, tell } = useShopper();
  return (list, product, variant) => {
    if (desk) return;
    const marked = markedOf(storefront);
    marked.getState().toggle(list, { product, variant });
    tell({ kind: list, product, variant, isOn: isMarked(marked.getState(), list, product) });
  };
}
