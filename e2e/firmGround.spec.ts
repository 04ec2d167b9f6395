import { execFile } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { expect, test } from '@playwright/test';
import Database from 'better-sqlite3';
import { commitsUnderLoad } from '../server/testing/commitsUnderLoad.ts';
import {
  acceptAll,
  makeReady,
  markedCatalog,
  type RealServer,
  startRealServer,
  until,
} from '../server/testing/realServer.ts';
import { smallDemo } from '../server/testing/smallDemo.ts';
import { freePort } from './freePort.ts';

/** Real processes: catalogs put in force under load, folders shared, locked, damaged and gone. */
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const demo = smallDemo(join(root, 'demo', 'store'));
let port: number;
let data: string;
let server: RealServer;
const start = (folder = data, more: readonly string[] = ['--cold']) =>
  startRealServer({ root, data: folder, port, demo, arguments: more });
const width = async (value: number) => ({
  revision: await server.revision(),
  edits: [{ part: 'relevance', key: 'closeCall', value: { width: value } }],
});

/** The catalog in force of the first storefront in a folder. */
const generationIn = (folder: string): number =>
  (
    new Database(join(folder, 'shelf.sqlite'), { readonly: true })
      .prepare('SELECT generation FROM storefront')
      .get() as {
      generation: number;
    }
  ).generation;

test.beforeAll(async () => {
  data = mkdtempSync(join(tmpdir(), 'clever-shelf-firm-'));
  port = await freePort();
  // This one answers searches ahead, as servers do that are there for somebody.
  server = await start(data, []);
});
test.afterAll(async () => {
  await server.kill();
  for (const folder of [data, demo]) rmSync(folder, { recursive: true, force: true });
});

test('catalogs put in force under searches, effects and proposals: no answer fails, each is of one catalog', async () => {
  test.setTimeout(480_000);
  const { answers, deskAnswers, faults } = await commitsUnderLoad(server, { commits: 2, connections: 12, pause: 120 });
  expect(faults).toEqual([]);
  expect(answers).toBeGreaterThan(200);
  expect(Math.min(deskAnswers.effect, deskAnswers.proposals)).toBeGreaterThan(5);
});

test('while one file comes in, another is refused before it is received; nothing is left behind', async () => {
  const [first, second] = await Promise.all([
    server.post('/desk/catalog/import?file=a.csv', markedCatalog(3000, 'first')),
    server.post('/desk/catalog/import?file=b.csv', markedCatalog(3000, 'second')),
  ]);
  expect([first.status, second.status].sort()).toEqual([200, 409]);
  await server.post('/desk/catalog/import/cancel', {});
  const { body } = await server.get('/desk/catalog/import/job');
  expect((body as { job: { phase: string } }).job.phase).toBe('cancelled');
  const { readdirSync } = await import('node:fs');
  expect(readdirSync(join(data, 'incoming'))).toEqual([]);
});

test('a second server and a terminal that writes are told who has the folder; one that reads is served', async () => {
  const other = await startRealServer({ root, data, demo, port: await freePort(), arguments: ['--cold'] });
  await until(() => other.process.exitCode !== null);
  expect(other.said()).toContain(`in use by the application at ${server.base}/`);
  const terminal = (...words: string[]) =>
    promisify(execFile)(process.execPath, [join(root, 'dist', 'server', 'cli.js'), ...words, '--data', data]);
  await expect(terminal('publish')).rejects.toThrow(/in use by the application/);
  await expect(terminal('attribute', 'set', 'title', '--weight', '3')).rejects.toThrow(/in use by the application/);
  expect((await terminal('search', 'brush')).stdout).toContain('products for “brush”');
  expect((await server.post('/desk/edits', await width(8))).status).toBe(200);
});

