import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { FilterPosition } from '../../core/setup/terms/filterTerms.ts';
import { useTexts } from '../look/texts.tsx';
import { FilterColumn, FilterDrawer, FilterRow, type FiltersShown } from './filters/Filters.tsx';
import { SortMenu } from './SortMenu.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** What of a results' page a place may show by itself; what shoppers must be told stands with the results. */
export const pageParts = ['count', 'sorting', 'filters', 'results'] as const;
export type PagePart = (typeof pageParts)[number];
export const allParts: ReadonlySet<PagePart> = new Set(pageParts);

/** How many products there are. */
export function Count({ data }: { readonly data: SearchAnswer }) {
  const { say } = useTexts();
  return (
    <p part="count" className="text-soft text-[13px]" role="status">
      {say('products', { count: data.total })}
    </p>
  );
}

/** The order they stand in, where there is one to be chosen. */
export function Sorting({ data }: { readonly data: SearchAnswer }) {
  const { go } = useShopper();
  const { search } = useVisit();
  if (data.total <= 1) return null;
  return <SortMenu sorting={data.sorting} choose={(sort) => go({ ...search, page: 1, sort })} />;
}

/** What the filters show, and the way to choose from them. */
export function useFiltering(data: SearchAnswer, isStale: boolean): FiltersShown {
  const { go, lookThrough } = useShopper();
  const { search } = useVisit();
  return {
    answer: data,
    said: search.filters,
    isStale,
    choose: (filters) => go({ ...search, page: 1, filters }),
    lookThrough,
  };
}

/** The filters where the merchandiser has them stand. */
export function PlacedFilters({ position, ...shown }: FiltersShown & { readonly position: FilterPosition }) {
  if (position === 'above') return <FilterRow {...shown} />;
  if (position === 'drawer') return <FilterDrawer {...shown} />;
  return <FilterColumn {...shown} />;
}
