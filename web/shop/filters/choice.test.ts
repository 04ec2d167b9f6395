import { describe, expect, test } from '@jest/globals';
import type { FilterAnswer } from '../../../core/answer/answer.ts';
import { valueInWords } from '../../look/filterWords.ts';
import { english } from '../../look/texts.tsx';
import { chipInWords, chosenIn, withChoice, withNothing } from './choice.ts';

const filter = (to: Partial<FilterAnswer>): FilterAnswer => ({
  key: 'colour',
  label: 'Colour',
  kind: 'ticks',
  counts: true,
  showFirst: 8,
  isMoney: false,
  values: [],
  more: 0,
  ...to,
});
const value = (text: string, to = {}) => ({ value: text, label: text, count: 3, chosen: false, ...to });

describe('what a shopper has said', () => {
  const colour = filter({});
  test('is forgotten where it is taken back', () =>
    expect(withChoice({ colour: ['Red'], size: ['A4'] }, colour, [], [])).toEqual({ size: ['A4'] }));
  test('says so where what was preselected is taken off, and nothing where it is chosen again', () => {
    const before = filter({ preselected: ['Red'] });
    expect(withChoice({}, before, [], [])).toEqual({ colour: [] });
    expect(withChoice({ colour: [] }, before, ['Red'], [])).toEqual({});
    expect(withNothing([before, filter({ key: 'size' })])).toEqual({ colour: [] });
  });
  test('leaves out choices in filters that are no longer there', () =>
    expect(withChoice({ size: ['A4'] }, colour, ['Red'], ['size'])).toEqual({ colour: ['Red'] }));
});

test('what is chosen is what the shopper said, else what is preselected', () => {
  expect(chosenIn(filter({ preselected: ['Red'] }), {})).toEqual(['Red']);
  expect(chosenIn(filter({ preselected: ['Red'] }), { colour: [] })).toEqual([]);
  expect(chosenIn(filter({}), { colour: ['Blue', 'Red'] })).toEqual(['Blue', 'Red']);
  expect(chosenIn(filter({ kind: 'single' }), { colour: ['Blue', 'Red'] })).toEqual(['Blue']);
});

describe('in words', () => {
  const money = filter({ label: 'Price', kind: 'bands', isMoney: true });
  test.each([
    [{ from: null, to: 5 }, 'Under £5'],
    [{ from: 5, to: 12.5 }, '£5 to £12.50'],
    [{ from: 12.5, to: null }, '£12.50 and more'],
    [{ days: 30 }, 'Last 30 days'],
    [{ label: 'Bargains', from: null, to: 5 }, 'Bargains'],
  ])('%j is %s', (own, words) => expect(valueInWords(money, value('..', own))).toBe(words));
  test('a range’s chip says what it is a range of', () =>
    expect(
      chipInWords(filter({ ...money, kind: 'range', range: { least: 0, most: 9, chosen: '..5' } }), '..5', english),
    ).toBe('Price: Up to £5'));
  test('a level of a path is called by its last name', () =>
    expect(valueInWords(filter({ kind: 'tree' }), value('Paint > Oil', { label: 'Oil', depth: 1 }))).toBe('Oil'));
});
