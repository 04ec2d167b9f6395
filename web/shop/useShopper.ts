import { useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { addressOf, isElsewhere, usePlaceShown } from './addresses.ts';
import { rememberSearch } from './box/recentSearches.ts';
import { noteSearch } from './shopperLog.ts';
import { useDesk } from './useDesk.ts';
import { readAddress, type ShopperSearch, useResults, writeAddress } from './useResults.ts';
import { useScrollPlace } from './useScrollPlace.ts';

/** A search begun anew. */
const fresh: ShopperSearch = {
  query: '',
  page: 1,
  filters: {},
  collection: '',
  sort: '',
  asWords: [],
  exactly: false,
  language: '',
};

/** What the shop's page is about: the search in its address, its results, and the ways to other searches and pages. */
export function useShopper() {
  const desk = useDesk();
  const navigate = useNavigate();
  const [parameters] = useSearchParams();
  const search = readAddress(parameters);
  const place = usePlaceShown();
  const [submitted, setSubmitted] = useState<string | null>(null);
  /** Whether the window has come to what the desk asked first: before that it would fetch what nobody wants to see. */
  const [hasArrived, setArrived] = useState(!desk.isInDesk);
  const isReady = hasArrived || (desk.view?.query === search.query && desk.view.collection === search.collection);
  useEffect(() => setArrived((before) => before || isReady), [isReady]);
  const results = useResults(search, desk.view, isReady);
  const { data, isPlaceholderData } = results;
  const { query, collection } = search;
  // Where results go on below each other, more of them are the same screen.
  const screen = data?.layout.way === 'pages' ? search.page : 0;
  useScrollPlace(JSON.stringify([place, query, screen, collection]), data !== undefined && !isPlaceholderData);

  const addressFor = (next: ShopperSearch): string => {
    const text = writeAddress(next, desk.isInDesk).toString();
    return text ? `?${text}` : '';
  };
  const go = (next: ShopperSearch, replace = false): void =>
    void navigate({ pathname: '/', search: addressFor(next) }, { replace });
  const open = (product: string): void => void navigate(addressOf('product', product, addressFor(search)));
  /** What a new search begins with: the shopper's language, and their filters where the shop keeps them. */
  const begun = (): ShopperSearch => ({
    ...fresh,
    language: search.language,
    filters: data?.filterLayout.keep ? search.filters : {},
  });
  /** Searches within a collection, on whose page there is a way out, or everywhere. */
  const searchIn = (next: string, within: string): void => {
    setSubmitted(next);
    go({ ...begun(), query: next, collection: within });
    desk.searched(next, within);
  };

  const asked = desk.view?.query;
  const askedIn = desk.view?.collection ?? '';
  // Only a new trial search moves the window; what the shopper does in it since is left alone.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the search and the way to go are read, not watched
  useEffect(() => {
    if (asked !== undefined && (asked !== query || askedIn !== collection))
      go({ ...begun(), query: asked, collection: askedIn }, true);
  }, [asked, askedIn]);

  const page = desk.view?.page ?? null;
  const isAsked = useRef(false);
  // What the desk's screen is about is shown once it is asked for, and the search again when the screen is left.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the search and the way to go are read, not watched
  useEffect(() => {
    if (page) void navigate(addressOf(page.kind, page.id, addressFor(search)));
    else if (isAsked.current && place) go(search, true);
    isAsked.current = page !== null;
  }, [page?.kind, page?.id, page?.asked]);

  // A part number that a shopper has searched for leads straight to its product, once.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the way to go is read, not watched
  useEffect(() => {
    if (submitted === null || !data || isPlaceholderData || data.query !== submitted) return;
    setSubmitted(null);
    const [first] = data.results;
    if (first && first.familyId === data.leadsTo) open(first.familyId);
  }, [submitted, data, isPlaceholderData]);
  const { shown } = desk;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the filters are those of the data
  useEffect(() => {
    if (!data || isPlaceholderData) return;
    shown(data.query, data.total);
    if (!desk.isInDesk && data.total > 0 && data.page === 1) rememberSearch(data.query);
    noteSearch({ ...search, query: data.query, page: data.page }, data.total, desk.isInDesk);
  }, [data, isPlaceholderData, shown]);

  return {
    ...{ desk, search, place, isReady, results, go, open },
    searchEverywhere: (next: string) => searchIn(next, ''),
    searchHere: (next: string) => searchIn(next, collection),
    /** Searches the shop for products that have one value of a filter. */
    searchWithin: (next: string, filter: string, value: string) => {
      go({ ...begun(), query: next, collection: '', filters: { [filter]: [value] } });
      desk.searched(next, '');
    },
    /** An article's own page, or the page elsewhere that it stands for. */
    openArticle: (id: string, link: string) => {
      if (isElsewhere(link)) window.open(link, '_blank', 'noreferrer');
      else void navigate(addressOf('article', id, addressFor(search)));
    },
    openCollection: (id: string) => {
      go({ ...begun(), collection: id });
      desk.searched('', id);
    },
    chooseLanguage: (language: string) => go({ ...search, language }),
  };
}
export type Shopper = ReturnType<typeof useShopper>;
