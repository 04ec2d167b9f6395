import { useLocation } from 'react-router';
import { idPattern } from '../../core/setup/setupRef.ts';

/** Whether a link leads to another site, where it opens; what is on the shop's own site has a page here. */
export const isElsewhere = (link: string): boolean => /^([a-z]+:|\/\/)/i.test(link);

const places = { product: '/products/', article: '/articles/' } as const;
export type PlaceKind = keyof typeof places;

/** Within the shop's own address: a page of its own; the search it was found by stays in the address, for the way back. */
export const addressOf = (kind: PlaceKind, id: string, search: string): string =>
  `${places[kind]}${encodeURIComponent(id)}${search}`;

/** The product or article that a path is of, or null. One that cannot be read is of something that is not there. */
export function placeIn(path: string): { readonly kind: PlaceKind; readonly id: string } | null {
  for (const kind of Object.keys(places) as PlaceKind[]) {
    const said = path.startsWith(places[kind]) ? path.slice(places[kind].length) : '';
    if (said !== '') return { kind, id: decoded(said) };
  }
  return null;
}

function decoded(said: string): string {
  try {
    return decodeURIComponent(said);
  } catch {
    return said;
  }
}

export const usePlaceShown = () => placeIn(useLocation().pathname);

/** Below which address a shop's pages are, and which storefront that names, or which preview; null for the first. */
export function shopIn(path: string): {
  readonly base: string;
  readonly storefront: string | null;
  readonly preview: string | null;
} {
  const [, side, named = ''] = path.split('/', 3);
  if (side === 'preview') return { base: `/preview/${named}`, storefront: null, preview: named };
  const isPlace = Object.values(places).includes(`/${named}/` as (typeof places)[PlaceKind]);
  return idPattern.test(named) && !isPlace
    ? { base: `/shop/${named}`, storefront: named, preview: null }
    : { base: '/shop', storefront: null, preview: null };
}
