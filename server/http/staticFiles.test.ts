import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { OpenAPIHono } from '@hono/zod-openapi';
import { afterAll, expect, test } from '@jest/globals';
import type { StorefrontReader } from '../store/storefronts.ts';
import { serveStatic } from './staticFiles.ts';

const web = mkdtempSync(join(tmpdir(), 'clever-shelf-web-'));
const script = 'export const shelf = "clever";\n';
mkdirSync(join(web, 'assets'));
writeFileSync(join(web, 'assets', 'desk-1.js'), script);
writeFileSync(join(web, 'assets', 'desk-1.js.br'), brotliCompressSync(script));
afterAll(() => rmSync(web, { recursive: true, force: true }));

const app = new OpenAPIHono();
serveStatic(app, { web, embed: web, pictures: null }, {} as StorefrontReader);
const get = async (path: string, accepted: string) => app.request(path, { headers: { 'accept-encoding': accepted } });

test('a file of the desk is sent as it was pressed when it was built, to whoever reads that', async () => {
  const answer = await get('/assets/desk-1.js', 'gzip, br');
  expect(answer.headers.get('content-encoding')).toBe('br');
  expect(answer.headers.get('content-type')).toMatch(/^text\/javascript/);
  // Its name tells which it is, so it is kept for good, for each way of reading by itself.
  expect(answer.headers.get('cache-control')).toBe('max-age=31536000, immutable');
  expect(answer.headers.get('vary')).toMatch(/accept-encoding/i);
  expect(brotliDecompressSync(Buffer.from(await answer.arrayBuffer())).toString()).toBe(script);
});

test('whoever reads nothing pressed is sent the file itself, and what is not there is said', async () => {
  const answer = await get('/assets/desk-1.js', 'identity');
  expect(answer.headers.get('content-encoding')).toBeNull();
  expect(await answer.text()).toBe(script);
  const none = await get('/assets/desk-2.js', 'br');
  expect([none.status, none.headers.get('cache-control')]).toEqual([404, null]);
});
