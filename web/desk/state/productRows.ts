import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { filterParameters } from '../../../api/filterParameters.ts';
import type { ListedProduct } from '../../../api/productEndpoints.ts';
import { call } from '../../client/call.ts';
import type { ProductTable } from './productTable.ts';

/** Rows fetched together. */
const stretch = 100;

type Listing = Pick<ProductTable, 'query' | 'filters' | 'missing' | 'state' | 'kind' | 'sort'>;

function queryFor(listing: Listing, columns: readonly string[], offset: number, count: number) {
  const { query, filters, missing, state, kind, sort } = listing;
  const asked = {
    q: query,
    columns: [...columns],
    missing: [...missing],
    state,
    kind,
    offset: String(offset),
    count: String(count),
    ...(sort && { sort: sort.key, direction: sort.direction }),
    ...Object.fromEntries(filterParameters(filters).map(([name]) => [name, filters[name.slice(2)]!])),
  };
  return {
    queryKey: ['desk', 'rows', asked],
    queryFn: ({ signal }: { readonly signal: AbortSignal }) => call('rows', { query: asked, signal }),
  };
}

/** How many rows and products the list has; asked for with its first stretch. */
export function useListed(listing: Listing, columns: readonly string[]) {
  return useQuery({ ...queryFor(listing, columns, 0, stretch), placeholderData: keepPreviousData });
}

/** The rows in sight, by their place; one that is on its way is missing. */
export function useRowsInSight(
  listing: Listing,
  columns: readonly string[],
  from: number,
  to: number,
): (place: number) => ListedProduct | undefined {
  const first = Math.floor(from / stretch);
  const last = Math.max(first, Math.floor(to / stretch));
  const answers = useQueries({
    queries: Array.from({ length: last - first + 1 }, (_, at) => ({
      ...queryFor(listing, columns, (first + at) * stretch, stretch),
      placeholderData: keepPreviousData,
    })),
  });
  return (place) => answers[Math.floor(place / stretch) - first]?.data?.rows[place % stretch];
}
