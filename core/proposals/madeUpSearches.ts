import type { WeighedSearch } from '../compare/weighedSearch.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';

/** Searches that something is tried on. */
export interface TriedSearches {
  readonly searches: readonly WeighedSearch[];
  /** Whether they are made up from the catalog: shoppers' own are not known, or find next to nothing in it. */
  readonly areMadeUp: boolean;
}

/** Searches tried, as whoever reads of them calls them. */
export const triedText = (count: number, { areMadeUp }: Pick<TriedSearches, 'areMadeUp'>): string =>
  areMadeUp ? `${count} searches made up from your catalog` : `${count} most frequent searches`;

/** What is known of the catalog's words. */
export interface WordCounts {
  readonly records: number;
  /** Records that have a word, 0 where none has. */
  recordsWith(token: string): number;
}

/** A word that more of the records have names nothing that a shopper would look for alone. */
const mostCommon = 1 / 3;
/** One in so many searches has one word. */
const oneWordIn = 3;

/**
 * Searches as shoppers of a catalog may make them whose own are not known: of some products’ titles, in turn one word that
 * many products have, and two words that tell most. Each counts as made once, none comes twice, and titles that give none
 * are passed over. Pure: the same titles give the same searches.
 */
export function madeUpSearches(titles: readonly string[], { records, recordsWith }: WordCounts): WeighedSearch[] {
  const made = new Set<string>();
  for (const [at, title] of titles.entries()) {
    const known = [...new Set(tokenize(title))]
      .filter((token) => token.length > 2 && !isNumberLike(token))
      .map((token) => ({ token, with: recordsWith(token) }))
      .filter((word) => word.with > 0);
    const telling = known.filter((word) => word.with <= Math.max(2, records * mostCommon));
    // Where a catalog has one kind of thing only, its words are all common: then the least common is one's search.
    const counted = telling.length > 0 ? telling : [...known].sort((a, b) => a.with - b.with).slice(0, 1);
    if (counted.length === 0) continue;
    const byRecords = [...counted].sort((a, b) => b.with - a.with);
    // A word of a single product finds nothing to choose from: names that several share tell more of a shop.
    const shared = byRecords.filter((word) => word.with > 1);
    const chosen = at % oneWordIn === 0 ? byRecords.slice(0, 1) : (shared.length > 1 ? shared : byRecords).slice(-2);
    const words = new Set(chosen.map(({ token }) => token));
    made.add([...counted].flatMap(({ token }) => (words.has(token) ? [token] : [])).join(' '));
  }
  return [...made].map((search) => ({ search, searches: 1 }));
}
