import { useEffect } from 'react';
import { useTopSearches } from './demand.ts';
import { isUntried, useTrial } from './trial.ts';

/** Searches a desk that was never used begins with. */
const first = 3;

/**
 * The first trial search is the one shoppers make most; a shop that knows of none begins with everything it has. Answers
 * whether it is known, so that it does not come over what someone begins to type.
 */
export function useFirstTrial(): boolean {
  const isFirst = useTrial(isUntried);
  const { data, isPending } = useTopSearches();
  useEffect(() => {
    if (isFirst && data) useTrial.getState().begin(data.top.slice(0, first).map(({ search }) => search));
  }, [isFirst, data]);
  return !isFirst || !isPending;
}
