import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { smallDemo } from '../server/testing/smallDemo.ts';
import { freePort } from './freePort.ts';

/** A real server process that is killed without warning: what it acknowledged must be there at the next start. */
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const demo = smallDemo(join(root, 'demo', 'store'));
let port: number;
let base: string;
let data: string;
let server: ChildProcess;

async function start(): Promise<void> {
  const args = ['dist/server/main.js', '--port', String(port), '--data', data, '--demo', demo, '--cold'];
  server = spawn(process.execPath, args, { cwd: root, stdio: 'ignore' });
  await expect
    .poll(async () => (await fetch(`${base}/desk/state`).catch(() => null))?.status, { timeout: 120_000 })
    .toBe(200);
}
async function killed(): Promise<void> {
  if (server.exitCode !== null || server.signalCode !== null) return;
  const gone = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGKILL');
  await gone;
}
const read = async (path: string) => (await fetch(base + path)).json();
const post = async (path: string, body: unknown) => {
  const response = await fetch(base + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
  return { ok: response.ok, body: await response.json() };
};

test.beforeAll(async () => {
  data = mkdtempSync(join(tmpdir(), 'clever-shelf-crash-'));
  port = await freePort();
  base = `http://127.0.0.1:${port}`;
  await start();
});
test.afterAll(async () => {
  await killed();
  for (const folder of [data, demo]) rmSync(folder, { recursive: true, force: true });
});

/** Does something again and again, with numbers one higher each time, until it fails; answers the last one that was acknowledged. */
async function countUp(from: number, most: number, write: (value: number) => Promise<boolean>): Promise<number> {
  let acknowledged = from;
  try {
    for (let value = from + 1; value < most; value++) if (await write(value)) acknowledged = value;
  } catch {
    // The server is gone; what it last acknowledged counts.
  }
  return acknowledged;
}

test('killed while somebody edits and a feed pushes prices: all that was acknowledged is there, and the index agrees', async () => {
  const [first] = (await read('/shop/search?q=watercolour&limit=1')).results as { id: string; sku: string }[];
  const priceNow = async (): Promise<number> =>
    (await read(`/shop/search?q=${encodeURIComponent(first!.sku)}&limit=1`)).results[0].price;
  // On a busy machine the server may be gone before anything is acknowledged: then what it began with counts.
  let [width, price] = [(await read('/desk/state')).setup.relevance.closeCall.width as number, 0];
  let priceBefore = await priceNow();
  for (let round = 0; round < 4; round++) {
    const stop = setTimeout(() => server.kill('SIGKILL'), 130 + round * 100);
    const [edited, pushed] = await Promise.all([
      countUp(width, 100, async (value) => {
        const { revision } = (await read('/desk/state')) as { revision: number };
        const edits = [{ part: 'relevance', key: 'closeCall', value: { width: value } }];
        return (await post('/desk/edits', { revision, edits })).ok;
      }),
      countUp(
        price,
        500,
        async (value) => (await post('/desk/catalog/facts', { records: [{ id: first!.id, price: value }] })).ok,
      ),
    ]);
    clearTimeout(stop);
    await killed();
    await start();
    // What was on its way when the server died may be there or not; nothing before it may be lost.
    const widthNow = (await read('/desk/state')).setup.relevance.closeCall.width;
    expect([edited, edited + 1]).toContain(widthNow);
    const found = await priceNow();
    expect(pushed === 0 ? [priceBefore, 1] : [pushed, pushed + 1]).toContain(found);
    if (pushed > 0 || found === 1) price = found;
    [width, priceBefore] = [widthNow, found];
  }
});

test('killed while publishing: shoppers get the whole release or the one before', async () => {
  for (let round = 0; round < 3; round++) {
    const { revision, release } = await read('/desk/state');
    const edits = [
      { part: 'emptyShelf', key: 'content', value: { message: `Round ${round}`, searches: [], products: [] } },
    ];
    const after = await post('/desk/edits', { revision, edits });
    const publishing = post('/desk/publish', { revision: after.body.revision }).catch(() => null);
    setTimeout(() => server.kill('SIGKILL'), round * 4);
    const published = await publishing;
    await killed();
    await start();
    const state = await read('/desk/state');
    const { message } = (await read('/shop/search?q=zebra+xylophone')).emptyShelf;
    if (published?.ok) expect(message).toBe(`Round ${round}`);
    expect(message === `Round ${round}`).toBe(state.release.number === release.number + 1);
    expect(state.setup.emptyShelf.content.message).toBe(`Round ${round}`);
  }
});

test('killed during an import: the catalog is whole, the old one or the new', async () => {
  // Imports come after everything else that the machine does, and here four of them are begun.
  test.slow();
  const [header, ...all] = readFileSync(join(demo, 'catalog.csv'), 'utf8').trim().split('\n');
  const rows = 600;
  const csv = [header, ...all.filter((row) => /^p\d+-\d+,/.test(row)).slice(0, rows)].join('\n');
  const sizes = [(await read('/desk/catalog')).records as number];
  // Killed while the file is looked at, while it is read, while the index is built, and about the moment it is put in.
  for (const wait of [60, 200, 600, 'commit'] as const) {
    const response = await fetch(`${base}/desk/catalog/import?file=new.csv`, { method: 'POST', body: csv });
    expect(response.ok).toBe(true);
    const phase = async () => (await read('/desk/catalog/import/job')).job.phase as string;
    if (wait !== 60) {
      await expect.poll(phase, { timeout: 120_000 }).toBe('mapping');
      const { mapping } = await read('/desk/catalog/import/examined');
      expect((await post('/desk/catalog/import/read', { mapping, mode: 'replace' })).ok).toBe(true);
    }
    if (wait === 'commit') {
      await expect.poll(phase, { timeout: 120_000 }).toBe('ready');
      void post('/desk/catalog/import/commit', {}).catch(() => null);
      await new Promise((resolve) => setTimeout(resolve, 3));
    } else await new Promise((resolve) => setTimeout(resolve, wait));
    await killed();
    await start();
    const { records, file } = await read('/desk/catalog');
    expect(file === 'new.csv' ? rows : sizes[0]).toBe(records);
    const { total, results } = await read('/shop/search?limit=1');
    expect(total).toBe((await read('/desk/state')).catalog.families);
    expect(results).toHaveLength(1);
  }
});
