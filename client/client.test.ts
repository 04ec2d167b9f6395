import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { AnswerOf } from '../api/endpoint.ts';
import type { endpoints } from '../api/endpoints.ts';
import { clientTypes } from '../server/testing/clientTypes.ts';
import { openTestShelf, type TestShelf } from '../server/testing/openTestShelf.ts';
import { productPage } from './examples/productPage.ts';
import { resultsPage } from './examples/resultsPage.ts';
import { wholeShelf } from './examples/wholeShelf.ts';
import { isRefusal, openShop, type Product, type Results, type Shop } from './index.ts';

let shelf: TestShelf;
let shop: Shop;
beforeAll(async () => {
  shelf = openTestShelf();
  const rows = Array.from({ length: 7 }, (_, at) => `b${at},Brush <${at}>,${at + 1}.50,Osier,${at % 2}`);
  await shelf.bringIn(['id,title,price,brand,stock', ...rows, 'p1,Paper,9,Harrow,4'].join('\n'));
  const ask = async (address: unknown): Promise<Response> =>
    shelf.request(String(address).replace('https://desk.test', ''));
  shop = openShop({ server: 'https://desk.test/', storefront: 'main', fetch: ask as typeof fetch });
});
afterAll(() => shelf.remove());

/** What is written for programs is what is answered: either is as good as the other where this is compiled. */
const same = <Type>(is: Type): Type => is;
test('the types are those of the answers, and were written from today’s document', async () => {
  const results: Results = same<AnswerOf<(typeof endpoints)['shopSearch']>>(
    (await shop.search({ q: 'brush' })) as never,
  );
  const product: Product = same<AnswerOf<(typeof endpoints)['shopProduct']>>((await shop.product('p1')) as never);
  expect([results.total, product.title]).toEqual([7, 'Paper']);
  const { body } = await shelf.get('/openapi.json');
  // Else: npm run client-types
  expect(readFileSync(join(import.meta.dirname, 'answers.ts'), 'utf8')).toBe(await clientTypes(body));
});

test('a server’s own results page: filters as links, and what the catalog says stays text', async () => {
  const page = await resultsPage(shop, new URLSearchParams('q=brush&f.brand=Osier&page=1'));
  expect(page).toContain('<h1>7 products for brush</h1>');
  expect(page).toContain('Brush &lt;0&gt;</a> £1.50');
  expect(page).not.toContain('<0>');
  expect(page).toMatch(/href="\?q=brush&amp;f\.brand=Osier/);
});

test('everything that a search finds, page by page', async () => {
  const rows = (await wholeShelf(shop, 'brush', 3)).trim().split('\n');
  expect(rows).toHaveLength(8);
  expect(rows.slice(1).map((row) => row.split(',')[0])).toEqual(['1', '2', '3', '4', '5', '6', '7']);
});

test('a product with what it costs, and a page for one that is not there', async () => {
  expect((await productPage(shop, 'p1')).lines.slice(0, 3)).toEqual(['Paper', 'from 9.00 GBP', 'in stock']);
  expect((await productPage(shop, 'gone')).status).toBe(404);
});

test('suggestions, what stands beside, and a refusal that says what it is about', async () => {
  expect(JSON.stringify(await shop.suggest({ q: 'pap' }))).toContain('Paper');
  expect((await shop.beside(['p1'], 'basket')).things.map(({ title }) => title)).toEqual(['Paper']);
  const refused = await shop.search({ q: 'x'.repeat(600) }).catch((error: unknown) => error);
  expect(isRefusal(refused) && refused.code).toBeTruthy();
});
