import { useQuery } from '@tanstack/react-query';
import type { DeskState } from '../../../api/stateSchema.ts';
import { call } from '../../client/call.ts';
import { queryClient } from './queryClient.ts';

export const stateKey = ['desk', 'state'] as const;

const query = { queryKey: stateKey, queryFn: () => call('state') };

/** The draft and how it differs from what is published. */
export const useDeskStateQuery = () => useQuery(query);

/** The same where it is known to be there: below the desk's frame, which waits for it. */
export function useDeskState(): DeskState {
  const { data } = useQuery(query);
  if (!data) throw new Error('The desk is shown before its state is there.');
  return data;
}

export const knownState = (): DeskState | undefined => queryClient.getQueryData<DeskState>(stateKey);

/** Takes a state the server answered with; lists that depend on it are asked for anew. */
export function takeState(state: DeskState): void {
  queryClient.setQueryData(stateKey, state);
  void queryClient.invalidateQueries({
    predicate: ({ queryKey }) => queryKey[0] === 'desk' && queryKey[1] !== 'state',
  });
}
