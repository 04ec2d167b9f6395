import { type Choices, resolveChoices } from '../facets/choices.ts';
import type { ChosenFilters } from '../facets/chosenFilters.ts';
import { testFilters } from '../facets/filters.ts';
import { hiddenMark, isHidden } from '../index/recordMask.ts';
import { findPriceLimits, type PriceLimits } from '../query/priceLimits.ts';
import { findExactSku, knowsIn, readUnits, searchKey, wordsOf } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import type { AsTyped, QueryWord } from '../query/understand.ts';
import type { Candidates } from '../ranking/groupFamilies.ts';
import type { Signal } from '../ranking/signals.ts';
import { arrange, type Placed } from '../rules/arrange.ts';
import { hasBoost, withBoost } from '../rules/boosts.ts';
import type { FactorEffect, PinEffect } from '../rules/effects.ts';
import { factorsAmong, pinsAmong, resolve, scoreAfter, totalFactor } from '../rules/resolve.ts';
import { perfect } from '../scoring/formula.ts';
import type { SortingOrder } from '../setup/parts/relevance/sorting.ts';
import type { Language } from '../text/languages.ts';
import { affordable } from './affordable.ts';
import { findMatches } from './findMatches.ts';
import { orderAll } from './orderAll.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { Scope } from './scope.ts';

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
  /** Sayings that are to be taken as words though they are recognised, as the answer tells them. */
  readonly asWords?: readonly string[];
  /** The shopper's language, for the names of filters and values. */
  readonly language?: Language;
  /** Tell the values of this filter that have this text in their names. */
  readonly like?: { readonly key: string; readonly text: string };
  /** Only what has all the words: none is dropped. */
  readonly allWords?: boolean;
  /** Asked for by the search box, while the shopper types. */
  readonly box?: boolean;
  /** Tell each result's arithmetic. */
  readonly explain?: boolean;
}

/** Visible records of pinned families that the words do not find, since a pin shows its product all the same. */
function pinnedOnly(
  engine: Engine,
  hidden: Uint8Array | null,
  pins: readonly PinEffect[],
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
  /** The words looked for, without what was recognised as something else. */
  readonly query: string;
  readonly words: readonly QueryWord[];
  readonly dropped: readonly string[];
  /** Of the words dropped those that the catalog knows. */
  readonly missing: readonly QueryWord[];
  /** Phrases of the vocabulary that the words were found as. */
  readonly together: readonly string[];
  readonly candidates: Candidates;
  /** What the words stand for as they were typed: for reading the search once more. */
  readonly asTyped: AsTyped;
  /** By candidate, after pulls. */
  readonly scores: Int32Array;
  readonly placed: readonly Placed[];
  readonly pins: readonly { readonly candidate: number; readonly place: number; readonly pin: PinEffect }[];
  readonly factors: ReadonlyMap<string, readonly FactorEffect[]>;
  /** By candidate in order of relevance: the leader's score of its close-call group. */
  readonly leaders: ReadonlyMap<number, number>;
  readonly skuCandidate: number;
  /** Whether what is sold out stands after everything in stock. */
  readonly soldOutLast: boolean;
  /** Whether the variant shown of a candidate is sold out. */
  isSoldOut(candidate: number): boolean;
  /** The order chosen from the sorting menu, with its signals; null for relevance. */
  readonly sorted: { readonly order: SortingOrder; readonly signals: readonly Signal[] } | null;
  /** What was recognised in the search besides words. */
  readonly understood: Understood;
  readonly isBrowsing: boolean;
  readonly total: number;
  readonly foundAny: boolean;
  readonly records: Uint32Array;
  /** What the search does not look at: hidden, or not let through by what was recognised. */
  readonly hidden: Uint8Array | null;
  readonly failing: Uint32Array | null;
  /** The filters beside the results, and what is chosen in them. */
  readonly choices: Choices;
  readonly ignoredFilters: readonly string[];
}

/** Everything that multiplies a candidate's score: the plans of the search and the product's own boost. */
export function factorsOn({ snapshot, boosts }: Engine, ranking: Ranking, candidate: number): readonly FactorEffect[] {
  const family = ranking.candidates.families[candidate]!;
  const product = snapshot.familyId(family);
  const list = ranking.factors.get(product) ?? [];
  return ranking.isBrowsing ? list : withBoost(list, boosts, family, product);
}

