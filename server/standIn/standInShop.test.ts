import { resolve } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { standInKeys } from './standInKeys.ts';
import { standInPages } from './standInShop.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const folder = resolve('demo/shop');
const services = () => ({ db: shelf.db, storefronts: shelf.storefronts, writer: shelf.writer, now: () => 1 });

test('its pages show the search by a key made for their origin, which follows them to another port', async () => {
  const begunWith = ['main'];
  const keyOf = await standInKeys(services(), { origin: 'http://127.0.0.1:4190', begunWith });
  const key = keyOf!('main')!;
  const pages = standInPages({ folder, server: 'http://127.0.0.1:4180', keyOf: keyOf! });
  const page = await pages.request('/papers.html');
  const html = await page.text();
  expect(html).toContain(`shop-key="${key}"`);
  expect(html).toContain('src="http://127.0.0.1:4180/embed/clever-shelf.js"');
  expect(html).not.toMatch(/__[A-Z]+(_\w+)?__/);
  expect(page.headers.get('content-security-policy')).toContain("default-src 'none'");
  expect((await pages.request('/de/')).status).toBe(200);

  const later = await standInKeys(services(), { origin: 'http://127.0.0.1:5000', begunWith: [] });
  expect(later!('main')).toBe(key);
  expect((await shelf.get('/desk/shop-keys')).body).toMatchObject({ keys: [{ origins: ['http://127.0.0.1:5000'] }] });
});

test('a folder that began with another catalog, or whose key was withdrawn, has no such shop', async () => {
  const at = { origin: 'http://127.0.0.1:4190', begunWith: [] };
  expect(await standInKeys(services(), at)).toBeNull();
  const keyOf = await standInKeys(services(), { ...at, begunWith: ['main'] });
  await shelf.post('/desk/shop-keys/withdraw', { key: keyOf!('main'), withdrawn: true });
  expect(keyOf!('main')).toBeNull();
  expect(await standInKeys(services(), at)).toBeNull();
});

test('nothing outside its folder is served', async () => {
  const pages = standInPages({ folder, server: 'http://127.0.0.1:4180', keyOf: () => null });
  for (const path of ['/../generate.ts', '/%2e%2e/generate.ts', '/..%2f..%2fpackage.json', '/none.html', '/%E0%A4%A'])
    expect([path, (await pages.request(path)).status]).toEqual([path, 404]);
});
