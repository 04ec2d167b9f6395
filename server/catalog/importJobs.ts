import { rmSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import type { ImportJob } from '../../api/catalogEndpoints.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import type { Shop } from '../../core/setup/shop.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { SetupStore } from '../store/setupStore.ts';
import type { CatalogStore } from './catalogStore.ts';
import type { ExaminedFile } from './examineFile.ts';
import type { ImportedCatalog, ImportPhase, ImportRows } from './importCatalog.ts';
import type { ImportMessage, ImportOrder } from './importWorker.ts';
import type { MappingStore } from './mappingStore.ts';
import type { FileForm } from './sources/source.ts';

/** What is known of the file of the job, with the mapping kept from an earlier file of its shape. */
export interface ExaminedJob extends ExaminedFile {
  readonly file: string;
  readonly known: Mapping | null;
}

/**
 * Imports, one at a time, each in a thread of its own while the old catalog serves: a file is received and looked at,
 * read by a mapping into a new catalog that nobody sees yet, and put in force or given up.
 */
export interface ImportJobs {
  /** The job under way or the last one ended, or null. */
  last(): ImportJob | null;
  /** Whether a file may not be received now: one is being looked at or read. */
  isBusy(): boolean;
  /** Takes a file that has been received whole and looks at it; `name` is what the user calls it. */
  receive(path: string, name: string, form?: FileForm): ImportJob;
  examined(): ExaminedJob | null;
  /** Looks at the file again, written as the user says. */
  lookAgain(form: FileForm): ImportJob | null;
  /** Reads the file by a mapping; it is then ready to be put in force. Null where there is no file. */
  read(mapping: Mapping, mode: 'replace' | 'update'): ImportJob | null;
  /** Reads the rows in force again by other mappings. */
  readAgain(mappings: Readonly<Record<number, Mapping>>, what: string): ImportJob;
  /** Puts what was read in force. Null where nothing is ready. */
  commit(): ImportJob | null;
  /** Stops, or gives up what is ready; the catalog stays as it was. */
  cancel(): void;
  /** What was read and is ready, or null. */
  ready(): ImportedCatalog | null;
  /** Resolves when nothing is under way: the file is looked at, read, or the job has ended. */
  settled(): Promise<ImportJob | null>;
}

const working: ReadonlySet<string> = new Set(['examining', 'reading', 'sorting', 'comparing', 'profiling', 'indexing']);

/** How far each phase of reading begins and how much of the whole it is, as measured on the demo store and 100,000 rows. */
const parts: Readonly<Record<ImportPhase, readonly [number, number]>> = {
  reading: [0, 0.42],
  sorting: [0.42, 0.06],
  comparing: [0.48, 0.06],
  profiling: [0.54, 0.12],
  indexing: [0.66, 0.34],
};

export function openImportJobs(options: {
  readonly folder: DataFolder;
  readonly worker: URL;
  readonly catalogs: CatalogStore;
  readonly mappings: MappingStore;
  readonly setups: SetupStore;
  readonly now: () => number;
  /** What a shop is called that has no catalog yet; nothing in particular where it is not said. */
  readonly firstShop?: Shop;
  /** Whether the received file is removed when the job is over. */
  readonly removeFile: (path: string) => boolean;
}): ImportJobs {
  const { catalogs, mappings, now } = options;
  let job: ImportJob | null = null;
  let path = '';
  let examined: ExaminedFile | null = null;
  let imported: ImportedCatalog | null = null;
  let mapping: Mapping | null = null;
  let worker: Worker | null = null;
  let ended: Promise<void> = Promise.resolve();
  let startedAt = 0;
  let numbers = 0;

  const isWorking = (): boolean => job !== null && working.has(job.phase);
  const set = (change: Partial<ImportJob>): ImportJob => {
    job = { ...job!, ...change };
    return job;
  };
  const forget = (): void => {
    if (path && options.removeFile(path)) rmSync(path, { force: true });
    path = '';
    examined = null;
    imported = null;
    mapping = null;
    catalogs.tidy();
  };
  const run = (order: ImportOrder): void => {
    const running = new Worker(options.worker, { workerData: order });
    const id = job!.id;
    worker = running;
    startedAt = now();
    const isMine = (): boolean => job?.id === id && worker === running && isWorking();
    ended = new Promise((resolve) => {
      const fail = (error: string): void => {
        if (!isMine()) return;
        set({ phase: 'failed', error });
        forget();
      };
      running.on('message', (message: ImportMessage) => {
        if (!isMine()) return;
        if ('progress' in message) {
          const { phase, rows, rejected, share } = message.progress;
          const [from, size] = parts[phase];
          const done = from + size * share;
          const seconds = (now() - startedAt) / 1000;
          set({
            phase,
            rows,
            rejected,
            share: done,
            rowsPerSecond:
              phase === 'reading' && seconds > 0.2 ? Math.round((rows + rejected) / seconds) : job!.rowsPerSecond,
            secondsLeft: done > 0.05 && seconds > 1 ? Math.ceil((seconds * (1 - done)) / done) : null,
          });
        } else if ('examined' in message) {
          examined = message.examined;
          set({ phase: 'mapping', share: 0 });
        } else if ('imported' in message) {
          imported = message.imported;
          const { records, rejected, differences, families } = message.imported;
          set({
            phase: 'ready',
            records,
            families,
            rejected,
            differences: { ...differences, attributes: [...differences.attributes] },
            share: 1,
            secondsLeft: null,
          });
        } else fail(message.failed);
      });
      running.on('error', (error) => fail(`The import broke off: ${error.message}`));
      running.on('exit', () => {
        fail('The import ended early.');
        resolve();
      });
    });
  };
  const begin = (file: string, phase: ImportJob['phase'], mode: ImportJob['mode']): ImportJob => {
    job = {
      id: ++numbers,
      file,
      phase,
      mode,
      rows: 0,
      rejected: 0,
      records: 0,
      families: 0,
      share: 0,
      rowsPerSecond: 0,
      secondsLeft: null,
      differences: null,
      error: null,
    };
    return job;
  };
  const read = (rows: ImportRows, mode: 'replace' | 'update'): ImportJob => {
    const { folder } = options;
    const base = catalogs.comparable();
    run({
      kind: 'read',
      options: {
        folder,
        generation: catalogs.nextGeneration(),
        base,
        mode: base === 0 ? 'replace' : mode,
        rows,
        corrections: mappings.corrections(),
      },
    });
    return job!;
  };

  return {
    last: () => job,
    isBusy: isWorking,
    ready: () => imported,
    receive(received, name, form) {
      forget();
      path = received;
      begin(name, 'examining', 'replace');
      run({ kind: 'examine', path, form: form ?? null });
      return job!;
    },
    examined: () =>
      examined && job
        ? { ...examined, file: job.file, known: mappings.known(examined.columns.map(({ column }) => column)) }
        : null,
    lookAgain(form) {
      if (!path || isWorking()) return null;
      set({ phase: 'examining' });
      run({ kind: 'examine', path, form });
      return job;
    },
    read(given, mode) {
      if (!path || !examined || isWorking()) return null;
      mapping = given;
      imported = null;
      set({ phase: 'reading', mode, rows: 0, rejected: 0, share: 0, differences: null });
      return read({ kind: 'file', path, name: job!.file, form: examined.form, mapping }, mode);
    },
    readAgain(given, what) {
      forget();
      begin(what, 'reading', 'replace');
      return read({ kind: 'again', mappings: given }, 'replace');
    },
    commit() {
      if (!imported || job?.phase !== 'ready') return null;
      catalogs.putInForce(imported, job.file, now(), options.setups, options.firstShop);
      if (mapping) mappings.keep(mapping, now());
      set({ phase: 'done' });
      forget();
      return job;
    },
    cancel() {
      if (!job || (!isWorking() && job.phase !== 'mapping' && job.phase !== 'ready')) return;
      set({ phase: 'cancelled' });
      const stopping = worker;
      void (stopping ? stopping.terminate() : Promise.resolve()).then(() => {
        if (job?.phase === 'cancelled') forget();
      });
    },
    async settled() {
      await ended;
      return job;
    },
  };
}

/** Brings a file in without asking: by the mapping kept for its shape, or else by the one proposed. */
export async function bringIn(jobs: ImportJobs, path: string, name: string): Promise<ImportJob | null> {
  jobs.receive(path, name);
  await jobs.settled();
  const examined = jobs.examined();
  if (!examined) return jobs.last();
  jobs.read(examined.known ?? examined.mapping, 'replace');
  await jobs.settled();
  return jobs.commit() ?? jobs.last();
}
