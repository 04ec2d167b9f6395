import { idPattern } from '../../core/setup/setupRef.ts';
import type { MarkList } from './marked.ts';
import { freshSearch, readAddress, type ShopperSearch, writeAddress } from './shopperSearch.ts';

const places = { product: '/products/', article: '/articles/', basket: '/basket/', list: '/lists/' } as const;
type PlaceKind = keyof typeof places;
/** A page of the shop that is no search. */
export interface ShopPlace {
  readonly kind: PlaceKind;
  readonly id: string;
}
/** There is one basket, whose page is of nothing else. */
export const theBasket: ShopPlace = { kind: 'basket', id: 'all' };

/** The page of one of the shopper's own lists. */
export const listOf = (list: MarkList): ShopPlace => ({ kind: 'list', id: list });

/** Where a shopper is: a search, or a page of its own with the search it was found by, for the way back. */
export interface Spot {
  readonly search: ShopperSearch;
  readonly place: ShopPlace | null;
}

/** How a shopper came to a spot: `key` names the step of the browser's history, `isBack` says that it was gone back to. */
export interface Visit extends Spot {
  readonly key: string;
  readonly isBack: boolean;
}

/** Where the shop's state stands in the address, so that it can be shared, gone back to, and opened in another tab. */
export interface ShopAddress {
  now(): Visit;
  /** Goes to a spot; one that is on another page is opened there. */
  go(spot: Spot, replace?: boolean): void;
  /** The address of a spot, for a link. */
  hrefOf(spot: Spot): string;
  /** Tells of every spot that is gone to, whether by `go` or by the browser's own buttons; answers the function that ends it. */
  listen(hear: () => void): () => void;
}

/** Whether a link leads to another site, where it opens; what is on the shop's own site has a page here. */
export const isElsewhere = (link: string): boolean => /^([a-z]+:|\/\/)/i.test(link);

/** The product or article that a path is of, or null. One that cannot be read is of something that is not there. */
export function placeIn(path: string): ShopPlace | null {
  if (path === '/basket') return theBasket;
  for (const kind of Object.keys(places) as PlaceKind[]) {
    const said = path.startsWith(places[kind]) ? path.slice(places[kind].length) : '';
    if (said !== '') return { kind, id: decoded(said) };
  }
  return null;
}
/** The path of a place below the shop's own address. */
export const pathOf = ({ kind, id }: ShopPlace): string =>
  kind === 'basket' ? '/basket' : `${places[kind]}${encodeURIComponent(id)}`;

function decoded(said: string): string {
  try {
    return decodeURIComponent(said);
  } catch {
    return said;
  }
}

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

/** How a spot is told in an address. */
interface Writing {
  read(location: Location): Spot;
  write(spot: Spot): string;
  /** Whether an address is of the page that is open, which then needs no loading. */
  isHere(target: URL): boolean;
}

const withParameters = (path: string, parameters: URLSearchParams): string => {
  const text = parameters.toString();
  return text ? `${path}?${text}` : path;
};

let steps = 0;
/** Names a step of the history, also across the pages of a visit. */
const freshKey = (): string => `${Date.now().toString(36)}-${steps++}`;

/** A shop's state in the browser's own address. */
function browserAddress({ read, write, isHere }: Writing): ShopAddress {
  const keyNow = (): string => {
    const state = (history.state ?? {}) as { shelfKey?: string };
    if (state.shelfKey) return state.shelfKey;
    const shelfKey = freshKey();
    history.replaceState({ ...state, shelfKey }, '');
    return shelfKey;
  };
  const [opened] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  let isBack = opened?.type === 'back_forward';
  const heard = new Set<() => void>();
  const tell = (): void => {
    for (const hear of heard) hear();
  };
  const wentBack = (): void => {
    isBack = true;
    tell();
  };
  return {
    now: () => ({ ...read(location), key: keyNow(), isBack }),
    hrefOf: write,
    go(spot, replace = false) {
      const target = new URL(write(spot), location.href);
      if (target.origin !== location.origin || !isHere(target)) {
        if (replace) location.replace(target);
        else location.assign(target);
        return;
      }
      if (replace) history.replaceState({ ...history.state, shelfKey: keyNow() }, '', target);
      else history.pushState({ shelfKey: freshKey() }, '', target);
      isBack = false;
      tell();
    },
    listen(hear) {
      if (heard.size === 0) addEventListener('popstate', wentBack);
      heard.add(hear);
      return () => {
        heard.delete(hear);
        if (heard.size === 0) removeEventListener('popstate', wentBack);
      };
    },
  };
}

