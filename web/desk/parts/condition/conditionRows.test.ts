import { describe, expect, test } from '@jest/globals';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { aboutAnother, comparisonsFor, conditionOf, emptyGroup, emptyRow, rowsOf, testOf } from './conditionRows.ts';

const whole: Condition = {
  match: 'all',
  tests: [
    { how: 'is', attribute: 'brand', values: ['Osier', 'Harrow'] },
    { how: 'between', attribute: 'price', from: null, to: 5 },
    { how: 'reduced' },
    { how: 'notInCollection', collections: ['inks', 'pens'] },
    { match: 'any', tests: [{ how: 'lastDays', attribute: 'date_added', days: 30 }, { how: 'inStock' }] },
  ],
};

test('a condition laid out in rows says the same', () => expect(conditionOf(rowsOf(whole))).toEqual(whole));

describe('a row that is being built', () => {
  test.each([
    [{ attribute: '' }],
    [{ attribute: 'brand', values: [] }],
    [{ attribute: 'brand', how: 'contains' as const, text: '  ' }],
    [{ attribute: 'price', how: 'between' as const }],
    [{ how: 'inCollection' as const, collections: [] }],
    [{ attribute: 'price', how: 'between' as const, from: 'five' }],
    [{ attribute: 'date_added', how: 'before' as const, day: '2026-02-30' }],
    [{ attribute: 'date_added', how: 'lastDays' as const, days: '1.5' }],
  ])('says nothing yet: %j', (change) => expect(testOf({ ...emptyRow(), ...change })).toBeNull());
  test('keeps the whole condition from being used', () => {
    expect(conditionOf({ match: 'all', parts: [...rowsOf(whole).parts, emptyRow()] })).toBeNull();
    expect(conditionOf({ match: 'all', parts: [emptyGroup()] })).toBeNull();
    expect(conditionOf({ match: 'all', parts: [] })).toBeNull();
  });
  test('takes an amount as it is typed', () =>
    expect(testOf({ ...emptyRow(), attribute: 'price', how: 'between', from: '2,5' })).toEqual({
      ...{ how: 'between', attribute: 'price', from: 2.5, to: null },
    }));
  test('forgets what was said of another attribute', () => {
    const attributes = [{ key: 'price', label: 'Price', kind: 'price', canFilter: true, isNumeric: true }];
    const row = { ...emptyRow(), attribute: 'brand', values: ['Osier'] };
    expect(aboutAnother(row, 'price', attributes)).toMatchObject({ id: row.id, how: 'between', values: [] });
    expect(aboutAnother(row, 'inCollection', attributes)).toMatchObject({ how: 'inCollection', attribute: '' });
    expect(aboutAnother(row, 'soldOut', attributes)).toMatchObject({ how: 'soldOut', attribute: '' });
    expect(comparisonsFor({ kind: 'date', isNumeric: true })[0]).toBe('lastDays');
  });
});
