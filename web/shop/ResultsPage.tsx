import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { FilterPosition } from '../../core/setup/terms/filterTerms.ts';
import { useTexts } from '../look/texts.tsx';
import { Banners } from './Banner.tsx';
import { BesidesAt, BesideTabs, Blocks, OneKind } from './Besides.tsx';
import { CloseToSearch } from './CloseToSearch.tsx';
import { CollectionHead } from './CollectionHead.tsx';
import { Elsewhere } from './Elsewhere.tsx';
import { EmptyShelf } from './EmptyShelf.tsx';
import { withNothing } from './filters/choice.ts';
import { ChosenFilters } from './filters/Filters.tsx';
import { useFilterPosition } from './filters/useFilterPosition.ts';
import { Gaps } from './Gaps.tsx';
import { MoreBelow } from './MoreBelow.tsx';
import { Notices } from './Notices.tsx';
import { PageHeading, PageMain } from './PageMain.tsx';
import { Pages } from './Pages.tsx';
import { allParts, Count, type PagePart, PlacedFilters, Sorting, useFiltering } from './pageParts.tsx';
import { Articles } from './Reading.tsx';
import { Shelves } from './Shelves.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** Where the filters stand beside the results, the room for both. */
const columns: Partial<Record<FilterPosition, string>> = {
  left: 'grid grid-cols-[210px_1fr] gap-7',
  right: 'grid grid-cols-[1fr_210px] gap-7',
};

/** What a search, or a collection, shows. */
export function ResultsPage({
  data,
  isStale,
  shows = allParts,
}: {
  readonly data: SearchAnswer;
  /** Whether these are still the results of the search before. */
  readonly isStale: boolean;
  readonly shows?: ReadonlySet<PagePart> | undefined;
}) {
  const { desk, go, searchHere, openCollection, choose } = useShopper();
  const { search } = useVisit();
  const { say } = useTexts();
  const filtering = useFiltering(data, isStale);
  const position = useFilterPosition(data.filterLayout);
  const hasFilters = shows.has('filters');
  // Of what stands before any search shoppers are to see the first products, and no more.
  const endsHere =
    data.emptySearch === 'first' &&
    data.query.trim() === '' &&
    !data.collection &&
    Object.keys(search.filters).length === 0;
  return (
    <PageMain isBusy={isStale}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
        <PageHeading className="min-w-0 max-w-full flex-[1_1_220px] break-words font-shop text-[19px]">
          {data.query.trim()
            ? say('results.for', { search: data.query.trim() })
            : (data.collection?.title ?? say('results.everything'))}
        </PageHeading>
        <div className="flex shrink-0 items-baseline gap-x-4">
          {shows.has('count') && data.besides.show === null && !endsHere && <Count data={data} />}
          {shows.has('sorting') && data.besides.show === null && <Sorting data={data} />}
        </div>
      </div>
      {data.collection && (
        <CollectionHead
          collection={data.collection}
          isSearched={data.query.trim() !== ''}
          open={openCollection}
          leave={() => go({ ...search, page: 1, collection: '' })}
        />
      )}
      <BesideTabs data={data} />
      <BesidesAt data={data} where="above" />
      {data.redirect && (
        <Elsewhere redirect={data.redirect} isInDesk={desk !== null} isPlain={data.page === 1 && !isStale} />
      )}
      <Notices
        answer={data}
        asWords={(text) => go({ ...search, page: 1, asWords: [...search.asWords, text] })}
        search={searchHere}
        exactly={(is) => go({ ...search, page: 1, exactly: is })}
      />
      <Gaps answer={data} />
      {data.besides.show !== null ? (
        <OneKind data={data} />
      ) : data.emptyShelf ? (
        <>
          <EmptyShelf
            shelf={data.emptyShelf}
            isInDesk={desk !== null}
            isPlain={data.page === 1 && !isStale}
            search={searchHere}
            openCollection={openCollection}
          />
          <Articles articles={data.articles} isBelow />
        </>
      ) : (
        <div className={(hasFilters && columns[position]) || ''}>
          {hasFilters && (
            <div part="filters" className={position === 'right' ? 'order-2' : ''}>
              <PlacedFilters {...filtering} position={position} />
            </div>
          )}
          <div className="min-w-0">
            <ChosenFilters {...filtering} />
            {data.total === 0 ? (
              <p className="py-10 text-center text-soft">
                {say('results.noneWithFilters')}{' '}
                <button
                  type="button"
                  className="text-press underline"
                  onClick={() => go({ ...search, page: 1, filters: withNothing(data.filters) })}
                >
                  {say('results.clearFilters')}
                </button>
              </p>
            ) : (
              <>
                <Banners banners={data.banners} where="above" />
                <Blocks data={data} where="above" />
                <Shelves
                  results={data.results}
                  isStale={isStale}
                  open={choose}
                  act={desk ? (products, what) => desk.act(search, products, what) : null}
                  of={JSON.stringify([data.query, data.collection?.id])}
                  at={search.query.trim() !== '' ? 'search' : data.collection ? 'collection' : 'everything'}
                  mayMove={search.sort === ''}
                  banners={data.banners.filter(({ where }) => where === 'grid')}
                  between={{ after: data.besides.after, content: <BesidesAt data={data} where="between" /> }}
                />
                <Banners banners={data.banners} where="below" />
              </>
            )}
            <CloseToSearch close={data.close} after={data.total} open={choose} />
            <Blocks data={data} where="below" />
            <BesidesAt data={data} where="below" />
            {endsHere ? null : data.layout.way === 'pages' ? (
              <Pages answer={data} go={(page) => go({ ...search, page })} />
            ) : (
              <MoreBelow answer={data} isStale={isStale} go={(page) => go({ ...search, page }, true)} />
            )}
          </div>
        </div>
      )}
    </PageMain>
  );
}
