import { firstText } from '../../core/catalog/record.ts';
import { pageSize } from '../../core/compare/firstPage.ts';
import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import { isConclusive } from '../../core/proposals/isConclusive.ts';
import { madeUpSearches, type TriedSearches } from '../../core/proposals/madeUpSearches.ts';
import { rank } from '../../core/search/rank.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

/** Searches that proposals are tried on: the ones made most. */
export const searchesTried = 60;
/** Searches by which it is seen whether the shopper log is of this catalog. */
const searchesProbed = 60;

/** Whether what shoppers search for most finds anything in this catalog: a log may be of another shop. */
function isOfThisCatalog({ engine, setup }: Ready, searches: readonly WeighedSearch[]): boolean {
  const probed = searches.slice(0, searchesProbed);
  const finding = probed.filter(
    ({ search }) => rank(engine, setup, { query: search, filters: {}, page: 1, limit: pageSize }, 0).total > 0,
  ).length;
  return isConclusive({ looked: probed.length, finding });
}

/** Searches made up from products that stand evenly over the catalog. */
function fromTitles({ current, ready }: Workbench, most: number): WeighedSearch[] {
  const { reader } = current;
  const { terms, postings, records, families, familyStart } = ready('draft').view.snapshot;
  const step = Math.max(1, families / most);
  const titles: string[] = [];
  for (let family = 0; family < families && titles.length < most; family = Math.floor(titles.length * step))
    titles.push(firstText(reader.record(familyStart[family]!).values.title));
  return madeUpSearches(titles, {
    records,
    recordsWith(token) {
      const term = terms.find(token);
      return term < 0 ? 0 : postings.termRecords[term]!;
    },
  });
}

/** The searches to try something on, at most so many: those made most, or made up where these say nothing. */
function chooseSearches(bench: Workbench, most: number): TriedSearches {
  const made = bench.log.top(most).map(({ search, searches }) => ({ search, searches }));
  if (made.length > 0 && isOfThisCatalog(bench.ready('draft'), made)) return { searches: made, areMadeUp: false };
  return { searches: fromTitles(bench, most), areMadeUp: true };
}

/** What was chosen last by each thread: proposals ask for the same, two at a time. */
const chosen = new WeakMap<Workbench, { readonly version: string; readonly tried: TriedSearches }>();

/** The same, chosen once for a state of draft, catalog and log. */
export function triedSearches(bench: Workbench, most: number): TriedSearches {
  const version = [bench.ready('draft').version, bench.log.version(), most].join('/');
  const known = chosen.get(bench);
  if (known?.version === version) return known.tried;
  const tried = chooseSearches(bench, most);
  chosen.set(bench, { version, tried });
  return tried;
}
