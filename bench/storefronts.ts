import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import { catalogWriter } from '../core/catalog/writeCatalog.ts';
import { acceptAll, makeReady, type RealServer, startRealServer } from '../server/testing/realServer.ts';
import { makeRecords } from './makeRecords.ts';
import { percentile } from './percentile.ts';
import { switchDrafts } from './switchDrafts.ts';

const port = 4297;
/** Drafts looked at: as many as a desk's threads make ready ahead, and some that were worked on before them. */
const draftsLookedAt = 12;
const draftsReadyAhead = 8;
/** Screens of the desk that are left for the same one of another draft. */
const screensLeft = ['/attributes', '/filters', '/plans'];
const shown = (time: number): string => `${time.toFixed(0)} ms`;
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const begin = performance.now();
  await work();
  return performance.now() - begin;
};
/** Memory of the server's process that is not elsewhere, in MB. */
const memory = ({ process }: RealServer): number =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${process.pid}/status`, 'utf8'))![1]) / 1024);

function csvOf(amount: number): string {
  const records = [...makeRecords(1, amount)];
  const columns = [...new Set(records.slice(0, 500).flatMap(({ values }) => Object.keys(values)))];
  const writer = catalogWriter('csv', columns, 'GBP');
  return `${writer.begin}${records.map((record, at) => writer.record(record, at)).join('')}${writer.end}`;
}

/** A desk's first look at a draft: its state and the first page of a search under it. */
const look = async (server: RealServer, place: string, query: string): Promise<void> => {
  const answers = await Promise.all([
    server.get(`/desk/${place}/state`),
    server.get(`/desk/${place}/search?q=${query}&movement=1`),
  ]);
  for (const { status, body } of answers) if (status !== 200) throw new Error(`${place}: ${JSON.stringify(body)}`);
};

/** Starts anew and waits until those drafts are ready that its desk makes ready ahead, some time after shoppers are served. */
async function readyAhead(again: () => Promise<RealServer>): Promise<RealServer> {
  const server = await again();
  await setTimeout(30_000);
  return server;
}

/** A title that one draft has, no other, and none begins with. */
const titleIn = (draft: number, at: number): string => `Zebra ${100 + at} of ${100 + draft}`;

/** Begins a draft and changes some of it: weights, and products that its index is patched for. */
async function beginDraft(server: RealServer, storefront: string, number: number): Promise<string> {
  const { body } = await server.post(`/desk/${storefront}/main/drafts/begin`, {
    name: `Draft ${number}`,
    from: 'release:live',
  });
  const { id } = body as { id: string };
  const edits = Array.from({ length: 20 }, (_, at) => ({
    part: 'products',
    key: `f${number * 50 + at}//title`,
    value: {
      product: `f${number * 50 + at}`,
      variant: null,
      attribute: 'title',
      act: 'set',
      value: titleIn(number, at),
    },
  }));
  const width = { part: 'relevance', key: 'closeCall', value: { width: (number % 40) + 1 } };
  const answer = await server.post(`/desk/${storefront}/${id}/edits`, { revision: 1, edits: [width, ...edits] });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body).slice(0, 300));
  return `${storefront}/${id}`;
}

