import type { Scope } from '../content/scope.ts';
import { type ChosenFilters, testFilters } from '../facets/filters.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Engine, PreparedSetup } from '../prepareSetup.ts';
import { findMatches } from '../query/findMatches.ts';
import { findPriceLimits, type PriceLimits } from '../query/priceLimits.ts';
import { findExactSku, type QueryWord, searchKey } from '../query/understand.ts';
import { arrange, type Placed } from '../rules/arrange.ts';
import { hasBoost, withBoost } from '../rules/boosts.ts';
import { isHidden } from '../rules/hiddenRecords.ts';
import { type AppliedPin, type AppliedPull, pinsOf, pulledScore, pullsOf, totalPull } from '../rules/plansForSearch.ts';
import type { SortingOrder } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { perfect } from './formula.ts';
import type { Candidates } from './groupFamilies.ts';
import { compareBySignals, orderCandidates } from './order.ts';
import { type Compare, selectFirst } from './select.ts';
import { bindSignals, type Signal } from './signals.ts';

export interface SearchRequest {
  readonly query: string;
  readonly filters: ChosenFilters;
  /** From 1. */
  readonly page: number;
  /** Products a page, from 1. */
  readonly limit: number;
  /** The shopper is still typing: the last word may go on. */
  readonly typing?: boolean;
  /** Tell pins, pulls and exact part numbers with each result: for the desk. */
  readonly marks?: boolean;
  /** Only the products of this collection. */
  readonly collection?: string;
  /** The order chosen from the sorting menu, by its key; relevance where it is absent or unknown. */
  readonly sort?: string;
  /** Take every word as a word: nothing in the search is recognised as a limit of price. */
  readonly literally?: boolean;
  /** Asked for by the search box, while the shopper types. */
  readonly box?: boolean;
  /** Tell each result's arithmetic. */
  readonly explain?: boolean;
}

/** Visible records of pinned families that the words do not find, since a pin shows its product all the same. */
function pinnedOnly(
  engine: Engine,
  hidden: Uint8Array | null,
  pins: readonly AppliedPin[],
  found: Uint32Array,
): number[] {
  const { snapshot } = engine;
  const matching = new Set<number>();
  const families = new Set(pins.map(({ product }) => snapshot.findFamily(product)).filter((family) => family >= 0));
  if (families.size === 0) return [];
  for (const record of found)
    if (families.has(snapshot.recordFamily[record]!)) matching.add(snapshot.recordFamily[record]!);
  return [...families]
    .filter((family) => !matching.has(family))
    .flatMap((family) => {
      const [from, to] = snapshot.recordsOf(family);
      return Array.from({ length: to - from }, (_, index) => from + index);
    })
    .filter((record) => !isHidden(hidden, record));
}

function withRecords(found: Uint32Array, extra: readonly number[]): Uint32Array {
  return extra.length === 0 ? found : Uint32Array.from(new Set([...found, ...extra])).sort();
}

/** Everything decided about one search, before cards are made of it; valid until the engine's next search. */
export interface Ranking {
  readonly words: readonly QueryWord[];
  readonly dropped: readonly string[];
  readonly candidates: Candidates;
  /** By candidate, after pulls. */
  readonly scores: Int32Array;
  readonly placed: readonly Placed[];
  readonly pins: readonly { readonly candidate: number; readonly place: number; readonly pin: AppliedPin }[];
  readonly pulls: ReadonlyMap<string, readonly AppliedPull[]>;
  /** By candidate in order of relevance: the leader's score of its close-call group. */
  readonly leaders: ReadonlyMap<number, number>;
  readonly skuCandidate: number;
  /** Whether what is sold out stands after everything in stock. */
  readonly soldOutLast: boolean;
  /** Whether the variant shown of a candidate is sold out. */
  isSoldOut(candidate: number): boolean;
  /** The order chosen from the sorting menu, with its signals; null for relevance. */
  readonly sorted: { readonly order: SortingOrder; readonly signals: readonly Signal[] } | null;
  /** The limit of price that was recognised in the search. */
  readonly understood: PriceLimits | null;
  readonly isBrowsing: boolean;
  readonly total: number;
  readonly foundAny: boolean;
  readonly records: Uint32Array;
  readonly failing: Uint32Array | null;
  readonly ignoredFilters: readonly string[];
}

