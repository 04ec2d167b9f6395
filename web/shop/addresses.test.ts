import { expect, test } from '@jest/globals';
import { addressOf, placeIn } from './addresses.ts';

test('a product or an article of any id has an address that leads to it', () => {
  for (const kind of ['product', 'article'] as const)
    for (const id of ['p0001', 'a/b', 'rød & blå', '100%', 'constructor'])
      expect(placeIn(addressOf(kind, id, '?q=x').split('?')[0]!)).toEqual({ kind, id });
});

test('what is neither, and an address that cannot be read', () => {
  for (const path of ['/', '/products/', '/articles']) expect(placeIn(path)).toBeNull();
  expect(placeIn('/products/%E0%A4%A')).toEqual({ kind: 'product', id: '%E0%A4%A' });
});
