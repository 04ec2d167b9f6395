import { tokenize } from '../text/tokenize.ts';
import type { SuggestedSearch } from './parts/suggestedSearches.ts';
import { longestSuggestionKey } from './terms/suggestionTerms.ts';

/** Under which key an entry stands: the same words in another spelling are the same entry. */
export const suggestionKey = ({ what, text }: Pick<SuggestedSearch, 'what' | 'text'>): string =>
  `${what}:${tokenize(text).join(' ') || text}`.slice(0, longestSuggestionKey);
