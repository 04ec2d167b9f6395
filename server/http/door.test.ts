import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const edit = () => ({
  revision: shelf.setups.revision(),
  edits: [{ part: 'relevance', key: 'closeCall', value: { width: 9 } }],
});
const asked = async (path: string, headers: Record<string, string>, body?: BodyInit) => {
  const init = body === undefined ? { headers } : { method: 'POST', headers, body };
  const response = await shelf.request(path, init);
  const text = await response.text();
  return { status: response.status, code: text.startsWith('{') ? JSON.parse(text).error?.code : text };
};
const json = { 'content-type': 'application/json' };

describe('another site', () => {
  test('whose name points here reads and writes nothing', async () => {
    for (const host of ['shop.example', 'localhost.example:4180', '127.0.0.1.example', '[::2]', 'a b', ''])
      for (const path of ['/desk/state', '/shop/search?q=brush', '/openapi.json'])
        expect([host, await asked(path, { host })]).toEqual([host, { status: 403, code: 'unknown-host' }]);
    const { status } = await asked('/desk/edits', { ...json, host: 'shop.example' }, JSON.stringify(edit()));
    expect(status).toBe(403);
    expect(shelf.setups.revision()).toBe(1);
  });
  test('that sends a change from its own page is refused, whatever it says of its origin', async () => {
    for (const origin of ['http://shop.example', 'null', 'not an origin', 'https://localhost.example'])
      expect(await asked('/desk/edits', { ...json, host: 'localhost:4180', origin }, JSON.stringify(edit()))).toEqual({
        status: 403,
        code: 'other-origin',
      });
    expect(shelf.setups.revision()).toBe(1);
  });
  test('and its forms, which need no permission of the browser, upload nothing', async () => {
    const headers = { 'content-type': 'text/plain', host: 'localhost', 'sec-fetch-site': 'cross-site' };
    expect((await asked('/desk/demand/log', headers, '{}')).status).toBe(403);
    expect((await asked('/desk/content/import?kind=article', headers, '{}')).status).toBe(403);
  });
  test('while our own pages, names that were allowed and other programs are served', async () => {
    for (const host of ['localhost:4180', '127.0.0.1:80', '[::1]:4180', 'desk.test'])
      expect((await asked('/desk/state', { host })).status).toBe(200);
    const headers = { ...json, host: 'localhost:4180', origin: 'http://localhost:4180' };
    expect((await asked('/desk/edits', headers, JSON.stringify(edit()))).status).toBe(200);
    expect((await asked('/desk/edits', json, JSON.stringify(edit()))).status).toBe(200);
  });
});

describe('a request that is none', () => {
  test('is refused with a code', async () => {
    expect(await asked('/desk/edits', json, '{"revision": 1,')).toEqual({ status: 400, code: 'malformed-body' });
    expect(await asked('/desk/edits', { 'content-type': 'text/xml' }, '<a/>')).toEqual({
      status: 415,
      code: 'wrong-content-type',
    });
    expect(await asked('/desk/undo', json, JSON.stringify({ revision: 1, more: 'x'.repeat(300_000) }))).toEqual({
      status: 413,
      code: 'too-large',
    });
    for (const [open, close] of [
      ['[', ']'],
      ['{"a":', '}'],
    ] as const) {
      const value = `${open.repeat(50_000)}1${close.repeat(50_000)}`;
      const body = `{"revision":1,"edits":[{"part":"plans","key":"a","value":${value}}]}`;
      expect(await asked('/desk/edits', json, body)).toEqual({ status: 400, code: 'too-deep' });
    }
    expect(await asked('/desk/nothing', json, '{}')).toEqual({ status: 404, code: 'not-found' });
    expect((await asked('/shop/search?q=%E0%A4%A', {})).status).toBeLessThan(500);
    expect((await asked('/desk/%E0%A4%A', {})).status).toBe(404);
  });
});

test('what is answered runs nothing from elsewhere and is not framed elsewhere', async () => {
  const { headers } = await shelf.request('/shop/search?q=brush');
  expect(headers.get('content-security-policy')).toContain("default-src 'self'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('x-frame-options')).toBe('SAMEORIGIN');
  expect(headers.get('referrer-policy')).toBe('same-origin');
});
