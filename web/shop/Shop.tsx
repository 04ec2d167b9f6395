import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { ArticlePage } from './ArticlePage.tsx';
import { addressOf, usePlaceShown } from './addresses.ts';
import { LanguageMenu } from './LanguageMenu.tsx';
import { ProductPage } from './ProductPage.tsx';
import { ResultsPage } from './ResultsPage.tsx';
import { SearchBox } from './SearchBox.tsx';
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
  language: '',
};

/** The shop: the page a shopper uses, and the very same page in the desk's window. */
export function Shop() {
  const desk = useDesk();
  const navigate = useNavigate();
  const [parameters] = useSearchParams();
  const search = readAddress(parameters);
  const place = usePlaceShown();
  const [submitted, setSubmitted] = useState<string | null>(null);
  /** Whether the window has come to what the desk asked first: before that it would fetch what nobody wants to see. */
  const [hasArrived, setArrived] = useState(!desk.isInDesk);
  const isReady = hasArrived || desk.view?.query === search.query;
  useEffect(() => setArrived((before) => before || isReady), [isReady]);
  const { data, error, isPlaceholderData, refetch } = useResults(search, desk.view, isReady);
  const { query, page, collection } = search;
  useScrollPlace(JSON.stringify([place, query, page, collection]), data !== undefined && !isPlaceholderData);

  const addressFor = (next: ShopperSearch): string => {
    const text = writeAddress(next, desk.isInDesk).toString();
    return text ? `?${text}` : '';
  };
  const go = (next: ShopperSearch, replace = false): void =>
    void navigate({ pathname: '/shop', search: addressFor(next) }, { replace });
  const open = (product: string): void => void navigate(addressOf('product', product, addressFor(search)));
  /** What a new search begins with: the shopper's language, and their filters where the shop keeps them. */
  const begun = (): ShopperSearch => ({
    ...fresh,
    language: search.language,
    filters: data?.filterLayout.keep ? search.filters : {},
  });
  const searchEverywhere = (next: string): void => {
    setSubmitted(next);
    go({ ...begun(), query: next });
    desk.searched(next);
  };
  /** On a collection's page a search stays in the collection; the page has a way out. */
  const searchFor = (next: string): void => {
    setSubmitted(next);
    go({ ...begun(), query: next, collection });
    desk.searched(next);
  };

  const asked = desk.view?.query;
  // Only a new trial search moves the window; what the shopper does in it since is left alone.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the search and the way to go are read, not watched
  useEffect(() => {
    if (asked !== undefined && asked !== query) go({ ...begun(), query: asked }, true);
  }, [asked]);

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
    noteSearch({ ...search, query: data.query, page: data.page }, data.total, desk.isInDesk);
  }, [data, isPlaceholderData, shown]);

  const name = data?.shop.name;
  useEffect(() => {
    if (name) document.title = name;
  }, [name]);

  return (
    <div className="flex min-h-full flex-col bg-surface text-ink">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-line border-b px-4 py-3 sm:px-5">
        <a
          href="/shop"
          className="min-w-[7.5rem] font-shop text-xl tracking-tight"
          onClick={(event) => {
            event.preventDefault();
            searchEverywhere('');
          }}
        >
          {name ?? (error ? 'The shop' : '…')}
        </a>
        {data && data.languages.length > 1 && (
          <LanguageMenu
            languages={data.languages}
            chosen={search.language || data.languages[0]!}
            choose={(language) => go({ ...search, language: language === data.languages[0] ? '' : language })}
          />
        )}
        <SearchBox
          query={query}
          search={searchFor}
          open={({ familyId }) => open(familyId)}
          desk={desk.view}
          isInDesk={desk.isInDesk}
        />
      </header>
      {place?.kind === 'product' ? (
        <ProductPage id={place.id} desk={desk.view} isReady={isReady} />
      ) : place?.kind === 'article' ? (
        <ArticlePage id={place.id} desk={desk.view} isReady={isReady} />
      ) : error && !data ? (
        <div role="alert" className="m-6 rounded-lg bg-changed-soft p-4 text-on-changed">
          <p>The results could not be fetched. {error.message}</p>
          <button type="button" className="mt-2 font-semibold underline" onClick={() => refetch()}>
            Try again
          </button>
        </div>
      ) : !data ? (
        <Waiting />
      ) : (
        <ResultsPage
          search={search}
          data={data}
          isStale={isPlaceholderData}
          desk={desk}
          go={go}
          searchFor={searchFor}
          openCollection={(id) => go({ ...begun(), collection: id })}
          open={({ familyId }) => open(familyId)}
        />
      )}
    </div>
  );
}

function Waiting() {
  return (
    <div className="grid grid-cols-2 gap-4 p-5 sm:grid-cols-3" role="status" aria-label="The results are being fetched">
      {['a', 'b', 'c', 'd', 'e', 'f'].map((name) => (
        <div key={name} className="h-48 animate-pulse rounded-md bg-paper" />
      ))}
    </div>
  );
}
