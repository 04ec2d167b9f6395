import type { Demand } from '../../core/demand/logEntry.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { LogSummary } from '../demand/logStore.ts';
import type { Workbench } from '../searching/workbench.ts';

/** What shoppers searched for, counted. */
export function demandQuestions({ log }: Workbench) {
  return {
    demand: (_: SetupRef, limit: number): { summary: LogSummary; top: Demand[] } => ({
      summary: log.summary(),
      top: log.top(limit),
    }),
    topSearches: (_: SetupRef, limit: number): { search: string; searches: number }[] =>
      log.top(limit).map(({ search, searches }) => ({ search, searches })),
  };
}
