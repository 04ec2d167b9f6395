import { rm } from 'node:fs/promises';
import { Worker } from 'node:worker_threads';
import type { ImportJob } from '../../api/catalogEndpoints.ts';
import type { FileForm } from '../../core/catalog/fileForm.ts';
import { type ImportEvent, isWorkingPhase, nextPhase } from '../../core/catalog/importPhases.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import type { ShopTerms } from '../../core/catalog/shopTerms.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { Writer } from '../store/writes.ts';
import type { CatalogStore } from './catalogStore.ts';
import type { Beginning, PutInForce } from './catalogWrites.ts';
import type { ExaminedFile } from './examineFile.ts';
import type { ImportedCatalog, ImportPhase, ImportRows, LentRows } from './importCatalog.ts';
import type { ImportMessage, ImportOrder } from './importWorker.ts';
import type { MappingStore } from './mappingStore.ts';
import { forRows } from './threadedRows.ts';

/** What is known of the file of the job, with the mapping kept from an earlier file of its shape. */
export interface ExaminedJob extends ExaminedFile {
  readonly file: string;
  readonly known: Mapping | null;
}

/**
 * Imports into one storefront, one at a time, each in a thread of its own while the old catalog serves: a file is received and looked at,
 * read by a mapping into a new catalog that nobody sees yet, and put in force or dropped. `core/catalog/importPhases.ts`
 * says what may follow what; a method that is not taken in the present phase answers null and changes nothing.
 */
export interface ImportJobs {
  /** The job under way or the last one ended, or null. */
  last(): ImportJob | null;
  /** Whether a file may not be received now: another one is being received, looked at, read or put in force. */
  isBusy(): boolean;
  /** A file begins to come in; `name` is what the user calls it. */
  receive(name: string): ImportJob | null;
  /** It has come in whole, and is looked at. */
  received(path: string, form?: FileForm): ImportJob | null;
  /** It has not come in whole. */
  notReceived(error: string): void;
  examined(): ExaminedJob | null;
  /** Looks at the file again, written as the user says. */
  lookAgain(form: FileForm): ImportJob | null;
  /** Reads the file by a mapping; it is then ready to be put in force. */
  read(mapping: Mapping, mode: 'replace' | 'update'): Promise<ImportJob | null>;
  /** Reads the rows in force again by other mappings. */
  readAgain(mappings: Readonly<Record<number, Mapping>>, what: string): Promise<ImportJob | null>;
  /** Reads the rows another storefront's catalog was read from, by this one's own mappings; it is then ready. `corrections` are the lender's. */
  borrow(
    lent: Omit<LentRows, 'kind'>,
    what: string,
    corrections: Readonly<Record<string, string>>,
  ): Promise<ImportJob | null>;
  /** Puts what was read in force. */
  commit(): Promise<ImportJob | null>;
  /** Puts a catalog of before in force again, as a new generation. */
  putBack(generation: number): Promise<ImportJob | null>;
  /** Builds the damaged index of the generation in force anew from its rows. */
  rebuild(what: string): Promise<void>;
  /** Stops, or gives up what is ready; the catalog stays as it was. Resolves when nothing writes any more. */
  cancel(): Promise<void>;
  /** What was read and is ready, or null. */
  ready(): ImportedCatalog | null;
  /** Resolves when nothing is under way: the file is looked at, read, or the job has ended. */
  settled(): Promise<ImportJob | null>;
  /** Removes what earlier imports left behind. */
  tidy(): Promise<void>;
}

/** How far each phase of reading begins and how much of the whole it is, as measured on the demo store and 100,000 rows. */
const parts: Readonly<Record<ImportPhase, readonly [number, number]>> = {
  reading: [0, 0.78],
  sorting: [0.78, 0.02],
  comparing: [0.8, 0.04],
  profiling: [0.84, 0.04],
  indexing: [0.88, 0.12],
};

export interface ImportJobOptions {
  readonly storefront: string;
  readonly folder: DataFolder;
  readonly worker: URL;
  readonly catalogs: CatalogStore;
  readonly mappings: MappingStore;
  readonly writer: Pick<Writer, 'reserveGeneration' | 'putInForce' | 'putBack' | 'keepMapping'>;
  readonly now: () => number;
  /**
   * Makes everybody who reads ready for a generation, then lets `putInForce` happen, then hands over. Whatever fails
   * leaves the former generation in force and being read.
   */
  readonly handOver: (generation: number, putInForce: () => Promise<void>) => Promise<void>;
  /** Generations somebody still reads. */
  readonly used: () => ReadonlySet<number>;
  /** What the storefront's own texts and amounts are in. */
  readonly terms: () => ShopTerms;
  /** What a shop that has no catalog yet is called and begins with; nothing in particular where it is not said. */
  readonly beginning?: () => Beginning;
  /** Whether the received file is removed when the job is over. */
  readonly removeFile: (path: string) => boolean;
}

