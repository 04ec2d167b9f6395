import { once } from 'node:events';
import { parentPort, workerData } from 'node:worker_threads';
import { comeAfterOthers } from '../threadPriority.ts';
import { readFileRows } from './readRows.ts';
import { FileProblem } from './sources/source.ts';
import { batchesAhead, type RowMessage, type RowWork } from './threadedRows.ts';

const { file, nice } = workerData as RowWork;
comeAfterOthers(nice);
const port = parentPort!;
let ahead = 0;
port.on('message', () => ahead--);
try {
  for await (const batch of readFileRows(file)) {
    port.postMessage({ batch } satisfies RowMessage);
    // What is not taken yet waits in memory: the file is read no further meanwhile.
    ahead++;
    while (ahead >= batchesAhead) await once(port, 'message');
  }
  port.postMessage({ ended: true } satisfies RowMessage);
} catch (error) {
  if (!(error instanceof FileProblem)) throw error;
  port.postMessage({ problem: { code: error.code, message: error.message } } satisfies RowMessage);
}
port.close();
