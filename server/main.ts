import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { setFlagsFromString } from 'node:v8';
import { serve } from '@hono/node-server';
import { pino } from 'pino';
import { keyOf, liveOf } from '../core/setup/setupRef.ts';
import { openCatalogLater } from './catalog/catalogReader.ts';
import { openImportJobs } from './catalog/importJobs.ts';
import { IndexDamaged } from './catalog/indexFile.ts';
import { openSharing } from './catalog/sharing.ts';
import { shopTermsOf } from './catalog/shopTermsOf.ts';
import { StartProblem } from './dataFolder.ts';
import { demoEntries, demoShop, demoTerms, loadDemoStore, loadDemoStorefronts } from './demoStore.ts';
import { createApp } from './http/app.ts';
import { serveStatic } from './http/staticFiles.ts';
import { prepareFolder, readFolder, tidyIncoming } from './openShelf.ts';
import { openStorefronts } from './openStorefronts.ts';
import { askPage } from './outside/askPage.ts';
import { askStyle } from './outside/askStyle.ts';
import { fetchPicture } from './pictures/fetchPicture.ts';
import { openOwnPictures } from './pictures/ownPictures.ts';
import { openPictureCache } from './pictures/pictureCache.ts';
import { openPictureDesk } from './pictures/pictureDesk.ts';
import { smallerPicture } from './pictures/smallerPicture.ts';
import { noCatalog, rebuildingIndex } from './refused.ts';
import { lanedSearcher } from './searching/searcher.ts';
import { shownWrites } from './searching/shownWrites.ts';
import { watchDates } from './searching/watchDates.ts';
import { standInKeys } from './standIn/standInKeys.ts';
import { openStandInShop } from './standIn/standInShop.ts';
import { firstDraft } from './store/setupStore.ts';
import { threadedWriter } from './store/writer.ts';
import { openHub } from './together/hub.ts';

const here = dirname(fileURLToPath(import.meta.url));
const worker = (name: string): URL => new URL(`./${name}.js`, import.meta.url);
/** How often files that nobody uses any more are looked for, in milliseconds. */
const tidyEvery = 600_000;
/** How often shoppers' threads look for what changes with the day, in milliseconds. */
const followEvery = 60_000;
/** How often it is looked whether something begins or ends by its dates. */
const datesEvery = 1000;
/** How often storefronts that share records are brought up to them where that could not be done at once, in milliseconds. */
const shareEvery = 60_000;
/** By how much the stand-in shop's port is above ours where none is named. */
const portsApart = 10;
/** Longest time that requests under way are waited for when the server stops, in milliseconds. */
const patience = 3000;
/**
 * How long a connection that asks nothing stays open, in ms: longer than those who ask keep one, mostly a minute, so that
 * none is closed just while the next question is on its way, which a busy machine makes likely with Node's five seconds.
 */
const idleConnection = 75_000;

/**
 * How much code runs before V8 compiles it for good, in bytes of bytecode: eight times what is usual. A server that ends soon
 * spends a sixth less on the same edits and searches; one that goes on is slower for its first minute.
 */
const coldBudget = 540_672;

/** Asks this server some searches as a shopper would, so that the first one's is no slower than the tenth one's. */
async function warmUp(address: string): Promise<void> {
  for (const query of ['', 'a', 'blue', 'red brush', 'xqzzk', 'paper', 'ink', 'black'])
    for (let times = 0; times < 40; times++)
      await fetch(`${address}shop/search?q=${encodeURIComponent(query)}`).then((answer) => answer.arrayBuffer());
  // Has the searches made that may be offered, too.
  await fetch(`${address}shop/suggest`).then((answer) => answer.arrayBuffer());
}

