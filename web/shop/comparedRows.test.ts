import { expect, test } from '@jest/globals';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { comparedRows } from './comparedRows.ts';

const product = (of: Partial<ProductDetail>): ProductDetail => ({
  ...{ id: 'a', title: 'A', brand: null, description: '', descriptionMarkup: null, picture: null, pictures: [] },
  ...{ link: null, currency: 'GBP', lowest: null, highest: null, available: true, details: [], notIndexed: false },
  ...{ path: [], pathFilter: null, options: [], companions: [], alternatives: [], variants: [] },
  ...of,
});
const variant = (details: ProductDetail['details']): ProductDetail['variants'][number] => ({
  ...{ id: 'v', sku: '', name: '', chosen: [], details, price: null, formerPrice: null, available: true, stock: null },
  ...{ picture: null, pictures: [] },
});
const written = {
  say: (key: string) => key,
  money: (amount: number) => `£${amount}`,
  list: (values: readonly string[]) => values.join(', '),
};
const rowsOf = (products: readonly ProductDetail[]) =>
  Object.fromEntries(comparedRows(products, written).map(({ label, values }) => [label, values]));

test('products are compared by what any of them has; a line is missing only where none has it', () => {
  const size = { key: 'size', label: 'Size' };
  const brush = product({
    ...{ lowest: 3, highest: 5, brand: 'Saltmarsh', details: [{ ...size, value: 'A4' }] },
    options: [{ key: 'constructor', label: 'Hair', values: ['Sable', 'Squirrel'] }],
  });
  const pad = product({
    ...{ available: false, lowest: 4, highest: 4 },
    variants: [variant([{ ...size, value: 'A3' }]), variant([{ ...size, value: 'A5' }]), variant([])],
  });
  expect(rowsOf([brush, pad])).toEqual({
    'compare.price': ['£3 – £5', '£4'],
    'compare.stock': ['product.inStock', 'card.soldOut'],
    'compare.brand': ['Saltmarsh', undefined],
    Hair: ['Sable, Squirrel', undefined],
    Size: ['A4', 'A3, A5'],
  });
  expect(Object.keys(rowsOf([product({})]))).toEqual(['compare.stock']);
});
