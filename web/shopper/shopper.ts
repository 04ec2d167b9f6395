import { createStore, type StoreApi } from 'zustand/vanilla';
import { mostBeside } from '../../api/limits.ts';
import type { FilterValue, Result, SearchAnswer } from '../../core/answer/answer.ts';
import type { Beside } from '../../core/answer/beside.ts';
import type { ShopSaid } from '../../core/answer/shopSaid.ts';
import type { ShownArticle } from '../../core/content/shownArticle.ts';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import type { Device } from '../../core/setup/terms/planTerms.ts';
import type { BoxAnswer } from '../../core/suggest/boxAnswer.ts';
import { isLanguage } from '../../core/text/languages.ts';
import type { DeskView, ProductAct } from '../bridge/messages.ts';
import { type Basket, basketOf } from './basket.ts';
import { chosenHere, chosenVariantsIn } from './chosenVariants.ts';
import type { MarkList } from './marked.ts';
import { nothingOpened, type OpenedLately, openedLatelyIn } from './openedLately.ts';
import { type Asked, createQuestion } from './question.ts';
import { noSearches, type RecentSearches, recentSearchesOf } from './recentSearches.ts';
import { isElsewhere, type ShopAddress, type ShopPlace, type Visit } from './shopAddress.ts';
import type { BesideQuery, ShopClient } from './shopClient.ts';
import { freshSearch, queryFor, type ShopperSearch } from './shopperSearch.ts';
import { createVisitNotes, type VisitNotes } from './visitNotes.ts';

/** Results asked for a moment ago are not asked for again; in milliseconds. */
const freshFor = 2000;
/** How long an answer of the box may be shown again without being asked for, in milliseconds. */
const boxFreshFor = 60_000;
/** How long is waited for the values of one filter, in milliseconds. */
const longestLook = 10_000;

/** What comes to pass, for the page around the shop. */
export type ShopperEvent =
  | { readonly kind: 'search'; readonly query: string; readonly collection: string; readonly total: number }
  | { readonly kind: 'click'; readonly product: string; readonly place: number | null }
  | { readonly kind: 'basket'; readonly product: string; readonly variant: string; readonly quantity: number }
  | { readonly kind: MarkList; readonly product: string; readonly variant: string; readonly isOn: boolean };

/** The desk around the shop's window. */
export interface DeskAround {
  shown(query: string, total: number): void;
  searched(query: string, collection: string): void;
  act(search: ShopperSearch, products: readonly Pick<Result, 'familyId' | 'title'>[], what: ProductAct): void;
}

export interface ShopperOptions {
  readonly address: ShopAddress;
  /** Who answers: at the desk by what it wants seen, and null as long as it has not said. */
  readonly clientFor: (view: DeskView | null) => ShopClient | null;
  /** Null for shoppers. */
  readonly desk: DeskAround | null;
  readonly device: () => Device;
  readonly now: () => number;
  /** What the desk wants seen first, where that is known already. */
  readonly view?: DeskView | null;
  /** Whether results are asked for only once a part of the page shows them: where only a box stands, nobody does. */
  readonly isWaiting?: boolean;
  /** Hears what comes to pass; a click that it answers false to is the page's own business. */
  readonly tell?: (event: ShopperEvent) => boolean;
}

/** What some things are now, and what goes with them. */
export interface BesideQuestion {
  readonly state: StoreApi<Asked<Beside>>;
  ask(ids: readonly string[]): void;
  stop(): void;
}

/** The lines under a box. */
export interface BoxQuestion {
  readonly state: StoreApi<Asked<BoxAnswer>>;
  ask(text: string, language: string): void;
  stop(): void;
}

/**
 * The shop without any markup: where the shopper is, what is asked and answered for that, and the ways on. Parts of a page
 * draw it, and may stand anywhere.
 */
