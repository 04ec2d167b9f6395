import type { Collection } from '../content/content.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';

/** A collection bound to a catalog: which records are in it, and how its page is ordered where nothing is searched for. */
export interface Scope {
  contains(record: number): boolean;
  /** Place in the order made by hand, by family; null where there is none. */
  readonly byHand: ReadonlyMap<number, number> | null;
  readonly sort: TieBreaker | null;
}

export function bindScope(snapshot: Snapshot, collection: Collection): Scope {
  const { attribute, values, products, sort, direction } = collection;
  if (products.length > 0) {
    const families = products.map((product) => snapshot.findFamily(product)).filter((family) => family >= 0);
    const byHand = new Map(families.map((family, place) => [family, place]));
    return { contains: (record) => byHand.has(snapshot.recordFamily[record]!), byHand, sort: null };
  }
  const column = snapshot.values.get(attribute);
  const wanted = new Uint8Array(column?.size ?? 0);
  for (const text of values) {
    const value = column?.find(text) ?? -1;
    if (value >= 0) wanted[value] = 1;
  }
  return {
    contains: (record) => column?.hasAny(record, wanted) ?? false,
    byHand: null,
    sort: sort === '' ? null : { attribute: sort, direction },
  };
}
