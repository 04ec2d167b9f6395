import { describe, expect, test } from '@jest/globals';
import { count, counted, price } from '../look/price.ts';
import { freshSearch, readAddress, writeAddress } from './shopperSearch.ts';

describe('the shop’s address', () => {
  test('carries the search, the page and every chosen filter, and gives them back', () => {
    const search = {
      query: 'hot press & more',
      page: 3,
      filters: { colour: ['Red', 'Blue & green'], price: ['5..'] },
      collection: 'inks',
      sort: 'price-up',
      language: 'de',
      asWords: ['red', 'size 6'],
      exactly: true,
    };
    expect(readAddress(new URLSearchParams(writeAddress(search).toString()))).toEqual(search);
  });
  test('says no more than is chosen', () => expect(writeAddress(freshSearch).toString()).toBe(''));
  test('may name what every object has: it is read as any other filter', () =>
    expect(readAddress(new URLSearchParams('f.constructor=x&f.toString=')).filters).toEqual({
      constructor: ['x'],
      toString: [],
    }));
  test.each(['0', '-3', 'x', ''])('a page of "%s" is the first', (page) =>
    expect(readAddress(new URLSearchParams({ page })).page).toBe(1),
  );
});

test('amounts as shoppers read them', () => {
  expect([price(7.2), price(1234.5), count(12_345), counted(1, 'product'), counted(0, 'product')]).toEqual([
    '£7.20',
    '£1,234.50',
    '12,345',
    '1 product',
    '0 products',
  ]);
});
