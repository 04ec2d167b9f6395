import { rmSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import type { ImportJob } from '../../api/endpoints.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { SetupStore } from '../store/setupStore.ts';
import type { CatalogStore } from './catalogStore.ts';
import type { ImportMessage, ImportOrder } from './importWorker.ts';

/** Imports under way, one at a time, each in a thread of its own while the old catalog serves. */
export interface ImportJobs {
  /** The job under way or the last one ended, or null. */
  last(): ImportJob | null;
  isBusy(): boolean;
  /** Starts reading a file that has been received whole; `name` is what the user calls it. */
  start(path: string, name: string): ImportJob;
  cancel(): void;
  /** Resolves when the job under way has ended, however it ended. */
  settled(): Promise<ImportJob | null>;
}

const isOver = (job: ImportJob | null): boolean =>
  job === null || job.phase === 'done' || job.phase === 'failed' || job.phase === 'cancelled';

export function openImportJobs(options: {
  readonly folder: DataFolder;
  readonly worker: URL;
  readonly catalogs: CatalogStore;
  readonly setups: SetupStore;
  readonly now: () => number;
  /** Whether the received file is removed when the job is over. */
  readonly removeFile: (path: string) => boolean;
}): ImportJobs {
  let job: ImportJob | null = null;
  let worker: Worker | null = null;
  let ended: Promise<void> = Promise.resolve();
  let numbers = 0;
  return {
    last: () => job,
    isBusy: () => !isOver(job),
    start(path, name) {
      const order: ImportOrder = {
        root: options.folder.root,
        file: path,
        generation: options.catalogs.nextGeneration(),
      };
      job = { id: ++numbers, file: name, phase: 'reading', rows: 0, rejected: 0, share: 0, error: null };
      const running = new Worker(options.worker, { workerData: order });
      worker = running;
      ended = new Promise((resolve) => {
        const fail = (error: string): void => {
          if (!isOver(job)) job = { ...job!, phase: 'failed', error };
        };
        running.on('message', (message: ImportMessage) => {
          if (isOver(job)) return;
          if ('progress' in message) job = { ...job!, ...message.progress };
          else if ('failed' in message) fail(message.failed);
          else {
            options.catalogs.putInForce(message.imported, name, options.now(), options.setups);
            job = {
              ...job!,
              phase: 'done',
              rows: message.imported.records,
              rejected: message.imported.rejected,
              share: 1,
            };
          }
        });
        running.on('error', (error) => fail(`The import broke off: ${error.message}`));
        running.on('exit', () => {
          fail('The import ended early.');
          if (options.removeFile(path)) rmSync(path, { force: true });
          options.catalogs.tidy();
          resolve();
        });
      });
      return job;
    },
    cancel() {
      if (isOver(job)) return;
      job = { ...job!, phase: 'cancelled' };
      void worker?.terminate();
    },
    async settled() {
      await ended;
      return job;
    },
  };
}
