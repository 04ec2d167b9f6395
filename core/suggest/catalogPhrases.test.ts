import { expect, test } from '@jest/globals';
import { catalogPhrases } from './catalogPhrases.ts';
import { logPhrases } from './logPhrases.ts';

const empty = new Set(['for', 'with', 'the']);
const from = (titles: readonly string[], values: { text: string; products: number }[] = []) =>
  new Map(catalogPhrases({ titles, values }, empty).map(({ text, products }) => [text, products]));

test('a catalog suggests words, pairs and triples of its titles, as they are written', () => {
  const found = from([
    'Cold press watercolour paper, 300 gsm',
    'Cold press watercolour pad',
    'Cold press watercolour block (A4)',
    'Café pencil for the studio',
    'Café pencil',
  ]);
  expect(found.get('watercolour')).toBe(3);
  expect(found.get('cold press watercolour')).toBe(3);
  expect(found.get('café')).toBe(2);
  // Pairs that stand within the triple only say less than it does.
  expect(found.has('press watercolour')).toBe(false);
  // Twice is not often enough for a pair; and no run goes over a sign, or ends with an empty word or a number.
  for (const text of ['café pencil', 'paper 300', 'pencil for', 'for']) expect(found.has(text)).toBe(false);
});

test('values that products share are suggested too, nothing that may be somebody’s', () => {
  const found = from(
    [],
    [
      { text: 'Tallow & Reed', products: 12 },
      { text: 'studio@example.org', products: 3 },
      { text: 'constructor', products: 2 },
      { text: 'Gone', products: 0 },
    ],
  );
  expect([...found.keys()].sort()).toEqual(['Tallow & Reed', 'constructor']);
});

test('of a log what several shoppers made is suggested, what they bought from first', () => {
  const made = (search: string, faded: number, sessions = 5, bought = 0) => ({
    ...{ search, searches: 10, sessions, fadedSearches: faded, fadedClicks: 0, fadedPurchases: bought },
  });
  const phrases = logPhrases([
    made('old  favourite', 0.5),
    made('sold from', 1, 5, 3),
    made('only me', 9, 1),
    made('ada@example.org', 9),
    made('order 99887766', 9),
  ]).sort((a, b) => b.weight - a.weight);
  expect(phrases.map(({ text }) => text)).toEqual(['sold from', 'old favourite']);
});
