import { availability, standardColumn } from '../catalog/standardColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';

/** The key of the signal that is worked out from price and cost, where the catalog has no such attribute itself. */
export const margin = { key: 'margin', label: 'Margin' } as const;

/**
 * A tie-breaker bound to a catalog. `values` goes by record of the variant shown or by family, NaN where there is
 * none; `keys` is the same turned so that the lesser stands first and what has none stands last.
 */
export interface Signal extends TieBreaker {
  readonly byRecord: boolean;
  readonly values: Float64Array;
  readonly keys: Float64Array;
}

interface Stock {
  readonly snapshot: Snapshot;
  /** By family. */
  readonly familyInStock: Uint8Array;
}

const filled = (length: number, of: (at: number) => number): Float64Array => {
  const values = new Float64Array(length);
  for (let at = 0; at < length; at++) values[at] = of(at);
  return values;
};

/**
 * A rating with few ratings pulled to the mean: as if `strength` shoppers more had given the shop's mean. A product
 * nobody rated is rated the mean. (The Bayesian average with the mean as prior.)
 */
export function pulledRating(rating: number, ratings: number, mean: number, strength: number): number {
  const count = Number.isNaN(rating) || Number.isNaN(ratings) ? 0 : ratings;
  return count + strength === 0 ? mean : ((count === 0 ? 0 : rating * count) + mean * strength) / (count + strength);
}

/** Newness in whole percent: 100 today, halved with every `halfLife` days. What lies ahead is as new as today. */
export function newness(days: number, halfLife: number): number {
  return Number.isNaN(days) ? Number.NaN : Math.round(100 * 0.5 ** (Math.max(0, days) / halfLife));
}

/** Margin as a share of the price: NaN where either is missing or the price is nothing. */
export const marginOf = (price: number, cost: number): number => (price > 0 ? (price - cost) / price : Number.NaN);

function pulledRatings(snapshot: Snapshot, strength: number): Float64Array | null {
  const rating = snapshot.numbers.get('rating');
  const counts = snapshot.numbers.get('ratings');
  if (!rating || !counts) return null;
  let sum = 0;
  let all = 0;
  for (let family = 0; family < snapshot.families; family++) {
    const count = counts.ofFamily(family);
    if (Number.isNaN(rating.ofFamily(family)) || !(count > 0)) continue;
    sum += rating.ofFamily(family) * count;
    all += count;
  }
  if (all === 0) return null;
  const mean = sum / all;
  return filled(snapshot.families, (family) =>
    pulledRating(rating.ofFamily(family), counts.ofFamily(family), mean, strength),
  );
}

/** The values of one tie-breaker; null where the catalog has no such attribute. */
function valuesOf(
  { snapshot, familyInStock }: Stock,
  { attribute, pulledBy, halfLife, lowBelow }: TieBreaker,
  today: number,
): Pick<Signal, 'byRecord' | 'values'> | null {
  const { records, families, numbers } = snapshot;
  if (attribute === availability.key) return { byRecord: false, values: Float64Array.from(familyInStock) };
  const column = numbers.get(attribute);
  if (!column) {
    const [price, cost] = [numbers.get('price'), numbers.get('cost')];
    if (attribute !== margin.key || !price || !cost) return null;
    return { byRecord: true, values: filled(records, (at) => marginOf(price.ofRecord(at), cost.ofRecord(at))) };
  }
  if (lowBelow !== undefined)
    return {
      byRecord: true,
      values: filled(records, (at) => (Number.isNaN(column.ofRecord(at)) || column.ofRecord(at) >= lowBelow ? 1 : 0)),
    };
  if (halfLife !== undefined)
    return { byRecord: false, values: filled(families, (at) => newness(today - column.ofFamily(at), halfLife)) };
  const pulled = attribute === 'rating' && pulledBy !== undefined ? pulledRatings(snapshot, pulledBy) : null;
  if (pulled) return { byRecord: false, values: pulled };
  // A price is the one the shopper sees on the card: that of the variant shown. Other amounts are the product's.
  if (standardColumn.get(attribute)?.ofFamily === 'least')
    return { byRecord: true, values: filled(records, column.ofRecord) };
  return { byRecord: false, values: filled(families, column.ofFamily) };
}

/**
 * Binds tie-breakers to a catalog; unknown attributes are left out. `today` is in days since 1970. Cost: a pass over
 * the records or families for each, when it is first looked at.
 */
export function bindSignals(stock: Stock, tieBreakers: readonly TieBreaker[], today: number): Signal[] {
  return tieBreakers.flatMap((tieBreaker): Signal[] => {
    const bound = valuesOf(stock, tieBreaker, today);
    if (!bound) return [];
    const sign = tieBreaker.direction === 'high' ? -1 : 1;
    const keys = bound.values.map((value) => (Number.isNaN(value) ? Number.POSITIVE_INFINITY : sign * value));
    return [{ ...tieBreaker, ...bound, keys }];
  });
}
