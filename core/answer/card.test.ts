import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { cardOf } from './card.ts';

const shown = { searchable: true, weight: 1, onCard: true };
const setup: Setup = { ...initialSetup([]), attributes: { brand: shown, category: shown, size: shown, sku: shown } };
const record = {
  ...{ id: 'a1', familyId: 'a', sku: 'WU-1' },
  values: { title: 'Gouache', brand: 'Osier', category: ['Paint', 'Paint > Gouache', 'Sets'], size: ['5 ml', '14 ml'] },
};

test('a card’s lines have labels, and a path is said by its last level, once', () => {
  const { brand, details } = cardOf(record, { variants: 1, isInStock: true }, setup);
  expect(brand).toBe('Osier');
  expect(details).toEqual([
    { key: 'category', label: 'Category', value: 'Gouache, Sets' },
    { key: 'size', label: 'Size', value: '5 ml, 14 ml' },
    { key: 'sku', label: 'SKU', value: 'WU-1' },
  ]);
});

test('a short text is there where cards have it: the beginning of the description, up to the end of a word', () => {
  const pieces = [
    { piece: 'title' as const, on: true },
    { piece: 'text' as const, on: true },
  ];
  const { resultsPage } = setup;
  const withText: Setup = { ...setup, resultsPage: { ...resultsPage, card: { ...resultsPage.card, pieces } } };
  const textOf = (description: string, of = withText): string | undefined =>
    cardOf({ ...record, values: { ...record.values, description } }, { variants: 1, isInStock: true }, of).text;
  expect(textOf('Opaque  colour,\nmatt.')).toBe('Opaque colour, matt.');
  const long = textOf(`${'matt colour, '.repeat(20)}end`)!;
  expect(long).toMatch(/^matt colour, .*(matt|colour)…$/);
  expect(long.length).toBeLessThanOrEqual(141);
  expect(textOf('x'.repeat(500))!.length).toBeLessThanOrEqual(141);
  expect(textOf('')).toBeUndefined();
  expect(textOf('Opaque.', setup)).toBeUndefined();
});

test('how many ratings there are is there where cards tell it, and the product has any', () => {
  const { resultsPage, attributes } = setup;
  const rated: Setup = { ...setup, attributes: { ...attributes, rating: shown } };
  const telling: Setup = { ...rated, resultsPage: { ...resultsPage, card: { ...resultsPage.card, ratings: true } } };
  const ratingsOf = (values: object, of = telling): number | undefined =>
    cardOf({ ...record, values: { ...record.values, ...values } }, { variants: 1, isInStock: true }, of).ratings;
  expect(ratingsOf({ rating: 4.5, ratings: 29 })).toBe(29);
  expect(ratingsOf({ rating: 4.5, ratings: 29 }, rated)).toBeUndefined();
  for (const without of [
    { rating: 4.5 },
    { ratings: 29 },
    { rating: 4.5, ratings: 0 },
    { rating: 4.5, ratings: 'many' },
  ])
    expect(ratingsOf(without)).toBeUndefined();
});
