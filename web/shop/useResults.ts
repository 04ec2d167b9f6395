import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { filterParameters } from '../../api/filterParameters.ts';
import type { SearchAnswer } from '../../core/answer.ts';
import { call } from '../client/call.ts';
import type { DeskView } from './useDesk.ts';

export interface ShopperSearch {
  readonly query: string;
  readonly page: number;
  /** Only the products of this collection; empty for all. */
  readonly collection: string;
  /** The order chosen from the sorting menu; empty for relevance. */
  readonly sort: string;
  /** Whether every word is taken as a word, though a price was recognised. */
  readonly literally: boolean;
  readonly filters: Readonly<Record<string, readonly string[]>>;
}

export const perPage = 24;

/** The shopper's search from the page's address. */
export function readAddress(parameters: URLSearchParams): ShopperSearch {
  const filters: Record<string, string[]> = {};
  for (const [name, value] of parameters)
    if (name.startsWith('f.')) {
      const key = name.slice(2);
      filters[key] = [...(filters[key] ?? []), value];
    }
  const collection = parameters.get('collection') ?? '';
  return {
    query: parameters.get('q') ?? '',
    collection,
    sort: parameters.get('sort') ?? '',
    literally: parameters.has('literally'),
    page: Math.max(1, Number(parameters.get('page')) || 1),
    filters,
  };
}

export function writeAddress(search: ShopperSearch, inDesk: boolean): URLSearchParams {
  const parameters = new URLSearchParams();
  if (inDesk) parameters.set('desk', '');
  if (search.query) parameters.set('q', search.query);
  if (search.collection) parameters.set('collection', search.collection);
  if (search.sort) parameters.set('sort', search.sort);
  if (search.literally) parameters.set('literally', '');
  if (search.page > 1) parameters.set('page', String(search.page));
  for (const [name, value] of filterParameters(search.filters)) parameters.append(name, value);
  return parameters;
}

/** The results of a search; the former ones stay in sight while new ones are fetched. */
export function useResults(search: ShopperSearch, desk: DeskView | null, isReady: boolean) {
  return useQuery({
    queryKey: ['results', search, desk?.from ?? 'shop', desk?.turn ?? 0],
    enabled: isReady,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }): Promise<SearchAnswer> => {
      const filters: Record<string, string[]> = {};
      for (const [key, values] of Object.entries(search.filters)) filters[`f.${key}`] = [...values];
      const query = {
        q: search.query,
        page: String(search.page),
        limit: String(perPage),
        collection: search.collection,
        sort: search.sort,
        literally: search.literally ? ('1' as const) : ('0' as const),
        ...filters,
      };
      if (!desk) return call('shopSearch', { query, signal });
      const movement = desk.from === 'draft' ? '1' : '0';
      return call('deskSearch', { query: { ...query, from: desk.from, movement }, signal });
    },
  });
}
