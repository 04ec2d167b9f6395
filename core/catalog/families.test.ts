import { describe, expect, test } from '@jest/globals';
import { familyOf, type Joinable, skuStem, titleStem } from './families.ts';

const row = (change: Partial<Joinable>): Joinable => ({ id: 'r1', sku: '', named: '', values: {}, ...change });

describe('the family of a row', () => {
  test('is its own where nothing is joined, or where what joins says nothing', () => {
    expect(familyOf(row({ named: 'f' }), { by: 'none' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'column' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'sku', cut: 'group' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'title' }, [])).toBe('r1');
  });
  test('is what the column says', () => expect(familyOf(row({ named: 'f' }), { by: 'column' }, [])).toBe('f'));
  test('is what a column says even where the others are joined by titles or part numbers', () => {
    const named = row({ named: 'f', sku: 'WU-17-RED', values: { title: 'Ink' } });
    expect(familyOf(named, { by: 'title' }, [])).toBe('f');
    expect(familyOf(named, { by: 'sku', cut: 'group' }, [])).toBe('f');
  });
  test('is the part number without its end', () =>
    expect(familyOf(row({ sku: 'WU-17-RED' }), { by: 'sku', cut: 'group' }, [])).toBe('WU-17'));
  test('is the title without the options, of one brand', () => {
    const values = { title: 'Gouache 14 ml, Cobalt Blue', colour: 'Cobalt blue', size: '14 ml', brand: 'Östler' };
    expect(titleStem(values, ['colour', 'size'])).toBe('gouache / ostler');
    expect(familyOf(row({ values }), { by: 'title' }, ['colour', 'size'])).toBe('gouache / ostler');
  });
});

test.each([
  ['WU-17A', 'letters', 'WU-17'],
  ['WU-17AB2', 'letters', 'WU-17'],
  ['WU-17ABC', 'letters', 'WU-17ABC'],
  ['17', 'letters', '17'],
  ['WU-17-RED', 'group', 'WU-17'],
  ['WU/17.6', 'group', 'WU/17'],
  ['A-B', 'group', 'A-B'],
  ['WU-17-AVERYLONGENDING', 'group', 'WU-17-AVERYLONGENDING'],
] as const)('the stem of %s by %s is %s', (sku, cut, stem) => expect(skuStem(sku, cut)).toBe(stem));
