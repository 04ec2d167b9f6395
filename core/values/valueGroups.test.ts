import { describe, expect, test } from '@jest/globals';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import { amountIn, bindGroups, shownThrough } from './valueGroups.ts';

const groups: ValueGroups = {
  name: 'Colours',
  attribute: 'colour',
  groups: [
    { label: 'Red', values: ['RED', 'Crimson'], words: ['scarlet'] },
    { label: 'Blue', values: ['Navy'], words: ['blue', 'cold red'] },
    { label: 'Heavy', values: [], from: 300, to: 600 },
  ],
  rest: 'own',
};

describe('a value’s group', () => {
  const groupOf = (text: string) => bindGroups(groups)(text)?.label ?? null;
  test.each([
    ['red', 'Red'],
    [' Red ', 'Red'],
    ['crimson', 'Red'],
    ['Scarlet Lake', 'Red'],
    ['Light Blue', 'Blue'],
    ['navy', 'Blue'],
    // Listed comes before any rule, and all words of a rule must be there.
    ['Cold Red', 'Blue'],
    ['Cold', null],
    ['300 gsm', 'Heavy'],
    ['0.5 kg', 'Heavy'],
    ['600', null],
    ['Redwood', null],
  ])('%s: %s', (text, label) => expect(groupOf(text)).toBe(label));
});

test('what is in no group is shown as it is, together, or not', () => {
  const shown = (rest: ValueGroups['rest'], restLabel?: string) =>
    shownThrough({ ...groups, rest, ...(restLabel && { restLabel }) })('Teal');
  expect([shown('own'), shown('together'), shown('together', 'More'), shown('hidden')]).toEqual([
    'Teal',
    'Other',
    'More',
    null,
  ]);
});

test.each([
  ['6', 6],
  ['No. 6', 6],
  ['0,5 mm', 0.5],
  ['1/2 inch', 12.7],
  ['12.5', 12.5],
  ['-3', -3],
  ['10/0', null],
  ['A3', null],
  ['6B', null],
  ['large', null],
])('the amount in “%s”', (text, amount) => expect(amountIn(text)).toBe(amount));