/** A search as it is understood: the words to look for, and what was recognised besides them. */
interface Understood {
  readonly query: string;
  readonly price: PriceLimits | null;
  /** In the units of `query`, without what narrows the results. */
  readonly strong: readonly Recognised[];
  readonly narrowing: readonly Recognised[];
}

/** Takes limits of price, and then what names values or conditions, out of a search; `narrow` says whether any may. */
function understand(
  { snapshot }: Engine,
  { vocabulary, recogniser }: PreparedSetup,
  { query: typed, asWords = [] }: SearchRequest,
  narrow: boolean,
): Understood {
  const limits = vocabulary.recognisesPrice ? findPriceLimits(typed) : null;
  const price = limits && !asWords.includes(limits.text) ? limits : null;
  const query = price?.rest ?? typed;
  if (!recogniser.isOn) return { query, price, strong: [], narrowing: [] };
  const knows = knowsIn(snapshot);
  const skipped = new Set(asWords);
  const found = recogniser.recognise(readUnits(query, knows), skipped);
  const narrowing = narrow ? found.filter(({ as }) => as === 'filter') : [];
  if (narrowing.length === 0) return { query, price, strong: found.filter(({ as }) => as === 'strong'), narrowing };
  const left = readUnits(query, knows).filter((_, at) => !narrowing.some(({ from, to }) => from <= at && at < to));
  const rest = left.map(({ text }) => text).join(' ');
  const strong = recogniser.recognise(readUnits(rest, knows), skipped).filter(({ as }) => as === 'strong');
  return { query: rest, price, strong, narrowing };
}

/** What is hidden, and besides it everything that some recognised saying does not let through. */
function hiddenBesides(records: number, hidden: Uint8Array | null, narrowing: readonly Recognised[]): Uint8Array {
  const all = hidden ? hidden.slice() : new Uint8Array(records);
  for (const { allows } of narrowing)
    for (let record = 0; record < records; record++) if (all[record] === 0 && !allows(record)) all[record] = hiddenMark;
  return all;
}

/**
 * What recognised values and conditions may do: narrow, and fewer of them where nothing is left; narrow whatever comes of
 * it; or not narrow at all.
 */
type Narrowing = 'fewer' | 'all' | 'none';
/** Sayings that are tried as words, one at a time, where all of them together leave nothing. */
const mostTried = 4;

/**
 * A search of which too much was recognised, since recognising must never make a dead end: one saying is taken as words
 * after all, the one that leaves something and the fewest words dropped; or else all of them are.
 */
function rankWithFewer(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  wanted: number,
  scope: Scope | null,
  narrowing: readonly Recognised[],
): Ranking {
  const without = (text: string): SearchRequest => ({ ...request, asWords: [...(request.asWords ?? []), text] });
  let best: string | null = null;
  let fewest = Number.POSITIVE_INFINITY;
  for (const { text } of narrowing.length > 1 ? narrowing.slice(0, mostTried) : []) {
    const { foundAny, dropped } = rank(engine, prepared, without(text), 0, scope, 'all');
    if (!foundAny || dropped.length >= fewest) continue;
    best = text;
    fewest = dropped.length;
  }
  return best === null
    ? rank(engine, prepared, request, wanted, scope, 'none')
    : rank(engine, prepared, without(best), wanted, scope, 'all');
}