test('a locked database holds up nobody but who writes, and says when to try again', async () => {
  const lock = new Database(join(data, 'shelf.sqlite'));
  lock.exec('BEGIN IMMEDIATE');
  const edit = await width(5);
  const order: string[] = [];
  const writing = server.post('/desk/edits', edit).finally(() => order.push('edit'));
  const searching = Array.from({ length: 30 }, async () => {
    expect((await server.get('/shop/search?q=brush')).status).toBe(200);
    order.push('search');
  });
  const noting = server.post('/shop/log/search', { session: 's', search: 'brush', results: 3 });
  expect((await noting.finally(() => order.push('note'))).status).toBe(200);
  await Promise.all(searching);
  const { status, headers, body } = await writing;
  expect([status, (body as { error: { code: string } }).error.code]).toEqual([503, 'storage-busy']);
  expect(headers.get('retry-after')).toBe('2');
  // The edit was sent first and waited for the lock; what was sent after it was answered meanwhile. On a busy machine not
  // all of it comes before the edit gives up.
  expect(order.indexOf('edit')).toBeGreaterThan(0);
  lock.exec('ROLLBACK');
  lock.close();
  expect((await server.post('/desk/edits', edit)).status).toBe(200);
});

test('a slow database saves later, and what shoppers ask meanwhile is answered first', async () => {
  const lock = new Database(join(data, 'shelf.sqlite'));
  for (const value of [6, 7, 8]) {
    const edit = await width(value);
    lock.exec('BEGIN IMMEDIATE');
    const order: string[] = [];
    const writing = server.post('/desk/edits', edit).finally(() => order.push('edit'));
    await Promise.all(Array.from({ length: 10 }, () => server.get('/shop/search?q=brush')));
    order.push('searches');
    lock.exec('ROLLBACK');
    expect((await writing).status).toBe(200);
    expect(order).toEqual(['searches', 'edit']);
  }
  lock.close();
});

test('a damaged index is noticed however it is damaged, and built again while the desk says so', async () => {
  test.setTimeout(240_000);
  // The catalog before this one is needed for the last of the damages, whatever the tests before have done.
  const other = join(mkdtempSync(join(tmpdir(), 'clever-shelf-other-')), 'other.index');
  copyFileSync(join(data, 'catalogs', `${generationIn(data)}.index`), other);
  await makeReady(server, markedCatalog(400, 'whole'));
  expect((await server.post('/desk/catalog/import/commit', acceptAll)).status).toBe(200);
  const { body } = await server.get('/shop/search?q=brush&limit=24');
  await server.kill();
  const generation = generationIn(data);
  const damages: readonly (readonly [string, (path: string, bytes: Buffer) => void])[] = [
    ['truncated', (path, bytes) => truncateSync(path, bytes.length >> 1)],
    [
      'a bit flipped',
      (path, bytes) => {
        bytes[bytes.length - 9]! ^= 4;
        writeFileSync(path, bytes);
      },
    ],
    ['missing', (path) => rmSync(path)],
    ['of another catalog', (path) => copyFileSync(other, path)],
  ];
  for (const [what, damage] of damages) {
    const copy = mkdtempSync(join(tmpdir(), 'clever-shelf-damaged-'));
    cpSync(data, copy, { recursive: true });
    const path = join(copy, 'catalogs', `${generation}.index`);
    damage(path, readFileSync(path));
    server = await start(copy);
    expect(server.said(), what).toContain('built again from the stored rows');
    await until(async () => (await server.get('/shop/search?q=brush&limit=24')).status === 200);
    expect((await server.get('/shop/search?q=brush&limit=24')).body as object).toEqual(body);
    await server.kill();
    rmSync(copy, { recursive: true, force: true });
  }
  rmSync(dirname(other), { recursive: true, force: true });
  server = await start();
});

test('with the folder gone nothing is answered as if it were saved, and no other shop takes its place', async () => {
  const edit = await width(3);
  renameSync(data, `${data}-away`);
  const { status, body } = await server.post('/desk/edits', edit);
  expect([status, (body as { error: { code: string } }).error.code]).toEqual([503, 'data-folder-gone']);
  await server.kill();
  const again = await start();
  await until(() => again.process.exitCode !== null);
  expect(again.said()).toContain('A shop was kept in');
  expect(again.said()).toContain('Nothing was changed');
  rmSync(data, { recursive: true, force: true });
  renameSync(`${data}-away`, data);
  server = await start();
  expect((await server.get('/desk/state')).status).toBe(200);
});
