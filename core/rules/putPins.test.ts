import { expect, test } from '@jest/globals';
import { most } from '../setup/terms/limits.ts';
import { putPins } from './putPins.ts';

const pins = [
  { product: 'a', place: 1 },
  { product: 'b', place: 2 },
  { product: 'c', place: 6 },
];
const told = (given: ReturnType<typeof putPins>): string =>
  given.map(({ product, place }) => product + place).join(' ');

test('what is put at a place that is taken pushes on what stands there, and nothing that need not move', () => {
  expect(told(putPins(pins, ['d'], 1))).toBe('d1 a2 b3 c6');
  expect(told(putPins(pins, ['d'], 3))).toBe('a1 b2 d3 c6');
  expect(told(putPins(pins, ['d', 'e'], 2))).toBe('a1 d2 e3 b4 c6');
});
test('what is pinned already is moved, and its place stays free', () => {
  expect(told(putPins(pins, ['a'], 2))).toBe('a2 b3 c6');
  expect(told(putPins(pins, ['c', 'a', 'c'], 1))).toBe('c1 a2 b3');
});
test('nothing is pinned beyond the last place', () => {
  const last = [{ product: 'z', place: most.place }];
  expect(putPins(last, ['d'], most.place)).toEqual([{ product: 'd', place: most.place }]);
});
