import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { catalogWriter } from '../core/catalog/writeCatalog.ts';
import { acceptAll, makeReady, type RealServer, startRealServer } from '../server/testing/realServer.ts';
import { makeRecords } from './makeRecords.ts';
import { percentile } from './percentile.ts';

/** Searches a second that shoppers make, and seconds they are watched for. */
const aSecond = 20;
const watched = 30;
const port = 4296;

const queries = ['', 'zebra', 'blue', 'brek', 'stall', 'dain', 'pla', 'quon', 'strem', 'glind dost', 'thail brom'];
const shown = (time: number): string => `${time.toFixed(1)} ms`;
const pause = (time: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, time));

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const begin = performance.now();
  await work();
  return performance.now() - begin;
};
const searchOf = (server: RealServer, at: number) => () =>
  server.get(`/shop/search?q=${encodeURIComponent(queries[at % queries.length]!)}`);

/** Times of searches that begin at even distances, whether or not those before have been answered. */
async function shoppers(server: RealServer, seconds: number): Promise<number[]> {
  const asked: Promise<number>[] = [];
  for (let at = 0; at < seconds * aSecond; at++) {
    asked.push(timed(searchOf(server, at)));
    await pause(1000 / aSecond);
  }
  return Promise.all(asked);
}

/** A server that answers nothing in particular: by asking it, this process itself is warm before it takes times. */
async function openNothing(): Promise<{ ask(): Promise<void>; close(): void }> {
  const nothing = createServer((_, answer) => void answer.end('{}'));
  await once(nothing.listen(0, '127.0.0.1'), 'listening');
  const { port: own } = nothing.address() as AddressInfo;
  return {
    async ask() {
      for (let times = 0; times < 20; times++) await fetch(`http://127.0.0.1:${own}/`).then((answer) => answer.json());
    },
    close() {
      nothing.closeAllConnections();
      nothing.close();
    },
  };
}

/**
 * The first ten searches after something, over and over: each time another one comes first and last, so that both are
 * asked for every search once. A browser has opened its connection for the page before it searches, and so it is here.
 * After some seconds of waiting this process's own first request takes 1 to 3 ms longer, whoever answers it.
 */
async function firstSearches(after: string, beginnings: number, begin: () => Promise<RealServer>): Promise<void> {
  const times: number[][] = Array.from({ length: 10 }, () => []);
  const nothing = await openNothing();
  for (let round = 0; round < beginnings; round++) {
    const server = await begin();
    await nothing.ask();
    await fetch(server.base).then((page) => page.arrayBuffer());
    for (let at = 0; at < times.length; at++) times[at]!.push(await timed(searchOf(server, round + at * 5)));
  }
  nothing.close();
  const medians = times.map((each) => percentile(each, 0.5));
  const slowest = (each: readonly number[]): string =>
    [...each]
      .sort((a, b) => b - a)
      .slice(0, 3)
      .map(shown)
      .join(', ');
  console.log(
    `${beginnings} times after ${after}: medians of the first ten searches ${medians.map(shown).join(', ')}; slowest of the first ${slowest(times[0]!)}, of the tenth ${slowest(times[9]!)}`,
  );
}

/** A hundred releases and so many decisions: what one more edit takes, asked for over HTTP. */
async function longHistory(server: RealServer, products: number): Promise<void> {
  const which = { list: { q: '', filters: {}, missing: [], state: 'all', except: [] } };
  const tagged = async (tag: string) =>
    server.post('/desk/catalog/products', {
      revision: await server.revision(),
      which: products <= 20_000 ? which : { ids: Array.from({ length: 20_000 }, (_, at) => `f${at}`) },
      what: { act: 'addTag', tag },
    });
  const bulk = await timed(async () => {
    const { status, body } = await tagged('bench');
    if (status !== 200) console.log(`The bulk edit was refused: ${JSON.stringify(body).slice(0, 200)}`);
  });
  console.log(`20,000 decisions in one step: ${shown(bulk)}`);
  const edits = async (count: number): Promise<number[]> => {
    const times: number[] = [];
    for (let at = 0; at < count; at++) {
      const revision = await server.revision();
      const body = { revision, edits: [{ part: 'relevance', key: 'closeCall', value: { width: (at % 90) + 0.5 } }] };
      times.push(await timed(() => server.post('/desk/edits', body)));
    }
    return times;
  };
  const unpublished = await edits(40);
  for (let release = 0; release < 100; release++) {
    await server.weigh((release % 80) + 1);
    await server.post('/desk/publish', { revision: await server.revision(), note: `Release ${release}` });
  }
  const times = await edits(40);
  const list = await timed(() => server.get('/desk/releases'));
  console.log(
    `an edit with 100 releases and 20,000 decisions (bound 20 ms): median ${shown(percentile(times, 0.5))}, 95th ${shown(percentile(times, 0.95))}; with the decisions not published yet ${shown(percentile(unpublished, 0.5))}; the list of releases ${shown(list)}`,
  );
}

