import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Result } from '../../core/answer.ts';
import type { FilterPosition } from '../../core/setup/filterTerms.ts';
import { counted } from '../look/price.ts';
import { EmptyShelf } from './EmptyShelf.tsx';
import { withNothing } from './filters/choice.ts';
import { ChosenFilters, FilterColumn, FilterDrawer, FilterRow } from './filters/Filters.tsx';
import { useFilterPosition } from './filters/useFilterPosition.ts';
import { LanguageMenu } from './LanguageMenu.tsx';
import { Notices } from './Notices.tsx';
import { Pages } from './Pages.tsx';
import { ProductView } from './ProductView.tsx';
import { Articles, Collections } from './Reading.tsx';
import { SearchBox } from './SearchBox.tsx';
import { Shelves } from './Shelves.tsx';
import { SortMenu } from './SortMenu.tsx';
import { noteSearch } from './shopperLog.ts';
import { useDesk } from './useDesk.ts';
import { readAddress, type ShopperSearch, useLookThrough, useResults, writeAddress } from './useResults.ts';

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

/** Where the filters stand beside the results, the room for both. */
const columns: Partial<Record<FilterPosition, string>> = {
  left: 'grid grid-cols-[210px_1fr] gap-7',
  right: 'grid grid-cols-[1fr_210px] gap-7',
};

/** The shop: the page a shopper uses, and the very same page in the desk's window. */
export function Shop() {
  const desk = useDesk();
  const [parameters, setParameters] = useSearchParams();
  const search = readAddress(parameters);
  const [opened, setOpened] = useState<Result | null>(null);
  const [submitted, setSubmitted] = useState<string | null>(null);
  const isReady = !desk.isInDesk || desk.view !== null;
  const { data, error, isPlaceholderData, refetch } = useResults(search, desk.view, isReady);
  const position = useFilterPosition(data?.filterLayout);
  const go = (next: ShopperSearch, replace = false): void =>
    setParameters(writeAddress(next, desk.isInDesk), { replace });
  /** What a new search begins with: the shopper's language, and their filters where the shop keeps them. */
  const begun = (): ShopperSearch => ({
    ...fresh,
    language: search.language,
    filters: data?.filterLayout.keep ? search.filters : {},
  });
  const newSearch = (query: string): void => {
    setOpened(null);
    setSubmitted(query);
    go({ ...begun(), query });
    desk.searched(query);
  };

  const asked = desk.view?.query;
  // Only a new trial search moves the window; what the shopper does in it since is left alone.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the search and the way to go are read, not watched
  useEffect(() => {
    if (asked !== undefined && asked !== search.query) go({ ...begun(), query: asked }, true);
  }, [asked]);

  // A part number that a shopper has searched for leads straight to its product, once.
  useEffect(() => {
    if (submitted === null || !data || isPlaceholderData || data.query !== submitted) return;
    setSubmitted(null);
    const [first] = data.results;
    if (first && first.familyId === data.leadsTo) setOpened(first);
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
  const lookThrough = useLookThrough(search, desk.view);
  const filtering = {
    answer: data!,
    said: search.filters,
    isStale: isPlaceholderData,
    choose: (filters: ShopperSearch['filters']) => go({ ...search, page: 1, filters }),
    lookThrough,
  };

  return (
    <div className="flex min-h-full flex-col bg-surface text-ink">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-line border-b px-4 py-3 sm:px-5">
        <a
          href="/shop"
          className="font-shop text-xl tracking-tight"
          onClick={(event) => {
            event.preventDefault();
            newSearch('');
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
        <SearchBox query={search.query} search={newSearch} open={setOpened} desk={desk.view} isInDesk={desk.isInDesk} />
      </header>
      {error && !data ? (
        <div role="alert" className="m-6 rounded-lg bg-changed-soft p-4 text-on-changed">
          <p>The results could not be fetched. {error.message}</p>
          <button type="button" className="mt-2 font-semibold underline" onClick={() => refetch()}>
            Try again
          </button>
        </div>
      ) : !data ? (
        <Waiting />
      ) : (
        <main className="flex-1 px-4 pt-3 pb-6 sm:px-5" aria-busy={isPlaceholderData}>
          <div className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
            <h1 className="min-w-0 max-w-full flex-[1_1_220px] break-words font-shop text-[19px]">
              {data.query.trim() ? (
                <>Results for “{data.query.trim()}”</>
              ) : (
                (data.collection?.title ?? 'Everything in the shop')
              )}
            </h1>
            <div className="flex shrink-0 items-baseline gap-x-4">
              <p className="text-soft text-[13px]" role="status">
                {counted(data.total, 'product')}
              </p>
              {data.total > 1 && (
                <SortMenu sorting={data.sorting} choose={(sort) => go({ ...search, page: 1, sort })} />
              )}
            </div>
          </div>
          {data.collection && (
            <p className="text-[13px] text-soft">
              {data.query.trim() ? `In the collection ${data.collection.title}. ` : data.collection.text}{' '}
              <button
                type="button"
                className="text-press underline"
                onClick={() => go({ ...search, page: 1, collection: '' })}
              >
                Look everywhere
              </button>
            </p>
          )}
          <Collections collections={data.collections} open={(collection) => go({ ...begun(), collection })} />
          <Notices
            answer={data}
            asWords={(text) => go({ ...search, page: 1, asWords: [...search.asWords, text] })}
            search={newSearch}
          />
          {data.emptyShelf ? (
            <>
              <EmptyShelf shelf={data.emptyShelf} search={newSearch} />
              <Articles articles={data.articles} />
            </>
          ) : (
            <div className={columns[position] ?? ''}>
              {position === 'above' && <FilterRow {...filtering} />}
              {position === 'drawer' && <FilterDrawer {...filtering} />}
              {(position === 'left' || position === 'right') && (
                <div className={position === 'right' ? 'order-2' : ''}>
                  <FilterColumn {...filtering} />
                </div>
              )}
              <div className="min-w-0">
                <ChosenFilters {...filtering} />
                {data.total === 0 ? (
                  <p className="py-10 text-center text-soft">
                    No product has all these filters.{' '}
                    <button
                      type="button"
                      className="text-press underline"
                      onClick={() => go({ ...search, page: 1, filters: withNothing(data.filters) })}
                    >
                      Clear the filters
                    </button>
                  </p>
                ) : (
                  <Shelves
                    results={data.results}
                    isStale={isPlaceholderData}
                    open={setOpened}
                    act={
                      desk.isInDesk
                        ? (product, what) => desk.act(search, { id: product.familyId, title: product.title }, what)
                        : null
                    }
                    hasSearch={search.query.trim() !== ''}
                  />
                )}
                <Articles articles={data.articles} />
                <Pages answer={data} go={(page) => go({ ...search, page })} />
              </div>
            </div>
          )}
        </main>
      )}
      <ProductView result={opened} close={() => setOpened(null)} />
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
