import { parentPort, workerData } from 'node:worker_threads';
import type { FileForm } from '../../core/catalog/fileForm.ts';
import type { ShopTerms } from '../../core/catalog/shopTerms.ts';
import { type DataFolder, dataFolder } from '../dataFolder.ts';
import { storageRefusal } from '../storageProblem.ts';
import { comeAfterOthers } from '../threadPriority.ts';
import { type ExaminedFile, examineFile } from './examineFile.ts';
import { type ImportedCatalog, type ImportOptions, type ImportProgress, importCatalog } from './importCatalog.ts';
import { rebuildIndex } from './mendCatalog.ts';
import { FileProblem } from './sources/source.ts';
import { importNice, readInThread } from './threadedRows.ts';

export type ImportOrder = {
  /** Whether nobody comes before it: a storefront has no catalog until this is done. */
  readonly comesFirst?: boolean;
} & (
  | { readonly kind: 'examine'; readonly path: string; readonly form: FileForm | null; readonly terms: ShopTerms }
  | { readonly kind: 'read'; readonly options: ImportOptions }
  | { readonly kind: 'rebuild'; readonly folder: DataFolder; readonly generation: number }
);
export type ImportMessage =
  | { readonly progress: ImportProgress }
  | { readonly examined: ExaminedFile }
  | { readonly imported: ImportedCatalog }
  | { readonly rebuilt: number }
  | { readonly failed: string };

const order = workerData as ImportOrder;
const nice = order.kind === 'rebuild' || order.comesFirst ? 0 : importNice;
comeAfterOthers(nice);
const say = (message: ImportMessage): void => parentPort!.postMessage(message);

async function work(): Promise<ImportMessage> {
  switch (order.kind) {
    case 'examine':
      return { examined: await examineFile(order.path, order.form ?? undefined, order.terms) };
    case 'read':
      return {
        imported: await importCatalog(
          order.options,
          (progress) => say({ progress }),
          (file) => readInThread(file, nice),
        ),
      };
    case 'rebuild':
      rebuildIndex(order.folder, order.generation, (phase, share) =>
        say({ progress: { phase, rows: 0, rejected: 0, share } }),
      );
      return { rebuilt: order.generation };
  }
}

/** Where a read failed for want of room, the person wants to know which disk is full. */
function messageOf(error: unknown): string {
  if (error instanceof FileProblem) return error.message;
  const database = order.kind === 'read' ? dataFolder(order.options.folder.root).catalogs : 'The file';
  return storageRefusal(error, database)?.message ?? `The import broke off: ${String(error)}`;
}

try {
  say(await work());
} catch (error) {
  say({ failed: messageOf(error) });
}
