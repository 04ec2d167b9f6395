import { on } from 'node:events';
import { Worker } from 'node:worker_threads';
import type { FileToRead, ReadBatch } from './readRows.ts';
import { FileProblem } from './sources/source.ts';

/** Imports come after shoppers: how far, as the operating system counts. */
export const importNice = 10;
/** What the thread says: rows, that there are no more, or why it cannot go on. */
export type RowMessage =
  | { readonly batch: ReadBatch }
  | { readonly ended: true }
  | { readonly problem: { readonly code: string; readonly message: string } };

/** Batches that may be read before one is taken. */
export const batchesAhead = 6;

/** Much room for what is soon forgotten, as rows are: looking for them often costs more than the room. */
export const forRows = { maxYoungGenerationSizeMb: 64 };

/** What a thread is started with: the file, and how far it comes after others. */
export interface RowWork {
  readonly file: FileToRead;
  readonly nice: number;
}

/** A thread that reads a file. */
export const rowThread = (worker: URL, file: FileToRead, nice = importNice): Worker =>
  new Worker(worker, { workerData: { file, nice } satisfies RowWork, resourceLimits: forRows });

/**
 * A file's rows as `readFileRows` gives them, read by a thread of their own, so that reading goes on while what was read
 * is stored and indexed. Ends the thread when it is left early.
 */
export async function* threadedRows(thread: Worker): AsyncGenerator<ReadBatch> {
  const ending = new AbortController();
  thread.once('exit', () => ending.abort(new Error('The thread that reads the file has ended.')));
  try {
    // An error of the thread is thrown here.
    for await (const [message] of on(thread, 'message', { signal: ending.signal }) as AsyncIterable<[RowMessage]>) {
      if ('ended' in message) return;
      if ('problem' in message) throw new FileProblem(message.problem.code, message.problem.message);
      yield message.batch;
      thread.postMessage('taken');
    }
  } finally {
    await thread.terminate();
  }
}

const built = new URL('rowWorker.js', import.meta.url);
/** Reads a file in a thread, where the server and the terminal run as they are built. */
export async function* readInThread(file: FileToRead, nice = importNice): AsyncGenerator<ReadBatch> {
  yield* threadedRows(rowThread(built, file, nice));
}
