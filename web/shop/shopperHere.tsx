import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { DeskView } from '../bridge/messages.ts';
import type { Basket } from '../shopper/basket.ts';
import type { Shopper } from '../shopper/shopper.ts';

const ShopperContext = createContext<Shopper | null>(null);
export const ShopperIn = ShopperContext.Provider;

/** The shop that this part of a page is of. */
/** The shop around, or null: a card may stand by itself. */
export const useShopperAround = (): Shopper | null => useContext(ShopperContext);

export function useShopper(): Shopper {
  const shopper = useContext(ShopperContext);
  if (!shopper) throw new Error('A part of the shop stands in none.');
  return shopper;
}

/** Where the shopper is. */
export const useVisit = () => useStore(useShopper().visit);
/** Something of what the desk wants seen, which is null for shoppers. */
export const useView = <Of,>(of: (view: DeskView | null) => Of): Of => useStore(useShopper().view, of);
export const useBasket = <Of,>(of: (basket: Basket) => Of): Of => useStore(useShopper().basket, of);