/** Understand, match, score, group, pull, order and arrange: the places of the first `wanted` products. */
export function rank(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  wanted: number,
  scope: Scope | null = null,
  mode: Narrowing = 'fewer',
): Ranking {
  const { snapshot, matcher } = engine;
  const place = scope ? 'collections' : request.box ? 'box' : 'results';
  const { hidden, soldOutLast } = prepared.at[place];
  const understood = understand(engine, prepared, request, mode !== 'none');
  const { query, price, strong, narrowing } = understood;
  // Words are dropped among what is let through, not among what is not.
  const searched = narrowing.length > 0 ? hiddenBesides(snapshot.records, hidden, narrowing) : hidden;
  const isBrowsing = query.trim() === '';
  const skuRecord = prepared.exactSku && !isBrowsing ? findExactSku(snapshot, query) : -1;
  const sku = skuRecord >= 0 && !isHidden(searched, skuRecord) ? skuRecord : -1;
  const asTyped: AsTyped = new Map();
  const found = isBrowsing
    ? { words: [], dropped: [], missing: [], together: [], matches: matcher.all(searched) }
    : wordsOf(query).tokens.length === 0
      ? { words: [], dropped: [], missing: [], together: [], matches: matcher.none() }
      : findMatches(engine, prepared, query, {
          typing: request.typing ?? false,
          keepAll: sku >= 0,
          allWords: request.allWords ?? false,
          hidden: searched,
          recognised: strong,
          asTyped,
        });

  const effects = isBrowsing ? [] : resolve(prepared.triggers, { words: wordsOf(request.query).tokens });
  const appliedPins = pinsAmong(effects);
  const extra = pinnedOnly(engine, searched, appliedPins, found.matches.records);
  if (sku >= 0) extra.push(sku);
  const everywhere = withRecords(found.matches.records, extra);
  const within = scope ? everywhere.filter((record) => scope.contains(record)) : everywhere;
  const records = price ? affordable(snapshot, within, price) : within;
  if (narrowing.length > 0 && records.length === 0 && mode === 'fewer')
    return rankWithFewer(engine, prepared, request, wanted, scope, narrowing);
  // A record that only a pin or its part number brings in has no score from its words.
  const { scores: scoreOf } = matcher;
  for (const record of extra) scoreOf[record] = 0;
  if (sku >= 0) scoreOf[sku] = perfect;
  const choices = resolveChoices(snapshot, prepared.filters, {
    filters: request.filters,
    collection: request.collection,
    said: searchKey(request.query),
    records,
  });
  const { failing, ignored } = testFilters(prepared.filters, choices.chosen, records, engine.failing);
  const candidates = engine.grouper.group(records, failing !== null);

  const factors = factorsAmong(effects);
  // Only factors change scores; without any, the grouper's own column is read as it is.
  const isPulled = factors.size > 0 || (engine.boosts !== null && !isBrowsing);
  const scores = isPulled ? candidates.scores.slice() : candidates.scores;
  const candidateOf = new Map<number, number>();
  if (factors.size > 0 || appliedPins.length > 0 || sku >= 0)
    for (let at = 0; at < candidates.families.length; at++) candidateOf.set(candidates.families[at]!, at);
  for (const [product, list] of factors) {
    const at = candidateOf.get(snapshot.findFamily(product));
    if (at !== undefined)
      scores[at] = scoreAfter(
        scores[at]!,
        totalFactor(withBoost(list, engine.boosts, candidates.families[at]!, product)),
      );
  }
  if (engine.boosts && !isBrowsing)
    for (let at = 0; at < scores.length; at++) {
      const family = candidates.families[at]!;
      if (!hasBoost(engine.boosts, family)) continue;
      const product = snapshot.familyId(family);
      if (!factors.has(product))
        scores[at] = scoreAfter(scores[at]!, totalFactor(withBoost([], engine.boosts, family, product)));
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
    query,
    words: found.words,
    dropped: found.dropped,
    missing: found.missing,
    together: found.together,
    asTyped,
    candidates,
    scores,
    placed: arrange(pins, [...lead, ...ordered.order], wanted),
    pins,
    factors,
    leaders: ordered.leaders,
    skuCandidate,
    soldOutLast,
    isSoldOut: (candidate) => engine.familyInStock[candidates.families[candidate]!] === 0,
    sorted,
    understood,
    isBrowsing,
    total: candidates.families.length,
    foundAny: records.length > 0,
    records,
    hidden: searched,
    failing,
    choices,
    ignoredFilters: [...choices.ignored, ...ignored],
  };
}

/** Ids of the first `depth` products in order: for comparing two rankings without making cards. */
export function rankedFamilies(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  depth: number,
  scope: Scope | null = null,
): string[] {
  const { placed, candidates } = rank(engine, prepared, request, depth, scope);
  return placed.map(({ candidate }) => engine.snapshot.familyId(candidates.families[candidate]!));
}
