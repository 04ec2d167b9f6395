import { parentPort, workerData } from 'node:worker_threads';
import { type ExaminedFile, examineFile } from './examineFile.ts';
import { type ImportedCatalog, type ImportOptions, type ImportProgress, importCatalog } from './importCatalog.ts';
import { type FileForm, FileProblem } from './sources/source.ts';

export type ImportOrder =
  | { readonly kind: 'examine'; readonly path: string; readonly form: FileForm | null }
  | { readonly kind: 'read'; readonly options: ImportOptions };
export type ImportMessage =
  | { readonly progress: ImportProgress }
  | { readonly examined: ExaminedFile }
  | { readonly imported: ImportedCatalog }
  | { readonly failed: string };

const order = workerData as ImportOrder;
const say = (message: ImportMessage): void => parentPort!.postMessage(message);
try {
  if (order.kind === 'examine') say({ examined: await examineFile(order.path, order.form ?? undefined) });
  else say({ imported: await importCatalog(order.options, (progress) => say({ progress })) });
} catch (error) {
  say({ failed: error instanceof FileProblem ? error.message : `The import broke off: ${String(error)}` });
}
