import { expect, test } from '@jest/globals';
import { count, counted, price } from './price.ts';

test('amounts as shoppers read them', () => {
  expect([price(7.2), price(1234.5), count(12_345), counted(1, 'product'), counted(0, 'product')]).toEqual([
    '£7.20',
    '£1,234.50',
    '12,345',
    '1 product',
    '0 products',
  ]);
});
