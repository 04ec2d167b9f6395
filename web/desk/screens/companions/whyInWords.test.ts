import { expect, test } from '@jest/globals';
import { whyInWords } from './whyInWords.ts';

const called = (key: string): string => key.toUpperCase();

test('what shoppers took together is told with what chance would have', () => {
  const together = { is: 'together', both: 12, of: 80, byChance: 1.26, score: 40 } as const;
  expect(whyInWords(together, called)).toBe(
    'In 12 of 80 visits with this product shoppers took or opened it too; chance would have 1.3',
  );
  expect(whyInWords({ ...together, byChance: 0.02 }, called)).toContain('hardly one');
  expect(whyInWords({ ...together, byChance: 31.7, of: 1 }, called)).toContain('of 1 visit with');
  expect(whyInWords({ ...together, byChance: 31.7 }, called)).toContain('chance would have 32');
});

test('a kind is told by what it is called', () =>
  expect(whyInWords({ is: 'kind', kind: 'Tubes', both: 9, of: 30, byChance: 2, score: 12 }, called)).toBe(
    'In 9 of 30 visits with others of its kind (Tubes) shoppers took or opened it too; chance would have 2.0',
  ));

test('what the catalog says is told by words and values', () => {
  const catalog = {
    is: 'catalog',
    words: ['red', 'sable'],
    values: [{ key: 'hair', value: 'Sable' }],
    likeness: 0.5,
  } as const;
  const given = { ...catalog, words: [...catalog.words], values: [...catalog.values] };
  expect(whyInWords(given, called)).toBe('From the catalog: both say “red” and “sable” and HAIR is Sable of both');
  expect(whyInWords({ ...given, words: [], values: [] }, called)).toBe(
    'From the catalog: of the same kind, and near in price',
  );
});
