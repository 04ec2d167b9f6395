import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { cardOf } from './card.ts';

const shown = { searchable: true, weight: 1, onCard: true };
const setup: Setup = { ...initialSetup([]), attributes: { brand: shown, category: shown, size: shown, sku: shown } };
const record = {
  ...{ id: 'a1', familyId: 'a', sku: 'WU-1' },
  values: { title: 'Gouache', brand: 'Osier', category: ['Paint', 'Paint > Gouache', 'Sets'], size: ['5 ml', '14 ml'] },
};

test('a card’s lines have labels, and a path is said by its last level, once', () => {
  const { brand, details } = cardOf(record, { variants: 1, isInStock: true }, setup);
  expect(brand).toBe('Osier');
  expect(details).toEqual([
    { key: 'category', label: 'Category', value: 'Gouache, Sets' },
    { key: 'size', label: 'Size', value: '5 ml, 14 ml' },
    { key: 'sku', label: 'SKU', value: 'WU-1' },
  ]);
});
