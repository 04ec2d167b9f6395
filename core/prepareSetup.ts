import { type BoundFilter, bindFilters } from './facets/filters.ts';
import type { NumberColumn } from './index/columns.ts';
import type { Snapshot } from './index/snapshot.ts';
import { bindVocabulary, type Vocabulary } from './query/vocabulary.ts';
import { gainTable } from './ranking/gains.ts';
import { type Matcher, openMatcher } from './ranking/matcher.ts';
import { bindSignals, type Signal, stockByRecord } from './ranking/tieBreakers.ts';
import { boostColumn } from './rules/boosts.ts';
import { hiddenRecords } from './rules/hiddenRecords.ts';
import { type PlanInForce, plansBySearch } from './rules/plansForSearch.ts';
import type { Place, Setup } from './setup/schema.ts';

/** A snapshot with the scratch memory for searching it; one search at a time. */
export interface Engine {
  readonly snapshot: Snapshot;
  readonly matcher: Matcher;
  /** One item a record, for the failing masks of filters. */
  readonly failing: Uint32Array;
  /** By record, 1 where it is in stock, else 0. */
  readonly inStock: Uint8Array;
  /** The boost column, where any product has a boost. */
  readonly boosts: NumberColumn | null;
}

export function openEngine(snapshot: Snapshot): Engine {
  return {
    snapshot,
    matcher: openMatcher(snapshot),
    failing: new Uint32Array(snapshot.records),
    inStock: stockByRecord(snapshot),
    boosts: boostColumn(snapshot),
  };
}

/** A setup bound to a catalog: everything about it that does not depend on the search. */
export interface PreparedSetup {
  readonly setup: Setup;
  readonly gains: readonly Float64Array[];
  /** What is hidden from search results; the other places have their own. */
  readonly hidden: Uint8Array | null;
  readonly hiddenIn: Readonly<Record<Place, Uint8Array | null>>;
  readonly filters: readonly BoundFilter[];
  readonly plans: ReadonlyMap<string, readonly PlanInForce[]>;
  readonly signals: readonly Signal[];
  /** Close-call width in thousandths of a point. */
  readonly width: number;
  readonly exactSku: boolean;
  readonly vocabulary: Vocabulary;
}

/**
 * Binds a setup to a snapshot. Nothing of the index is rebuilt: this is why a weight, a switch, a filter or a plan
 * shows at once. Cost: a pass over the records where tags are hidden, else independent of the catalog's size.
 */
export function prepareSetup(engine: Engine, setup: Setup): PreparedSetup {
  const { snapshot } = engine;
  const results = hiddenRecords(snapshot, setup, 'results');
  // Most hidings hold everywhere: the places then share one array.
  const differs = Object.values(setup.hiding).some(({ from }) => from !== undefined);
  const hiddenFrom = (place: Place) => (differs ? hiddenRecords(snapshot, setup, place) : results);
  return {
    setup,
    gains: gainTable(snapshot.attributes, setup),
    hidden: results,
    hiddenIn: { results, collections: hiddenFrom('collections'), emptyShelf: hiddenFrom('emptyShelf') },
    filters: bindFilters(snapshot, setup),
    plans: plansBySearch(setup),
    signals: bindSignals(engine, setup.relevance.tieBreakers.signals),
    width: Math.round(setup.relevance.closeCall.width * 1000),
    exactSku: setup.attributes.sku?.searchable ?? false,
    vocabulary: bindVocabulary(setup),
  };
}
