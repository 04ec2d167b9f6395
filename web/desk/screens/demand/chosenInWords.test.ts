import { expect, test } from '@jest/globals';
import { chosenInWords } from './chosenInWords.ts';

const many = (kind: string, times: number, inBox = true) => ({ inBox, kind, times });

test('what shoppers chose is told by where it stood', () => {
  expect(chosenInWords([many('search', 2), many('product', 1)])).toBe(
    '2 suggested searches and 1 product under the search box',
  );
  expect(chosenInWords([many('search', 1), many('banner', 3, false)])).toBe(
    '1 suggested search under the search box, and 3 banners',
  );
  expect(chosenInWords([many('banner', 1, false)])).toBe('1 banner');
});
