import { longestTarget, type OtherClick } from '../../core/demand/otherClicks.ts';
import { call } from '../client/call.ts';
import { isPreview } from '../client/place.ts';
import type { ShopperSearch } from './useResults.ts';

/** Names this visit; it ends with the page's tab and names nobody. */
function visit(): string {
  const stored = sessionStorage.getItem('visit');
  if (stored) return stored;
  const fresh = crypto.randomUUID();
  sessionStorage.setItem('visit', fresh);
  return fresh;
}

/** Whether the browser says that its user is not to be followed. */
const isNotFollowed = (): boolean =>
  navigator.doNotTrack === '1' || (navigator as { globalPrivacyControl?: boolean }).globalPrivacyControl === true;

let last: { readonly key: string; readonly id: Promise<number | null> } | null = null;

/** Notes a search when its first page is shown; the same one shown again is not another. */
export function noteSearch({ query, filters, page }: ShopperSearch, results: number, inDesk: boolean): void {
  const key = JSON.stringify([query, filters]);
  // Who looks at a preview is no shopper.
  if (isPreview() || isNotFollowed() || query.trim() === '' || page > 1 || last?.key === key) return;
  const chosen = Object.fromEntries(Object.entries(filters).map(([name, values]) => [name, [...values]]));
  const id = call('noteSearch', { body: { session: visit(), search: query, filters: chosen, results, inDesk } })
    .then((answer) => answer.id)
    // A log that cannot be written is no reason to disturb a shopper.
    .catch(() => null);
  last = { key, id };
}

let besides: string | null = null;

/** A product found otherwise than in the results, as in the search box: what comes of it is not the last search's doing. */
export function openedBesides(product: string): void {
  besides = product;
}

/** Notes what came of the search shown: a click with its place, a product put into the basket. */
export async function noteOutcome(
  kind: 'click' | 'basket',
  product: string,
  place: number | null = null,
): Promise<void> {
  // Clicked among the results, it is found by them after all.
  if (kind === 'click') besides = null;
  else if (product === besides) return;
  const search = await last?.id;
  if (search === null || search === undefined) return;
  await call('noteOutcome', { body: { session: visit(), search, kind, product, place } }).catch(() => null);
}

/** Notes a line of the search box that was chosen, or a banner. */
export function noteClick(click: {
  readonly inBox: boolean;
  readonly search: string;
  readonly kind: OtherClick;
  readonly target: string;
}): void {
  if (isPreview() || isNotFollowed()) return;
  const { target, ...others } = click;
  void call('noteClick', { body: { session: visit(), ...others, target: target.slice(0, longestTarget) } }).catch(
    () => null,
  );
}

/** Notes a banner that a shopper follows from the search shown. */
export function noteBanner(link: string): void {
  const address = new URLSearchParams(location.search);
  if (!address.has('desk')) noteClick({ inBox: false, search: address.get('q') ?? '', kind: 'banner', target: link });
}
