import { memo } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { Banners } from './Banner.tsx';
import { BesidesAt, Blocks, OneKind } from './Besides.tsx';
import { CloseToSearch } from './CloseToSearch.tsx';
import { EmptyShelf } from './EmptyShelf.tsx';
import { withNothing } from './filters/choice.ts';
import { Articles } from './Reading.tsx';
import { Shelves } from './Shelves.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** The products, with what stands between and below them; or what stands in their place. */
export function ProductsPiece({ data, isStale }: { readonly data: SearchAnswer; readonly isStale: boolean }) {
  const { desk, searchHere, openCollection, choose } = useShopper();
  if (data.besides.show !== null) return <OneKind data={data} />;
  if (data.emptyShelf)
    return (
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
    );
  return (
    <>
      {data.total === 0 ? <NoneWithFilters data={data} /> : <Found data={data} />}
      <CloseToSearch close={data.close} after={data.total} open={choose} />
      <Blocks data={data} where="below" />
      <BesidesAt data={data} where="below" />
    </>
  );
}

function NoneWithFilters({ data }: { readonly data: SearchAnswer }) {
  const { go } = useShopper();
  const { search } = useVisit();
  const { say } = useTexts();
  return (
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
  );
}

/** Drawn once for an answer: that another is on its way changes no product. */
const Found = memo(function Found({ data }: { readonly data: SearchAnswer }) {
  const { desk, choose } = useShopper();
  const { search } = useVisit();
  return (
    <>
      <Banners banners={data.banners} where="above" />
      <Blocks data={data} where="above" />
      <Shelves
        results={data.results}
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
  );
});
