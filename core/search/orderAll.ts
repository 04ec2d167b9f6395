import { type Compare, selectFirst } from '../base/select.ts';
import { isIn, type RecordSet } from '../conditions/recordSet.ts';
import type { Candidates } from '../ranking/groupFamilies.ts';
import { compareBySignals, orderCandidates, sieveBySignals } from '../ranking/order.ts';
import { bindSignals } from '../ranking/signals.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { Scope } from './scope.ts';

interface ToOrder {
  readonly candidates: Candidates;
  readonly scores: Int32Array;
  /** The order chosen from the sorting menu; null for relevance. */
  readonly sorted: ReturnType<PreparedSetup['sortedBy']>;
  /** The collection whose own order holds. */
  readonly own: Scope | null;
  /** Candidates that have their place already. */
  readonly apart: ReadonlySet<number>;
  /** Families that stand before the others; null where none do. */
  readonly ahead: RecordSet | null;
  readonly soldOutLast: boolean;
}

/** The scores of some candidates. */
function scoresOf(scores: Int32Array, list: Uint32Array): Int32Array {
  const own = new Int32Array(list.length);
  for (let index = 0; index < own.length; index++) own[index] = scores[list[index]!]!;
  return own;
}

/** The numbers below one but for some few: stretches between these, since a look at each would cost every search that has a pin. */
function allBut(count: number, few: ReadonlySet<number>): Uint32Array {
  const list = new Uint32Array(count - few.size);
  let next = 0;
  let from = 0;
  for (const end of [...[...few].sort((a, b) => a - b), count]) {
    for (let at = from; at < end; at++) list[next++] = at;
    from = end + 1;
  }
  return list;
}

/** The candidates that have no place yet, in order: in stock before sold out where that is wanted, each by relevance or as chosen. */
export function orderAll(
  engine: Engine,
  prepared: PreparedSetup,
  { candidates, scores, sorted, own, apart, ahead, soldOutLast }: ToOrder,
  wanted: number,
): { readonly order: number[]; readonly leaders: Map<number, number> } {
  const { families } = candidates;
  const first = own?.sort ? bindSignals(engine, [own.sort], prepared.today) : [];
  const { familyRank } = engine.snapshot;
  const signals = [...first, ...prepared.signals];
  const bySignals = compareBySignals(signals, candidates);
  // Where the signals are equal, or the catalog has none, the scores decide after all; the id makes the order total.
  const tie: Compare = (a, b) =>
    bySignals(a, b) || scores[b]! - scores[a]! || familyRank(families[a]!) - familyRank(families[b]!);
  const chosen = sorted ? compareBySignals(sorted.signals, candidates) : null;
  const byHand = own?.byHand;
  const placeByHand = (at: number): number => byHand!.get(families[at]!) ?? 0;
  const compare: Compare = chosen
    ? (a, b) => chosen(a, b) || scores[b]! - scores[a]! || tie(a, b)
    : byHand
      ? (a, b) => placeByHand(a) - placeByHand(b) || tie(a, b)
      : tie;
  const order: number[] = [];
  const leaders = new Map<number, number>();
  const append = (list: Uint32Array | null): void => {
    if (order.length >= wanted) return;
    const own = list ? scoresOf(scores, list) : scores;
    const at = list ? (index: number): number => list[index]! : (index: number): number => index;
    const left = wanted - order.length;
    if (chosen) {
      const all = list ?? Uint32Array.from(scores, (_, index) => index);
      order.push(...selectFirst(all, Math.min(left, all.length), compare, sieveBySignals(sorted!.signals, candidates)));
      return;
    }
    const part = orderCandidates(
      own,
      prepared.width,
      left,
      list ? (a, b) => compare(list[a]!, list[b]!) : compare,
      byHand ? undefined : sieveBySignals(signals, candidates, list),
    );
    for (let index = 0; index < part.order.length; index++) {
      const candidate = at(part.order[index]!);
      order.push(candidate);
      leaders.set(candidate, part.leaders[index]!);
    }
  };
  const those = (fits: (candidate: number) => boolean): Uint32Array => {
    const list = new Uint32Array(scores.length);
    let count = 0;
    for (let at = 0; at < scores.length; at++) if (fits(at)) list[count++] = at;
    return list.subarray(0, count);
  };
  const isFree = (at: number): boolean => !apart.has(at);
  if (soldOutLast || ahead) {
    const isSoldOut = (at: number): boolean => soldOutLast && engine.familyInStock[families[at]!] === 0;
    for (const soldOut of [false, true])
      for (const isFirst of [true, false])
        append(
          those(
            (at) =>
              isFree(at) && isSoldOut(at) === soldOut && (ahead !== null && isIn(ahead, families[at]!)) === isFirst,
          ),
        );
  } else append(apart.size === 0 ? null : allBut(scores.length, apart));
  return { order, leaders };
}
