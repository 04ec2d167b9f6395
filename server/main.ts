import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { serve } from '@hono/node-server';
import { pino } from 'pino';
import { openImportJobs } from './catalog/importJobs.ts';
import { StartProblem } from './dataFolder.ts';
import { demoShop, loadDemoStore } from './demoStore.ts';
import { openSimulatedFeed } from './feed/simulatedFeed.ts';
import { createApp } from './http/app.ts';
import { serveStatic } from './http/staticFiles.ts';
import { openShelf, tidyAfterCrash } from './openShelf.ts';
import { pooledSearcher } from './searching/searcher.ts';

const here = dirname(fileURLToPath(import.meta.url));

async function start(): Promise<void> {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: '4180' },
      data: { type: 'string', default: 'data' },
      demo: { type: 'string', default: 'demo/store' },
      fresh: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new StartProblem(`“${values.port}” is no port: name a number from 0 to 65535 with --port N.`);
  const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
  const shelf = openShelf(resolve(values.data), { fresh: values.fresh });
  tidyAfterCrash(shelf);
  const now = () => Date.now();
  const imports = openImportJobs({
    folder: shelf.folder,
    worker: new URL('./importWorker.js', import.meta.url),
    catalogs: shelf.catalogs,
    mappings: shelf.mappings,
    setups: shelf.setups,
    now,
    firstShop: demoShop,
    removeFile: (path) => path.startsWith(shelf.folder.incoming),
  });
  const demo = resolve(values.demo);
  if (shelf.catalogs.generation() === 0) {
    console.log(`Bringing in the demo store, ${demoShop.name} …`);
    await loadDemoStore(shelf, imports, demo);
  }
  const searcher = pooledSearcher(shelf.folder, new URL('./searchWorker.js', import.meta.url), 2);
  const feed = openSimulatedFeed({ ...shelf, now, seed: 20261101 });
  const app = createApp({ ...shelf, imports, searcher, feed, now });
  serveStatic(app, { web: join(here, '..', 'web'), pictures: join(demo, 'pictures') });
  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' }, (address) => {
    console.log(`Clever Shelf is at http://127.0.0.1:${address.port}/`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    const taken = error.code === 'EADDRINUSE';
    console.error(
      taken
        ? `Port ${port} is taken by another program. Name another with --port N.`
        : `Cannot listen: ${error.message}`,
    );
    process.exit(1);
  });
  const stop = (): void => {
    log.info('stopping');
    server.close();
    imports.cancel();
    void searcher.close().finally(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

start().catch((error: unknown) => {
  const isOurs = error instanceof StartProblem || (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
  console.error(isOurs ? (error as Error).message : error);
  process.exit(1);
});
