import { describe, expect, test } from '@jest/globals';
import type { Joinable } from './families.ts';
import { proposeJoining } from './proposeJoining.ts';

type Row = readonly [id: string, sku: string, title: string, more?: Joinable['values'], named?: string];
const rows = (list: readonly Row[]): Joinable[] =>
  list.map(([id, sku, title, more, named = '']) => ({ id, sku, named, values: { title, ...more } }));
const best = (list: readonly Row[], options: readonly string[] = []) =>
  proposeJoining(rows(list), options, { column: 'Group' })[0]!;

const brushes: Row[] = [0, 1, 2, 3, 4, 5].map((at) => [
  `${at}`,
  '',
  `Round brush ${at >> 1}`,
  { brand: 'Larkspur', size: `${at % 2}`, price: 4 + at },
  `p${at >> 1}`,
]);

describe('a column that names the product', () => {
  test('is followed where what it joins is plausibly one product', () => {
    expect(best(brushes, ['size'])).toMatchObject({
      ...{ joining: { by: 'column' }, column: 'Group', families: 3, several: 3, largest: 2, alike: 1 },
    });
  });
  test.each<[string, (row: Row, at: number) => Row]>([
    ['of things with other titles', ([id, sku, , more, named], at) => [id, sku, `Thing${at}`, more, named]],
    [
      'of other brands',
      ([id, sku, title, more, named], at) => [id, sku, title, { ...more, brand: `Maker ${at}` }, named],
    ],
    [
      'of prices far apart',
      ([id, sku, title, more, named], at) => [id, sku, title, { ...more, price: 100 ** (at % 2) }, named],
    ],
    [
      'of things that differ in nearly everything',
      ([id, sku, title, more, named], at) => [
        id,
        sku,
        title,
        { ...more, year: `${at}`, weight: `${at}`, power: `${at}` },
        named,
      ],
    ],
  ])('is not followed where it is %s', (_, change) =>
    expect(best(brushes.map(change), ['size']).joining).not.toEqual({ by: 'column' }),
  );
  test('is followed all the same where the file’s make says so', () => {
    const unlike = brushes.map(([id, sku, , more, named]): Row => [id, sku, `Thing${id}`, more, named]);
    expect(proposeJoining(rows(unlike), [], { column: 'family', isSaid: true })[0]!.joining).toEqual({ by: 'column' });
  });
  test('is not followed where it joins more than any product has', () => {
    const kinds = Array.from({ length: 700 }, (_, at): Row => [`${at}`, '', 'Old game', {}, `kind ${at % 2}`]);
    const [first, ...others] = proposeJoining(rows(kinds), [], { column: 'Group' });
    expect(first!.joining).toEqual({ by: 'none' });
    expect(others.find(({ joining }) => joining.by === 'column')).toMatchObject({ largest: 350 });
  });
});

test('the largest, the least alike and a typical product are shown', () => {
  const list: Row[] = [
    ...brushes,
    ...[6, 7, 8].map((at): Row => [`${at}`, '', `Mop brush ${at}`, { brand: 'Larkspur' }, 'p9']),
    ['10', '', 'Ink', { brand: 'Osier' }, 'p10'],
    ['11', '', 'Easel', { brand: 'Osier' }, 'p10'],
  ];
  const { examples } = proposeJoining(rows(list), ['size'], { column: 'Group' }).find(
    ({ joining }) => joining.by === 'column',
  )!;
  expect(examples.map(({ which, variants }) => [which, variants])).toEqual([
    ['largest', 3],
    ['leastAlike', 2],
    ['typical', 2],
  ]);
  expect(examples[1]!.titles).toEqual(['Ink', 'Easel']);
});

test('a way that would join everything says nothing', () => {
  const alike = Array.from({ length: 60 }, (_, at): Row => [`${at}`, `WU-${at}`, 'Brush']);
  expect(best(alike).joining).toEqual({ by: 'none' });
});

test('things of one name that differ in nearly everything are not variants', () => {
  const cars: Row[] = [
    ['1', '', 'Larkspur Estate', { year: '1970', weight: '3500', power: '130' }],
    ['2', '', 'Larkspur Estate', { year: '1971', weight: '3300', power: '120' }],
    ['3', '', 'Osier Saloon', { year: '1970', weight: '2900', power: '90' }],
    ['4', '', 'Osier Saloon', { year: '1972', weight: '2800', power: '95' }],
  ];
  expect(best(cars).joining).toEqual({ by: 'none' });
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
