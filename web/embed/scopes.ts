import { deviceOf } from '../../core/setup/terms/planTerms.ts';
import { parameterAddress, type SiteLinks } from '../shopper/shopAddress.ts';
import { liveShop } from '../shopper/shopClient.ts';
import { createShopper, type Shopper, type ShopperEvent } from '../shopper/shopper.ts';

/** Which shop a part of a page is of: parts that say the same share one search. */
export interface ScopeTerms {
  /** Where our server is, without a slash at its end. */
  readonly server: string;
  readonly storefront: string;
  readonly key: string;
  /** Names one of several searches on a page; empty where there is one. */
  readonly scope: string;
  readonly links: SiteLinks;
}

/** One search on a page, and the parts that show it. */
export interface Scope {
  readonly shopper: Shopper;
  /** Hears what comes to pass; a click that one of them answers false to leads nowhere here. */
  readonly listeners: Set<(event: ShopperEvent) => boolean>;
}

/** What stands before the names of a search's parameters in the page's address. */
const prefixOf = (scope: string): string => (scope === '' ? 'shelf.' : `shelf-${scope}.`);

const scopes = new Map<string, Scope & { parts: number }>();
/** As the page had it when our script came: a page that puts something else in its place later does not stop us. */
const fetchOfPage = globalThis.fetch.bind(globalThis);

/** The search of a part, made with the first that shows it; `leave` when the part goes. */
export function enterScope(terms: ScopeTerms): Scope & { leave(): void } {
  const name = JSON.stringify(terms);
  const known = scopes.get(name) ?? begin(terms);
  scopes.set(name, known);
  known.parts++;
  return {
    ...known,
    leave() {
      if (--known.parts > 0) return;
      scopes.delete(name);
      known.shopper.close();
    },
  };
}

function begin({ server, storefront, key, scope, links }: ScopeTerms): Scope & { parts: number } {
  const listeners: Scope['listeners'] = new Set();
  const client = liveShop({ base: server, storefront, key, fetch: fetchOfPage });
  const shopper = createShopper({
    ...{ desk: null, isWaiting: true },
    address: parameterAddress(prefixOf(scope), links),
    clientFor: () => client,
    device: () => deviceOf(window.innerWidth),
    now: Date.now,
    tell: (event) => [...listeners].map((hear) => hear(event)).every(Boolean),
  });
  return { shopper, listeners, parts: 0 };
}
