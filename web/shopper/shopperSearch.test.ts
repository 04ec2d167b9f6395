import { describe, expect, test } from '@jest/globals';
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
      show: '' as const,
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
