import type { FilterAnswer } from '../answer/answer.ts';
import type { BoundFilter } from '../facets/boundFilter.ts';
import { answerFilters } from '../facets/filters.ts';
import { climb } from '../search/climb.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { selectionOf } from '../search/search.ts';

/** A search shoppers make, and how often. */
export interface AskedSearch {
  readonly search: string;
  readonly searches: number;
}

/**
 * The share of what is shown that one choice leaves on average, where shoppers choose each value as often as it has
 * products: the sum of squared counts over the sum of counts times all that is shown. 0 to 1, small where it narrows
 * much; null where nothing can be chosen. Of two amounts, as if each quarter of the products were chosen.
 */
export function shareLeft(
  { kind, values, range }: Pick<FilterAnswer, 'kind' | 'values' | 'range'>,
  shown: number,
): number | null {
  if (shown === 0) return null;
  if (range) return range.least < range.most ? 0.25 : 1;
  // Of a tree only the ends are counted: a shopper who opens a level goes on to one below it.
  const isEnd = (at: number): boolean => kind !== 'tree' || (values[at + 1]?.depth ?? 0) <= (values[at]!.depth ?? 0);
  const counts = values.filter((_, at) => isEnd(at)).map(({ count }) => count);
  const sum = counts.reduce((a, b) => a + b, 0);
  if (sum === 0) return null;
  return Math.min(1, counts.reduce((a, b) => a + b * b, 0) / (sum * shown));
}

export interface FiltersOfSearch extends AskedSearch {
  readonly total: number;
  /** The filters beside its results, in order, with what one choice in each leaves. */
  readonly shown: readonly { readonly key: string; readonly leaves: number | null }[];
}

/** Which filters stand beside the results of some searches, and how much each narrows them. Cost: a search each. */
export function filtersOfSearches(
  engine: Engine,
  prepared: PreparedSetup,
  searches: readonly AskedSearch[],
): FiltersOfSearch[] {
  return searches.map(({ search, searches: times }) => {
    const { ranking } = climb(engine, prepared, { query: search, filters: {}, page: 1, limit: 1 }, 0);
    const { candidates, choices, total } = ranking;
    const options = { selection: selectionOf(engine, ranking), representatives: candidates.representatives };
    const { filters } = answerFilters(prepared.filters, choices, options);
    return {
      search,
      searches: times,
      total,
      shown: filters.map((filter) => ({ key: filter.key, leaves: shareLeft(filter, total) })),
    };
  });
}

/** What one filter is worth over many searches, each weighed by how often it is made. */
export interface FilterWorth {
  readonly key: string;
  /** Searches beside whose results it stands, and how often they are made. */
  readonly shownIn: number;
  readonly times: number;
  /** What one choice in it leaves on average where it is shown; null where nothing can be chosen. */
  readonly leaves: number | null;
}

export function filterWorth(
  filters: readonly Pick<BoundFilter, 'key'>[],
  searches: readonly FiltersOfSearch[],
): FilterWorth[] {
  return filters.map(({ key }) => {
    const there = searches.flatMap(({ searches: times, shown }) =>
      shown.flatMap((filter) => (filter.key === key ? [{ times, leaves: filter.leaves }] : [])),
    );
    const conclusive = there.filter(({ leaves }) => leaves !== null);
    const weight = conclusive.reduce((sum, { times }) => sum + times, 0);
    return {
      key,
      shownIn: there.length,
      times: there.reduce((sum, { times }) => sum + times, 0),
      leaves: weight === 0 ? null : conclusive.reduce((sum, { times, leaves }) => sum + times * leaves!, 0) / weight,
    };
  });
}
