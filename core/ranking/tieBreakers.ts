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
export function bindSignals(snapshot: Snapshot, tieBreakers: readonly TieBreaker[]): Signal[] {
  return tieBreakers.flatMap((tieBreaker): Signal[] => {
    if (tieBreaker.attribute === availability.key) {
      const inStock = recordInStock(snapshot);
      return [{ ...tieBreaker, valueOf: (_, representative) => (inStock(representative) ? 1 : 0) }];
    }
    const column = snapshot.numbers.get(tieBreaker.attribute);
    return column ? [{ ...tieBreaker, valueOf: (family) => column.ofFamily(family) }] : [];
  });
}

/** Whether a record is in stock; true where the catalog does not say. */
export function recordInStock(snapshot: Snapshot): (record: number) => boolean {
  const column = snapshot.values.get(availability.key);
  const soldOut = column?.find(availability.soldOut) ?? -1;
  if (!column || soldOut < 0) return () => true;
  const wanted = new Uint8Array(column.names.length);
  wanted[soldOut] = 1;
  return (record) => !column.hasAny(record, wanted);
}

/** Sign of a before b by one signal's values: a missing value stands last whatever the direction. */
export function compareBySignal(direction: TieBreaker['direction'], a: number, b: number): number {
  if (a === b) return 0;
  if (Number.isNaN(a)) return Number.isNaN(b) ? 0 : 1;
  if (Number.isNaN(b)) return -1;
  return direction === 'high' ? b - a : a - b;
}
