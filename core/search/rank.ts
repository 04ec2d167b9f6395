import { indexAmong, withMore } from '../base/sorted.ts';
import { type Choices, resolveChoices } from '../facets/choices.ts';
import { testFilters } from '../facets/filters.ts';
import { hiddenMark, isHidden } from '../index/recordMask.ts';
import { findExactSku, knowsIn, searchKey, wordsOf } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import type { AsTyped, QueryWord } from '../query/understand.ts';
import type { Candidates } from '../ranking/groupFamilies.ts';
import type { Signal } from '../ranking/signals.ts';
import { arrange, type Placed } from '../rules/arrange.ts';
import type { Effect, FactorEffect, PinEffect, ScopeEffect, Source } from '../rules/effects.ts';
import { type PlanFactors, planFactors } from '../rules/planFactors.ts';
import { boundedFactor, type Context, pinsAmong, resolve, scoreAfter, takenFor } from '../rules/resolve.ts';
import type { Standing } from '../rules/standing.ts';
import { perfect } from '../scoring/formula.ts';
import type { SortingOrder } from '../setup/parts/relevance/sorting.ts';
import type { StockPlace } from '../setup/terms/placeTerms.ts';
import { affordable } from './affordable.ts';
import { correctedReading } from './correctedReading.ts';
import { findMatches } from './findMatches.ts';
import { type Leading, leadingOf } from './leading.ts';
import { orderAll } from './orderAll.ts';
import {
  addedByPlans,
  broughtInScore,
  firstAmong,
  hiddenByPlans,
  hiddenOutside,
  withoutWaiting,
  withoutWords,
} from './planned.ts';
import { type PlannedOrder, plannedOrder } from './plannedOrder.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { Scope } from './scope.ts';
import type { SearchRequest } from './searchRequest.ts';
import { type Understood, understand } from './understand.ts';

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
  /** Where it is asked. */
  readonly place: StockPlace;
  readonly placed: readonly Placed[];
  readonly pins: readonly { readonly candidate: number; readonly place: number; readonly pin: PinEffect }[];
  /** Everything that plans do to the search. */
  readonly effects: readonly Effect[];
  readonly factors: PlanFactors;
  /** By candidate, the plan or the collection's order that puts it first. */
  readonly first: ReadonlyMap<number, Source>;
  /** Records of products that a plan brought in, which match as their titles would. */
  readonly broughtIn: ReadonlySet<number>;
  /** The search this one was taken for, and by which plan; null where it was taken as it is. */
  readonly takenFor: { readonly search: string; readonly source: Source } | null;
  readonly standing: Standing | null;
  /** What is looked for and at only, by which plan; null where a search is looked for as it is. */
  readonly scoped: ScopeEffect | null;
  /** Pins of products that are sold out, and wait. */
  readonly waiting: readonly PinEffect[];
  /** The order that a plan gives the results; null where they stand by score, or as the shopper chose. */
  readonly planned: PlannedOrder | null;
  /** By candidate in order of relevance: the leader's score of its close-call group. */
  readonly leaders: ReadonlyMap<number, number>;
  readonly skuCandidate: number;
  /** Whether what is sold out stands after everything in stock. */
  readonly soldOutLast: boolean;
  /** Whether the variant shown of a candidate is sold out. */
  isSoldOut(candidate: number): boolean;
  /** The order chosen from the sorting menu, with its signals; null for relevance. */
  readonly sorted: { readonly order: SortingOrder; readonly signals: readonly Signal[] } | null;
  /** Whether that is the order before any search, which nobody has chosen. */
  readonly begins: boolean;
  /** What leads before any search; null elsewhere. */
  readonly leading: Leading | null;
  /** What was recognised in the search besides words. */
  readonly understood: Understood;
  readonly isBrowsing: boolean;
  readonly total: number;
  readonly foundAny: boolean;
  /** Whether something has the words, or is it by its part number; what only plans put there does not count. */
  readonly foundByWords: boolean;
  /** What was recognised and taken as words after all, since nothing would have been left. */
  readonly loosened: readonly string[];
  readonly records: Uint32Array;
  /** What the search does not look at: hidden, or not let through by what was recognised. */
  readonly hidden: Uint8Array | null;
  readonly failing: Uint32Array | null;
  /** The filters beside the results, and what is chosen in them. */
  readonly choices: Choices;
  readonly ignoredFilters: readonly string[];
}

