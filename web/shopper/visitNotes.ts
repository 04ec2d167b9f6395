import { longestTarget, type OtherClick } from '../../core/demand/otherClicks.ts';
import type { ShopClient } from './shopClient.ts';
import type { ShopperSearch } from './shopperSearch.ts';

/** Names this visit; it ends with the page's tab and names nobody. */
function visit(): string {
  try {
    const stored = sessionStorage.getItem('visit');
    if (stored) return stored;
    const fresh = crypto.randomUUID();
    sessionStorage.setItem('visit', fresh);
    return fresh;
  } catch {
    // A browser that keeps nothing: every page is a visit of its own.
    return ofThisPage;
  }
}
const ofThisPage = crypto.randomUUID?.() ?? `${Math.random()}`.slice(2);

/** Whether the browser says that its user is not to be followed. */
const isNotFollowed = (): boolean =>
  navigator.doNotTrack === '1' || (navigator as { globalPrivacyControl?: boolean }).globalPrivacyControl === true;

/** What a shopper does, written down for the merchandiser; nothing of it is waited for, and none of it disturbs a shopper. */
export interface VisitNotes {
  /** Notes a search when its first page is shown; the same one shown again is not another. */
  search(search: ShopperSearch, results: number): void;
  /** A product found otherwise than in the results, as in the search box: what comes of it is not the last search's doing. */
  openedBesides(product: string): void;
  /** Notes what came of the search shown: a click with its place, a product put into the basket. */
  outcome(kind: 'click' | 'basket', product: string, place?: number | null): Promise<void>;
  /** Notes a line of the search box that was chosen, or a banner. */
  click(click: {
    readonly inBox: boolean;
    readonly search: string;
    readonly kind: OtherClick;
    readonly target: string;
  }): void;
}

/** `client` answers what is asked now, and `isInDesk` marks what is tried out there. */
export function createVisitNotes(client: () => ShopClient | null, isInDesk: boolean): VisitNotes {
  let last: { readonly key: string; readonly id: Promise<number | null> } | null = null;
  let besides: string | null = null;
  return {
    search({ query, filters, page }, results) {
      const note = client()?.note;
      const key = JSON.stringify([query, filters]);
      if (!note || isNotFollowed() || query.trim() === '' || page > 1 || last?.key === key) return;
      const chosen = Object.fromEntries(Object.entries(filters).map(([name, values]) => [name, [...values]]));
      const id = note('noteSearch', { session: visit(), search: query, filters: chosen, results, inDesk: isInDesk })
        .then((answer) => answer.id)
        .catch(() => null);
      last = { key, id };
    },
    openedBesides(product) {
      besides = product;
    },
    async outcome(kind, product, place = null) {
      // Clicked among the results, it is found by them after all.
      if (kind === 'click') besides = null;
      else if (product === besides) return;
      const search = await last?.id;
      if (search === null || search === undefined) return;
      await client()
        ?.note?.('noteOutcome', { session: visit(), search, kind, product, place })
        .catch(() => null);
    },
    click({ target, ...others }) {
      const note = client()?.note;
      if (!note || isInDesk || isNotFollowed()) return;
      void note('noteClick', { session: visit(), ...others, target: target.slice(0, longestTarget) }).catch(() => null);
    },
  };
}
