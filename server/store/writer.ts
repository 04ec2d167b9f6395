import { Piscina } from 'piscina';
import type { DataFolder } from '../dataFolder.ts';
import { Refused } from '../refused.ts';
import { storageRefusal } from '../storageProblem.ts';
import { answerIn, outcomeOf, type ThreadOutcome } from '../threadOutcome.ts';
import { type Writer, type Writes, writeNames } from './writes.ts';

/** One write with what it is called with. */
export type WriteTask = {
  [Name in keyof Writes]: { readonly call: Name; readonly given: Parameters<Writes[Name]> };
}[keyof Writes];

/** Writes waiting for their turn; beyond, they are refused at once instead of piling up. */
const mostWaiting = 2000;

function writerBy(run: (task: WriteTask) => Promise<unknown>, close: () => Promise<void>): Writer {
  const calls = writeNames.map((call) => [call, (...given: never) => run({ call, given } as unknown as WriteTask)]);
  return { ...Object.fromEntries(calls), close } as Writer;
}

const callOn = (writes: Writes, { call, given }: WriteTask): unknown =>
  (writes[call] as (...given: unknown[]) => unknown)(...given);

/** What the writing thread does with one task. */
export const performWrite = (writes: Writes, folder: DataFolder, task: WriteTask): Promise<ThreadOutcome> =>
  outcomeOf(
    () => callOn(writes, task),
    (error) => storageRefusal(error, folder.database),
  );

/** Writes in a thread of their own, one after the other; a long import lets others in between its pieces. */
export function threadedWriter(folder: DataFolder, worker: URL): Writer {
  const pool = new Piscina<WriteTask, ThreadOutcome>({
    filename: worker.href,
    workerData: { root: folder.root },
    minThreads: 1,
    maxThreads: 1,
    concurrentTasksPerWorker: 64,
    maxQueue: mostWaiting,
  });
  return writerBy(
    async (task) => {
      if (pool.queueSize >= mostWaiting)
        throw new Refused(503, {
          code: 'too-busy',
          message: 'Too much is being saved at once. Try again in a moment.',
        });
      return answerIn(await pool.run(task));
    },
    () => pool.close(),
  );
}

/** Writes in this thread: for the terminal and for tests. */
export function directWriter(writes: Writes, folder: DataFolder): Writer {
  return writerBy(
    async (task) => answerIn(await performWrite(writes, folder, task)),
    async () => {},
  );
}