/** Everything that multiplies a product's score, in the order in which it does: its own boost, house rules, the plans of the search. */
export const factorsOn = ({ factors, standing }: Ranking, family: number): FactorEffect[] => [
  ...(standing?.effectsOn(family) ?? []),
  ...factors.on(family),
];
/** The same in one number, within the bounds. */
export const factorOf = ({ factors, standing }: Pick<Ranking, 'factors' | 'standing'>, family: number): number =>
  boundedFactor(factors.times(family, standing?.factors[family] ?? 1));

/** What is hidden, and besides it everything that some recognised saying does not let through. */
function hiddenBesides(records: number, hidden: Uint8Array | null, narrowing: readonly Recognised[]): Uint8Array {
  const all = hidden ? hidden.slice() : new Uint8Array(records);
  for (const { allows } of narrowing)
    for (let record = 0; record < records; record++) if (all[record] === 0 && !allows(record)) all[record] = hiddenMark;
  return all;
}

/** What is hidden, and besides it everything that is not in the collection looked in: words are dropped for what is in it. */
function hiddenElsewhere(records: number, hidden: Uint8Array | null, scope: Scope): Uint8Array {
  const all = hidden ? hidden.slice() : new Uint8Array(records);
  for (let record = 0; record < records; record++)
    if (all[record] === 0 && !scope.contains(record)) all[record] = hiddenMark;
  return all;
}

/**
 * What recognised values and conditions may do: narrow, and fewer of them where nothing is left; narrow whatever comes of
 * it; or not narrow at all.
 */
export type Narrowing = 'fewer' | 'all' | 'none';
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
    ? { ...rank(engine, prepared, request, wanted, scope, 'none'), loosened: narrowing.map(({ text }) => text) }
    : { ...rank(engine, prepared, without(best), wanted, scope, 'all'), loosened: [best] };
}

