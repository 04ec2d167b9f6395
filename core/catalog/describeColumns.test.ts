import { describe, expect, test } from '@jest/globals';
import { type ColumnFacts, columnDescriber } from './describeColumns.ts';

function factsOf(cells: readonly (string | readonly string[])[]): ColumnFacts {
  const describer = columnDescriber();
  for (const cell of cells) describer.add({ column: cell });
  return describer.finish(['column'])[0]!;
}

describe('what a column holds', () => {
  test('how many cells are filled, and with how many different texts', () =>
    expect(factsOf(['red', 'blue', '', 'red', '  '])).toMatchObject({ filled: 0.6, cells: 3, different: 2 }));
  test('a column nobody filled says nothing', () =>
    expect(factsOf(['', ''])).toMatchObject({
      filled: 0,
      cells: 0,
      different: 0,
      numeric: 0,
      samples: [],
      unit: null,
    }));
  test('a column that no row has is there all the same', () =>
    expect(columnDescriber().finish(['missing'])[0]).toMatchObject({ column: 'missing', cells: 0 }));
  test('the first five different texts are samples, long ones cut', () => {
    const facts = factsOf(['a', 'a', 'b', 'c', 'd', 'x'.repeat(500), 'f']);
    expect(facts.samples.slice(0, 4)).toEqual(['a', 'b', 'c', 'd']);
    expect(facts.samples).toHaveLength(5);
    expect(facts.samples[4]).toHaveLength(120);
  });
  test.each<[string, readonly string[], Partial<ColumnFacts>]>([
    ['amounts', ['3', '4,50', '£1,200.00', 'many'], { numeric: 0.75 }],
    ['dates', ['2024-08-30', '30.08.2024', 'soon', ''], { dates: 2 / 3 }],
    ['links and pictures', ['https://shop.example/a', '/b.png', 'c.jpg'], { links: 2 / 3, pictures: 2 / 3 }],
    ['codes', ['WU-2041B', 'KX9', 'brush'], { codes: 2 / 3 }],
    ['yes and no', ['ja', 'Nein', 'true', '0', 'perhaps'], { yesNo: 0.8 }],
  ])('%s are counted as shares of what is filled', (_, cells, facts) => {
    const found = factsOf(cells) as unknown as Record<string, number>;
    for (const [name, share] of Object.entries(facts)) expect(found[name]).toBeCloseTo(share as number, 9);
  });
  test('how long the texts are', () =>
    expect(factsOf(['round brush', 'ink'])).toMatchObject({ averageLength: 7, averageWords: 1.5 }));
});

describe('separators', () => {
  test('stand between two values, not at an end, and not in a link', () => {
    const { separators } = factsOf(['a|b', '|c', 'd|', 'https://shop.example/x']);
    expect(separators).toEqual({ '|': 0.25 });
  });
  test('of a path are reported too', () =>
    expect(factsOf(['Paint > Oil', 'Paint > Ink']).separators).toEqual({ '>': 1 }));
  test('a list is one that is separated already', () => expect(factsOf([['a', 'b']]).separators).toEqual({ '|': 1 }));
});

describe('units behind numbers', () => {
  test('the commonest is reported as it is written', () =>
    expect(factsOf(['300 gsm', '190 gsm', '90 g', 'heavy']).unit).toEqual({ spelling: 'gsm', share: 0.5 }));
  test('words behind numbers are no units', () => expect(factsOf(['3 brushes', '4 brushes']).unit).toBeNull());
});
