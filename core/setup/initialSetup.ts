import { named, own } from '../base/named.ts';
import { type AttributeProfile, hasChoices, isIndexedAsText } from '../catalog/profileAttributes.ts';
import { availability, standardColumn } from '../catalog/standardColumns.ts';
import type { FilterSetting } from './filterSchema.ts';
import { usualLayout } from './filterTerms.ts';
import { type AttributeSetting, type Setup, type SortingOrder, setupVersion, type TieBreaker } from './schema.ts';
import { type Shop, usualShop } from './shop.ts';

/** Weights for a beginning: what names a product counts most, long text least. Own attributes by their usual names. */
const usualWeights: Readonly<Record<string, number>> = {
  title: 10,
  sku: 9,
  shade: 7,
  colour: 6,
  color: 6,
  kind: 6,
  brand: 5,
  category: 4,
  tags: 3,
  description: 1,
};

function firstWeight(profile: AttributeProfile): number {
  if (profile.averageWords > 8) return 1;
  return profile.coverage >= 0.5 ? 4 : 2;
}

function firstSetting(profile: AttributeProfile): AttributeSetting {
  // A column of bare numbers has no words yet; once it is given a unit, its amounts are found without another step.
  const isOwnNumber = profile.kind === 'number' && !standardColumn.has(profile.key);
  const isRead = isIndexedAsText(profile) || isOwnNumber;
  const searchable = isRead && profile.key !== availability.key && profile.key !== 'hidden' && profile.coverage >= 0.02;
  const weight = own(usualWeights, profile.key) ?? firstWeight(profile);
  return { searchable, weight, onCard: ['title', 'brand', 'price', 'rating'].includes(profile.key) };
}

/** Filters worth having at first: price, availability, and the attributes that divide the catalog into few values. */
function firstFilters(profiles: readonly AttributeProfile[]): Record<string, FilterSetting> {
  const dividing = profiles
    .filter((profile) => hasChoices(profile) && profile.kind !== 'path' && profile.key !== 'tags')
    .filter((profile) => profile.values >= 2 && profile.values <= 200 && profile.coverage >= 0.3)
    .sort((a, b) => b.coverage - a.coverage || (a.key < b.key ? -1 : 1))
    .slice(0, 6);
  const price = profiles.find((profile) => profile.key === 'price');
  return named(
    [...(price ? [price] : []), ...dividing].map((profile, index): [string, FilterSetting] => [
      profile.key,
      {
        attribute: profile.key,
        label: profile.label,
        kind: profile.key === 'price' ? 'range' : profile.key === availability.key ? 'single' : 'ticks',
        order: index + 1,
        counts: true,
        valueOrder: 'count',
      },
    ]),
  );
}

/** Ratings at the mean that a product's own are weighed against, at first. */
export const usualPull = 10;

function firstTieBreakers(known: ReadonlySet<string>): TieBreaker[] {
  const hasCounts = known.has('ratings');
  return [availability.key, 'units_sold', 'rating']
    .filter((attribute) => known.has(attribute))
    .map((attribute) => ({
      attribute,
      direction: 'high',
      ...(attribute === 'rating' && hasCounts && { pulledBy: usualPull }),
    }));
}

/** The sorting menu to begin with: relevance, and the orders every shop has, where the catalog has what they need. */
function firstOrders(known: ReadonlySet<string>): SortingOrder[] {
  const order = (key: string, label: string, signal: TieBreaker): SortingOrder[] =>
    known.has(signal.attribute) ? [{ key, label, signals: [signal] }] : [];
  return [
    { key: 'relevance', label: 'Best match', signals: [] },
    ...order('price-up', 'Price, low to high', { attribute: 'price', direction: 'low' }),
    ...order('price-down', 'Price, high to low', { attribute: 'price', direction: 'high' }),
    ...order('newest', 'Newest', { attribute: 'date_added', direction: 'high' }),
    ...order('best-rated', 'Best rated', {
      attribute: 'rating',
      direction: 'high',
      ...(known.has('ratings') && { pulledBy: usualPull }),
    }),
    ...order('most-bought', 'Most bought', { attribute: 'units_sold', direction: 'high' }),
  ];
}

/** A setup to begin with, from what the catalog holds; deterministic, so the same catalog always begins the same way. */
export function initialSetup(profiles: readonly AttributeProfile[], shop: Shop = usualShop): Setup {
  const known = new Set(profiles.map(({ key }) => key));
  return {
    format: 'clever-shelf-setup',
    version: setupVersion,
    attributes: named(profiles.map((profile) => [profile.key, firstSetting(profile)])),
    relevance: {
      spelling: { tolerance: true },
      closeCall: { width: 3 },
      tieBreakers: { signals: firstTieBreakers(known) },
      soldOut: { results: 'asItIs', box: 'asItIs', collections: 'asItIs' },
      partNumbers: { lead: true },
      sorting: { orders: firstOrders(known) },
    },
    filters: firstFilters(profiles),
    plans: named(),
    hiding: named(),
    products: named(),
    content: named(),
    vocabulary: named(),
    valueGroups: named(),
    storefront: { filters: usualLayout, languages: { list: [] }, shop },
    emptyShelf: {
      content: { message: 'Nothing on our shelves matches “{search}”.', searches: [], products: [] },
    },
  };
}
