import { Piscina } from 'piscina';
import type { DataFolder } from '../dataFolder.ts';
import type { LocalSearch } from './localSearch.ts';
import type { WorkerTask } from './searchWorker.ts';

/** Answers searches, in other threads or in this one: the local search's methods, each answered later. */
export type Searcher = {
  [Name in keyof LocalSearch]: (...given: Parameters<LocalSearch[Name]>) => Promise<ReturnType<LocalSearch[Name]>>;
} & { close(): Promise<void> };

const methods = [
  'answer',
  'why',
  'rows',
  'productIds',
  'places',
  'effects',
  'firstPages',
  'filtersOf',
  'filterProposals',
  'valuesOf',
] as const satisfies readonly (keyof LocalSearch)[];

function searcherBy(run: (task: WorkerTask) => Promise<unknown>, close: () => Promise<void>): Searcher {
  const calls = methods.map((call) => [call, (...given: never) => run({ call, given } as WorkerTask)]);
  return { ...Object.fromEntries(calls), close } as Searcher;
}

/** Searches in worker threads, so that the server's own thread is never busy with one. */
export function pooledSearcher(folder: DataFolder, worker: URL, threads: number): Searcher {
  const pool = new Piscina<WorkerTask, unknown>({
    filename: worker.href,
    workerData: { root: folder.root },
    minThreads: threads,
    maxThreads: threads,
    maxQueue: 10_000,
  });
  return searcherBy(
    (task) => pool.run(task),
    () => pool.destroy(),
  );
}

/** Searches in this thread: for the terminal and for tests. */
export function directSearcher(local: LocalSearch): Searcher {
  return searcherBy(
    async ({ call, given }) => (local[call] as (...given: unknown[]) => unknown)(...given),
    async () => {},
  );
}
