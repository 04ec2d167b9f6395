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
  const args = ['dist/server/main.js', '--port', String(port), '--data', data, '--demo', demo];
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

test('killed while editing: every acknowledged edit is there', async () => {
  // On a busy machine the server may be gone before the first edit: then what it began with counts.
  let acknowledged = (await read('/desk/state')).setup.relevance.closeCall.width as number;
  for (let round = 0; round < 3; round++) {
    const stop = setTimeout(() => server.kill('SIGKILL'), 150 + round * 90);
    const gone = new Promise((resolve) => server.once('exit', resolve));
    try {
      for (let width = acknowledged + 1; width < 100; width++) {
        const { revision } = (await read('/desk/state')) as { revision: number };
        const edits = [{ part: 'relevance', key: 'closeCall', value: { width } }];
        if ((await post('/desk/edits', { revision, edits })).ok) acknowledged = width;
      }
    } catch {
      // The server is gone; what it last acknowledged counts.
    }
    clearTimeout(stop);
    await killed();
    await gone;
    await start();
    const { width } = (await read('/desk/state')).setup.relevance.closeCall;
    // The edit on its way when the server died may be there or not; none before it may be lost.
    expect([acknowledged, acknowledged + 1]).toContain(width);
    acknowledged = width;
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

test('killed while a feed pushes prices: every acknowledged price is there, and the index agrees', async () => {
  const [first] = (await read('/shop/search?q=watercolour&limit=1')).results as {
    id: string;
    sku: string;
    price: number;
  }[];
  let acknowledged = 0;
  /** What it costs as long as nothing was acknowledged: a slow machine is killed before it has taken the first price. */
  let before = first!.price;
  for (let round = 0; round < 3; round++) {
    const stop = setTimeout(() => server.kill('SIGKILL'), 120 + round * 110);
    try {
      for (let price = acknowledged + 1; price < 500; price++)
        if ((await post('/desk/catalog/facts', { records: [{ id: first!.id, price }] })).ok) acknowledged = price;
    } catch {
      // The server is gone; what it last acknowledged counts.
    }
    clearTimeout(stop);
    await killed();
    await start();
    const found = (await read(`/shop/search?q=${encodeURIComponent(first!.sku)}&limit=1`)).results[0] as {
      price: number;
    };
    expect(acknowledged === 0 ? [before, 1] : [acknowledged, acknowledged + 1]).toContain(found.price);
    if (acknowledged > 0 || found.price === 1) acknowledged = found.price;
    before = found.price;
  }
});
