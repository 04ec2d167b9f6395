import { expect, test } from '@jest/globals';
import type { FilterSetting } from '../setup/parts/filters.ts';
import { choicesIn } from './shownValues.ts';

const setting = (change: Partial<FilterSetting>): FilterSetting => ({
  ...{ attribute: 'colour', label: 'Colour', kind: 'ticks', order: 1, counts: true, valueOrder: 'count' },
  ...change,
});
const groups = {
  g: {
    ...{ name: 'Colours', attribute: 'colour', rest: 'together' as const, restLabel: 'Others' },
    groups: [{ label: 'Red', values: ['scarlet', 'crimson'] }],
  },
};
const choices = (change: Partial<FilterSetting>, values: readonly string[] = [], isDate = false): string[] =>
  choicesIn(setting(change), groups, { values, isDate }).map(({ value }) => value);

test('shoppers choose from what a filter shows, not from what the catalog has', () => {
  expect(choices({}, ['scarlet', 'blue'])).toEqual(['scarlet', 'blue']);
  expect(choices({ groups: 'g' }, ['scarlet', 'Crimson', 'blue'])).toEqual(['Red', 'Others']);
  expect(choices({ groups: 'gone' }, ['scarlet'])).toEqual(['scarlet']);
  expect(choices({ kind: 'tree' }, ['Paint > Oil', 'Paint'])).toEqual(['Paint', 'Paint > Oil']);
  expect(choices({ prefix: 'for: ' }, ['for: ink', 'new'])).toEqual(['ink']);
  expect(choices({ kind: 'yesNo', yes: 'In stock' }, ['In stock', 'Sold out'])).toEqual(['In stock']);
});
test('amounts are chosen by their bands', () => {
  expect(choices({ kind: 'bands', thresholds: [5, 10] })).toEqual(['..5', '5..10', '10..']);
  expect(choices({ kind: 'bands' }, [], true)).toEqual(['30d', '90d', '365d']);
  expect(choices({ kind: 'rating' })).toEqual(['4', '3', '2', '1']);
  expect(choices({ kind: 'range' })).toEqual([]);
});