async function start(): Promise<void> {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: '4180' },
      data: { type: 'string', default: 'data' },
      demo: { type: 'string', default: 'demo/store' },
      'shop-port': { type: 'string' },
      host: { type: 'string', multiple: true, default: [] as string[] },
      fresh: { type: 'boolean', default: false },
      cold: { type: 'boolean', default: false },
    },
  });
  if (values.cold) setFlagsFromString(`--interrupt-budget=${coldBudget}`);
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
    isCold: values.cold,
    async openLater(storefront) {
      const { catalogs } = shelf.at(storefront);
      const generation = catalogs.generation();
      if (generation === 0) throw noCatalog();
      if (rebuilding.has(storefront)) throw rebuildingIndex();
      try {
        const reader = await openCatalogLater(folder, generation);
        catalogs.adopt(reader);
        return { storefront, generation, shared: reader.buffer };
      } catch (error) {
        if (error instanceof IndexDamaged) rebuild(storefront, error);
        throw error;
      }
    },
    whenClosed: (storefront) => shelf.at(storefront).catalogs.letGo(),
    whenFree: (storefront) =>
      void storefronts
        .at(storefront)
        .imports.tidy()
        .catch(() => {}),
  });
  const writer = shownWrites(threadedWriter(folder, worker('writeWorker')), searcher.followWrites);
  const demo = resolve(values.demo);
  /** Whether the demo store is being brought in. */
  let isDemo = false;
  /** Storefronts that the demo store has begun with just now. */
  let begunWith: readonly string[] = [];
  const storefronts = openStorefronts({
    ...{ shelf, writer, searcher, now },
    onError: (error) => log.warn(error),
    importsFor: ({ id, catalogs, mappings, releases }) =>
      openImportJobs({
        ...{ storefront: id, folder, catalogs, mappings, writer, now },
        worker: worker('importWorker'),
        used: searcher.used,
        terms() {
          const live = releases.live();
          return live ? shopTermsOf(live.setup) : demoTerms;
        },
        // Only what the demo store's own files bring in begins with its setup.
        beginning: () => ({ shop: demoShop, entries: isDemo ? demoEntries(demo) : [] }),
        removeFile: (path) => path.startsWith(folder.incoming),
        async handOver(generation, putInForce) {
          const reader = await openCatalogLater(folder, generation);
          catalogs.adopt(reader);
          await searcher.handOver(id, reader, putInForce);
        },
      }),
  });
  /** Storefronts whose index is being built again. */
  const rebuilding = new Set<string>();
  const rebuild = (storefront: string, damage: IndexDamaged): void => {
    if (rebuilding.has(storefront)) return;
    rebuilding.add(storefront);
    console.log(`${damage.message} It is built again from the stored rows; nothing is lost.`);
    const { imports, catalogs } = storefronts.at(storefront);
    void imports
      .rebuild(catalogs.info()?.file ?? 'the catalog')
      .catch((reason) => log.error(reason))
      .finally(() => rebuilding.delete(storefront));
  };
  const tidy = (): void => {
    for (const { id } of shelf.storefronts.storefronts())
      void storefronts
        .at(id)
        .imports.tidy()
        .catch((error) => log.warn(error));
  };
  tidy();
  setInterval(tidy, tidyEvery).unref();
  setInterval(() => void writer.pruneHistory(now()).catch((error) => log.warn(error)), tidyEvery).unref();
  setInterval(() => void writer.pruneLog(now()).catch((error) => log.warn(error)), tidyEvery).unref();
  setInterval(() => void searcher.followWrites(), followEvery).unref();
  const hub = openHub();
  const sharing = openSharing({
    storefronts: shelf.storefronts,
    at: storefronts.at,
    onShared: (storefront) => hub.tellAll(storefront, { kind: 'around', who: '', tab: '', what: '' }),
    onError: (error) => log.warn(error),
  });
  setInterval(() => void sharing.catchUp(), shareEvery).unref();
  const lookAtDates = watchDates(
    () => [
      ...storefronts.open().flatMap(({ id, releases }) => {
        const live = releases.live();
        return live
          ? [{ key: keyOf(liveOf(id)), setup: live.setup, changed: () => void searcher.followWrites(id) }]
          : [];
      }),
      ...hub.drafts().flatMap((ref) => {
        const draft = shelf.at(ref.storefront).setups(ref.draft);
        const changed = (): void => hub.tell(ref, { kind: 'around', who: '', tab: '', what: '' });
        return draft.revision() > 0 ? [{ key: keyOf(ref), setup: draft.draft(), changed }] : [];
      }),
    ],
    now,
  );
  const look = (): void => {
    try {
      lookAtDates();
    } catch (error) {
      log.warn(error);
    }
  };
  setInterval(look, datesEvery).unref();
  /** Opens the catalog in force; where its index cannot be used, it is built anew while the desk says so. */
  const openInForce = async (storefront: string): Promise<void> => {
    const { catalogs } = shelf.at(storefront);
    try {
      const reader = await openCatalogLater(folder, catalogs.generation());
      catalogs.adopt(reader);
      await searcher.handOver(storefront, reader, async () => {});
    } catch (error) {
      if (!(error instanceof IndexDamaged)) throw error;
      rebuild(storefront, error);
    }
  };
  const first = shelf.storefronts.first()!;
  if (shelf.storefronts.storefronts().every(({ generation }) => generation === 0)) {
    console.log(`Importing the demo store, ${demoShop.name} …`);
    isDemo = true;
    await loadDemoStore(storefronts.at(first.id), writer, demo).finally(() => {
      isDemo = false;
    });
    await loadDemoStorefronts({
      ...{ lender: first.id, writer, folder: demo, now },
      setupsOf: (id) => shelf.at(id).setups(firstDraft),
    });
    begunWith = shelf.storefronts.storefronts().map(({ id }) => id);
  } else if (first.generation > 0) await openInForce(first.id);
  await storefronts.at(first.id).logDesk.ready();
  const pictures = openPictureDesk({
    cache: openPictureCache({ folder: folder.pictures, now }),
    fetch: fetchPicture,
    shrink: smallerPicture,
    now,
  });
  const ownPictures = openOwnPictures(folder.ownPictures);
  const app = createApp({
    ...{ db: shelf.db, folder, storefronts: shelf.storefronts, followers: shelf.followers, at: storefronts.at },
    ready: searcher.ready,
    async forget(storefront) {
      // The threads first: what they let go of is tidied by what goes on for the storefront.
      await searcher.close(storefront);
      await storefronts.forget(storefront);
    },
    ...{ writer, searcher, sharing, pictures, ownPictures, askPage, askStyle, hub, now, hosts: values.host },
    noteMistake: (error) => log.error(error),
  });
  const folders = { web: join(here, '..', 'web'), embed: join(here, '..', 'embed'), pictures: join(demo, 'pictures') };
  serveStatic(app, folders, shelf.storefronts);
  let standIn: { close(): void } | null = null;
  /** Serves the stand-in shop of the demo, where this folder began with that. */
  const openStandIn = async (server: string, ownPort: number): Promise<void> => {
    const shopPort = values['shop-port'] === undefined ? ownPort + portsApart : Number(values['shop-port']);
    const keyOf = await standInKeys(
      { db: shelf.db, storefronts: shelf.storefronts, writer, now },
      { origin: `http://127.0.0.1:${shopPort}`, begunWith },
    );
    if (!keyOf) return;
    const pages = { folder: resolve(demo, '..', 'shop'), port: shopPort, server, keyOf };
    standIn = openStandInShop({ ...pages, said: (sentence) => console.log(sentence) });
  };
  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' }, (address) => {
    const own = `http://127.0.0.1:${address.port}/`;
    lock.serveAt(own);
    const isWarm = (values.cold ? Promise.resolve() : warmUp(own)).catch((error: unknown) => {
      // One that is stopped meanwhile does not answer itself.
      if (server.listening) log.error(error);
    });
    void isWarm.then(async () => {
      console.log(`Clever Shelf is at ${own}`);
      await openStandIn(own.slice(0, -1), address.port).catch((error: unknown) => log.error(error));
      // What is not up to what it shares is brought up to it now that shoppers are served.
      void sharing.catchUp();
    });
  });
  if ('keepAliveTimeout' in server) server.keepAliveTimeout = idleConnection;
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
    hub.close();
    standIn?.close();
    server.close();
    setTimeout(() => process.exit(0), patience).unref();
    for (const { id, imports } of storefronts.open()) {
      await imports.cancel().catch(() => {});
      await storefronts.forget(id).catch(() => {});
    }
    await writer.close().catch(() => {});
    lock.release();
    await searcher.end().catch(() => {});
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
