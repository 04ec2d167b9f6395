import { localDay } from '../base/localTime.ts';
import { type Asked, type Collections, noCollections } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import type { RecordSet } from '../conditions/recordSet.ts';
import { type BoundFilter, bindFilters } from '../facets/boundFilter.ts';
import { type LeftOut, openLeftOut } from '../index/leftOut.ts';
import type { NumberColumn } from '../index/numberColumns.ts';
import { hiddenMark } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { stockOf } from '../index/stock.ts';
import { type NearTexts, noNearTexts } from '../query/nearTexts.ts';
import { bindPhrases, type Phrases } from '../query/phrases.ts';
import { bindRecogniser, type Recogniser } from '../query/recognise.ts';
import { type Spelling, spellingOf } from '../query/spelling.ts';
import { bindVocabulary, type Vocabulary } from '../query/vocabulary.ts';
import { type Grouper, openGrouper } from '../ranking/groupFamilies.ts';
import { type Matcher, openMatcher } from '../ranking/matcher.ts';
import { bindSignals, type Signal } from '../ranking/signals.ts';
import { hiddenRecords } from '../rules/hiddenRecords.ts';
import { rulesInForce } from '../rules/houseRulesInForce.ts';
import { boostColumn, type Standing, standingAt } from '../rules/standing.ts';
import { openTriggers, type Triggers } from '../rules/triggers.ts';
import { bindGains, type Gains, kindNumber } from '../scoring/gains.ts';
import type { Badge } from '../setup/parts/badges.ts';
import type { SortingOrder } from '../setup/parts/relevance/sorting.ts';
import type { OwnCard } from '../setup/parts/resultsPage/ownCards.ts';
import type { Setup } from '../setup/schema.ts';
import { type StockPlace, stockPlaces } from '../setup/terms/placeTerms.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';
import { noWords, type WordList } from '../text/wordList.ts';

/** A snapshot with the scratch memory for searching it; one search at a time. */
export interface Engine {
  readonly snapshot: Snapshot;
  /** Whether a word is one of the catalog's language, whatever the catalog has. */
  readonly isOfLanguage: WordList;
  /** What is near in meaning to words that nothing has. */
  readonly near: NearTexts;
  readonly matcher: Matcher;
  readonly grouper: Grouper;
  /** What a wide result leaves out; null where the result is not wide. */
  readonly leftOutOf: (records: Uint32Array) => LeftOut | null;
  /** One item a record, for the failing masks of filters. */
  readonly failing: Uint32Array;
  /** By record, 1 where it is in stock, else 0. */
  readonly inStock: Uint8Array;
  /** By family, 1 where at least one variant is in stock, else 0. */
  readonly familyInStock: Uint8Array;
  /** The boost column, where any product has a boost. */
  readonly boosts: NumberColumn | null;
}

/** `isOfLanguage` keeps corrections from words that were meant as they are typed; without a list none is kept. */
export function openEngine(
  snapshot: Snapshot,
  isOfLanguage: WordList = noWords,
  near: NearTexts = noNearTexts,
): Engine {
  const { families, recordFamily, familyStart, records } = snapshot;
  const matcher = openMatcher(snapshot);
  const failing = new Uint32Array(records);
  const { byRecord: inStock, byFamily: familyInStock } = stockOf(snapshot);
  return {
    snapshot,
    isOfLanguage,
    near,
    matcher,
    grouper: openGrouper({ families, recordFamily, familyStart, scores: matcher.scores, failing, inStock }),
    leftOutOf: openLeftOut(snapshot),
    failing,
    inStock,
    familyInStock,
    boosts: boostColumn(snapshot),
  };
}

/** What holds at one place where shoppers meet products. */
export interface AtPlace {
  /** 255 for a record that must not show there, else 0; null where nothing is hidden. */
  readonly hidden: Uint8Array | null;
  /** Whether what is sold out stands after everything in stock there. */
  readonly soldOutLast: boolean;
  /** What multiplies scores there whatever is searched for; null where nothing does. */
  readonly standing: Standing | null;
}

/** A badge with the records that meet its condition. */
export interface BoundBadge {
  readonly badge: Badge;
  readonly met: RecordSet;
}
/** A card of its own with the records it is for. */
export interface BoundCard {
  readonly own: OwnCard;
  readonly met: RecordSet;
}