/** Understand, match, score, group, pull, order and arrange: the places of the first `wanted` products. */
export function rank(
  engine: Engine,
  prepared: PreparedSetup,
  asked: SearchRequest,
  wanted: number,
  scope: Scope | null = null,
  mode: Narrowing = 'fewer',
): Ranking {
  const { snapshot, matcher } = engine;
  const { filters: chosen, device } = asked;
  const begins = asked.query.trim() === '' && !scope && !asked.box;
  const sortedByShopper = prepared.sortedBy(asked.sort);
  // Before anything else is found, since it may take a search of its own.
  const leading =
    begins && !sortedByShopper
      ? leadingOf(engine, prepared, (query, most) => {
          const { placed, candidates } = rank(engine, prepared, { query, filters: {}, page: 1, limit: most }, most);
          return placed.map(({ candidate }) => candidates.families[candidate]!);
        })
      : null;
  const asTyped: AsTyped = new Map();
  // Only plans for words need to know what the search is corrected to before they have changed it.
  const meant = prepared.triggers.areForWords ? understand(engine, prepared, asked, mode !== 'none') : null;
  const { words: corrected, read } = meant
    ? correctedReading(engine, prepared, meant, { typed: asked.query, typing: asked.typing ?? false, asTyped })
    : { words: [], read: null };
  const collection = scope?.id ?? null;
  const typed: Context = { words: wordsOf(asked.query).tokens, corrected, collection, filters: chosen, device };
  const taken = takenFor(prepared.triggers, typed);
  const said = taken ? taken.search : asked.query;
  const resolved = resolve(prepared.triggers, { ...typed, takenFor: taken ? wordsOf(taken.search).tokens : [] });
  const { effects, waiting } = withoutWaiting(snapshot, engine.familyInStock, resolved);
  const scoped = effects.find((effect) => effect.what === 'scope');
  const looked = scoped ? withoutWords(said, scoped.wordsOut, knowsIn(snapshot)) : said;
  const request = looked === asked.query ? asked : { ...asked, query: looked };
  const place = scope ? 'collections' : request.box ? 'box' : 'results';
  const { soldOutLast } = prepared.at[place];
  const byPlans = hiddenByPlans(snapshot, prepared.at[place].hidden, effects, prepared.asked);
  const hidden = scoped?.condition ? hiddenOutside(snapshot, byPlans, scoped.condition, prepared.asked) : byPlans;
  const isAsAsked = request === asked && meant !== null;
  const understood = isAsAsked ? meant : understand(engine, prepared, request, mode !== 'none');
  const { query, price, strong, narrowing } = understood;
  // Words are dropped among what is let through, not among what is not.
  const searched = narrowing.length > 0 ? hiddenBesides(snapshot.records, hidden, narrowing) : hidden;
  const isBrowsing = query.trim() === '';
  const skuRecord = prepared.exactSku && !isBrowsing ? findExactSku(snapshot, query) : -1;
  const sku = skuRecord >= 0 && !isHidden(searched, skuRecord) ? skuRecord : -1;
  const found = isBrowsing
    ? { words: [], dropped: [], missing: [], together: [], matches: matcher.all(searched) }
    : wordsOf(query).tokens.length === 0
      ? { words: [], dropped: [], missing: [], together: [], matches: matcher.none() }
      : findMatches(engine, prepared, query, {
          typing: request.typing ?? false,
          keepAll: sku >= 0,
          allWords: request.allWords ?? false,
          hidden: scope ? hiddenElsewhere(snapshot.records, searched, scope) : searched,
          recognised: strong,
          asTyped,
          read: isAsAsked ? read : null,
        });

  const appliedPins = pinsAmong(effects);
  const added = addedByPlans(snapshot, searched, effects, found.matches.records);
  const extra = [...added.placed, ...added.broughtIn];
  if (sku >= 0) extra.push(sku);
  const everywhere = withMore(found.matches.records, extra);
  const within = scope ? everywhere.filter((record) => scope.contains(record)) : everywhere;
  const records = price ? affordable(snapshot, within, price) : within;
  const put = new Set([...added.placed, ...added.broughtIn]);
  const foundByWords = put.size === 0 ? records.length > 0 : records.some((record) => !put.has(record));
  if (narrowing.length > 0 && records.length === 0 && mode === 'fewer')
    return rankWithFewer(engine, prepared, asked, wanted, scope, narrowing);
  // A record that only its place or its part number shows has no score from its words.
  const { scores: scoreOf } = matcher;
  for (const record of extra) scoreOf[record] = 0;
  if (added.broughtIn.length > 0) {
    const score = broughtInScore(snapshot, prepared.setup);
    for (const record of added.broughtIn) scoreOf[record] = score;
  }
  if (sku >= 0) scoreOf[sku] = perfect;
  const choices = resolveChoices(snapshot, prepared.filters, {
    filters: request.filters,
    collection: request.collection,
    said: searchKey(request.query),
    records,
    instead: effects.find((effect) => effect.what === 'filters')?.filters,
  });
  const { failing, ignored } = testFilters(prepared.filters, choices.chosen, records, engine.failing);
  const candidates = engine.grouper.group(records, failing !== null);

  const sorted =
    sortedByShopper ??
    leading?.sorted ??
    (isBrowsing && begins ? prepared.sortedBy(prepared.setup.resultsPage.begin.order) : null);
  const planned = sorted ? null : plannedOrder(engine, prepared, effects);
  const own = isBrowsing && !sorted && !planned ? scope : null;
  // A collection put in order by hand or by an attribute keeps it: nothing there is ordered by score.
  const keepsOrder = own !== null && (own.byHand !== null || own.sort !== null);
  const standing = keepsOrder ? null : prepared.at[place].standing;
  const factors = planFactors(snapshot, keepsOrder ? [] : effects, prepared.asked);
  // Only factors change scores; without any, the grouper's own column is read as it is.
  const isPulled = !factors.isNone || standing !== null;
  const scores = isPulled ? candidates.scores.slice() : candidates.scores;
  const candidateOf = (family: number): number => indexAmong(candidates.families, family);
  if (isPulled) {
    const total = new Float64Array(scores.length);
    for (let at = 0; at < total.length; at++) total[at] = standing?.factors[candidates.families[at]!] ?? 1;
    factors.multiply(total, candidates.families);
    for (let at = 0; at < total.length; at++)
      if (total[at] !== 1) scores[at] = scoreAfter(candidates.scores[at]!, boundedFactor(total[at]!));
  }
  // An order the shopper has chosen is kept to: neither pins nor a part number stand before it.
  const pins = sorted
    ? []
    : appliedPins.flatMap((pin) => {
        const candidate = candidateOf(snapshot.findFamily(pin.product));
        return candidate < 0 ? [] : [{ candidate, place: pin.place, pin }];
      });
  const skuCandidate = sku < 0 ? -1 : candidateOf(snapshot.recordFamily[sku]!);
  const leads = skuCandidate >= 0 && !sorted;

  const first = sorted ? new Map<number, Source>() : firstAmong(snapshot, effects, candidateOf);
  for (const family of own?.first ?? []) {
    const candidate = candidateOf(family);
    if (candidate >= 0 && !first.has(candidate))
      first.set(candidate, { kind: 'collection', id: own!.id, name: own!.title });
  }
  for (const family of leading?.first ?? []) {
    const candidate = candidateOf(family);
    if (candidate >= 0 && !first.has(candidate)) first.set(candidate, leading!.source);
  }
  const apart = new Set([...pins.map(({ candidate }) => candidate), ...first.keys()]);
  if (leads) apart.add(skuCandidate);
  const ordered = orderAll(
    engine,
    prepared,
    { candidates, scores, sorted: sorted ?? planned, own, apart, ahead: leading?.ahead ?? null, soldOutLast },
    wanted,
  );
  const isPinned = new Set(pins.map(({ candidate }) => candidate));
  // A part number leads, unless a plan for just these words says what is first.
  const saysFirst = [...first.values()].some((source) => source.kind === 'plan' && source.how === 'exactly');
  const named = saysFirst ? [...first.keys(), skuCandidate] : [skuCandidate, ...first.keys()];
  const lead = [...new Set(named)].filter(
    (candidate) => !isPinned.has(candidate) && (candidate === skuCandidate ? leads : true),
  );
  return {
    query,
    words: found.words,
    dropped: found.dropped,
    missing: found.missing,
    together: found.together,
    asTyped,
    candidates,
    scores,
    place,
    placed: arrange(pins, [...lead, ...ordered.order], wanted),
    pins,
    effects,
    factors,
    first,
    broughtIn: new Set(added.broughtIn),
    takenFor: taken,
    scoped: scoped ?? null,
    waiting,
    planned,
    standing,
    leaders: ordered.leaders,
    skuCandidate,
    soldOutLast,
    isSoldOut: (candidate) => engine.familyInStock[candidates.families[candidate]!] === 0,
    sorted,
    begins: sorted !== null && sortedByShopper === null,
    leading,
    understood,
    isBrowsing,
    total: candidates.families.length,
    foundAny: records.length > 0,
    foundByWords,
    loosened: [],
    records,
    hidden: searched,
    failing,
    choices,
    ignoredFilters: [...choices.ignored, ...ignored],
  };
}

/** Whether a candidate shows only since a plan brought it in. */
export const isBroughtIn = ({ broughtIn, candidates }: Ranking, candidate: number): boolean =>
  broughtIn.has(candidates.representatives[candidate]!);
