import { Piscina } from 'piscina';
import type { CatalogReader } from '../catalog/catalogReader.ts';
import type { DataFolder } from '../dataFolder.ts';
import { Refused } from '../refused.ts';
import { requestSignal } from '../requestSignal.ts';
import { answerIn, type ThreadOutcome } from '../threadOutcome.ts';

/**
 * Shoppers' searches, what a merchandiser is looking at, and everything that takes long: each waits in a lane of its own,
 * so that none of the others can make a shopper wait. `nice` is the priority that the operating system gives the threads:
 * where it is busy, shoppers' threads run first.
 */
export const laneSettings = {
  shop: { threads: 2, nice: 0, waiting: 1000, seconds: 20 },
  desk: { threads: 2, nice: 4, waiting: 500, seconds: 60 },
  long: { threads: 1, nice: 10, waiting: 200, seconds: 900 },
} as const;
export type LaneName = keyof typeof laneSettings;

/** What a thread of a lane is started with. */
export interface LaneWork {
  readonly root: string;
  readonly generation: number;
  readonly shared: SharedArrayBuffer;
  readonly nice: number;
}

interface Waiting {
  readonly task: unknown;
  readonly signal: AbortSignal | undefined;
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: unknown) => void;
}

/** Nobody hears it: the client has gone. */
const gone = (): Refused => new Refused(503, { code: 'client-gone', message: 'The request was given up.' });

/** Threads that answer from one generation of the catalog; they start with the first question. */
export interface Lane {
  run(task: unknown): Promise<unknown>;
  /** Gives every thread the same task, one each: only before anything else is asked. */
  runEverywhere(task: unknown): Promise<void>;
  /** Resolves when what was asked is answered and the threads have ended. */
  close(): Promise<void>;
}

export function openLane(name: LaneName, folder: DataFolder, reader: CatalogReader, worker: URL): Lane {
  const { threads, nice, waiting: most, seconds } = laneSettings[name];
  const { generation, buffer: shared } = reader;
  let opened: Piscina<unknown, ThreadOutcome> | null = null;
  const pool = (): Piscina<unknown, ThreadOutcome> => {
    opened ??= new Piscina<unknown, ThreadOutcome>({
      filename: worker.href,
      workerData: { root: folder.root, generation, shared, nice } satisfies LaneWork,
      minThreads: threads,
      maxThreads: threads,
    });
    return opened;
  };
  const waiting: Waiting[] = [];
  let running = 0;
  let whenIdle: (() => void) | null = null;

  const perform = async (task: unknown): Promise<unknown> => {
    // A thread that computes for longer than any question may is ended; another takes its place.
    const limit = AbortSignal.timeout(seconds * 1000);
    try {
      return answerIn(await pool().run(task, { signal: limit }));
    } catch (error) {
      if (!limit.aborted) throw error;
      throw new Refused(503, {
        code: 'too-slow',
        message: `This took longer than ${seconds} seconds and was stopped.`,
      });
    }
  };
  const next = (): void => {
    while (running < threads && waiting.length > 0) {
      const { task, signal, resolve, reject } = waiting.shift()!;
      if (signal?.aborted) {
        reject(gone());
        continue;
      }
      running++;
      perform(task)
        .then(resolve, reject)
        .finally(() => {
          running--;
          next();
        });
    }
    if (running === 0 && waiting.length === 0) whenIdle?.();
  };
  return {
    run(task) {
      if (waiting.length >= most)
        return Promise.reject(
          new Refused(503, { code: 'too-busy', message: 'Too many requests wait already. Try again in a moment.' }),
        );
      return new Promise((resolve, reject) => {
        waiting.push({ task, signal: requestSignal.getStore(), resolve, reject });
        next();
      });
    },
    async runEverywhere(task) {
      await Promise.all(Array.from({ length: threads }, () => pool().run(task)));
    },
    async close() {
      await new Promise<void>((resolve) => {
        whenIdle = resolve;
        next();
      });
      await opened?.destroy();
    },
  };
}
