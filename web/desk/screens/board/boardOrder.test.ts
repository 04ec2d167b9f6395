import { describe, expect, test } from '@jest/globals';
import { byAmount, chosenAfter, permuted, pinnedAsIn, putInOrder } from './boardOrder.ts';

const order = ['a', 'b', 'c', 'd', 'e'];

test('what is put at a place stands there in its order, from before it and from behind it', () => {
  expect(putInOrder(order, ['d'], 2).join('')).toBe('adbce');
  expect(putInOrder(order, ['e', 'a'], 3).join('')).toBe('bcead');
  expect(putInOrder(order, ['a'], 5).join('')).toBe('bcdea');
});

test('sorting some products gives them their own places in another order', () =>
  expect(permuted(order, ['e', 'b', 'c']).join('')).toBe('aebdc'));

test('amounts order products, and what has none stands last either way', () => {
  const amounts = new Map([
    ['a', 3],
    ['b', null],
    ['c', 7],
    ['d', 3],
  ]);
  expect(byAmount(['a', 'b', 'c', 'd'], amounts, 'high').join('')).toBe('cadb');
  expect(byAmount(['a', 'b', 'c', 'd'], amounts, 'low').join('')).toBe('adcb');
});

test('products pinned as they stand push on what is pinned there', () => {
  const pins = [{ product: 'x', place: 2 }];
  expect(pinnedAsIn(pins, ['a', 'b', 'c'], ['b', 'a'])).toEqual([
    { product: 'a', place: 1 },
    { product: 'b', place: 2 },
    { product: 'x', place: 3 },
  ]);
});

describe('a click chooses', () => {
  const chosen = (before: string, last: string | null, clicked: string, shift = false, toggle = false): string =>
    [...chosenAfter(order, new Set(before), last, clicked, { shift, toggle })].sort().join('');
  test.each([
    ['just the one', 'ab', 'b', 'd', false, false, 'd'],
    ['nothing where it was the only one', 'd', 'd', 'd', false, false, ''],
    ['one more', 'ab', 'b', 'd', false, true, 'abd'],
    ['one fewer', 'ab', 'b', 'a', false, true, 'b'],
    ['all up to it', 'b', 'b', 'd', true, false, 'bcd'],
    ['all back to it', 'd', 'd', 'b', true, false, 'bcd'],
    ['just it with shift where nothing was chosen', '', null, 'c', true, false, 'c'],
  ])('%s', (_, before, last, clicked, shift, toggle, expected) =>
    expect(chosen(before, last, clicked, shift, toggle)).toBe(expected),
  );
});
