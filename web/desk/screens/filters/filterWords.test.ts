import { describe, expect, test } from '@jest/globals';
import type { FilterProposalRow } from '../../../../api/filterEndpoints.ts';
import { filterKinds } from '../../../../core/setup/terms/filterTerms.ts';
import { kindNames, kindsFor, leavesInWords, reasonFor, warningInWords, whyNotShown } from './filterWords.ts';

describe('the kinds that fit an attribute', () => {
  test.each([
    [{ key: 'price', kind: 'price', isNumeric: true }, ['slider', 'range', 'bands']],
    [{ key: 'rating', kind: 'number', isNumeric: true }, ['rating', 'bands', 'slider', 'range']],
    [{ key: 'date_added', kind: 'date', isNumeric: true }, ['bands']],
  ])('%j', (attribute, kinds) => expect(kindsFor(attribute)).toEqual(kinds));
  test('a path may be a tree, a text may not', () => {
    expect(kindsFor({ key: 'category', kind: 'path', isNumeric: false })[0]).toBe('tree');
    expect(kindsFor({ key: 'brand', kind: 'text', isNumeric: false })).not.toContain('tree');
  });
  test('of an attribute that is gone all are left to choose from, each by a name', () => {
    expect(kindsFor(undefined)).toEqual(Object.keys(kindNames));
    expect(new Set(kindsFor(undefined))).toEqual(new Set(filterKinds));
  });
});

describe('what may be wrong with a source says what helps', () => {
  test.each([
    [{ what: 'gone' }, /no longer has “Hair”.*kept/],
    [{ what: 'groupsGone' }, /value groups/],
    [{ what: 'fewHaveIt', coverage: 0.02 }, /Only 2% of the records/],
    [{ what: 'fewHaveIt', coverage: 0.004 }, /Only less than 1% of the records/],
    [{ what: 'oneValue', value: 'sable' }, /“sable”: there is nothing to choose/],
    [{ what: 'manyValues', values: 4000 }, /4,000 values, too many to read/],
    [{ what: 'numbersAsText' }, /numbers kept as text/],
    [{ what: 'mixedUnits', units: ['mm', 'in'] }, /\(mm, in\)/],
  ] as const)('%j', (warning, expected) =>
    expect(
      warningInWords(warning.what === 'mixedUnits' ? { ...warning, units: [...warning.units] } : warning, 'Hair'),
    ).toMatch(expected),
  );
});

test.each([
  ['elsewhere', 'other places'],
  ['waiting', 'waits for another filter'],
  ['uniform', 'would not divide'],
  ['empty', 'nothing found has it'],
] as const)('why it is not shown: %s', (why, expected) => expect(whyNotShown(why)).toContain(expected));

describe('what speaks for a proposal', () => {
  const row = (change: Partial<FilterProposalRow>) =>
    ({ coverage: 1, values: 12, tried: 60, divides: 20, leaves: 0.255, ...change }) as FilterProposalRow;
  test('coverage, values, and what it does to the searches made most', () =>
    expect(reasonFor(row({}))).toBe(
      'Every record has it, in 12 values. Useful in 20 of the 60 most frequent searches; it narrows results to 26% on average.',
    ));
  test('searches that were made up from the catalog are called that', () =>
    expect(reasonFor(row({ areMadeUp: true }))).toContain(
      'Useful in 20 of the 60 searches made up from your catalog;',
    ));
  test('without a shopper log, what it does to the whole shop', () =>
    expect(reasonFor(row({ tried: 1, coverage: 0.5, values: 1 }))).toBe(
      '50% of the records have it, in 1 value. In the whole shop it narrows results to 26% on average.',
    ));
  test('amounts have no values to count', () =>
    expect(reasonFor(row({ values: 0 }))).toMatch(/^Every record has it\. Useful/));
  test('nothing to choose is said so', () => expect(leavesInWords(null)).toBe('there is nothing to choose'));
});
