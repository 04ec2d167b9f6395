import { firstText } from '../../core/catalog/record.ts';
import { pageSize } from '../../core/compare/firstPage.ts';
import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import { isConclusive } from '../../core/proposals/isConclusive.ts';
import { type KnownItemSearch, knownItemSearches } from '../../core/proposals/knownItems.ts';
import { madeUpSearches, type TriedSearches, type WordCounts } from '../../core/proposals/madeUpSearches.ts';
import { climb } from '../../core/search/climb.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';
import { someProducts } from './someProducts.ts';

/** Searches that proposals are tried on: the ones made most. */
export const searchesTried = 60;
/** Searches by which it is seen whether the shopper log is of this catalog. */
const searchesProbed = 60;

/** Whether what shoppers search for most finds anything in this catalog: a log may be of another shop. */
function isOfThisCatalog({ engine, setup }: Ready, searches: readonly WeighedSearch[]): boolean {
  const probed = searches.slice(0, searchesProbed);
  const finding = probed.filter(
    ({ search }) => climb(engine, setup, { query: search, filters: {}, page: 1, limit: pageSize }, 0).ranking.total > 0,
  ).length;
  return isConclusive({ looked: probed.length, finding });
}

/** What the index knows of words. */
function wordCounts({ ready }: Workbench, ref: SetupRef): WordCounts {
  const { terms, postings, records } = ready(ref).view.snapshot;
  return {
    records,
    recordsWith(token) {
      const term = terms.find(token);
      return term < 0 ? 0 : postings.termRecords[term]!;
    },
  };
}

/** Searches made up from products that stand evenly over the catalog. */
const fromTitles = (bench: Workbench, ref: SetupRef, most: number): WeighedSearch[] =>
  madeUpSearches(
    someProducts(bench, ref, most).map(({ values }) => firstText(values.title)),
    wordCounts(bench, ref),
  );

/** Products that are looked for by words of their own, each twice; of a large catalog fewer, since every search takes longer. */
const productsKnown = 60;
const productsKnownOfMany = 30;
const manyProducts = 20_000;

/** Searches for products of the catalog that somebody knows. */
export function searchesForKnown(bench: Workbench, ref: SetupRef): KnownItemSearch[] {
  const { families, attributes } = bench.ready(ref).view.snapshot;
  const most = families > manyProducts ? productsKnownOfMany : productsKnown;
  return knownItemSearches(someProducts(bench, ref, most), attributes, wordCounts(bench, ref));
}

/** The searches to try something on, at most so many: those made most, or made up where these say nothing. */
function chooseSearches(bench: Workbench, ref: SetupRef, most: number): TriedSearches {
  const made = bench.log.top(most).map(({ search, searches }) => ({ search, searches }));
  if (made.length > 0 && isOfThisCatalog(bench.ready(ref), made)) return { searches: made, areMadeUp: false };
  return { searches: fromTitles(bench, ref, most), areMadeUp: true };
}

/** What was chosen last by each thread: proposals ask for the same, two at a time. */
const chosen = new WeakMap<Workbench, { readonly version: string; readonly tried: TriedSearches }>();

/** The same, chosen once for a state of draft, catalog and log. */
export function triedSearches(bench: Workbench, ref: SetupRef, most: number): TriedSearches {
  const version = [bench.ready(ref).version, bench.log.version(), most].join('/');
  const known = chosen.get(bench);
  if (known?.version === version) return known.tried;
  const tried = chooseSearches(bench, ref, most);
  chosen.set(bench, { version, tried });
  return tried;
}
