import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
const ended = { status: 410, body: { error: { code: 'preview-ended' } } };
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  await shelf.post('/desk/drafts/begin', { name: 'Winter', from: 'release:live' });
  await shelf.post('/desk/main/winter/edits', {
    revision: 1,
    edits: [{ part: 'hiding', key: 'product:b', value: { what: 'product', product: 'b', notIndexed: true } }],
  });
});
afterEach(() => shelf.remove());

const make = async (place = 'main/winter'): Promise<string> => {
  const { body } = await shelf.post(`/desk/${place}/previews/make`, { days: 1 });
  return (body as { token: string }).token;
};
const found = async (address: string): Promise<string[]> =>
  ((await shelf.get(`${address}?q=brush`)).body as { results: { familyId: string }[] }).results.map(
    ({ familyId }) => familyId,
  );

test('a link shows the shop under its draft, as it is then, and changes nothing for shoppers', async () => {
  const token = await make();
  expect(await found(`/preview/${token}/search`)).toEqual(['a']);
  expect(await found('/shop/search')).toEqual(['a', 'b']);
  expect(await shelf.get(`/preview/${token}/search?q=brush`)).toMatchObject({ body: { preview: { name: 'Winter' } } });
  expect(await shelf.get(`/preview/${token}/product?id=b`)).toMatchObject({ status: 200, body: { notIndexed: true } });
  expect(await shelf.get('/shop/product?id=b')).toMatchObject({ status: 200, body: { notIndexed: false } });
  expect(await shelf.get(`/preview/${token}/product?id=a`)).toMatchObject({ status: 200, body: { id: 'a' } });
  await shelf.post('/desk/main/winter/undo', { revision: 2 });
  expect(await found(`/preview/${token}/search`)).toEqual(['a', 'b']);
});

test('it opens nothing but the shop: no state, no edit, no other draft', async () => {
  const token = await make();
  for (const path of ['state', 'edits', 'releases', 'log/search', 'search/../../desk/state'])
    expect((await shelf.request(`/preview/${token}/${path}`)).status).toBeGreaterThanOrEqual(400);
  const refused = await shelf.get(`/preview/${token}/search?q=brush&from=draft:main`);
  expect(refused).toMatchObject({ status: 400 });
});

test('it ends when it says, when it is withdrawn, and with its draft', async () => {
  const [first, second] = [await make(), await make()];
  expect(first).not.toBe(second);
  expect(first.length).toBeGreaterThanOrEqual(32);
  expect((await shelf.get('/desk/main/winter/previews')).body).toMatchObject({
    previews: [{ token: second }, { token: first }],
  });
  // Another draft's desk neither lists nor withdraws it.
  expect((await shelf.get('/desk/main/main/previews')).body).toEqual({ previews: [] });
  await shelf.post('/desk/main/main/previews/withdraw', { token: first });
  expect((await shelf.get(`/preview/${first}/search`)).status).toBe(200);
  await shelf.post('/desk/main/winter/previews/withdraw', { token: first });
  expect(await shelf.get(`/preview/${first}/search`)).toMatchObject(ended);
  shelf.db.prepare('UPDATE preview SET ends_at = made_at').run();
  expect(await shelf.get(`/preview/${second}/search`)).toMatchObject(ended);
  const third = await make();
  await shelf.post('/desk/main/main/drafts/take-out', { draft: 'winter' });
  expect(await shelf.get(`/preview/${third}/search`)).toMatchObject(ended);
  expect(await shelf.get('/preview/-/search')).toMatchObject(ended);
  expect(await shelf.get(`/preview/${third.slice(0, -1)}/search`)).toMatchObject(ended);
});
