import { placeNow, setPlace } from '../client/place.ts';
import { shopIn } from './addresses.ts';

const { base: own, storefront } = shopIn(location.pathname);
if (storefront !== null) setPlace({ ...placeNow(), storefront });

/** Below which address the pages of this shop are; with it, calls are about its storefront. */
export const base = own;
