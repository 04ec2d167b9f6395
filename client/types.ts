import type { Article, Beside, Product, Results, Suggestions } from './answers.ts';

export type { Article, Beside, Product, Results, Suggestions };

/** Which shop is asked. */
export interface ShopOptions {
  /** Where the server is, as https://search.example. */
  readonly server: string;
  /** The storefront's name in addresses. */
  readonly storefront: string;
  /** Its key, which pages of other sites need; programs need none. */
  readonly key?: string;
  /** What asks; absent: the global `fetch`. */
  readonly fetch?: typeof fetch;
}

/** One of a filter's values, several, or `from..to` of a range, by the filter's key behind `f.`. */
export type ChosenFilters = { readonly [filter: `f.${string}`]: string | readonly string[] };

/** What is searched for, and how; everything may be left out. */
export type Question = ChosenFilters & {
  readonly q?: string;
  /** From 1. */
  readonly page?: number;
  readonly limit?: number;
  /** An order of the sorting menu, by its key. */
  readonly sort?: string;
  /** A collection to search within, by its id. */
  readonly collection?: string;
  readonly language?: 'en' | 'de' | 'fr' | 'es';
  readonly device?: 'phone' | 'tablet' | 'desktop';
  /** All articles, or collections, that it finds, in place of the products. */
  readonly show?: 'collections' | 'articles';
};

/** A shop as programs ask it. Each question throws a `Refusal` where it is refused. */
export interface Shop {
  search(question: Question, signal?: AbortSignal): Promise<Results>;
  /** What the search box offers for what is typed; for nothing typed, what is searched often. */
  suggest(question: Pick<Question, 'q' | 'language' | 'device'>, signal?: AbortSignal): Promise<Suggestions>;
  product(id: string, signal?: AbortSignal): Promise<Product>;
  article(id: string, signal?: AbortSignal): Promise<Article>;
  /** What some products or variants are now, and what goes with them. */
  beside(of: readonly string[], at: 'basket' | 'emptyShelf', signal?: AbortSignal): Promise<Beside>;
}
export type OpenShop = (options: ShopOptions) => Shop;

/** Why a question was refused. */
export interface Refusal extends Error {
  /** As `unknown-product`, `too-many`, `no-connection`. */
  readonly code: string;
  /** The part of the question it is about, where it is about one. */
  readonly field: string | undefined;
}
