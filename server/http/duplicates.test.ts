import { expect, test } from '@jest/globals';
import type { Duplicate } from '../questions/duplicateQuestions.ts';
import { openTestShelf } from '../testing/openTestShelf.ts';

const catalog = `id,family,title,brand,hair,price,stock,units_sold
a1,a,Round brush,Osier,sable,4.00,3,20
a2,a,Round brush,Osier,sable,5.50,2,5
b1,b,Brush round,Osier,sable,4.20,0,1
c1,c,Round brush,Harrow,hog,3.00,9,2
`;

test('products that look the same are told with what one chooses by: price, stock, sales, variants, searches', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(catalog.replace('b1,b,Brush round,Osier,sable,4.20,0,', 'b1,b,Brush round,Osier,sable,4.20,1,'));
  await shelf.request('/desk/demand/log', {
    method: 'POST',
    body: ['round brush', 'round brush', 'easel']
      .map((search, at) =>
        JSON.stringify({ time: `2026-10-0${at + 1}T10:00:00Z`, session: `s${at}`, search, results: 2 }),
      )
      .join('\n'),
  });
  const { body } = await shelf.get('/desk/catalog/duplicates');
  const { groups, looked } = body as { looked: number; groups: { differs: string[]; products: Duplicate[] }[] };
  expect(looked).toBe(3);
  expect(groups).toHaveLength(1);
  expect(groups[0]!.products).toMatchObject([
    { id: 'a', variants: 2, lowest: 4, highest: 5.5, stock: 5, unitsSold: 25 },
    { id: 'b', variants: 1, lowest: 4.2, highest: 4.2, stock: 1, unitsSold: 1 },
  ]);
  expect(groups[0]!.products[0]!.foundBy).toEqual({ searches: 1, example: 'round brush' });
  shelf.remove();
});
