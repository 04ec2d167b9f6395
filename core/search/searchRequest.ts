import type { ChosenFilters } from '../facets/chosenFilters.ts';
import type { BesideKind } from '../setup/terms/besidesTerms.ts';
import type { Device } from '../setup/terms/planTerms.ts';
import type { Language } from '../text/languages.ts';

/** What is asked of a search. */
export interface SearchRequest {
  readonly query: string;
  readonly filters: ChosenFilters;
  /** From 1. */
  readonly page: number;
  /** Products a page, from 1. */
  readonly limit: number;
  /** Whether it wants as many as the shop's layout shows; see `laidOut`. */
  readonly asLaidOut?: boolean;
  /** Of pages that stand below each other the last one; `limit` is for all of them. */
  readonly upTo?: number;
  /** The shopper is still typing: the last word may go on. */
  readonly typing?: boolean;
  /** Tell pins, pulls and exact part numbers with each result: for the desk. */
  readonly marks?: boolean;
  /** Only the products of this collection. */
  readonly collection?: string;
  /** The order chosen from the sorting menu, by its key; relevance where it is absent or unknown. */
  readonly sort?: string;
  /** Sayings that are to be taken as words though they are recognised, as the answer tells them. */
  readonly asWords?: readonly string[];
  /** The shopper's language, for the names of filters and values. */
  readonly language?: Language;
  /** Tell the values of this filter that have this text in their names. */
  readonly like?: { readonly key: string; readonly text: string };
  /** Only what has all the words: none is dropped. */
  readonly allWords?: boolean;
  /** Only what was typed is looked for: no step of the ladder is taken. */
  readonly exactly?: boolean;
  /** What the shopper looks with, where it is known. */
  readonly device?: Device;
  /** All articles, or all collections, that the search finds, in place of some of them. */
  readonly show?: BesideKind;
  /** Asked for by the search box, while the shopper types. */
  readonly box?: boolean;
  /** Tell each result's arithmetic. */
  readonly explain?: boolean;
}
