import { queryOptions, useQuery } from '@tanstack/react-query';
import type { DeskState } from '../../../api/stateSchema.ts';
import { namedParts } from '../../../core/setup/namedParts.ts';
import { call } from '../../client/call.ts';
import { CallProblem, isPassing, tryAgainAfter } from '../../client/request.ts';
import { clientHere } from './queryClient.ts';
import { withUnsaved } from './waitingEdits.ts';

export const stateKey = ['desk', 'state'] as const;

/** Whether a refusal says that the draft, or its storefront, is not there any more. */
export const isGone = (error: unknown): boolean =>
  error instanceof CallProblem && (error.code === 'unknown-draft' || error.code === 'unknown-storefront');

/** Counts the states the server answered acts with: a read begun before one of them may be older than it. */
let adopted = 0;

const fromServer = (state: DeskState): DeskState => withUnsaved({ ...state, setup: namedParts(state.setup) });

/** Reads the state; one that is older than what an act was answered with meanwhile is not shown. */
export async function readState(): Promise<DeskState> {
  const before = adopted;
  const read = fromServer(await call('state'));
  const known = knownState();
  return adopted !== before && known && known.revision >= read.revision ? known : read;
}

const query = queryOptions({
  queryKey: stateKey,
  queryFn: readState,
  refetchInterval: ({ state }) => (isPassing(state.error) ? tryAgainAfter : false),
});

/** The draft and how it differs from what is published. */
export const useDeskStateQuery = () => useQuery(query);

/** The same where it is known to be there: below the desk's frame, which waits for it. */
export function useDeskState(): DeskState {
  const { data } = useQuery(query);
  if (!data) throw new Error('The desk is shown before its state is there.');
  return data;
}

export const knownState = (): DeskState | undefined => clientHere().getQueryData<DeskState>(stateKey);

/** Takes a state the server answered with; lists that depend on it are asked for anew. */
export function adoptState(state: DeskState): void {
  adopted++;
  clientHere().setQueryData(stateKey, fromServer(state));
  void clientHere().invalidateQueries({
    predicate: ({ queryKey }) => queryKey[0] === 'desk' && queryKey[1] !== 'state',
  });
}

/** Shows edits that wait to be sent. */
export function showUnsaved(): void {
  const known = knownState();
  if (known) clientHere().setQueryData(stateKey, withUnsaved(known));
}
