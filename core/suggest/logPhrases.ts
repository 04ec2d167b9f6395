import { canBeOffered, type Phrase } from './phrase.ts';

/** One search of a shopper log, its numbers faded: what lies further back counts less. */
export interface FadedSearch {
  /** As it was typed last. */
  readonly search: string;
  readonly searches: number;
  /** Visits in which it was made, not faded. */
  readonly sessions: number;
  readonly fadedSearches: number;
  readonly fadedClicks: number;
  readonly fadedPurchases: number;
}

/** Days after which a search counts half. */
export const halfLifeDays = 60;
/** Fewest visits: what only one shopper typed may say who it was. */
const fewestSessions = 2;

/** What a click and a purchase count, a search counting 1. */
const clickWeight = 2;
const purchaseWeight = 6;

/** Searches of the log that may be offered. What shoppers found something by, and bought from, goes first. */
export function logPhrases(searches: Iterable<FadedSearch>): Phrase[] {
  const phrases: Phrase[] = [];
  for (const { search, searches: made, sessions, fadedSearches, fadedClicks, fadedPurchases } of searches) {
    const text = search.trim().replace(/\s+/g, ' ');
    if (sessions < fewestSessions || !canBeOffered(text)) continue;
    const weight = fadedSearches + clickWeight * fadedClicks + purchaseWeight * fadedPurchases;
    if (weight > 0) phrases.push({ text, weight, searches: made, products: 0 });
  }
  return phrases;
}
