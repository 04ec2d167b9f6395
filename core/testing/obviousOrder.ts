import { shuffledPlace } from '../ranking/shuffle.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import type { Setup } from '../setup/schema.ts';
import type { amountReader } from './obviousAmounts.ts';
import type { ReadRecord } from './obviousCatalog.ts';

/** A family in the results, by the variant that is shown of it. */
interface Candidate {
  readonly familyId: string;
  readonly recordId: string;
  readonly score: number;
  readonly read: ReadRecord;
}
interface Ordering {
  readonly sort: string;
  /** The order that a plan gives the results. */
  readonly planned: TieBreaker | undefined;
  readonly pins: readonly { readonly product: string; readonly place: number }[];
  /** Products that plans put first, in order. */
  readonly first: readonly string[];
  /** Whether the part number comes before these. */
  readonly skuLeads: boolean;
  /** The family whose part number the search is. */
  readonly sku: string | undefined;
  readonly soldOutLast: boolean;
  /** Products that stand behind those put first, in order, whatever else orders them. */
  readonly leading: readonly string[];
  /** The day whose shuffle orders them; null for none. */
  readonly shuffled: number | null;
  /** Whether a product stands before the others, in whatever order both have. */
  isAhead(familyId: string): boolean;
}

/** Puts candidates in order by comparing all with all, close calls and pins included. */
export function obviousOrder(
  { relevance }: Setup,
  candidates: readonly Candidate[],
  { amountOf, familyInStock }: ReturnType<typeof amountReader>,
  { sort, planned, pins, first: firstIds, skuLeads, sku, soldOutLast, leading, shuffled, isAhead }: Ordering,
): Candidate[] {
  const amounts = new Map<TieBreaker, Map<string, number | null>>();
  const amountFor = (signal: TieBreaker, { familyId, read }: Candidate): number | null => {
    const known = amounts.get(signal) ?? new Map<string, number | null>();
    amounts.set(signal, known);
    if (!known.has(familyId)) known.set(familyId, amountOf(familyId, read, signal));
    return known.get(familyId)!;
  };
  const bySignals = (signals: readonly TieBreaker[], a: Candidate, b: Candidate): number => {
    for (const signal of signals) {
      const x = amountFor(signal, a);
      const y = amountFor(signal, b);
      if (x === y) continue;
      if (x === null) return 1;
      if (y === null) return -1;
      return signal.direction === 'high' ? y - x : x - y;
    }
    return 0;
  };
  const tie = (a: Candidate, b: Candidate): number =>
    bySignals(relevance.tieBreakers.signals, a, b) || b.score - a.score || (a.familyId < b.familyId ? -1 : 1);
  const chosenOrder = relevance.sorting.orders.find((order) => order.key === sort && order.signals.length > 0);
  const isOrdered = chosenOrder !== undefined || shuffled !== null;
  const pinned = (isOrdered ? [] : pins).flatMap(({ product, place }) => {
    const candidate = candidates.find(({ familyId }) => familyId === product);
    return candidate ? [{ candidate, place }] : [];
  });
  const unplaced = candidates.filter((candidate) => !pinned.some((pin) => pin.candidate === candidate));
  const named = isOrdered ? [] : skuLeads ? [sku, ...firstIds] : [...firstIds, sku];
  const first = [...new Set([...named, ...leading])].flatMap(
    (id) => unplaced.find(({ familyId }) => familyId === id) ?? [],
  );
  const ordered: Candidate[] = [...first];
  const width = Math.round(relevance.closeCall.width * 1000);
  const append = (some: readonly Candidate[]): void => {
    let left = some.filter((candidate) => !first.includes(candidate));
    if (shuffled !== null) {
      const placeOf = ({ familyId }: Candidate): number => shuffledPlace(familyId, shuffled);
      ordered.push(...left.sort((a, b) => placeOf(a) - placeOf(b)));
      return;
    }
    const given = chosenOrder?.signals ?? (planned && [planned]);
    if (given) {
      const compare = (a: Candidate, b: Candidate) => bySignals(given, a, b) || b.score - a.score || tie(a, b);
      ordered.push(...left.sort(compare));
      return;
    }
    while (left.length > 0) {
      const leader = Math.max(...left.map(({ score }) => score));
      const group = left.filter(({ score }) => score >= leader - width);
      ordered.push(...group.sort(tie));
      left = left.filter((candidate) => !group.includes(candidate));
    }
  };
  for (const isOut of [false, true])
    for (const ahead of [true, false])
      append(
        unplaced.filter(
          ({ familyId }) => (soldOutLast && !familyInStock(familyId)) === isOut && isAhead(familyId) === ahead,
        ),
      );
  for (const [at, { candidate, place }] of pinned.entries()) {
    const earlier = at === 0 ? 0 : ordered.indexOf(pinned[at - 1]!.candidate) + 1;
    ordered.splice(Math.max(place - 1, earlier), 0, candidate);
  }
  return ordered;
}
