/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { basketOf, countOf, mostOfOne, withQuantity } from './basket.ts';

test('a basket counts what is in it; none of a variant takes it out', () => {
  const items = withQuantity(withQuantity({}, 'a', 2), 'b', 1);
  expect(countOf({ items })).toBe(3);
  expect(withQuantity(items, 'a', 0)).toEqual({ b: 1 });
});

test('a basket has no more of one than a shop would send', () =>
  expect(withQuantity({}, 'a', 5000)).toEqual({ a: mostOfOne }));

test('a product called like a part of every object is a product', () => {
  const basket = basketOf('main');
  basket.getState().add('constructor');
  expect(countOf(basket.getState())).toBe(1);
  expect(basketOf('main')).toBe(basket);
});
