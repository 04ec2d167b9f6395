import type { Demand } from '../../core/demand/logEntry.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { LogStore, LogSummary } from '../demand/logStore.ts';
import type { Workbench } from '../searching/workbench.ts';

/** What shoppers searched for, counted. */
export function demandQuestions({ log }: Workbench) {
  return {
    demand: (
      _: SetupRef,
      limit: number,
    ): { summary: LogSummary; top: Demand[]; chosen: ReturnType<LogStore['chosen']> } => ({
      summary: log.summary(),
      top: log.top(limit),
      chosen: log.chosen(),
    }),
    topSearches: (_: SetupRef, limit: number): { search: string; searches: number }[] =>
      log.top(limit).map(({ search, searches }) => ({ search, searches })),
  };
}