export interface Shopper {
  readonly visit: StoreApi<Visit>;
  readonly results: StoreApi<Asked<SearchAnswer>>;
  readonly product: StoreApi<Asked<ProductDetail>>;
  readonly article: StoreApi<Asked<ShownArticle>>;
  readonly view: StoreApi<DeskView | null>;
  /** What the shop says of itself; null until something was answered. */
  readonly said: StoreApi<ShopSaid | null>;
  /** Why what was asked last was not answered; null where it was, or nothing is known yet. */
  readonly trouble: StoreApi<Error | null>;
  readonly basket: StoreApi<Basket>;
  readonly recent: RecentSearches;
  readonly notes: VisitNotes;
  readonly desk: DeskAround | null;
  readonly hrefOf: ShopAddress['hrefOf'];
  /** Whose products are shown; empty as long as nobody said. */
  readonly storefront: string;
  /** Who answers now; null as long as the desk has not said. */
  client(): ShopClient | null;
  /** Tells the page around of what came to pass; false where it took it upon itself. */
  tell(event: ShopperEvent): boolean;
  go(next: ShopperSearch, replace?: boolean): void;
  /** A page of the shop, or with null back to the results. */
  goTo(place: ShopPlace | null): void;
  /** A product's own page. */
  open(product: string): void;
  /** A product among results, at its place. */
  choose(product: Pick<Result, 'familyId'>, place: number): void;
  /** Searches everywhere, or in the collection whose page is shown. */
  searchEverywhere(query: string): void;
  searchHere(query: string): void;
  /** Searches the shop for products that have one value of a filter. */
  searchWithin(query: string, filter: string, value: string): void;
  openCollection(id: string): void;
  /** An article's own page, or the page elsewhere that it stands for. */
  openArticle(id: string, link: string): void;
  /** Puts so many of a variant into the basket; in the desk's window nothing is bought. */
  putInBasket(product: string, variant: string, quantity?: number): void;
  /** Notes the variant that was chosen on a product's card, for its own page to begin with. */
  chooseVariant(product: string, variant: string): void;
  chosenVariant(product: string): string | undefined;
  chooseLanguage(language: string): void;
  /** The values of one filter beside these results that have a text in their names. */
  lookThrough(filter: string, text: string): Promise<readonly FilterValue[]>;
  createBox(): BoxQuestion;
  /** What goes with things in the basket, or, on the empty shelf, with those and what was opened last. */
  createBeside(at: BesideQuery['at']): BesideQuestion;
  readonly opened: OpenedLately;
  /** Whether results are not asked for, since no part shows them. */
  isWaiting(): boolean;
  /** Whether the address says a search, and not just the beginning. */
  hasSearch(): boolean;
  /** Results are shown from now on. */
  begin(): void;
  /** Asks again for what is shown. */
  again(): void;
  /** Shows what the desk wants seen; only a new trial search moves the window, what the shopper does in it since is let be. */
  see(view: DeskView): void;
  close(): void;
}

