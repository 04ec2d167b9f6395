import { expect, test } from '@jest/globals';
import { movedTo } from './movedTo.ts';

test('what is moved stands at its new place, and the others close up', () => {
  expect(movedTo(['a', 'b', 'c', 'd'], 3, 1)).toEqual(['a', 'd', 'b', 'c']);
  expect(movedTo(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
  expect(movedTo(['a', 'b'], 1, 1)).toEqual(['a', 'b']);
});
