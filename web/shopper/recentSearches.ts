import { isText, keptList } from './keptList.ts';

const kept = 12;

/** What was searched for in a storefront before, the last first: kept by the browser and told to nobody. */
export interface RecentSearches {
  list(): readonly string[];
  /** Keeps a search that found something. */
  remember(search: string): void;
  forget(): void;
}

/** Keeps nothing: for whoever is no shopper. */
export const noSearches: RecentSearches = { list: () => [], remember() {}, forget() {} };

export function recentSearchesOf(storefront: string): RecentSearches {
  const { list, keep } = keptList(() => localStorage, `searched ${storefront}`, isText);
  return {
    list,
    remember(search) {
      const text = search.trim().replace(/\s+/g, ' ');
      const others = list().filter((other) => other.toLowerCase() !== text.toLowerCase());
      if (text !== '') keep([text, ...others].slice(0, kept));
    },
    forget: () => keep([]),
  };
}
