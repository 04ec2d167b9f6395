import { longest } from './limits.ts';

/** Priorities of suggested searches, and the one a new search begins with. */
export const mostPriority = 100;
export const usualPriority = 50;
/** Searches one may choose to offer, with the words never offered. */
export const mostSuggested = 5000;
export const longestSuggestionKey = longest.search + 10;
