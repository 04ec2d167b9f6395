import { parentPort, workerData } from 'node:worker_threads';
import { openDataFolder } from '../dataFolder.ts';
import { type ImportedCatalog, type ImportProgress, importCatalog } from './importCatalog.ts';
import { FileProblem } from './readCsv.ts';

export interface ImportOrder {
  readonly root: string;
  readonly file: string;
  readonly generation: number;
}
export type ImportMessage =
  | { readonly progress: ImportProgress }
  | { readonly imported: ImportedCatalog }
  | { readonly failed: string };

const { root, file, generation } = workerData as ImportOrder;
const say = (message: ImportMessage): void => parentPort!.postMessage(message);
try {
  const folder = openDataFolder(root);
  say({ imported: await importCatalog({ file, folder, generation }, (progress) => say({ progress })) });
} catch (error) {
  say({ failed: error instanceof FileProblem ? error.message : `The import broke off: ${String(error)}` });
}
