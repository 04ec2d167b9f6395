import type { SearchAnswer } from '../answer/answer.ts';
import type { PreparedSetup } from './prepareSetup.ts';
import type { Ranking } from './rank.ts';
import type { SearchRequest } from './searchRequest.ts';

const longestQuoted = 80;

/** What a search asked for and did not get: names and values that this shop does not know, each with what was done instead. */
export function ignoredParameters(
  prepared: PreparedSetup,
  { filters, sort, collection, like }: SearchRequest,
  { ignoredFilters, choices }: Pick<Ranking, 'ignoredFilters' | 'choices'>,
  isInCollection: boolean,
): SearchAnswer['ignored'] {
  const known = new Set(prepared.filters.map(({ key }) => key));
  const notShown = new Set(choices.notShown.map(({ key }) => key));
  const ignored = (parameter: string, value: string, reason: SearchAnswer['ignored'][number]['reason']) => ({
    parameter: parameter.slice(0, longestQuoted + 2),
    value: value.slice(0, longestQuoted),
    reason,
  });
  const ofFilters = ignoredFilters.map((key) => {
    const value = Object.hasOwn(filters, key) ? (filters[key]![0] ?? '') : '';
    return ignored(`f.${key}`, value, !known.has(key) ? 'unknown' : notShown.has(key) ? 'not-here' : 'no-range');
  });
  const isSorted = !sort || prepared.setup.relevance.sorting.orders.some(({ key }) => key === sort);
  return [
    ...ofFilters,
    ...(isSorted ? [] : [ignored('sort', sort, 'unknown')]),
    ...(collection && !isInCollection ? [ignored('collection', collection, 'unknown')] : []),
    ...(like && !known.has(like.key) ? [ignored('like', like.key, 'unknown')] : []),
  ];
}
