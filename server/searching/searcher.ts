import { Piscina } from 'piscina';
import type { Result, SearchAnswer } from '../../core/answer.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { LocalSearch, SearchTask } from './localSearch.ts';
import type { WorkerTask } from './searchWorker.ts';

/** Answers searches, in other threads or in this one. */
export interface Searcher {
  answer(task: SearchTask): Promise<SearchAnswer>;
  why(task: SearchTask, product: string): Promise<{ result: Result | null; total: number }>;
  close(): Promise<void>;
}

/** Searches in worker threads, so that the server's own thread is never busy with one. */
export function pooledSearcher(folder: DataFolder, worker: URL, threads: number): Searcher {
  const pool = new Piscina<WorkerTask, never>({
    filename: worker.href,
    workerData: { root: folder.root },
    minThreads: threads,
    maxThreads: threads,
    maxQueue: 10_000,
  });
  return {
    answer: (task) => pool.run({ kind: 'answer', task }),
    why: (task, product) => pool.run({ kind: 'why', task, product }),
    close: () => pool.destroy(),
  };
}

/** Searches in this thread: for the terminal and for tests. */
export function directSearcher(local: LocalSearch): Searcher {
  return {
    answer: async (task) => local.answer(task),
    why: async (task, product) => local.why(task, product),
    close: async () => {},
  };
}