export function openImportJobs(options: ImportJobOptions): ImportJobs {
  const { storefront, catalogs, mappings, writer, now } = options;
  let job: ImportJob | null = null;
  let path = '';
  let examined: ExaminedFile | null = null;
  let imported: ImportedCatalog | null = null;
  let mapping: Mapping | null = null;
  let worker: Worker | null = null;
  let ended: Promise<void> = Promise.resolve();
  /** The generation being written or waiting to be put in force. */
  let writing: number | null = null;
  let startedAt = 0;
  let numbers = 0;

  const set = (change: Partial<ImportJob>): ImportJob => {
    job = { ...job!, ...change };
    return job;
  };
  /** Takes an event where the phase allows it; answers whether it did. */
  const advance = (event: ImportEvent, change: Partial<ImportJob> = {}): boolean => {
    const phase = nextPhase(job?.phase ?? null, event);
    if (phase === null) return false;
    set({ ...change, phase });
    return true;
  };
  const tidy = (): Promise<void> =>
    catalogs.tidy(writing === null ? options.used() : new Set([...options.used(), writing]));
  const remove = async (file: string): Promise<void> => {
    if (file && options.removeFile(file)) await rm(file, { force: true });
  };
  /** Knows nothing of the job's files any more at once, and removes them after that. */
  const forget = async (): Promise<void> => {
    const received = path;
    path = '';
    examined = null;
    imported = null;
    mapping = null;
    writing = null;
    // What cannot be removed now is looked for again and again.
    await Promise.allSettled([remove(received), tidy()]);
  };
  const begin = (event: 'receive' | 'readAgain', file: string): boolean => {
    if (nextPhase(job?.phase ?? null, event) === null) return false;
    void forget();
    job = {
      ...{ id: ++numbers, file, phase: nextPhase(null, event)!, mode: 'replace', rows: 0, rejected: 0, records: 0 },
      ...{ families: 0, share: 0, rowsPerSecond: 0, secondsLeft: null, differences: null, error: null },
    };
    return true;
  };
  const fail = (error: string): void => {
    if (advance('fail', { error })) void forget();
  };
  const noteProgress = (message: Extract<ImportMessage, { progress: unknown }>): void => {
    const { phase, rows, rejected, share } = message.progress;
    const [from, size] = parts[phase];
    const done = from + size * share;
    const seconds = (now() - startedAt) / 1000;
    const known = phase === 'reading' && seconds > 0.2;
    if (phase !== 'reading') advance(phase);
    set({
      ...{ rows, rejected, share: done },
      rowsPerSecond: known ? Math.round((rows + rejected) / seconds) : job!.rowsPerSecond,
      secondsLeft: done > 0.05 && seconds > 1 ? Math.ceil((seconds * (1 - done)) / done) : null,
    });
  };
  const noteImported = (result: ImportedCatalog): void => {
    const { records, rejected, differences, families } = result;
    imported = result;
    const listed = { ...differences, attributes: [...differences.attributes] };
    advance('imported', { records, families, rejected, differences: listed, share: 1, secondsLeft: null });
  };
  /** Runs an order in a thread; its messages count only while the job is this one and has not been stopped. */
  const run = (order: ImportOrder): void => {
    // The first file of a storefront is waited for by its shoppers; what it only shares comes after others all the same.
    const comesFirst = catalogs.generation() === 0 && !(order.kind === 'read' && order.options.rows.kind === 'lent');
    const running = new Worker(options.worker, { workerData: { ...order, comesFirst }, resourceLimits: forRows });
    const id = job!.id;
    worker = running;
    startedAt = now();
    const isMine = (): boolean => job?.id === id && worker === running && job.phase !== 'stopping';
    ended = new Promise((resolve) => {
      running.on('message', (message: ImportMessage) => {
        if (!isMine()) return;
        if ('progress' in message) noteProgress(message);
        else if ('examined' in message) {
          examined = message.examined;
          advance('examined', { share: 0 });
        } else if ('imported' in message) noteImported(message.imported);
        else if ('rebuilt' in message) advance('imported', { share: 1, secondsLeft: null });
        else fail(message.failed);
      });
      running.on('error', (error) => isMine() && fail(`The import broke off: ${error.message}`));
      running.on('exit', () => {
        if (isMine() && isWorkingPhase(job!.phase) && job!.phase !== 'committing') fail('The import ended early.');
        if (worker === running) worker = null;
        resolve();
      });
    });
  };
  const read = async (
    rows: ImportRows,
    mode: 'replace' | 'update',
    lendersCorrections: Readonly<Record<string, string>> = {},
  ): Promise<ImportJob> => {
    const id = job!.id;
    // The thread that looked at the file is done; its end, which may come later, is not the end of the reading.
    worker = null;
    const generation = await writer.reserveGeneration(storefront);
    // Cancelled, or another one begun, while the number was asked for.
    if (job!.id !== id || job!.phase !== 'reading') return job!;
    writing = generation;
    const base = catalogs.comparable();
    const { folder } = options;
    const corrections = { ...lendersCorrections, ...mappings.corrections() };
    // What is read again is still what was lent.
    const lent = rows.kind === 'again' ? (catalogs.info()?.lent ?? 0) : 0;
    run({
      kind: 'read',
      options: { folder, generation, base, mode: base === 0 ? 'replace' : mode, rows, corrections, lent },
    });
    return job!;
  };
  /** Hands over to a generation; where that is refused, the job is as it was before. */
  const commit = async (ready: PutInForce, file: string): Promise<ImportJob> => {
    try {
      await options.handOver(ready.generation, () =>
        writer.putInForce(storefront, ready, file, now(), options.beginning?.()),
      );
    } catch (error) {
      advance('notCommitted');
      throw error;
    }
    if (mapping) await writer.keepMapping(storefront, mapping, now());
    advance('committed');
    void forget();
    return job!;
  };

  return {
    last: () => job,
    isBusy: () => isWorkingPhase(job?.phase ?? null),
    ready: () => (job?.phase === 'ready' ? imported : null),
    tidy,
    receive: (name) => (begin('receive', name) ? job : null),
    received(received, form) {
      if (!advance('received')) {
        // Cancelled while it came in.
        void remove(received).catch(() => {});
        return null;
      }
      path = received;
      run({ kind: 'examine', path, form: form ?? null, terms: options.terms() });
      return job;
    },
    notReceived: fail,
    examined: () =>
      examined && job
        ? { ...examined, file: job.file, known: mappings.known(examined.columns.map(({ column }) => column)) }
        : null,
    lookAgain(form) {
      if (!path || !advance('lookAgain')) return null;
      run({ kind: 'examine', path, form, terms: options.terms() });
      return job;
    },
    async read(given, mode) {
      if (!path || !examined) return null;
      const { form } = examined;
      if (!advance('read', { mode, rows: 0, rejected: 0, share: 0, differences: null })) return null;
      mapping = given;
      imported = null;
      return read({ kind: 'file', path, name: job!.file, form, mapping }, mode);
    },
    async readAgain(given, what) {
      return begin('readAgain', what) ? read({ kind: 'again', mappings: given }, 'replace') : null;
    },
    async borrow(lent, what, corrections) {
      return begin('readAgain', what) ? read({ kind: 'lent', ...lent }, 'replace', corrections) : null;
    },
    async commit() {
      const ready = imported;
      return ready && advance('commit') ? commit(ready, job!.file) : null;
    },
    async putBack(generation) {
      if (!begin('readAgain', '')) return null;
      try {
        // Known as being written before there is any file of it, so that nobody tidies it away meanwhile.
        writing = await writer.reserveGeneration(storefront);
        const { file, ...ready } = await writer.putBack(storefront, generation, writing);
        advance('imported', { file, records: ready.records, families: ready.families, rejected: ready.rejected });
        advance('commit');
        return await commit(ready, file);
      } catch (error) {
        // What was copied is of no use to anybody.
        job = { ...job!, phase: 'failed', error: (error as Error).message };
        void forget();
        throw error;
      }
    },
    async rebuild(what) {
      if (!begin('readAgain', what)) return;
      const generation = catalogs.generation();
      run({ kind: 'rebuild', folder: options.folder, generation });
      await ended;
      if (!advance('commit')) return;
      await options.handOver(generation, async () => {});
      advance('committed');
      void forget();
    },
    async cancel() {
      if (!advance('cancel')) return;
      await worker?.terminate();
      await ended;
      advance('stopped');
      await forget();
    },
    async settled() {
      await ended;
      return job;
    },
  };
}

/** Brings a file in without asking: by the mapping kept for its shape, or else by the one proposed. */
export async function bringIn(jobs: ImportJobs, path: string, name: string): Promise<ImportJob | null> {
  jobs.receive(name);
  jobs.received(path);
  await jobs.settled();
  const examined = jobs.examined();
  if (!examined) return jobs.last();
  await jobs.read(examined.known ?? examined.mapping, 'replace');
  await jobs.settled();
  return (await jobs.commit()) ?? jobs.last();
}
