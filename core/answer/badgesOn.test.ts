import { expect, test } from '@jest/globals';
import type { Badge } from '../setup/parts/badges.ts';
import { recordsOf } from '../testing/randomCatalog.ts';
import { badgesOn } from './badgesOn.ts';

const [reduced, plain] = recordsOf([
  { id: 'a', title: 'Round brush', category: 'Brushes > Round', price: '7.60', former_price: '9.00', stock: '3' },
  { id: 'b', title: 'Ink', price: '4.00', former_price: '4.00' },
]);
const badge = (text: Badge['text']): Badge => ({
  ...{ key: 'k', on: true, condition: { match: 'all', tests: [{ how: 'inStock' }] }, text },
  ...{ place: 'left', colour: '#000000' },
});
const says = (record: typeof reduced, ...texts: string[]): string[] =>
  badgesOn(
    record!,
    texts.map((text) => badge({ en: text })),
    { language: 'en', most: 3 },
  ).map(({ text }) => text);

test('a badge says the saving in whole percent rounded down, amounts, and the last level of a path', () =>
  expect(says(reduced, '–{saving}', 'Last {stock}', '{category}')).toEqual(['–15%', 'Last 3', 'Round']));

test('a badge whose value the product has not, or which costs no less, is not there', () =>
  expect(says(plain, '–{saving}', 'Last {stock}', '{constructor}', 'Here')).toEqual(['Here']));

test('a card has no more badges than the setup lets, and none twice', () =>
  expect(says(plain, 'One', 'One', 'Two', 'Three', 'Four')).toEqual(['One', 'Two', 'Three']));

test('a badge is read in the shopper’s language, or in the first one it has', () => {
  const said = (language: 'de' | 'fr'): string[] =>
    badgesOn(plain!, [badge({ en: 'New', de: 'Neu' })], { language, most: 1 }).map(({ text }) => text);
  expect([said('de'), said('fr')]).toEqual([['Neu'], ['New']]);
});
