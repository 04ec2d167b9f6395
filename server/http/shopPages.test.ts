import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
const page = async (address: string) => (await shelf.get(address)) as { status: number; body: unknown };
const edit = (part: string, key: string, value: unknown): void =>
  void shelf.setups.edit([{ part, key, value } as never], shelf.setups.revision(), 'Ann', 1);

beforeAll(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterAll(() => shelf.remove());

test('a product’s page lists its variants as they stand, by what is published', async () => {
  const { status, body } = await page('/shop/product?id=a');
  expect(status).toBe(200);
  const detail = body as ProductDetail;
  expect(detail).toMatchObject({ title: 'Round brush', lowest: 4.5, highest: 5.5, available: true, currency: 'GBP' });
  expect(detail.variants.map(({ sku, price, available }) => [sku, price, available])).toEqual([
    ['WU-1A', 4.5, true],
    ['WU-1B', 5.5, false],
  ]);
});

test('a page stays where its product is hidden, and says so to search engines where wanted; what was never there has none', async () => {
  const unknown = { status: 404, body: { error: { code: 'unknown-product' } } };
  for (const id of ['nobody', 'constructor', '__proto__'])
    expect(await page(`/shop/product?id=${id}`)).toMatchObject(unknown);
  edit('hiding', 'product:b', { what: 'product', product: 'b', places: ['results', 'box'] });
  edit('hiding', 'product:c', { what: 'product', product: 'c', notIndexed: true });
  expect(await page('/desk/shop-product?id=b')).toMatchObject({ status: 200, body: { notIndexed: false } });
  expect(await page('/desk/shop-product?id=c')).toMatchObject({ status: 200, body: { notIndexed: true } });
  expect(await page('/desk/shop-product?id=c&from=release:live')).toMatchObject({ status: 200 });
  expect(await page('/shop/product?id=c')).toMatchObject({ status: 200, body: { notIndexed: false } });
});

test('an article has a page until it is left out', async () => {
  const file = '{"id":"how","title":"How to choose","text":"Begin with one.","link":"/journal/how"}\n';
  const sent = await shelf.request('/desk/content/import?kind=article', { method: 'POST', body: file });
  expect(sent.status).toBe(200);
  expect(await page('/shop/article?id=how')).toMatchObject({ status: 200, body: { text: 'Begin with one.' } });
  edit('content', 'leftOut:article:how', { what: 'leftOut', kind: 'article', id: 'how' });
  expect(await page('/desk/shop-article?id=how')).toMatchObject({ status: 404 });
  expect(await page('/shop/article?id=how')).toMatchObject({ status: 200 });
});

test('a description keeps its markup for showing, safe, and is searched as plain text', async () => {
  const own = openTestShelf();
  try {
    await own.bringIn(
      `id,title,description\np1,Brush,"<h1>Care</h1><p onclick=""x()"">Rinse&nbsp;it <b>well</b><script>x()</script></p>"\np2,Ink,Plain ink for drawing`,
    );
    const detailOf = async (id: string) => (await own.get(`/shop/product?id=${id}`)).body as ProductDetail;
    expect(await detailOf('p1')).toMatchObject({
      descriptionMarkup: expect.stringMatching(/^<h3>Care<\/h3><p>Rinse.it <b>well<\/b><\/p>$/),
      description: expect.not.stringMatching(/[<&]/),
    });
    expect(await detailOf('p2')).toMatchObject({ description: 'Plain ink for drawing', descriptionMarkup: null });
    for (const [query, total] of [
      ['rinse', 1],
      ['nbsp', 0],
      ['onclick', 0],
    ] as const)
      expect((await own.get(`/shop/search?q=${query}`)).body).toMatchObject({ total });
  } finally {
    own.remove();
  }
});
