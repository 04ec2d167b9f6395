import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import type { LogStore } from '../demand/logStore.ts';

/** Searches that proposals are tried on: the ones made most. */
export const searchesTried = 60;

/** The searches made most, to try filters on; without a log, browsing everything. */
export function triedSearches(log: LogStore, most: number): WeighedSearch[] {
  const searches = log.top(most).map(({ search, searches: times }) => ({ search, searches: times }));
  return searches.length > 0 ? searches : [{ search: '', searches: 1 }];
}
