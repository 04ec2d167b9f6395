import { recordsIn } from '../conditions/bindCondition.ts';
import { isIn } from '../conditions/recordSet.ts';
import type { Collection } from '../content/decidedContent.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';

/** A collection bound to a catalog: which records are in it, and how its page is ordered where nothing is searched for. */
export interface Scope {
  /** The collection's. */
  readonly id: string;
  readonly title: string;
  contains(record: number): boolean;
  /** Place in the order made by hand, by family; null where there is none. */
  readonly byHand: ReadonlyMap<number, number> | null;
  /** Families that stand before its order, in this one. */
  readonly first: readonly number[];
  readonly sort: TieBreaker | null;
}

/** `today` is in days since 1970. Cost: a look at each product chosen by hand, or what binding its condition costs. */
export function bindScope(snapshot: Snapshot, collection: Collection, today: number): Scope {
  const { id, title, condition, products, first, sort, direction } = collection;
  const familiesOf = (ids: readonly string[]): number[] =>
    ids.map((product) => snapshot.findFamily(product)).filter((family) => family >= 0);
  if (!condition) {
    const byHand = new Map(familiesOf(products).map((family, place) => [family, place]));
    const contains = (record: number): boolean => byHand.has(snapshot.recordFamily[record]!);
    return { id, title, contains, byHand, first: [], sort: null };
  }
  const set = recordsIn(snapshot, collection, today);
  return {
    id,
    title,
    contains: (record) => isIn(set, record),
    byHand: null,
    first: familiesOf(first),
    sort: sort === '' ? null : { attribute: sort, direction },
  };
}
