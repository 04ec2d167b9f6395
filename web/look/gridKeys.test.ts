import { expect, test } from '@jest/globals';
import { placeAfterKey } from './gridKeys.ts';

test.each([
  ['ArrowLeft', 4, 3],
  ['ArrowLeft', 0, 0],
  ['ArrowRight', 9, 9],
  ['ArrowUp', 4, 1],
  ['ArrowUp', 1, 0],
  ['ArrowDown', 4, 7],
  ['Home', 4, 0],
  ['End', 4, 9],
  ['Tab', 4, null],
])('%s moves from %d to %d, with three beside each other', (key, at, to) =>
  expect(placeAfterKey(key, at, { columns: 3, count: 10 })).toBe(to),
);
