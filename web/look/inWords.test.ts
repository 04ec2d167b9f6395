import { describe, expect, test } from '@jest/globals';
import type { FilterAnswer, FilterValue } from '../../core/answer/answer.ts';
import { amountIn, spanInWords, valueInWords } from './filterWords.ts';
import { count, counted, price } from './price.ts';
import { english } from './texts.tsx';

test('money and counts are written as shoppers read them', () => {
  expect(price(1234.5)).toBe('£1,234.50');
  expect(price(3, 'EUR')).toBe('€3.00');
  expect(count(1234567)).toBe('1,234,567');
  expect(counted(1, 'product')).toBe('1 product');
  expect(counted(0, 'product')).toBe('0 products');
  expect(counted(2, 'search', 'searches')).toBe('2 searches');
});

describe('amounts of a filter', () => {
  const money = { isMoney: true };
  const plain = { isMoney: false };
  test.each([
    [money, 20, '£20'],
    [money, 4.5, '£4.50'],
    [{ isMoney: true, currency: 'EUR' }, 4.5, '€4.50'],
    [plain, 1200, '1,200'],
    [plain, 0.3333, '0.33'],
  ])('%j %d is %s', (filter, amount, expected) => expect(amountIn(filter, amount)).toBe(expected));
  test.each([
    [5, 20, false, '£5 to £20'],
    [5, null, false, '£5 and more'],
    [null, 20, false, 'Up to £20'],
    [null, 20, true, 'Under £20'],
  ])('from %j to %j', (from, to, isBelow, expected) =>
    expect(spanInWords(money, from, to, english, isBelow)).toBe(expected),
  );
});

describe('a value of a filter', () => {
  const filter = (kind: FilterAnswer['kind'], isMoney = false) => ({ kind, isMoney }) as FilterAnswer;
  const value = (change: Partial<FilterValue>): FilterValue => ({
    value: 'x',
    label: 'x',
    count: 1,
    chosen: false,
    ...change,
  });
  test('is called as the merchandiser named it, before all else', () =>
    expect(valueInWords(filter('bands', true), value({ label: 'Cheap', to: 5 }))).toBe('Cheap'));
  test('of a tree is its own level', () =>
    expect(valueInWords(filter('tree'), value({ value: 'Brushes > Oil', label: 'Oil' }))).toBe('Oil'));
  test('of stars says from how many on', () => {
    expect(valueInWords(filter('rating'), value({ from: 4 }))).toBe('4 stars and more');
    expect(valueInWords(filter('rating'), value({ from: 80 }))).toBe('80 and more');
  });
  test('of days says how many', () => {
    expect(valueInWords(filter('bands'), value({ days: 30 }))).toBe('Last 30 days');
    expect(valueInWords(filter('bands'), value({ days: 1 }))).toBe('Last 1 day');
  });
  test('of amounts says from where to where', () =>
    expect(valueInWords(filter('bands', true), value({ from: 5, to: 10 }))).toBe('£5 to £10'));
});