/** Everything that pulls on a candidate: the plans of the search and the product's own boost. */
export function pullsOn({ snapshot, boosts }: Engine, ranking: Ranking, candidate: number): readonly AppliedPull[] {
  const family = ranking.candidates.families[candidate]!;
  const list = ranking.pulls.get(snapshot.familyId(family)) ?? [];
  return ranking.isBrowsing ? list : withBoost(list, boosts, family);
}

/** The words to look for, and the limit of price said besides them, where that is recognised and the catalog has prices. */
function understand(
  prepared: PreparedSetup,
  { query, literally }: SearchRequest,
): { readonly query: string; readonly understood: PriceLimits | null } {
  const understood = prepared.vocabulary.recognisesPrice && !literally ? findPriceLimits(query) : null;
  return { query: understood?.rest ?? query, understood };
}

/** The records whose price a limit allows; one without a price is not known to be allowed. */
function affordable({ numbers }: Snapshot, records: Uint32Array, { from, to }: PriceLimits): Uint32Array {
  const prices = numbers.get('price');
  if (!prices) return records;
  return records.filter((record) => {
    const price = prices.ofRecord(record);
    return (from === null || price >= from) && (to === null || price <= to) && !Number.isNaN(price);
  });
}

/** Understand, match, score, group, pull, order and arrange: the places of the first `wanted` products. */
export function rank(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  wanted: number,
  scope: Scope | null = null,
): Ranking {
  const { snapshot, matcher } = engine;
  const place = scope ? 'collections' : request.box ? 'box' : 'results';
  const { hidden, soldOutLast } = prepared.at[place];
  const { query, understood } = understand(prepared, request);
  const isBrowsing = query.trim() === '';
  const skuRecord = prepared.exactSku && !isBrowsing ? findExactSku(snapshot, query) : -1;
  const sku = skuRecord >= 0 && !isHidden(hidden, skuRecord) ? skuRecord : -1;
  const found = isBrowsing
    ? { words: [], dropped: [], matches: matcher.all(hidden) }
    : tokenize(query).length === 0
      ? { words: [], dropped: [], matches: matcher.none() }
      : findMatches(engine, prepared, query, { typing: request.typing ?? false, keepAll: sku >= 0, hidden });

  const plans = prepared.plans.get(searchKey(request.query)) ?? [];
  const appliedPins = isBrowsing ? [] : pinsOf(plans);
  const extra = pinnedOnly(engine, hidden, appliedPins, found.matches.records);
  if (sku >= 0) extra.push(sku);
  const everywhere = withRecords(found.matches.records, extra);
  const within = scope ? everywhere.filter((record) => scope.contains(record)) : everywhere;
  const records = understood ? affordable(snapshot, within, understood) : within;
  // A record that only a pin or its part number brings in has no score from its words.
  const { scores: scoreOf } = found.matches;
  for (const record of extra) scoreOf[record] = 0;
  if (sku >= 0) scoreOf[sku] = perfect;
  const { failing, ignored } = testFilters(prepared.filters, request.filters, records, engine.failing);
  const candidates = engine.grouper.group(records, failing, scoreOf, engine.inStock);

  const pulls = isBrowsing ? new Map<string, readonly AppliedPull[]>() : pullsOf(plans);
  const scores = candidates.scores.slice();
  const candidateOf = new Map<number, number>();
  if (pulls.size > 0 || appliedPins.length > 0 || sku >= 0)
    for (let at = 0; at < candidates.families.length; at++) candidateOf.set(candidates.families[at]!, at);
  for (const [product, list] of pulls) {
    const at = candidateOf.get(snapshot.findFamily(product));
    if (at !== undefined)
      scores[at] = pulledScore(scores[at]!, totalPull(withBoost(list, engine.boosts, candidates.families[at]!)));
  }
  if (engine.boosts && !isBrowsing)
    for (let at = 0; at < scores.length; at++) {
      const family = candidates.families[at]!;
      if (hasBoost(engine.boosts, family) && !pulls.has(snapshot.familyId(family)))
        scores[at] = pulledScore(scores[at]!, totalPull(withBoost([], engine.boosts, family)));
    }
  const sorted = prepared.sortedBy(request.sort);
  // An order the shopper has chosen is kept to: neither pins nor a part number stand before it.
  const pins = sorted
    ? []
    : appliedPins.flatMap((pin) => {
        const candidate = candidateOf.get(snapshot.findFamily(pin.product));
        return candidate === undefined ? [] : [{ candidate, place: pin.place, pin }];
      });
  const skuCandidate = sku < 0 ? -1 : (candidateOf.get(snapshot.recordFamily[sku]!) ?? -1);
  const leads = skuCandidate >= 0 && !sorted;

  const apart = new Set(pins.map(({ candidate }) => candidate));
  if (leads) apart.add(skuCandidate);
  const own = isBrowsing && !sorted ? scope : null;
  const ordered = orderAll(engine, prepared, { candidates, scores, sorted, own, apart, soldOutLast }, wanted);
  const skuIsPinned = pins.some(({ candidate }) => candidate === skuCandidate);
  const lead = leads && !skuIsPinned ? [skuCandidate] : [];
  return {
    words: found.words,
    dropped: found.dropped,
    candidates,
    scores,
    placed: arrange(pins, [...lead, ...ordered.order], wanted),
    pins,
    pulls,
    leaders: ordered.leaders,
    skuCandidate,
    soldOutLast,
    isSoldOut: (candidate) => engine.inStock[candidates.representatives[candidate]!] === 0,
    sorted,
    understood,
    isBrowsing,
    total: candidates.families.length,
    foundAny: records.length > 0,
    records,
    failing,
    ignoredFilters: ignored,
  };
}