/** npm run bench -- storefronts: memory and the time of going from one to another, with many, and at 100,000 records. */
export async function runStorefronts(rest: readonly string[]): Promise<void> {
  const { values } = parseArgs({
    args: [...rest],
    options: {
      storefronts: { type: 'string', default: '10' },
      records: { type: 'string', default: '20000' },
      drafts: { type: 'string', default: '30' },
      large: { type: 'string', default: '100000' },
    },
  });
  const [storefronts, records, drafts, large] = [values.storefronts, values.records, values.drafts, values.large].map(
    Number,
  ) as [number, number, number, number];
  const queries = ['zebra', 'blue', 'brush', 'glind', 'thail', ''];
  /** `again` starts the server anew on what it kept. */
  const withServer = async (
    amount: number,
    work: (server: RealServer, again: () => Promise<RealServer>) => Promise<void>,
  ): Promise<void> => {
    const data = mkdtempSync(join(tmpdir(), 'clever-shelf-storefronts-'));
    const start = () => startRealServer({ root: process.cwd(), data: join(data, 'folder'), port });
    let server = await start();
    try {
      await makeReady(server, csvOf(amount));
      const { status } = await server.post('/desk/catalog/import/commit', acceptAll);
      if (status !== 200) throw new Error('The catalog was not put in force.');
      await work(server, async () => {
        await server.kill();
        server = await start();
        return server;
      });
    } finally {
      await server.kill();
      rmSync(data, { recursive: true, force: true });
    }
  };
  await withServer(records, async (server) => {
    const before = memory(server);
    const ids = ['main'];
    const making: number[] = [];
    for (let at = 1; at < storefronts; at++)
      making.push(
        await timed(async () => {
          const { body } = await server.post('/desk/storefronts/make', {
            name: `Shop ${at}`,
            shop: { name: `Shop ${at}`, currency: 'EUR' },
            from: { storefront: 'main', catalog: 'copy' },
          });
          ids.push((body as { id: string }).id);
          await server.get(`/shop/${ids.at(-1)}/search?q=zebra`);
        }),
      );
    const made = memory(server);
    const places: string[] = [];
    for (let at = 0; at < drafts; at++) places.push(await beginDraft(server, ids[at % ids.length]!, at));
    const first: number[] = [];
    const again: number[] = [];
    for (const times of [first, again])
      for (const [at, place] of places.entries())
        times.push(await timed(() => look(server, place, queries[at % queries.length]!)));
    const shops: number[] = [];
    for (let round = 0; round < 3; round++)
      for (const id of ids) shops.push(await timed(() => server.get(`/shop/${id}/search?q=blue`)));
    console.log(
      `${storefronts} storefronts of ${records} records, ${drafts} drafts: ${before} MB with one, ${made} MB with all storefronts, ${memory(server)} MB with all drafts looked at`,
    );
    console.log(
      `a storefront made with its catalog, until it answers its first search: median ${shown(percentile(making, 0.5))}`,
    );
    console.log(
      `a draft's state and first page, the first time: median ${shown(percentile(first, 0.5))}, 95th ${shown(percentile(first, 0.95))}; again: ${shown(percentile(again, 0.5))}, ${shown(percentile(again, 0.95))}`,
    );
    console.log(`a shopper's search, from one storefront to the next: median ${shown(percentile(shops, 0.5))}`);
  });
  await withServer(large, async (server, again) => {
    const places: string[] = [];
    for (let at = 0; at < draftsLookedAt; at++) places.push(await beginDraft(server, 'main', at));
    const started = await readyAhead(again);
    const round = async (looked: readonly string[]): Promise<string> => {
      const times: number[] = [];
      for (const [at, place] of looked.entries())
        times.push(await timed(() => look(started, place, queries[at % queries.length]!)));
      return `median ${shown(percentile(times, 0.5))}, slowest ${shown(Math.max(...times))}`;
    };
    const [before, last] = [places.slice(0, -draftsReadyAhead), places.slice(-draftsReadyAhead)];
    console.log(
      `${large} records: a draft's state and first page (bound 300 ms), of the ${last.length} worked on last, the first time since the start: ${await round(last)}; again: ${await round(last)}; of ${before.length} others, the first time: ${await round(before)}; ${memory(started)} MB`,
    );
    const drafts = places.map((_, number) => ({ name: `Draft ${number}`, shows: titleIn(number, 0) })).reverse();
    const { base } = await readyAhead(again);
    const inDesk: string[] = [];
    for (const screen of screensLeft) {
      const { median, slowest } = await switchDrafts(base, { search: 'zebra', screen, drafts });
      inDesk.push(`${screen}: median ${shown(median)}, slowest ${shown(slowest)}`);
    }
    console.log(
      `at the desk, from the press in the menu to the first page drawn in the shop's window (bound 300 ms), of all ${drafts.length}, those worked on last at first: ${inDesk.join('; ')}`,
    );
  });
}
