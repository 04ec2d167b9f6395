import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { ImportJob } from '../../../api/catalogEndpoints.ts';
import { isWorkingPhase } from '../../../core/catalog/importPhases.ts';
import { call } from '../../client/call.ts';
import { stateKey } from './deskState.ts';
import { clientHere } from './queryClient.ts';
import { useShopWindow } from './shopWindow.ts';

const jobKey = ['desk', 'catalog', 'job'] as const;

/** Whether the job goes on by itself; else it waits for a person or is over. */
export const isWorking = (job: ImportJob | null | undefined): boolean => !!job && isWorkingPhase(job.phase);

/** The import under way, followed while it works; a catalog put in force shows everywhere at once. */
export function useImportJob(): ImportJob | null | undefined {
  const { data } = useQuery({
    queryKey: jobKey,
    queryFn: ({ signal }) => call('importJob', { signal }),
    refetchInterval: ({ state }) => (isWorking(state.data?.job) ? 350 : false),
  });
  const client = useQueryClient();
  const finished = data?.job?.phase === 'done' ? data.job.id : null;
  useEffect(() => {
    if (finished === null) return;
    void client.invalidateQueries({ queryKey: stateKey });
    void client.invalidateQueries({
      predicate: ({ queryKey }) => queryKey[0] === 'desk' && queryKey[2] !== 'job',
    });
    useShopWindow.getState().refresh();
  }, [finished, client]);
  return data?.job;
}

/** Takes a job the server answered with; what was asked before that and answers later is older. */
export function takeJob(job: ImportJob): void {
  void clientHere().cancelQueries({ queryKey: jobKey });
  clientHere().setQueryData(jobKey, { job });
  void clientHere().invalidateQueries({ queryKey: ['desk', 'catalog', 'examined'] });
}

export const forgetJob = (): Promise<void> => clientHere().invalidateQueries({ queryKey: jobKey });

export const useCatalog = () =>
  useQuery({ queryKey: ['desk', 'catalog', 'info'], queryFn: ({ signal }) => call('catalog', { signal }) });
