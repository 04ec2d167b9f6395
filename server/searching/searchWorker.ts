import { workerData } from 'node:worker_threads';
import { openDataFolder } from '../dataFolder.ts';
import { openDatabase } from '../store/database.ts';
import { type LocalSearch, openLocalSearch } from './localSearch.ts';

/** A method of the local search with what it is called with. */
export type WorkerTask = {
  [Name in keyof LocalSearch]: { readonly call: Name; readonly given: Parameters<LocalSearch[Name]> };
}[keyof LocalSearch];

const folder = openDataFolder((workerData as { root: string }).root);
const local = openLocalSearch(folder, openDatabase(folder.database, { readOnly: true }), Date.now);

export default ({ call, given }: WorkerTask): unknown => (local[call] as (...given: unknown[]) => unknown)(...given);
