import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { call } from '../../../client/call.ts';
import { CallProblem } from '../../../client/request.ts';
import { useDeskState } from '../../state/deskState.ts';

/** A moment in which a slider may move on, and the window has its turn first; in milliseconds. */
const moment = 200;

const rest = (signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, moment);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      reject(signal.reason);
    });
  });

/**
 * What the draft changes on the first pages of the searches made most. Asked for anew with every revision; an answer
 * for a revision that is gone is dropped on both sides.
 */
export function useEffectOfDraft() {
  const { revision } = useDeskState();
  return useQuery({
    queryKey: ['desk', 'effect', revision],
    placeholderData: keepPreviousData,
    retry: (failures, error) => failures < 3 && error instanceof CallProblem && error.code === 'outdated',
    retryDelay: 300,
    queryFn: async ({ signal }) => {
      await rest(signal);
      return call('effect', { signal });
    },
  });
}
