import type { SearchAnswer } from '../answer/answer.ts';
import type { PreparedSetup } from './prepareSetup.ts';
import type { Ranking, SearchRequest } from './rank.ts';

const longestTold = 80;

/** What a search asked for and did not get: names and values that this shop does not know, each with what was done instead. */
export function ignoredParameters(
  prepared: PreparedSetup,
  { filters, sort, collection, like }: SearchRequest,
  { ignoredFilters, choices }: Pick<Ranking, 'ignoredFilters' | 'choices'>,
  isInCollection: boolean,
): SearchAnswer['ignored'] {
  const known = new Set(prepared.filters.map(({ key }) => key));
  const notShown = new Set(choices.notShown.map(({ key }) => key));
  const told = (parameter: string, value: string, reason: SearchAnswer['ignored'][number]['reason']) => ({
    parameter: parameter.slice(0, longestTold + 2),
    value: value.slice(0, longestTold),
    reason,
  });
  const ofFilters = ignoredFilters.map((key) => {
    const value = Object.hasOwn(filters, key) ? (filters[key]![0] ?? '') : '';
    return told(`f.${key}`, value, !known.has(key) ? 'unknown' : notShown.has(key) ? 'not-here' : 'no-range');
  });
  const isSorted = !sort || prepared.setup.relevance.sorting.orders.some(({ key }) => key === sort);
  return [
    ...ofFilters,
    ...(isSorted ? [] : [told('sort', sort, 'unknown')]),
    ...(collection && !isInCollection ? [told('collection', collection, 'unknown')] : []),
    ...(like && !known.has(like.key) ? [told('like', like.key, 'unknown')] : []),
  ];
}
