import { workerData } from 'node:worker_threads';
import { openDataFolder } from '../dataFolder.ts';
import { openDatabase } from '../store/database.ts';
import { openLocalSearch, type SearchTask } from './localSearch.ts';

export type WorkerTask =
  | { readonly kind: 'answer'; readonly task: SearchTask }
  | { readonly kind: 'why'; readonly task: SearchTask; readonly product: string };

const folder = openDataFolder((workerData as { root: string }).root);
const local = openLocalSearch(folder, openDatabase(folder.database, { readOnly: true }));

export default (work: WorkerTask): unknown =>
  work.kind === 'answer' ? local.answer(work.task) : local.why(work.task, work.product);