export function createShopper(options: ShopperOptions): Shopper {
  const { address, clientFor, desk, device, now } = options;
  const view = createStore<DeskView | null>(() => options.view ?? null);
  const said = createStore<ShopSaid | null>(() => null);
  const trouble = createStore<Error | null>(() => null);
  const heard = (answer: ShopSaid): void => {
    said.setState(answer, true);
    trouble.setState(null, true);
  };
  const refused = (error: Error): void => trouble.setState(error, true);
  const visit = createStore<Visit>(() => address.now());
  let client = clientFor(view.getState());
  const tell = (event: ShopperEvent): boolean => options.tell?.(event) ?? true;
  const notes = createVisitNotes(() => client, desk !== null);
  const storefront = clientFor(view.getState())?.storefront ?? '';
  const recent = desk || !client?.note ? noSearches : recentSearchesOf(storefront);
  const opened = desk ? nothingOpened : openedLatelyIn(storefront);
  const basket = basketOf(storefront);
  /** What was searched for by hand, until it is answered: a part number leads straight to its product, once. */
  let submitted: string | null = null;

  const lead = ({ query, results: [first], leadsTo }: SearchAnswer): void => {
    if (submitted === null || query !== submitted) return;
    submitted = null;
    if (first && first.familyId === leadsTo) open(first.familyId);
  };
  const results = createQuestion<SearchAnswer>({
    freshFor,
    now,
    refused,
    answered(answer) {
      heard(answer);
      const { query, total, page } = answer;
      const { search } = visit.getState();
      desk?.shown(query, total);
      if (total > 0 && page === 1) recent.remember(query);
      notes.search({ ...search, query, page }, total);
      tell({ kind: 'search', query, collection: search.collection, total });
      lead(answer);
    },
  });
  const product = createQuestion<ProductDetail>({ freshFor, now });
  const article = createQuestion<ShownArticle>({ freshFor, now });
  const asked = { product: '', article: '' };
  const chosenVariants = desk ? chosenHere() : chosenVariantsIn(storefront);

  let isWaiting = options.isWaiting ?? false;
  const ask = (): void => {
    const from = client;
    if (!from || isWaiting) return;
    const { search, place } = visit.getState();
    results.ask(JSON.stringify([search, from.name]), (signal) => from.search(queryFor(search, device()), signal));
    if (!place) return;
    const { kind, id } = place;
    // What is in the basket the browser knows; its page asks what that is.
    if (kind === 'basket' || kind === 'list') return;
    if (kind === 'product') opened.note(id);
    // Another page begins anew; on the same one, what was there stays until what is there now has come.
    const begins = asked[kind] !== id;
    asked[kind] = id;
    const key = JSON.stringify([id, from.name]);
    if (kind === 'product') product.ask(key, (signal) => from.product(id, signal), begins);
    else article.ask(key, (signal) => from.article(id, signal), begins);
  };
  const unlisten = address.listen(() => {
    visit.setState(address.now(), true);
    ask();
  });

  const go = (search: ShopperSearch, replace = false): void => address.go({ search, place: null }, replace);
  const goTo = (place: ShopPlace | null): void => address.go({ search: visit.getState().search, place });
  const open = (id: string): void => goTo({ kind: 'product', id });
  /** What a new search begins with: the shopper's language, and their filters where the shop keeps them. */
  const begun = (): ShopperSearch => {
    const { language, filters } = visit.getState().search;
    const keeps = results.state.getState().data?.filterLayout.keep ?? false;
    return { ...freshSearch, language, filters: keeps ? filters : {} };
  };
  const searchIn = (query: string, collection: string): void => {
    submitted = query;
    go({ ...begun(), query, collection });
    desk?.searched(query, collection);
    const { data, isStale } = results.state.getState();
    if (data && !isStale) lead(data);
  };
  /** Where the desk sends the window: a search, or a page that its screen is about. */
  const follow = (before: DeskView | null, { query, collection, page }: DeskView): void => {
    const { search, place } = visit.getState();
    const isAsked = before === null || before.query !== query || before.collection !== collection;
    if (isAsked && (search.query !== query || search.collection !== collection))
      go({ ...begun(), query, collection }, true);
    const isSamePage =
      page?.kind === before?.page?.kind && page?.id === before?.page?.id && page?.asked === before?.page?.asked;
    if (isSamePage) return;
    if (page) goTo({ kind: page.kind, id: page.id });
    else if (before?.page && place) go(search, true);
  };

  const first = view.getState();
  if (first) follow(null, first);
  ask();
  return {
    ...{ visit, view, said, trouble, basket, storefront, recent, opened, notes, desk, go, goTo, open },
    results: results.state,
    product: product.state,
    article: article.state,
    hrefOf: address.hrefOf,
    client: () => client,
    tell,
    choose({ familyId }, place) {
      void notes.outcome('click', familyId, place);
      if (tell({ kind: 'click', product: familyId, place })) open(familyId);
    },
    searchEverywhere: (query) => searchIn(query, ''),
    searchHere: (query) => searchIn(query, visit.getState().search.collection),
    searchWithin(query, filter, value) {
      go({ ...begun(), query, collection: '', filters: { [filter]: [value] } });
      desk?.searched(query, '');
    },
    openCollection(id) {
      go({ ...begun(), collection: id });
      desk?.searched('', id);
    },
    openArticle(id, link) {
      if (isElsewhere(link)) window.open(link, '_blank', 'noreferrer');
      else goTo({ kind: 'article', id });
    },
    putInBasket(id, variant, quantity = 1) {
      if (desk) return;
      basket.getState().add(variant, quantity);
      tell({ kind: 'basket', product: id, variant, quantity });
    },
    chooseVariant: chosenVariants.choose,
    chosenVariant: chosenVariants.of,
    chooseLanguage: (language) => go({ ...visit.getState().search, language }),
    async lookThrough(filter, text) {
      if (!client) return [];
      const query = { ...queryFor(visit.getState().search, device()), limit: '1', like: `${filter}:${text}` };
      const { filters } = await client.search(query, AbortSignal.timeout(longestLook));
      return filters.find(({ key }) => key === filter)?.values ?? [];
    },
    createBox() {
      const box = createQuestion<BoxAnswer>({
        freshFor: boxFreshFor,
        now,
        answered: heard,
        refused,
      });
      return {
        state: box.state,
        stop: box.stop,
        ask(text, language) {
          const from = client;
          if (!from) return;
          const query = { q: text, device: device(), ...(isLanguage(language) && { language }) };
          box.ask(JSON.stringify([text, language, from.name]), (signal) => from.suggest(query, signal));
        },
      };
    },
    createBeside(at) {
      const beside = createQuestion<Beside>({ freshFor, now });
      return {
        state: beside.state,
        stop: beside.stop,
        ask(ids) {
          const from = client;
          if (!from) return;
          const of = ids.slice(0, mostBeside);
          beside.ask(JSON.stringify([of, at, from.name]), (signal) => from.beside({ of, at }, signal));
        },
      };
    },
    isWaiting: () => isWaiting,
    hasSearch() {
      const { query, collection, filters } = visit.getState().search;
      return query !== '' || collection !== '' || Object.keys(filters).length > 0;
    },
    begin() {
      if (!isWaiting) return;
      isWaiting = false;
      ask();
    },
    again() {
      results.again();
      const { place } = visit.getState();
      if (place?.kind === 'product') product.again();
      if (place?.kind === 'article') article.again();
    },
    see(next) {
      const before = view.getState();
      client = clientFor(next);
      view.setState(next, true);
      follow(before, next);
      ask();
    },
    close() {
      unlisten();
      for (const question of [results, product, article]) question.stop();
    },
  };
}
