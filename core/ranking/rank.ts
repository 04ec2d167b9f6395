import type { Scope } from '../content/scope.ts';
import { type ChosenFilters, testFilters } from '../facets/filters.ts';
import type { Engine, PreparedSetup } from '../prepareSetup.ts';
import { findMatches } from '../query/findMatches.ts';
import { findExactSku, type QueryWord, searchKey } from '../query/understand.ts';
import { arrange, type Placed } from '../rules/arrange.ts';
import { hasBoost, withBoost } from '../rules/boosts.ts';
import { isHidden } from '../rules/hiddenRecords.ts';
import { type AppliedPin, type AppliedPull, pinsOf, pulledScore, pullsOf, totalPull } from '../rules/plansForSearch.ts';
import { tokenize } from '../text/tokenize.ts';
import { perfect } from './formula.ts';
import { type Candidates, groupFamilies } from './groupFamilies.ts';
import { orderCandidates } from './order.ts';
import { bindSignals, compareBySignal, type Signal } from './tieBreakers.ts';

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
  /** Tell each result's arithmetic. */
  readonly explain?: boolean;
}

/** Visible records of pinned families that the words do not find, since a pin shows its product all the same. */
function pinnedOnly(
  engine: Engine,
  prepared: PreparedSetup,
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
    .filter((record) => !isHidden(prepared.hidden, record));
}

function withRecords(found: Uint32Array, extra: readonly number[]): Uint32Array {
  return extra.length === 0 ? found : Uint32Array.from(new Set([...found, ...extra])).sort();
}

/** Everything decided about one search, before cards are made of it. */
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

/** Understand, match, score, group, pull, order and arrange: the places of the first `wanted` products. */
export function rank(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  wanted: number,
  scope: Scope | null = null,
): Ranking {
  const { snapshot, matcher } = engine;
  const isBrowsing = request.query.trim() === '';
  const skuRecord = prepared.exactSku && !isBrowsing ? findExactSku(snapshot, request.query) : -1;
  const sku = skuRecord >= 0 && !isHidden(prepared.hidden, skuRecord) ? skuRecord : -1;
  const found = isBrowsing
    ? { words: [], dropped: [], matches: matcher.all(prepared.hidden) }
    : tokenize(request.query).length === 0
      ? { words: [], dropped: [], matches: matcher.none() }
      : findMatches(engine, prepared, request.query, { typing: request.typing ?? false, keepAll: sku >= 0 });

  const plans = prepared.plans.get(searchKey(request.query)) ?? [];
  const appliedPins = isBrowsing ? [] : pinsOf(plans);
  const extra = pinnedOnly(engine, prepared, appliedPins, found.matches.records);
  if (sku >= 0) extra.push(sku);
  const everywhere = withRecords(found.matches.records, extra);
  const records = scope ? everywhere.filter((record) => scope.contains(record)) : everywhere;
  // A record that only a pin or its part number brings in has no score from its words.
  const { scores: scoreOf } = found.matches;
  for (const record of extra) scoreOf[record] = 0;
  if (sku >= 0) scoreOf[sku] = perfect;
  const { failing, ignored } = testFilters(prepared.filters, request.filters, records, engine.failing);
  const candidates = groupFamilies(records, snapshot.recordFamily, failing, scoreOf, engine.inStock);

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
  const pins = appliedPins.flatMap((pin) => {
    const candidate = candidateOf.get(snapshot.findFamily(pin.product));
    return candidate === undefined ? [] : [{ candidate, place: pin.place, pin }];
  });
  const skuCandidate = sku < 0 ? -1 : (candidateOf.get(snapshot.recordFamily[sku]!) ?? -1);

  const apart = new Set(pins.map(({ candidate }) => candidate));
  if (skuCandidate >= 0) apart.add(skuCandidate);
  const free: number[] | null = apart.size === 0 ? null : [];
  if (free) for (let at = 0; at < scores.length; at++) if (!apart.has(at)) free.push(at);
  const freeScores = free ? Int32Array.from(free, (at) => scores[at]!) : scores;
  const candidateAt = (at: number): number => (free ? free[at]! : at);
  const own = isBrowsing ? scope : null;
  const signals = own?.sort ? [...bindSignals(engine, [own.sort]), ...prepared.signals] : prepared.signals;
  const placeByHand = (at: number): number => own?.byHand?.get(candidates.families[at]!) ?? 0;
  const compare = (a: number, b: number): number =>
    placeByHand(candidateAt(a)) - placeByHand(candidateAt(b)) ||
    compareCandidates(engine, signals, candidates, candidateAt(a), candidateAt(b));
  const { order, leaders } = orderCandidates(freeScores, prepared.width, wanted, compare);
  const others = Array.from(order, candidateAt);
  const leaderOf = new Map(others.map((candidate, index) => [candidate, leaders[index]!]));
  const skuIsPinned = pins.some(({ candidate }) => candidate === skuCandidate);
  const lead = skuCandidate >= 0 && !skuIsPinned ? [skuCandidate] : [];
  return {
    words: found.words,
    dropped: found.dropped,
    candidates,
    scores,
    placed: arrange(pins, [...lead, ...others], wanted),
    pins,
    pulls,
    leaders: leaderOf,
    skuCandidate,
    isBrowsing,
    total: candidates.families.length,
    foundAny: records.length > 0,
    records,
    failing,
    ignoredFilters: ignored,
  };
}

/** The order inside a group of close calls: tie-breakers, then the family's id. Total. */
function compareCandidates(
  engine: Engine,
  signals: readonly Signal[],
  candidates: Candidates,
  a: number,
  b: number,
): number {
  const { families, representatives } = candidates;
  for (const signal of signals) {
    const difference = compareBySignal(
      signal.direction,
      signal.valueOf(families[a]!, representatives[a]!),
      signal.valueOf(families[b]!, representatives[b]!),
    );
    if (difference !== 0) return difference;
  }
  return engine.snapshot.familyRank(families[a]!) - engine.snapshot.familyRank(families[b]!);
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
