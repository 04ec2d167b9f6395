import { useLocation } from 'react-router';

const places = { product: '/shop/products/', article: '/shop/articles/' } as const;
export type PlaceKind = keyof typeof places;

/** A page of its own; the search it was found by stays in the address, for the way back. */
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
