import { readFileSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { makeReady, serverAt } from '../server/testing/realServer.ts';

const { base, file } = workerData as { readonly base: string; readonly file: string };
const server = serverAt(base);
const csv = readFileSync(file, 'utf8');
const pause = (time: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, time));
let isOver = false;
parentPort!.once('message', () => {
  isOver = true;
});

/** Everything a desk can do at once, again and again until it is told to end: it then says how often each was done. */
const done = new Map<string, number>();
const again = async (name: string, work: () => Promise<unknown>, rest: number): Promise<void> => {
  while (!isOver) {
    await work().catch(() => null);
    done.set(name, (done.get(name) ?? 0) + 1);
    await pause(rest);
  }
};
let width = 1;
await Promise.all([
  again('proposals', () => server.get('/desk/proposals'), 400),
  again('effects', () => server.get('/desk/effect'), 100),
  again('edits', () => server.weigh((width % 50) + ++width / 1000), 700),
  again('previews', () => server.get('/desk/search?q=zebra'), 700),
  again(
    'imports',
    async () => {
      await makeReady(server, csv, 'again.csv');
      await server.post('/desk/catalog/import/cancel', {});
    },
    100,
  ),
]);
parentPort!.postMessage([...done].map(([name, times]) => `${name} ${times}`).join(', '));
