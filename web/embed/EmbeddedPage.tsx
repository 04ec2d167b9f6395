import { useStore } from 'zustand';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useFilterPosition } from '../shop/filters/useFilterPosition.ts';
import { Count, type PagePart, PlacedFilters, Sorting, useFiltering } from '../shop/pageParts.tsx';
import { ShopPage } from '../shop/ShopPage.tsx';
import { useShopper, useVisit } from '../shop/shopperHere.tsx';
import { useScrollPlace } from '../shop/useScrollPlace.ts';
import { restOfEnglish } from './restOfEnglish.ts';
import { addEnglish } from './shippedTexts.ts';

addEnglish(restOfEnglish);

export { Overlay } from './Overlay.tsx';
export { default as styles } from './page.css?inline';

/** What a part of another site's page shows of the results: all of them, or some of what stands beside them. */
export function EmbeddedPage({ shows }: { readonly shows: ReadonlySet<string> }) {
  if (shows.has('results')) return <Results shows={shows as ReadonlySet<PagePart>} />;
  return <Beside shows={shows} />;
}

function Results({ shows }: { readonly shows: ReadonlySet<PagePart> }) {
  const { data, isStale } = useStore(useShopper().results);
  const { search, place } = useVisit();
  const screen = data?.layout.way === 'pages' ? search.page : 0;
  const isThere = data !== undefined && !isStale;
  useScrollPlace(JSON.stringify([place, search.query, screen, search.collection]), isThere);
  // Room for as much as a window shows, until what is there is known.
  return (
    <div className={data ? '' : 'min-h-screen'}>
      <ShopPage shows={shows} />
    </div>
  );
}

function Beside({ shows }: { readonly shows: ReadonlySet<string> }) {
  const { data, isStale } = useStore(useShopper().results);
  const { place } = useVisit();
  if (!data || place) return null;
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
      {shows.has('count') && <Count data={data} />}
      {shows.has('sorting') && <Sorting data={data} />}
      {shows.has('filters') && !data.emptyShelf && (
        <div className="min-w-0 flex-[1_1_100%]">
          <Filters data={data} isStale={isStale} />
        </div>
      )}
    </div>
  );
}

function Filters({ data, isStale }: { readonly data: SearchAnswer; readonly isStale: boolean }) {
  return (
    <div part="filters">
      <PlacedFilters {...useFiltering(data, isStale)} position={useFilterPosition(data.filterLayout)} />
    </div>
  );
}