interface ToOrder {
  readonly candidates: Candidates;
  readonly scores: Int32Array;
  readonly sorted: Ranking['sorted'];
  /** The collection whose own order holds. */
  readonly own: Scope | null;
  /** Candidates that have their place already. */
  readonly apart: ReadonlySet<number>;
  readonly soldOutLast: boolean;
}

/** The candidates that have no place yet, in order: in stock before sold out where that is wanted, each by relevance or as chosen. */
function orderAll(
  engine: Engine,
  prepared: PreparedSetup,
  { candidates, scores, sorted, own, apart, soldOutLast }: ToOrder,
  wanted: number,
): { readonly order: number[]; readonly leaders: Map<number, number> } {
  const { families, representatives } = candidates;
  const first = own?.sort ? bindSignals(engine, [own.sort], prepared.today) : [];
  const { familyRank } = engine.snapshot;
  const bySignals = compareBySignals([...first, ...prepared.signals], candidates);
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
  const take = (list: Uint32Array | null): void => {
    if (order.length >= wanted) return;
    const own = list ? Int32Array.from(list, (at) => scores[at]!) : scores;
    const at = list ? (index: number): number => list[index]! : (index: number): number => index;
    const left = wanted - order.length;
    if (chosen) {
      const all = list ?? Uint32Array.from(scores, (_, index) => index);
      order.push(...selectFirst(all, Math.min(left, all.length), compare));
      return;
    }
    const part = orderCandidates(own, prepared.width, left, list ? (a, b) => compare(list[a]!, list[b]!) : compare);
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
  if (soldOutLast) {
    const { inStock } = engine;
    take(those((at) => isFree(at) && inStock[representatives[at]!] === 1));
    take(those((at) => isFree(at) && inStock[representatives[at]!] === 0));
  } else take(apart.size === 0 ? null : those(isFree));
  return { order, leaders };
}

/** Ids of the first `depth` products in order: for comparing two rankings without making cards. */
export function rankedFamilies(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  depth: number,
): string[] {
  const { placed, candidates } = rank(engine, prepared, request, depth);
  return placed.map(({ candidate }) => engine.snapshot.familyId(candidates.families[candidate]!));
}
