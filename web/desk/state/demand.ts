import { useQuery } from '@tanstack/react-query';
import { call } from '../../client/call.ts';

/** What shoppers searched for, most often first. */
export const useDemand = (limit: number) =>
  useQuery({
    queryKey: ['desk', 'demand', limit],
    queryFn: ({ signal }) => call('demand', { query: { limit: String(limit) }, signal }),
    staleTime: 60_000,
  });
