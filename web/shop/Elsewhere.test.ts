import { expect, test } from '@jest/globals';
import { isWithinShop } from './Elsewhere.tsx';

const here = 'https://wren.example/shop/main?q=ink';
test.each([
  ['/pages/inks', true],
  ['/shop/main?collection=inks', true],
  ['/shop/main?q=ink', false],
  ['//elsewhere.example/x', false],
  ['/\\elsewhere.example', false],
  ['https://wren.example/pages/inks', false],
  ['mailto:shop@wren.example', false],
  ['', false],
])('only a page of the shop, and another one, opens by itself: %s', (link, expected) =>
  expect(isWithinShop(link, here)).toBe(expected),
);