/** The address of the shop's own pages, which are below `base`; `isInDesk` keeps the mark of the desk's frame in it. */
export const pageAddress = (base: string, isInDesk: boolean): ShopAddress =>
  browserAddress({
    read: ({ pathname, search }) => ({
      search: readAddress(new URLSearchParams(search)),
      place: pathname.startsWith(base) ? placeIn(pathname.slice(base.length)) : null,
    }),
    write({ search, place }) {
      const parameters = writeAddress(search);
      if (isInDesk) parameters.set('desk', '');
      return withParameters(base + (place ? pathOf(place) : ''), parameters);
    },
    isHere: ({ pathname }) => pathname === base || pathname.startsWith(`${base}/`),
  });

/** Pages of the site around an embedded shop: where results, products and articles are; where none is said, on the page that is open. */
export interface SiteLinks {
  /** The page whose results they are. */
  readonly results?: string | undefined;
  /** With `{id}` where the product's id belongs. */
  readonly product?: string | undefined;
  readonly article?: string | undefined;
  readonly basket?: string | undefined;
  /** The collection that the page which is open is of, by id; its results stay there. */
  readonly collection?: string | undefined;
}

/** The address of a page that is not the shop's: its state stands among the page's own parameters, each behind `prefix`. */
export function parameterAddress(prefix: string, links: SiteLinks): ShopAddress {
  /** The page's own parameters, which are let be. */
  const others = (parameters: URLSearchParams): URLSearchParams =>
    new URLSearchParams([...parameters].filter(([name]) => !name.startsWith(prefix)));
  return browserAddress({
    read(location) {
      const own = new URLSearchParams(
        [...new URLSearchParams(location.search)].flatMap(([name, value]) =>
          name.startsWith(prefix) ? [[name.slice(prefix.length), value]] : [],
        ),
      );
      const kind = (Object.keys(places) as PlaceKind[]).find((each) => own.get(each));
      const said = readAddress(own);
      // A page of a collection shows it as long as its address names no other, or the whole shop.
      const search = own.has('collection') ? said : { ...said, collection: links.collection ?? '' };
      return { search, place: kind ? { kind, id: own.get(kind)! } : null };
    },
    write({ search, place }) {
      const here = links.collection ?? '';
      const staysHere = !place && here !== '' && search.collection === here;
      const own = place && place.kind !== 'list' ? links[place.kind] : undefined;
      // A shopper's lists are shown where results are.
      const onResults = !place || place.kind === 'list';
      const page = own ?? (onResults && !staysHere ? links.results : undefined);
      const target = new URL((page ?? '').replace('{id}', encodeURIComponent(place?.id ?? '')), location.href);
      const isSame = target.pathname === location.pathname;
      const parameters = isSame ? others(new URLSearchParams(location.search)) : target.searchParams;
      const isOwnPage = own !== undefined;
      if (isOwnPage) for (const [name, value] of target.searchParams) parameters.set(name, value);
      else if (place) parameters.set(prefix + place.kind, place.id);
      const isSaidByPage = isSame && search.collection === here;
      for (const [name, value] of writeAddress(isSaidByPage ? { ...search, collection: '' } : search))
        parameters.append(prefix + name, value);
      if (isSame && here !== '' && search.collection === '') parameters.set(`${prefix}collection`, '');
      return withParameters(
        target.origin === location.origin ? target.pathname : target.origin + target.pathname,
        parameters,
      );
    },
    isHere: ({ pathname }) => pathname === location.pathname,
  });
}

/** An address that is kept nowhere: each of several boxes on a page with results of their own, and tests. */
export function ownAddress(
  begin: Spot = { search: freshSearch, place: null },
): ShopAddress & { readonly visited: readonly Spot[] } {
  const visited: Visit[] = [{ ...begin, key: 'begin', isBack: false }];
  const heard = new Set<() => void>();
  return {
    visited,
    now: () => visited.at(-1)!,
    hrefOf: ({ search, place }) => withParameters(place ? pathOf(place) : '', writeAddress(search)),
    go(spot, replace = false) {
      if (replace) visited.pop();
      visited.push({ ...spot, key: freshKey(), isBack: false });
      for (const hear of heard) hear();
    },
    listen(hear) {
      heard.add(hear);
      return () => heard.delete(hear);
    },
  };
}
