import { useEffect } from 'react';
import { useTopSearches } from './demand.ts';
import { isUntried, useIsToldTrial, useTrial } from './trial.ts';

/** Searches a desk that was never used begins with. */
const first = 3;

/**
 * The first trial search is the one shoppers make most; a shop that knows of none begins with everything it has. Answers
 * whether it is known.
 */
export function useFirstTrial(): boolean {
  const isFirst = useTrial(isUntried);
  const { data, isPending } = useTopSearches();
  useEffect(() => {
    if (isFirst && !isPending) useTrial.getState().begin((data?.top ?? []).slice(0, first).map(({ search }) => search));
  }, [isFirst, isPending, data]);
  return useIsToldTrial();
}
