import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { serve } from '@hono/node-server';
import { pino } from 'pino';
import { openCatalogLater } from './catalog/catalogReader.ts';
import { openImportJobs } from './catalog/importJobs.ts';
import { IndexDamaged } from './catalog/indexFile.ts';
import { StartProblem } from './dataFolder.ts';
import { openLogDesk } from './demand/logDesk.ts';
import { keptTopSearches } from './demand/topSearches.ts';
import { demoShop, loadDemoStore } from './demoStore.ts';
import { openSimulatedFeed } from './feed/simulatedFeed.ts';
import { createApp } from './http/app.ts';
import { serveStatic } from './http/staticFiles.ts';
import { prepareFolder, readFolder, tidyIncoming } from './openShelf.ts';
import { fetchPicture } from './pictures/fetchPicture.ts';
import { openPictureCache } from './pictures/pictureCache.ts';
import { openPictureDesk } from './pictures/pictureDesk.ts';
import { noCatalog, rebuildingIndex } from './refused.ts';
import { lanedSearcher } from './searching/searcher.ts';
import { shownWrites } from './searching/shownWrites.ts';
import { threadedWriter } from './store/writer.ts';

const here = dirname(fileURLToPath(import.meta.url));
const worker = (name: string): URL => new URL(`./${name}.js`, import.meta.url);
/** How often files that nobody uses any more are looked for, in milliseconds. */
const tidyEvery = 600_000;
/** How often shoppers' threads look for what changes with the day, in milliseconds. */
const followEvery = 60_000;
/** Longest time that requests under way are waited for when the server stops, in milliseconds. */
const patience = 3000;

/** Asks this server some searches as a shopper would, so that the first one's is no slower than the tenth one's. */
async function warmUp(address: string): Promise<void> {
  for (const query of ['', 'a', 'blue', 'red brush', 'xqzzk', 'paper', 'ink', 'black'])
    for (let times = 0; times < 40; times++)
      await fetch(`${address}shop/search?q=${encodeURIComponent(query)}`).then((answer) => answer.arrayBuffer());
}

async function start(): Promise<void> {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: '4180' },
      data: { type: 'string', default: 'data' },
      demo: { type: 'string', default: 'demo/store' },
      host: { type: 'string', multiple: true, default: [] as string[] },
      fresh: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new StartProblem(`“${values.port}” is no port: name a number from 0 to 65535 with --port N.`);
  const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
  const { folder, lock } = prepareFolder(resolve(values.data), { fresh: values.fresh });
  tidyIncoming(folder);
  const shelf = readFolder(folder);
  const now = () => Date.now();
  const searcher = lanedSearcher({
    folder,
    worker: worker('searchWorker'),
    whenClosed: () => (shelf.catalogs.generation() > 0 ? rebuildingIndex() : noCatalog()),
    whenFree: () => void imports.tidy().catch(() => {}),
  });
  const writer = shownWrites(threadedWriter(folder, worker('writeWorker')), searcher.follow);
  const imports = openImportJobs({
    ...shelf,
    writer,
    now,
    worker: worker('importWorker'),
    used: searcher.used,
    firstShop: demoShop,
    removeFile: (path) => path.startsWith(folder.incoming),
    async handOver(generation, putInForce) {
      const reader = await openCatalogLater(folder, generation);
      shelf.catalogs.adopt(reader);
      await searcher.handOver(reader, putInForce);
    },
  });
  const tidy = (): void => void imports.tidy().catch((error) => log.warn(error));
  tidy();
  setInterval(tidy, tidyEvery).unref();
  setInterval(searcher.follow, followEvery).unref();
  const demo = resolve(values.demo);
  /** Opens the catalog in force; where its index cannot be used, it is built anew while the desk says so. */
  const openInForce = async (): Promise<void> => {
    const generation = shelf.catalogs.generation();
    try {
      const reader = await openCatalogLater(folder, generation);
      shelf.catalogs.adopt(reader);
      await searcher.handOver(reader, async () => {});
    } catch (error) {
      if (!(error instanceof IndexDamaged)) throw error;
      console.log(`${error.message} It is built again from the stored rows; nothing is lost.`);
      void imports.rebuild(shelf.catalogs.info()?.file ?? 'the catalog').catch((reason) => log.error(reason));
    }
  };
  if (shelf.catalogs.generation() === 0) {
    console.log(`Importing the demo store, ${demoShop.name} …`);
    await loadDemoStore(imports, writer, demo);
  } else await openInForce();
  const logDesk = openLogDesk({ writer, log: shelf.log, now, onError: (error) => log.warn(error) });
  await logDesk.ready();
  const topSearches = keptTopSearches({ count: searcher.topSearches, versionOf: shelf.log.version });
  const feed = openSimulatedFeed({ catalogs: shelf.catalogs, writer, now, seed: 20261101 });
  const pictures = openPictureDesk({
    cache: openPictureCache({ folder: folder.pictures, now }),
    fetch: fetchPicture,
    now,
  });
  const app = createApp({
    ...{ ...shelf, writer, imports, searcher, logDesk, topSearches, feed, pictures, now, hosts: values.host },
    noteMistake: (error) => log.error(error),
  });
  serveStatic(app, { web: join(here, '..', 'web'), pictures: join(demo, 'pictures') });
  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' }, (address) => {
    const own = `http://127.0.0.1:${address.port}/`;
    lock.serveAt(own);
    void warmUp(own).finally(() => console.log(`Clever Shelf is at ${own}`));
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
  const stop = async (): Promise<void> => {
    log.info('stopping');
    server.close();
    setTimeout(() => process.exit(0), patience).unref();
    void feed.set(false);
    await imports.cancel().catch(() => {});
    await logDesk.close().catch(() => {});
    await writer.close().catch(() => {});
    lock.release();
    await searcher.close().catch(() => {});
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

start().catch((error: unknown) => {
  const isOurs = error instanceof StartProblem || (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
  console.error(isOurs ? (error as Error).message : error);
  process.exit(1);
});
