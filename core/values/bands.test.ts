import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import { bandsOf, equalThresholds, roundThresholds } from './bands.ts';

const setting = (to: Partial<FilterSetting>): FilterSetting => ({
  attribute: 'price',
  label: 'Price',
  kind: 'bands',
  order: 1,
  counts: true,
  valueOrder: 'count',
  ...to,
});

describe('what amounts are chosen by', () => {
  test('own ranges lie side by side: every amount is in one of them', () => {
    const bands = bandsOf(setting({ thresholds: [5, 10] }), false, 0);
    expect(bands.map(({ value }) => value)).toEqual(['..5', '5..10', '10..']);
    for (const amount of [-1, 0, 4.99, 5, 9.99, 10, 1e9])
      expect(bands.filter(({ holds }) => holds(amount))).toHaveLength(1);
    expect(bands.some(({ holds }) => holds(Number.NaN))).toBe(false);
  });
  test('ratings and ages lie inside each other', () => {
    const stars = bandsOf(setting({ kind: 'rating' }), false, 0);
    expect(stars.filter(({ holds }) => holds(3.5)).map(({ value }) => value)).toEqual(['3', '2', '1']);
    const ages = bandsOf(setting({ thresholds: [30, 90] }), true, 20_000);
    expect(ages.filter(({ holds }) => holds(19_950)).map(({ value }) => value)).toEqual(['90d']);
  });
  test('no thresholds, no ranges; other filters have none', () => {
    expect(bandsOf(setting({}), false, 0)).toEqual([]);
    expect(bandsOf(setting({ kind: 'slider', thresholds: [5] }), false, 0)).toEqual([]);
  });
});

test.each([
  [0, 100, 5, [20, 40, 60, 80]],
  [1.5, 33, 5, [10, 20, 30]],
  [0, 1, 4, [0.25, 0.5, 0.75]],
  [7, 7, 5, []],
])('round ends between %d and %d', (least, most, parts, ends) =>
  expect(roundThresholds(least, most, parts)).toEqual(ends),
);

test('ends of equal counts part amounts into about as many each, ascending, however they lie', () => {
  const random = seededRandom(4);
  for (let round = 0; round < 30; round++) {
    const amounts = Float64Array.from(
      { length: 400 },
      () => Math.round(random() ** (1 + (round % 4)) * 20_000) / 100,
    ).sort();
    const ends = equalThresholds(amounts, 5);
    expect(ends).toEqual([...new Set(ends)].sort((a, b) => a - b));
    const bands = bandsOf(setting({ thresholds: ends }), false, 0);
    for (const { holds } of bands) expect(amounts.filter(holds).length).toBeLessThanOrEqual(400 * 0.3);
  }
  expect(equalThresholds([], 5)).toEqual([]);
  expect(equalThresholds([3, 3, 3], 5)).toEqual([]);
});
