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

/** A part of the page that tells it what comes to pass; where it answers false, a click leads nowhere here. */
interface Hearer {
  readonly showsResults: boolean;
  tell(event: ShopperEvent): boolean;
}

/** One search on a page, and the parts that show it. */
export interface Scope {
  readonly shopper: Shopper;
  /** Parts that can tell the page what comes to pass. */
  readonly hearers: Set<Hearer>;
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
  const hearers: Scope['hearers'] = new Set();
  const client = liveShop({ base: server, storefront, key, fetch: fetchOfPage });
  const shopper = createShopper({
    ...{ desk: null, isWaiting: true },
    address: parameterAddress(prefixOf(scope), links),
    clientFor: () => client,
    device: () => deviceOf(window.innerWidth),
    now: Date.now,
    // Told once, however many parts show it: by the one with the results, where there is one.
    tell(event) {
      const all = [...hearers];
      return (all.find(({ showsResults }) => showsResults) ?? all[0])?.tell(event) ?? true;
    },
  });
  return { shopper, hearers, parts: 0 };
}
