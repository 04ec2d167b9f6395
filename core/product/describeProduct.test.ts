import { expect, test } from '@jest/globals';
import type { CatalogRecord } from '../catalog/record.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { describeProduct } from './describeProduct.ts';

const record = (id: string, values: CatalogRecord['values']): CatalogRecord => ({
  id,
  familyId: 'a',
  sku: `WU-${id}`,
  values: { title: 'Round brush', brand: 'Osier', description: 'Soft hair.', ...values },
});
const usual = initialSetup([]);
const setup: Setup = {
  ...usual,
  attributes: {
    brand: { searchable: true, weight: 5, onCard: true } as never,
    hair: { searchable: true, weight: 5, onCard: true } as never,
  },
  filters: { size: { attribute: 'size', label: 'Brush size', kind: 'list', order: 1 } as never },
};
const variants = [
  record('1', {
    category: ['Brushes', 'Brushes > Round'],
    size: '2',
    price: 4,
    former_price: 5,
    stock: 0,
    availability: 'Sold out',
  }),
  record('2', { hair: 'Sable', size: ['4', '6'], price: 7.5, former_price: 7, stock: 3, availability: 'In stock' }),
];

test('what variants share is reported once, and each by what it differs in', () => {
  expect(describeProduct('a', variants, setup)).toMatchObject({
    title: 'Round brush',
    brand: 'Osier',
    description: 'Soft hair.',
    lowest: 4,
    highest: 7.5,
    available: true,
    details: [{ key: 'hair', value: 'Sable' }],
    path: ['Brushes', 'Round'],
    options: [{ key: 'size', label: 'Brush size', values: ['2', '4, 6'] }],
    variants: [
      { name: '2', chosen: ['2'], price: 4, formerPrice: 5, available: false, stock: 0 },
      { name: '4, 6', chosen: ['4, 6'], price: 7.5, formerPrice: null, available: true, stock: 3 },
    ],
  });
});

test('a product with every variant sold out is sold out; one without a difference is told by its part number', () => {
  const [sold] = variants;
  expect(describeProduct('a', [sold!], setup)).toMatchObject({
    available: false,
    details: [{ label: 'Brush size', value: '2' }],
    variants: [{ name: 'WU-1' }],
  });
});

test('nothing is told of what shoppers meet nowhere, and nothing where there is no variant', () => {
  const [first] = variants;
  const quiet = { ...setup, attributes: {}, filters: {} };
  expect(describeProduct('a', [first!], quiet)).toMatchObject({ brand: null, details: [] });
  expect(describeProduct('a', [], setup)).toBeNull();
});
