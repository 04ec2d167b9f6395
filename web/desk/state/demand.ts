import { useQuery } from '@tanstack/react-query';
import { call } from '../../client/call.ts';

/** The searches shoppers make most, most often first: kept by the server, so that they are there at once. */
export const useTopSearches = () =>
  useQuery({
    queryKey: ['desk', 'demand', 'top'],
    queryFn: ({ signal }) => call('topSearches', { signal }),
    staleTime: 60_000,
  });

/** What shoppers searched for and what came of it, most often first. */
export const useDemand = (limit: number) =>
  useQuery({
    queryKey: ['desk', 'demand', limit],
    queryFn: ({ signal }) => call('demand', { query: { limit: String(limit) }, signal }),
    staleTime: 60_000,
  });
