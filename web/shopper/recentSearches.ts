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
  const key = `searched ${storefront}`;
  const list = (): readonly string[] => {
    try {
      const stored: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
      return Array.isArray(stored) ? stored.filter((text): text is string => typeof text === 'string') : [];
    } catch {
      // A browser that keeps nothing, or another writing: then there were none.
      return [];
    }
  };
  const keep = (searches: readonly string[]): void => {
    try {
      localStorage.setItem(key, JSON.stringify(searches.slice(0, kept)));
    } catch {
      // Where nothing can be kept, nothing is.
    }
  };
  return {
    list,
    remember(search) {
      const text = search.trim().replace(/\s+/g, ' ');
      if (text !== '') keep([text, ...list().filter((other) => other.toLowerCase() !== text.toLowerCase())]);
    },
    forget: () => keep([]),
  };
}
