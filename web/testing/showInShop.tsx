import type { ReactElement } from 'react';
import { ShopperIn } from '../shop/shopperHere.tsx';
import { ownAddress, type ShopPlace } from '../shopper/shopAddress.ts';
import { liveShop, type ShopClient } from '../shopper/shopClient.ts';
import { createShopper, type Shopper } from '../shopper/shopper.ts';
import { readAddress } from '../shopper/shopperSearch.ts';
import { show } from './dom.tsx';

/** Renders a part of the shop where a shopper is; `spots` tells where they went, as addresses. */
export function showInShop(
  part: ReactElement,
  at: { readonly search?: string; readonly place?: ShopPlace; readonly client?: ShopClient } = {},
): { readonly shopper: Shopper; spots(): string[] } {
  const address = ownAddress({ search: readAddress(new URLSearchParams(at.search)), place: at.place ?? null });
  const shopper = createShopper({
    ...{ address, desk: null, device: () => 'desktop', now: Date.now },
    clientFor: () => at.client ?? liveShop({ storefront: '-' }),
  });
  show(<ShopperIn value={shopper}>{part}</ShopperIn>);
  return { shopper, spots: () => address.visited.slice(1).map(address.hrefOf) };
}
