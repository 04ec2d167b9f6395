import { unnamed } from '../../api/paths.ts';
import { liveOf, nameOf } from '../../core/setup/setupRef.ts';
import { type DeskView, listen, post, readFirstShow, type ToShop } from '../bridge/messages.ts';
import { call } from '../client/call.ts';
import { liveShop, type ShopClient } from '../shopper/shopClient.ts';
import type { DeskAround, Shopper } from '../shopper/shopper.ts';

export const inDesk = window.parent !== window && new URLSearchParams(location.search).has('desk');

/** What the desk wants to see first, where it was known when the window was made. */
export const firstView: DeskView | null = inDesk ? readFirstShow(window.name) : null;

/** The desk around this window. */
export const deskAround: DeskAround = {
  shown: (query, total) => post(window.parent, { kind: 'shown', query, total }),
  searched: (query, collection) => post(window.parent, { kind: 'searched', query, collection }),
  act: ({ query, filters, sort, collection, asWords, exactly }, products, what) =>
    post(window.parent, {
      ...{ kind: 'act', query, filters, sort, collection, asWords, exactly, what },
      products: products.map(({ familyId, title }) => ({ id: familyId, title })),
    }),
};

/** Shows what the desk asks for, from now on. */
export function followDesk(shopper: Shopper): void {
  listen<ToShop>(
    () => window.parent,
    ({ kind: _, ...view }) => shopper.see(view),
  );
  post(window.parent, { kind: 'ready' });
}

/** What a draft's desk shows: its setup, or the one it is compared with. */
export function shopAtDesk(storefront: string, { draft, from, turn, at }: DeskView): ShopClient {
  const place = { storefront, draft };
  const seen = { from, ...(at && { at }) };
  // Places are compared with what shoppers get.
  const movement = from === nameOf(liveOf('')) ? ('0' as const) : ('1' as const);
  const given = (signal: AbortSignal | undefined) => ({ place, ...(signal && { signal }) });
  return {
    name: JSON.stringify([draft, from, turn, at]),
    storefront,
    search: (query, signal) => call('deskSearch', { query: { ...query, ...seen, movement }, ...given(signal) }),
    suggest: (query, signal) => call('deskSuggest', { query: { ...query, ...seen }, ...given(signal) }),
    product: (id, signal) => call('deskShopProduct', { query: { id, from }, ...given(signal) }),
    article: (id, signal) => call('deskShopArticle', { query: { id, from }, ...given(signal) }),
    beside: (query, signal) => call('deskBeside', { query: { ...query, from }, ...given(signal) }),
    note: liveShop({ storefront }).note,
  };
}

/** The shop under a draft, for somebody who has a link to it and is no shopper. */
export function shopInPreview(preview: string): ShopClient {
  const place = { storefront: unnamed, draft: unnamed, preview };
  const given = (signal: AbortSignal | undefined) => ({ place, ...(signal && { signal }) });
  return {
    name: 'preview',
    storefront: preview,
    search: (query, signal) => call('previewSearch', { query, ...given(signal) }),
    suggest: (query, signal) => call('previewSuggest', { query, ...given(signal) }),
    product: (id, signal) => call('previewProduct', { query: { id }, ...given(signal) }),
    article: (id, signal) => call('previewArticle', { query: { id }, ...given(signal) }),
    beside: (query, signal) => call('previewBeside', { query, ...given(signal) }),
    note: null,
  };
}
