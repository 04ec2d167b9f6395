import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query';
import { useCallback, useRef } from 'react';
import { filterParameters } from '../../api/filterParameters.ts';
import type { FilterValue, SearchAnswer } from '../../core/answer/answer.ts';
import { named } from '../../core/base/named.ts';
import { liveOf, nameOf } from '../../core/setup/setupRef.ts';
import { deviceOf } from '../../core/setup/terms/planTerms.ts';
import { isLanguage } from '../../core/text/languages.ts';
import { call, isPassing, tryAgainAfter } from '../client/call.ts';
import { isPreview } from '../client/place.ts';
import type { DeskView } from './useDesk.ts';

export interface ShopperSearch {
  readonly query: string;
  readonly page: number;
  /** Only the products of this collection; empty for all. */
  readonly collection: string;
  /** The order chosen from the sorting menu; empty for relevance. */
  readonly sort: string;
  /** What is taken as words though it was recognised. */
  readonly asWords: readonly string[];
  /** Only what was typed is looked for. */
  readonly exactly: boolean;
  /** The language filters are named in; empty for the catalog's own. */
  readonly language: string;
  /** What the shopper has said of filters; a key with nothing takes off what is preselected. */
  readonly filters: Readonly<Record<string, readonly string[]>>;
}

/** Results fetched while the page's code was read are not fetched again when it is drawn; in milliseconds. */
const freshFor = 2000;

/** The shopper's search from the page's address. */
export function readAddress(parameters: URLSearchParams): ShopperSearch {
  const filters = named<string[]>();
  for (const [name, value] of parameters)
    if (name.startsWith('f.')) {
      const key = name.slice(2);
      // An address may say anything: only keys it has given itself are read.
      const before = Object.hasOwn(filters, key) ? filters[key]! : [];
      filters[key] = [...before, ...(value === '' ? [] : [value])];
    }
  const collection = parameters.get('collection') ?? '';
  return {
    query: parameters.get('q') ?? '',
    collection,
    sort: parameters.get('sort') ?? '',
    asWords: parameters.getAll('word'),
    exactly: parameters.has('exactly'),
    language: parameters.get('language') ?? '',
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
  if (search.language) parameters.set('language', search.language);
  for (const text of search.asWords) parameters.append('word', text);
  if (search.exactly) parameters.set('exactly', '');
  if (search.page > 1) parameters.set('page', String(search.page));
  for (const [name, value] of filterParameters(search.filters)) parameters.append(name, value);
  return parameters;
}

/** A search as the server is asked for it. */
function queryFor(search: ShopperSearch) {
  return {
    q: search.query,
    page: String(search.page),
    collection: search.collection,
    sort: search.sort,
    device: deviceOf(window.innerWidth),
    ...(isLanguage(search.language) && { language: search.language }),
    ...(search.asWords.length > 0 && { asWords: [...search.asWords] }),
    ...(search.exactly && { exactly: '1' as const }),
    ...Object.fromEntries(
      Object.entries(search.filters).map(([key, values]) => [`f.${key}`, values.length > 0 ? [...values] : '']),
    ),
  };
}

function ask(
  query: ReturnType<typeof queryFor> & { like?: string },
  desk: DeskView | null,
  signal: AbortSignal,
): Promise<SearchAnswer> {
  if (!desk) return call(isPreview() ? 'previewSearch' : 'shopSearch', { query, signal });
  // Places are compared with what shoppers get.
  const movement = desk.from === nameOf(liveOf('')) ? '0' : '1';
  return call('deskSearch', {
    query: { ...query, from: desk.from, movement, ...(desk.at && { at: desk.at }) },
    signal,
  });
}

/** A search's results as they are asked for and kept. */
export const resultsOf = (search: ShopperSearch, desk: DeskView | null) =>
  queryOptions({
    queryKey: ['results', search, desk?.from ?? 'shop', desk?.turn ?? 0, desk?.at ?? ''],
    queryFn: ({ signal }) => ask(queryFor(search), desk, signal),
    staleTime: freshFor,
  });

/** The results of a search; the former ones stay in sight while new ones are fetched. */
export function useResults(search: ShopperSearch, desk: DeskView | null, isReady: boolean) {
  return useQuery({
    ...resultsOf(search, desk),
    enabled: isReady,
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (isPassing(state.error) ? tryAgainAfter : false),
  });
}

/** Fetches the values of one filter beside these results that have a text in their names. */
export function useLookThrough(search: ShopperSearch, desk: DeskView | null) {
  const now = useRef({ search, desk });
  now.current = { search, desk };
  return useCallback(async (key: string, text: string): Promise<readonly FilterValue[]> => {
    const query = { ...queryFor(now.current.search), limit: '1', like: `${key}:${text}` };
    const answer = await ask(query, now.current.desk, AbortSignal.timeout(10_000));
    return answer.filters.find((filter) => filter.key === key)?.values ?? [];
  }, []);
}
