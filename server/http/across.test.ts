import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
let key: string;
const origin = 'https://shop.example';
const make = async (more: object = {}): Promise<string> => {
  const body = { name: 'Our shop', origins: ['https://SHOP.example/papers'], ...more };
  return ((await shelf.post('/desk/shop-keys/make', body)).body as { key: string }).key;
};
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  key = await make();
});
afterEach(() => shelf.remove());

async function ask(path: string, from: string | null = origin, init: RequestInit = {}) {
  const headers = { host: 'localhost:4180', ...(from && { origin: from, 'sec-fetch-site': 'cross-site' }) };
  const response = await shelf.request(path, { ...init, headers: { ...headers, ...init.headers } });
  const text = await response.text();
  return {
    status: response.status,
    code: text.startsWith('{"error"') ? (JSON.parse(text) as { error: { code: string } }).error.code : null,
    allowed: response.headers.get('access-control-allow-origin'),
    headers: response.headers,
    text,
  };
}
const search = () => `/shop/search?q=brush&key=${key}`;

describe('a page of another site', () => {
  test('finds what shoppers find, and sends nobody’s name', async () => {
    const found = await ask(search());
    expect([found.status, found.allowed]).toEqual([200, origin]);
    expect(JSON.parse(found.text)).toMatchObject({ total: 2 });
    expect(found.headers.get('access-control-allow-credentials')).toBeNull();
    expect(found.headers.get('vary')).toContain('Origin');
    expect(found.headers.get('cache-control')).toBe('no-cache');
    for (const path of ['suggest?q=br', 'product?id=a'])
      expect((await ask(`/shop/${path}&key=${key}`)).status).toBe(200);
  });
  test('is refused without a key, with another’s, and where the key is for other sites; it may read why', async () => {
    const refused = async (path: string, from?: string) => {
      const { status, code, allowed } = await ask(path, from);
      return [status, code, allowed];
    };
    expect(await refused('/shop/search?q=brush')).toEqual([403, 'key-needed', '*']);
    expect(await refused('/shop/search?q=brush&key=x')).toEqual([403, 'unknown-key', '*']);
    for (const other of ['http://shop.example', 'https://shop.example:8443', 'https://shop.example.org'])
      expect(await refused(search(), other)).toEqual([403, 'unknown-origin', '*']);
    expect(await refused(search(), 'null')).toEqual([403, 'unknown-origin', null]);
    await shelf.post('/desk/storefronts/make', { id: 'germany', name: 'Germany', from: 'main' });
    expect(await refused(`/shop/germany/search?q=brush&key=${key}`)).toEqual([403, 'unknown-key', '*']);
  });
  test('writes down what its shoppers do, after asking whether it may', async () => {
    const path = `/shop/log/search?key=${key}`;
    const before = await ask(path, origin, { method: 'OPTIONS' });
    expect([before.status, before.allowed, before.headers.get('access-control-allow-headers')]).toEqual([
      ...[204, origin, 'content-type'],
    ]);
    const body = JSON.stringify({ session: 's', search: 'brush', filters: {}, results: 2, inDesk: false });
    const json = { 'content-type': 'application/json' };
    expect((await ask(path, origin, { method: 'POST', body, headers: json })).status).toBe(200);
    expect((await ask(path, 'https://other.example', { method: 'POST', body, headers: json })).code).toBe(
      'unknown-origin',
    );
    expect((await ask('/shop/log/search', origin, { method: 'POST', body, headers: json })).code).toBe('key-needed');
  });
  test('never comes to the desk, whatever key it has', async () => {
    const json = { 'content-type': 'application/json' };
    const body = JSON.stringify({ revision: 1, edits: [] });
    const edit = await ask(`/desk/edits?key=${key}`, origin, { method: 'POST', body, headers: json });
    expect([edit.status, edit.code, edit.allowed]).toEqual([403, 'other-origin', null]);
    expect((await ask(`/desk/state?key=${key}`)).allowed).toBeNull();
    // Another port of this machine is another site.
    const near = await ask('/desk/edits', 'http://localhost:4190', { method: 'POST', body, headers: json });
    expect(near.code).toBe('other-origin');
  });
});

test('a key that is withdrawn ends with the next question, and may be taken back; so may a pause', async () => {
  const codeNow = async (): Promise<string | null> => (await ask(search())).code;
  await shelf.post('/desk/shop-keys/withdraw', { key, withdrawn: true });
  expect(await codeNow()).toBe('unknown-key');
  expect((await shelf.get('/desk/shop-keys')).body).toEqual({ keys: [], pausedAt: null });
  await shelf.post('/desk/shop-keys/withdraw', { key, withdrawn: false });
  expect(await codeNow()).toBeNull();
  await shelf.post('/desk/shop-keys/pause', { paused: true });
  expect(await codeNow()).toBe('paused');
  // The desk's own window goes on.
  expect((await ask('/shop/search?q=brush', null)).status).toBe(200);
  await shelf.post('/desk/shop-keys/pause', { paused: false });
  expect(await codeNow()).toBeNull();
});

test('a key says for which sites it is and for how many questions; more are refused until the minute is over', async () => {
  const was = { name: 'Our shop', origins: [origin] };
  const body = { key, name: 'Shop', origins: ['http://127.0.0.1:4190'], perMinute: 5 };
  await shelf.post('/desk/shop-keys/change', { ...body, was });
  expect((await ask(search())).code).toBe('unknown-origin');
  const statuses = [];
  for (let n = 0; n < 12; n++) statuses.push((await ask(search(), 'http://127.0.0.1:4190')).status);
  // The clock of these tests goes on by ten seconds with each.
  const aMinute = [200, 200, 200, 200, 200, 429];
  expect(statuses).toEqual([...aMinute, ...aMinute]);
  expect((await shelf.get('/desk/shop-keys')).body).toMatchObject({ keys: [{ ...body, who: 'Merchandiser' }] });
});

test.each([
  [{ origins: ['shop.example'] }],
  [{ origins: ['https://*.example'] }],
  [{ origins: [] }],
  [{ perMinute: 1 }],
  [{ name: ' ' }],
])('%j is refused', async (more) => {
  const { status } = await shelf.post('/desk/shop-keys/make', { name: 'x', origins: [origin], ...more });
  expect(status).toBe(400);
});

test('a program that is no page needs no origin, and its key counts all the same', async () => {
  expect((await ask(search(), null)).status).toBe(200);
  expect((await ask('/shop/search?q=brush&key=x', null)).code).toBe('unknown-key');
});

test('of two who change one key at once the second is told what it is now, and changes nothing', async () => {
  const rows = async () => ((await shelf.get('/desk/shop-keys')).body as { keys: { name: string }[] }).keys;
  const seen = (await rows())[0] as { name: string; origins: string[]; perMinute: number };
  const was = { name: seen.name, origins: seen.origins, perMinute: seen.perMinute };
  const change = (name: string, before = was) =>
    shelf.post('/desk/shop-keys/change', { key, ...was, name, was: before });
  expect((await change('First')).status).toBe(200);
  const second = await change('Second');
  expect(second).toMatchObject({ status: 409, body: { error: { code: 'changed-meanwhile' } } });
  expect((second.body as { error: { message: string } }).error.message).toContain('it is called “First”');
  expect((await rows())[0]!.name).toBe('First');
  expect((await change('Third', { ...was, name: 'First' })).status).toBe(200);
  await shelf.post('/desk/shop-keys/withdraw', { key, withdrawn: true });
});
