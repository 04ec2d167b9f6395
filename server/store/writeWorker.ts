import { workerData } from 'node:worker_threads';
import { dataFolder } from '../dataFolder.ts';
import { openDatabase } from './database.ts';
import { performWrite, type WriteTask } from './writer.ts';
import { openWrites } from './writes.ts';

const folder = dataFolder((workerData as { root: string }).root);
const writes = openWrites(folder, openDatabase(folder.database, { waits: 'server' }));

export default (task: WriteTask) => performWrite(writes, folder, task);
