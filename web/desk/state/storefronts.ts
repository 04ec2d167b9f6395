import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { call } from '../../client/call.ts';
import { clientHere } from './queryClient.ts';

const storefrontsKey = ['desk', 'storefronts'] as const;
const draftsKey = ['desk', 'drafts'] as const;

/** In milliseconds. */
const lookAgainAfter = 1000;

export const useStorefronts = () =>
  useQuery({
    queryKey: storefrontsKey,
    queryFn: ({ signal }) => call('storefronts', { signal }),
    // One that shares records reads them as soon as it is made.
    refetchInterval: ({ state }) =>
      state.data?.storefronts.some(({ shares, records }) => shares !== null && records === 0) ? lookAgainAfter : false,
  });
export const useDrafts = () => useQuery({ queryKey: draftsKey, queryFn: ({ signal }) => call('drafts', { signal }) });

/** Does something to storefronts or drafts as wholes, tells a refusal and shows the lists anew; null where it was refused. */
export async function arrange<Answer>(doing: () => Promise<Answer>, refused: string): Promise<Answer | null> {
  try {
    return await doing();
  } catch (error) {
    toast.error(refused, { description: (error as Error).message });
    return null;
  } finally {
    void clientHere().invalidateQueries({ queryKey: ['desk'] });
  }
}
