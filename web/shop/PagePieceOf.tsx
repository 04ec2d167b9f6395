import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { FilterPosition } from '../../core/setup/terms/filterTerms.ts';
import type { PagePiece } from '../../core/setup/terms/pageTerms.ts';
import { useTexts } from '../look/texts.tsx';
import { BesidesAt, BesideTabs } from './Besides.tsx';
import { CollectionHead } from './CollectionHead.tsx';
import { Elsewhere } from './Elsewhere.tsx';
import { ChosenFilters, type FiltersShown } from './filters/Filters.tsx';
import { Gaps } from './Gaps.tsx';
import { MoreBelow } from './MoreBelow.tsx';
import { Notices } from './Notices.tsx';
import { PageHeading } from './PageMain.tsx';
import { Pages } from './Pages.tsx';
import { ProductsPiece } from './ProductsPiece.tsx';
import { Count, PlacedFilters, Sorting } from './pageParts.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** What every piece of a page of results is drawn from. */
export interface OnPage {
  readonly data: SearchAnswer;
  readonly isStale: boolean;
  readonly filtering: FiltersShown;
  /** Where the filters stand. */
  readonly position: FilterPosition;
  /** Whether nothing follows the first products. */
  readonly endsHere: boolean;
}

/** One piece of a page of results. */
export function PagePieceOf({
  piece,
  isHeard = false,
  ...here
}: OnPage & { readonly piece: PagePiece; readonly isHeard?: boolean }) {
  const { data, isStale, filtering, position, endsHere } = here;
  const { go, searchHere, openCollection } = useShopper();
  const { search } = useVisit();
  switch (piece) {
    case 'heading':
      return <Heading data={data} isHeard={isHeard} />;
    case 'count':
      return data.besides.show === null && !endsHere && <Count data={data} />;
    case 'sorting':
      return data.besides.show === null && <Sorting data={data} />;
    case 'collection':
      return (
        data.collection && (
          <CollectionHead
            collection={data.collection}
            isSearched={data.query.trim() !== ''}
            open={openCollection}
            leave={() => go({ ...search, page: 1, collection: '' })}
          />
        )
      );
    case 'besides':
      return (
        <>
          <BesideTabs data={data} />
          <BesidesAt data={data} where="above" />
        </>
      );
    case 'notices':
      return <Told data={data} isStale={isStale} search={searchHere} />;
    case 'filters':
      return (
        <div part="filters">
          <PlacedFilters {...filtering} position={position} />
        </div>
      );
    case 'chosen':
      return <ChosenFilters {...filtering} />;
    case 'results':
      return <ProductsPiece data={data} isStale={isStale} />;
    case 'more':
      if (endsHere) return null;
      return data.layout.way === 'pages' ? (
        <Pages answer={data} go={(page) => go({ ...search, page })} />
      ) : (
        <MoreBelow answer={data} isStale={isStale} go={(page) => go({ ...search, page }, true)} />
      );
  }
}

function Heading({ data, isHeard }: { readonly data: SearchAnswer; readonly isHeard: boolean }) {
  const { say } = useTexts();
  return (
    <PageHeading
      className={isHeard ? 'sr-only' : 'min-w-0 max-w-full flex-[1_1_220px] break-words font-shop text-[19px]'}
    >
      {data.query.trim()
        ? say('results.for', { search: data.query.trim() })
        : (data.collection?.title ?? say('results.everything'))}
    </PageHeading>
  );
}

/** What shoppers, and in the desk merchandisers, are told of how the search was read. */
function Told({
  data,
  isStale,
  search: searchHere,
}: {
  readonly data: SearchAnswer;
  readonly isStale: boolean;
  search(query: string): void;
}) {
  const { desk, go } = useShopper();
  const { search } = useVisit();
  return (
    <>
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
    </>
  );
}
