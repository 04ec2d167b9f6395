import { fold } from '../text/fold.ts';
import { tokenize } from '../text/tokenize.ts';

/** A search that may be offered to a shopper, before it is known whether it finds anything. */
export interface Phrase {
  /** As it is shown. */
  readonly text: string;
  /** Above 0; what counts more is offered first. */
  readonly weight: number;
  /** How often shoppers made it; 0 where none did. */
  readonly searches: number;
  /** Products whose words hold it, as far as they were counted; 0 where they were not. */
  readonly products: number;
}

/** Longest search offered, in characters, and most words of one. */
const longestPhrase = 60;
const mostPhraseWords = 8;
/** Searches kept for one storefront: those that count most. */
export const mostPhrases = 250_000;

/** The words of a phrase as they are looked for: folded tokens one space apart. */
export const wordsOfPhrase = (text: string): string => tokenize(text).join(' ');

/** The same for searches of the same words in any order. */
export const sameWords = (text: string): string => tokenize(text).sort().join(' ');

const longNumber = /\p{N}(?:[\s().+/-]*\p{N}){6,}/u;
const address = /\S@\S|https?:|www\./i;

/** Whether a search may hold what is nobody's business: an address, a telephone or an order number. */
const isPersonal = (text: string): boolean => address.test(text) || longNumber.test(fold(text));

/** Whether a text can be offered as a search at all. */
export function canBeOffered(text: string): boolean {
  if (text.length > longestPhrase || isPersonal(text)) return false;
  const words = tokenize(text);
  return words.length > 0 && words.length <= mostPhraseWords;
}
