import { availability } from '../catalog/standardColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { TieBreaker } from '../setup/schema.ts';

/** A tie-breaker bound to a catalog: reads a candidate's amount, NaN where it has none. */
export interface Signal extends TieBreaker {
  valueOf(family: number, representative: number): number;
}

/**
 * Binds tie-breakers to a snapshot. Availability is that of the variant shown (1 in stock, 0 sold out); amounts are
 * the family's, so that the variant that happens to be shown does not decide. Unknown attributes are left out.
 */
export function bindSignals(
  { snapshot, inStock }: { readonly snapshot: Snapshot; readonly inStock: Uint8Array },
  tieBreakers: readonly TieBreaker[],
): Signal[] {
  return tieBreakers.flatMap((tieBreaker): Signal[] => {
    if (tieBreaker.attribute === availability.key) {
      return [{ ...tieBreaker, valueOf: (_, representative) => inStock[representative]! }];
    }
    const column = snapshot.numbers.get(tieBreaker.attribute);
    return column ? [{ ...tieBreaker, valueOf: (family) => column.ofFamily(family) }] : [];
  });
}

/** By record, 1 where it is in stock or the catalog does not say, else 0. */
export function stockByRecord(snapshot: Snapshot): Uint8Array {
  const inStock = new Uint8Array(snapshot.records).fill(1);
  const column = snapshot.values.get(availability.key);
  const soldOut = column?.find(availability.soldOut) ?? -1;
  if (!column || soldOut < 0) return inStock;
  const wanted = new Uint8Array(column.size);
  wanted[soldOut] = 1;
  for (let record = 0; record < inStock.length; record++) if (column.hasAny(record, wanted)) inStock[record] = 0;
  return inStock;
}

/** Sign of a before b by one signal's values: a missing value stands last whatever the direction. */
export function compareBySignal(direction: TieBreaker['direction'], a: number, b: number): number {
  if (a === b) return 0;
  if (Number.isNaN(a)) return Number.isNaN(b) ? 0 : 1;
  if (Number.isNaN(b)) return -1;
  return direction === 'high' ? b - a : a - b;
}