/** npm run bench -- serving: a real server with 100,000 records, and what a shopper waits while a desk is busy. */
export async function runServing(rest: readonly string[]): Promise<void> {
  const { values } = parseArgs({
    args: [...rest],
    options: {
      beginnings: { type: 'string', default: String(queries.length) },
      records: { type: 'string', default: '100000' },
      seconds: { type: 'string', default: String(watched) },
    },
  });
  const [amount, seconds, beginnings] = [values.records, values.seconds, values.beginnings].map(Number) as [
    number,
    number,
    number,
  ];
  const root = process.cwd();
  const data = mkdtempSync(join(tmpdir(), 'clever-shelf-serving-'));
  const records = [...makeRecords(1, amount)];
  const writer = catalogWriter(
    'csv',
    [...new Set(records.slice(0, 500).flatMap(({ values: own }) => Object.keys(own)))],
    'GBP',
  );
  const csv = `${writer.begin}${records.map((record, at) => writer.record(record, at)).join('')}${writer.end}`;
  const file = join(data, 'catalog.csv');
  writeFileSync(file, csv);
  const families = new Set(records.map(({ familyId }) => familyId)).size;
  let server = await startRealServer({ root, data: join(data, 'folder'), port });
  try {
    const importing = await timed(async () => {
      await makeReady(server, csv);
      const { status, body } = await server.post('/desk/catalog/import/commit', acceptAll);
      if (status !== 200) throw new Error(`The catalog was not put in force: ${JSON.stringify(body)}`);
    });
    console.log(
      `${amount} records of ${families} products imported and put in force in ${(importing / 1000).toFixed(1)} s`,
    );
    // Once more, so that there is an earlier one of the same size.
    await makeReady(server, csv);
    await server.post('/desk/catalog/import/commit', acceptAll);
    await firstSearches('a catalog is put in force', beginnings, async () => {
      const { earlier } = (await server.get('/desk/catalog')).body as { earlier: { generation: number }[] };
      const { status, body } = await server.post('/desk/catalog/put-back', { generation: earlier[0]!.generation });
      if (status !== 200) throw new Error(`No catalog was put back: ${JSON.stringify(body)}`);
      return server;
    });
    const starts: number[] = [];
    await firstSearches('a start', beginnings, async () => {
      await server.kill();
      const begin = performance.now();
      server = await startRealServer({ root, data: join(data, 'folder'), port });
      starts.push(performance.now() - begin);
      return server;
    });
    console.log(`start until the address is printed: median ${shown(percentile(starts, 0.5))}`);
    await shoppers(server, 5);
    const idle = await shoppers(server, seconds);
    // In a thread of its own: what it sends and reads must not hold up the clock of the shoppers.
    const desk = new Worker(join(root, 'dist', 'bench', 'busyDesk.js'), { workerData: { base: server.base, file } });
    await pause(1500);
    const busy = await shoppers(server, seconds);
    desk.postMessage('over');
    const [summary] = (await once(desk, 'message')) as [string];
    const [quiet, loud] = [percentile(idle, 0.99), percentile(busy, 0.99)];
    console.log(
      `shoppers at ${aSecond} a second: median ${shown(percentile(idle, 0.5))}, 99th ${shown(quiet)}; beside a busy desk median ${shown(percentile(busy, 0.5))}, 99th ${shown(loud)}: ${(loud / quiet).toFixed(1)} times (bound 2)`,
    );
    console.log(`the desk meanwhile: ${summary}`);
    await longHistory(server, families);
  } finally {
    await server.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
