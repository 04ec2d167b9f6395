import { isPreview, placeNow } from '../../client/place.ts';

const kept = 12;
const keyFor = (): string => `searched ${placeNow().storefront}`;

/** What was searched for here before, the last first: kept by the browser and told to nobody. Who looks at a preview is no shopper. */
export function recentSearches(): readonly string[] {
  if (isPreview()) return [];
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(keyFor()) ?? '[]');
    return Array.isArray(stored) ? stored.filter((text): text is string => typeof text === 'string') : [];
  } catch {
    // A browser that keeps nothing, or another writing: then there were none.
    return [];
  }
}

function keep(searches: readonly string[]): void {
  try {
    localStorage.setItem(keyFor(), JSON.stringify(searches.slice(0, kept)));
  } catch {
    // Where nothing can be kept, nothing is.
  }
}

/** Keeps a search that found something. */
export function rememberSearch(search: string): void {
  const text = search.trim().replace(/\s+/g, ' ');
  if (text === '' || isPreview()) return;
  keep([text, ...recentSearches().filter((other) => other.toLowerCase() !== text.toLowerCase())]);
}
export const forgetSearches = (): void => keep([]);