/** A setup bound to a catalog: everything about it that does not depend on the search. */
export interface PreparedSetup {
  readonly setup: Setup;
  readonly gains: Gains;
  readonly at: Readonly<Record<StockPlace, AtPlace>>;
  /** The instant it was bound for. */
  readonly when: When;
  /** What is hidden from search results, sold out or not; the empty shelf has its own. */
  readonly hidden: Uint8Array | null;
  readonly hiddenFromEmptyShelf: Uint8Array | null;
  /** What holds among companions and alternatives. */
  readonly beside: Pick<AtPlace, 'hidden' | 'standing'>;
  readonly filters: readonly BoundFilter[];
  readonly triggers: Triggers;
  readonly signals: readonly Signal[];
  /** The order of the sorting menu with this key, its signals bound when it is first asked for; null for relevance. */
  sortedBy(key: string | undefined): { readonly order: SortingOrder; readonly signals: readonly Signal[] } | null;
  /** Close-call width in thousandths of a point. */
  readonly width: number;
  readonly exactSku: boolean;
  readonly vocabulary: Vocabulary;
  readonly recogniser: Recogniser;
  readonly phrases: Phrases;
  readonly spelling: Spelling;
  /** The storefront's day, in days since 1970. */
  readonly today: number;
  /** The badges that are switched on, in their order; held to the catalog when they are first needed. */
  badges(): readonly BoundBadge[];
  /** The cards of their own that are switched on, in their order; held to the catalog when they are first needed. */
  ownCards(): readonly BoundCard[];
  /** What conditions are held to besides the catalog. */
  readonly asked: Asked;
}

/** The hidden records with everything sold out besides. */
function withSoldOut({ inStock }: Engine, hidden: Uint8Array | null): Uint8Array {
  const all = hidden ? hidden.slice() : new Uint8Array(inStock.length);
  for (let record = 0; record < all.length; record++) if (inStock[record] === 0) all[record] = hiddenMark;
  return all;
}

/**
 * Binds a setup to a snapshot. Nothing of the index is rebuilt: this is why a weight, a switch, a filter or a plan
 * shows at once. `now` is in milliseconds since 1970: what is bound holds for as long as `periodOf` and the storefront's day
 * stay the same. `collections` are those that conditions may name. Cost: a pass over the records for each tie-breaker and where something is hidden.
 */
export function prepareSetup(
  engine: Engine,
  setup: Setup,
  now: number,
  collections: Collections = noCollections,
): PreparedSetup {
  const { snapshot } = engine;
  const { timeZone } = setup.storefront.shop;
  const today = localDay(timeZone, now);
  const when: When = { now, today, timeZone };
  const asked: Asked = { today, collections };
  const { tieBreakers, closeCall, soldOut, sorting, partNumbers } = setup.relevance;
  const rules = rulesInForce(snapshot, setup, when, collections);
  const hidden = hiddenRecords(snapshot, setup, rules, when);
  const standing = standingAt(engine, rules, [...stockPlaces, 'companions']);
  const place = (name: StockPlace): AtPlace => ({
    hidden: soldOut[name] === 'notAtAll' ? withSoldOut(engine, hidden[name]) : hidden[name],
    soldOutLast: soldOut[name] === 'last',
    standing: standing[name],
  });
  const bound = new Map<string, readonly Signal[]>();
  const vocabulary = bindVocabulary(setup);
  const gains = bindGains(snapshot.attributes, setup);
  let badges: readonly BoundBadge[] | null = null;
  let ownCards: readonly BoundCard[] | null = null;
  const isRead = (attribute: number): boolean => gains.found[kindNumber.exact]![attribute] === 1;
  return {
    setup,
    gains,
    at: {
      results: place('results'),
      box: place('box'),
      collections: place('collections'),
    },
    when,
    hidden: hidden.results,
    hiddenFromEmptyShelf: hidden.emptyShelf,
    beside: { hidden: hidden.companions, standing: standing.companions },
    filters: bindFilters(snapshot, setup, asked),
    triggers: openTriggers(setup, snapshot.language, when),
    signals: bindSignals(engine, tieBreakers.signals, today),
    sortedBy(key) {
      const order = sorting.orders.find((each) => each.key === key);
      if (!order || order.signals.length === 0) return null;
      const signals = bound.get(order.key) ?? bindSignals(engine, order.signals, today);
      bound.set(order.key, signals);
      return { order, signals };
    },
    width: Math.round(closeCall.width * 1000),
    exactSku: partNumbers.lead && (setup.attributes.sku?.searchable ?? false),
    vocabulary,
    phrases: bindPhrases(snapshot, setup, vocabulary, isRead),
    recogniser: bindRecogniser(snapshot, setup, vocabulary, asked),
    spelling: spellingOf(setup),
    today,
    asked,
    badges() {
      badges ??= setup.badges.shown.list
        .filter((badge) => badge.on && holdsAt(badge, when))
        .map((badge) => ({ badge, met: bindCondition(snapshot, badge.condition, asked) }));
      return badges;
    },
    ownCards() {
      ownCards ??= setup.resultsPage.ownCards.list
        .filter(({ on }) => on)
        .map((own) => ({ own, met: bindCondition(snapshot, own.condition, asked) }));
      return ownCards;
    },
  };
}
