import { Piscina } from 'piscina';
import type { DataFolder } from '../dataFolder.ts';
import { Refused } from '../refused.ts';
import { requestSignal } from '../requestSignal.ts';
import { answerIn, type ThreadOutcome } from '../threadOutcome.ts';
import type { Follows } from './workbench.ts';

/**
 * Shoppers' searches, what a merchandiser is looking at, and everything that takes long: each waits in a lane of its own,
 * so that none of the others can make a shopper wait. `nice` is the priority that the operating system gives the threads:
 * where it is busy, shoppers' threads run first. `follows` says when they take over what was changed.
 */
export const laneSettings = {
  shop: { threads: 2, nice: 0, follows: 'when-told', waiting: 1000, seconds: 20 },
  desk: { threads: 2, nice: 4, follows: 'always', waiting: 500, seconds: 60 },
  long: { threads: 1, nice: 10, follows: 'always', waiting: 200, seconds: 900 },
} as const;
export type LaneName = keyof typeof laneSettings;

/** What a thread of a lane is started with. */
export interface LaneWork {
  readonly root: string;
  readonly nice: number;
  readonly follows: Follows;
}

interface Waiting {
  readonly task: unknown;
  readonly signal: AbortSignal | undefined;
  /** Longest time it may compute. */
  readonly seconds: number;
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: unknown) => void;
}

/** Nobody hears it: the client has gone. */
const gone = (): Refused => new Refused(503, { code: 'client-gone', message: 'The request was cancelled.' });
const tooSlowIn = (seconds: number): Refused =>
  new Refused(503, { code: 'too-slow', message: `This took longer than ${seconds} seconds and was stopped.` });

/** Milliseconds that a task runs on after its client has gone: most end by themselves before, and keep their thread. */
const runsOnWithoutClient = 1000;

/** Longest time that a thread may take to get ready, or to take over what was changed, in seconds. */
const secondsToPrepare = 600;

/** Threads that answer about any storefront; they start with the first question. */
export interface Lane {
  run(task: unknown): Promise<unknown>;
  /** Gives every thread the same task, all at once: before anything else is asked. */
  atOnce(task: unknown): Promise<void>;
  /** Gives every thread the same task, one after the other, so that the others go on answering. */
  inTurn(task: unknown): Promise<void>;
  /** The same for those threads that have started: what is of no use to the others. */
  whereStarted(task: unknown): Promise<void>;
  /** What a thread begun anew is given first, by what it is about; null for nothing any more. */
  beginWith(about: string, task: unknown): void;
  /** Resolves when what was asked is answered and the threads have ended. */
  close(): Promise<void>;
}

/** One thread and what only it can do. */
interface LaneThread {
  pool: Piscina<unknown, ThreadOutcome> | null;
  isBusy: boolean;
  readonly own: Waiting[];
}

export function openLane(name: LaneName, folder: DataFolder, worker: URL): Lane {
  const { threads: count, nice, follows, waiting: most, seconds } = laneSettings[name];
  const threads = Array.from({ length: count }, (): LaneThread => ({ pool: null, isBusy: false, own: [] }));
  const waiting: Waiting[] = [];
  const beginsWith = new Map<string, unknown>();
  let whenIdle: (() => void) | null = null;
  let isClosed = false;
  let closing: Promise<void> | null = null;

  // A pool of one thread each, since a pool of several cannot be told which of them is meant.
  const poolOf = (thread: LaneThread): Piscina<unknown, ThreadOutcome> => {
    thread.pool ??= new Piscina<unknown, ThreadOutcome>({
      filename: worker.href,
      workerData: { root: folder.root, nice, follows } satisfies LaneWork,
      minThreads: 1,
      maxThreads: 1,
    });
    return thread.pool;
  };
  /** Ends the thread where the task takes too long, or where nobody waits for it any more; another takes its place. */
  const perform = async (thread: LaneThread, { task, signal, seconds }: Waiting): Promise<unknown> => {
    const stop = new AbortController();
    const tooSlow = setTimeout(() => stop.abort(tooSlowIn(seconds)), seconds * 1000);
    let unheard: NodeJS.Timeout | undefined;
    const leave = (): void => {
      unheard = setTimeout(() => stop.abort(gone()), runsOnWithoutClient);
    };
    signal?.addEventListener('abort', leave);
    try {
      return answerIn(await poolOf(thread).run(task, { signal: stop.signal }));
    } catch (error) {
      if (!stop.signal.aborted) throw error;
      if (thread.own.length === 0) for (const first of beginsWith.values()) give(thread, first).catch(() => {});
      throw stop.signal.reason;
    } finally {
      clearTimeout(tooSlow);
      clearTimeout(unheard);
      signal?.removeEventListener('abort', leave);
    }
  };
  const begin = (thread: LaneThread, next: Waiting): void => {
    thread.isBusy = true;
    perform(thread, next)
      .finally(() => {
        thread.isBusy = false;
        goOn();
      })
      .then(next.resolve, next.reject);
  };
  const goOn = (): void => {
    for (const thread of threads)
      while (!thread.isBusy) {
        const next = thread.own.shift() ?? waiting.shift();
        if (!next) break;
        if (next.signal?.aborted) next.reject(gone());
        else begin(thread, next);
      }
    if (waiting.length === 0 && threads.every(({ isBusy, own }) => !isBusy && own.length === 0)) whenIdle?.();
  };
  const give = (thread: LaneThread, task: unknown): Promise<unknown> =>
    new Promise((resolve, reject) => {
      if (isClosed) return reject(gone());
      thread.own.push({ task, signal: undefined, seconds: secondsToPrepare, resolve, reject });
      goOn();
    });
  const end = async (): Promise<void> => {
    await new Promise<void>((resolve) => {
      whenIdle = resolve;
      goOn();
    });
    isClosed = true;
    await Promise.all(threads.map(({ pool }) => pool?.destroy()));
  };
  return {
    run(task) {
      if (waiting.length >= most)
        return Promise.reject(
          new Refused(503, { code: 'too-busy', message: 'Too many requests wait already. Try again in a moment.' }),
        );
      return new Promise((resolve, reject) => {
        waiting.push({ task, signal: requestSignal.getStore(), seconds, resolve, reject });
        goOn();
      });
    },
    async atOnce(task) {
      await Promise.all(threads.map((thread) => give(thread, task)));
    },
    async inTurn(task) {
      for (const thread of threads) await give(thread, task);
    },
    async whereStarted(task) {
      for (const thread of threads) if (thread.pool) await give(thread, task);
    },
    beginWith(about, task) {
      if (task === null) beginsWith.delete(about);
      else beginsWith.set(about, task);
    },
    close() {
      closing ??= end();
      return closing;
    },
  };
}
