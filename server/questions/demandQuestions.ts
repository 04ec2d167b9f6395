import type { Demand } from '../../core/demand/logEntry.ts';
import type { LogSummary } from '../demand/logStore.ts';
import type { Workbench } from '../searching/workbench.ts';

/** What shoppers searched for, counted. */
export function demandQuestions({ log }: Workbench) {
  return {
    demand: (limit: number): { summary: LogSummary; top: Demand[] } => ({
      summary: log.summary(),
      top: log.top(limit),
    }),
    topSearches: (limit: number): { search: string; searches: number }[] =>
      log.top(limit).map(({ search, searches }) => ({ search, searches })),
  };
}
