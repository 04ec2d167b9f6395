import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { call } from '../../client/call.ts';
import { useShopWindow } from './shopWindow.ts';

export const freshnessKey = ['desk', 'freshness'] as const;

/** How old what shoppers find is; what is new since then shows in the window and in every list. */
export function useFreshness() {
  const { data } = useQuery({
    queryKey: freshnessKey,
    queryFn: ({ signal }) => call('freshness', { signal }),
    refetchInterval: 3000,
    refetchIntervalInBackground: false,
  });
  const client = useQueryClient();
  const seen = useRef<string | null>(null);
  const version = data?.version ?? null;
  useEffect(() => {
    if (version === null) return;
    const isNew = seen.current !== null && seen.current !== version;
    seen.current = version;
    if (!isNew) return;
    useShopWindow.getState().refresh();
    void client.invalidateQueries({
      predicate: ({ queryKey }) => queryKey[0] === 'desk' && (queryKey[1] === 'rows' || queryKey[1] === 'product'),
    });
  }, [version, client]);
  return data;
}
