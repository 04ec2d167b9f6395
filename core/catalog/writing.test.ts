import { describe, expect, test } from '@jest/globals';
import { asMeant, markOf, readMarked } from './writing.ts';

describe('a number by its column’s decimal mark', () => {
  test.each([
    ['1.234', 'decimal-comma', 1234],
    ['1.234,5', 'decimal-comma', 1234.5],
    ['12.345.678', 'decimal-comma', 12_345_678],
    ['0,125', 'decimal-comma', 0.125],
    ['2,250', 'decimal-comma', 2.25],
    ['1 299,00 €', 'decimal-comma', 1299],
    ['-3,5', 'decimal-comma', -3.5],
    ['899', 'decimal-comma', 899],
    // A point that cannot part thousands is the decimals' own.
    ['12.50', 'decimal-comma', 12.5],
    ['1,234', 'decimal-point', 1234],
    ['1,234.5', 'decimal-point', 1234.5],
    ['1.250', 'decimal-point', 1.25],
    ['12,5', 'decimal-point', 12.5],
    ['1.234', undefined, 1.234],
    ['about 5', 'decimal-comma', null],
    ['5 kg', 'decimal-comma', null],
  ] as const)('%s with %s is %s', (text, writing, amount) => expect(readMarked(text, writing)).toBe(amount));
});

describe('a cell of digits that go on and on', () => {
  // Without a limit of length each of these took seconds.
  const endless = `${'1'.repeat(200_000)}a1`;
  test.each([undefined, 'decimal-comma', 'decimal-point', 'yes-no'] as const)('is no amount, written %s', (writing) => {
    expect(readMarked(endless, writing)).toBeNull();
    expect(asMeant(endless, writing, 'en')).toBe(endless);
  });
  test('says nothing of its column’s decimal mark', () => {
    expect(markOf(endless)).toBeNull();
  });
});

describe('what a column’s number tells of its decimal mark', () => {
  test.each([
    ['7,20', 'comma'],
    ['1.234,50', 'comma'],
    ['1.234.567', 'comma'],
    ['0,125', 'comma'],
    ['767,99 €', 'comma'],
    ['7.20', 'point'],
    ['1,234.50', 'point'],
    ['0.125', 'point'],
    ['1.2345', 'point'],
    ['1.234', 'pointGroups'],
    // Thousands, as they are read anyway.
    ['1,234', null],
    ['12', null],
    ['brush', null],
  ] as const)('%s: %s', (text, mark) => expect(markOf(text)).toBe(mark));
});

describe('an attribute’s value as its column means it', () => {
  test.each([
    ['J', 'yes-no', 'de', 'Ja'],
    ['0', 'yes-no', 'en', 'No'],
    ['x', 'yes-no', 'fr', 'Oui'],
    ['n', 'yes-no', 'es', 'No'],
    ['perhaps', 'yes-no', 'en', 'perhaps'],
    ['1.250 g', 'decimal-comma', 'de', '1250 g'],
    ['0,125', 'decimal-comma', 'de', '0.125'],
    // What is read rightly by itself stays as it is written.
    ['12,5 cm', 'decimal-comma', 'de', '12,5 cm'],
    ['30 x 40,125 cm', 'decimal-comma', 'de', '30 x 40,125 cm'],
    ['1.250 g', undefined, 'de', '1.250 g'],
  ] as const)('%s by %s in %s is %s', (text, writing, language, meant) =>
    expect(asMeant(text, writing, language)).toBe(meant),
  );
});
