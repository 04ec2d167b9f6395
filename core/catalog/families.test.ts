import { describe, expect, test } from '@jest/globals';
import { familyOf, type Joinable, proposeJoining, skuStem, titleStem } from './families.ts';

const row = (change: Partial<Joinable>): Joinable => ({ id: 'r1', sku: '', named: '', values: {}, ...change });

describe('the family of a row', () => {
  test('is its own where nothing is joined, or where what joins says nothing', () => {
    expect(familyOf(row({ named: 'f' }), { by: 'none' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'column' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'sku', cut: 'group' }, [])).toBe('r1');
    expect(familyOf(row({}), { by: 'title' }, [])).toBe('r1');
  });
  test('is what the column says', () => expect(familyOf(row({ named: 'f' }), { by: 'column' }, [])).toBe('f'));
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

describe('what is proposed', () => {
  const rows = (list: readonly (readonly [id: string, sku: string, title: string, more?: object])[]): Joinable[] =>
    list.map(([id, sku, title, more]) => ({ id, sku, named: '', values: { title, ...more } }));
  test('a column that names the product comes first, whatever the rest says', () => {
    const named = rows([
      ['1', 'X-1', 'Round brush'],
      ['2', 'X-2', 'Ink'],
    ]).map((each) => ({ ...each, named: 'p' }));
    expect(proposeJoining(named, [])[0]).toMatchObject({ joining: { by: 'column' }, families: 1, several: 1 });
  });
  test('a way that would join everything says nothing', () => {
    const alike = rows(Array.from({ length: 60 }, (_, at) => [`${at}`, `WU-${at}`, 'Brush'] as const));
    expect(proposeJoining(alike, [])[0]!.joining).toEqual({ by: 'none' });
  });
  test('things of one name that differ in nearly everything are not variants', () => {
    const cars = rows([
      ['1', '', 'Larkspur Estate', { year: '1970', weight: '3500', power: '130' }],
      ['2', '', 'Larkspur Estate', { year: '1971', weight: '3300', power: '120' }],
      ['3', '', 'Osier Saloon', { year: '1970', weight: '2900', power: '90' }],
      ['4', '', 'Osier Saloon', { year: '1972', weight: '2800', power: '95' }],
    ]);
    expect(proposeJoining(cars, [])[0]!.joining).toEqual({ by: 'none' });
  });
  test('every way that was tried is reported, with what it would make', () => {
    const list = proposeJoining(
      rows([
        ['1', 'P1-A', 'Round brush'],
        ['2', 'P1-B', 'Round brush'],
        ['3', 'P2-A', 'Ink'],
      ]),
      [],
    );
    expect(list.map(({ joining }) => joining.by).sort()).toEqual(['none', 'sku', 'sku', 'title']);
    expect(list.every(({ records, reason }) => records === 3 && reason.endsWith('.'))).toBe(true);
  });
});
