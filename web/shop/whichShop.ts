import { placeNow, setPlace } from '../client/place.ts';
import { shopIn } from './addresses.ts';

const { base: own, storefront, preview } = shopIn(location.pathname);
setPlace({ ...placeNow(), ...(storefront !== null && { storefront }), ...(preview !== null && { preview }) });

/** Below which address the pages of this shop are; with it, calls are about its storefront. */
export const base = own;
