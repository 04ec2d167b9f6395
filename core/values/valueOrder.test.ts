import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { placesOf } from './valueOrder.ts';

const inOrder = (texts: string[], order: Parameters<typeof placesOf>[1], byHand?: string[]): string[] => {
  const places = placesOf(texts, order, byHand);
  return [...texts.keys()].sort((a, b) => places[a]! - places[b]!).map((at) => texts[at]!);
};

describe('natural order', () => {
  test.each([
    [['10', '2', '1'], '1 2 10'],
    // Brushes: the more noughts the finer, all of them finer than 0.
    [['2', '0', '10/0', '10', '3/0', '000'], '10/0 000 3/0 0 2 10'],
    [['A3', 'A10', 'A4', 'A5'], 'A10 A5 A4 A3'],
    [['XL', 'S', 'XXL', 'M', 'XS', 'L', '3XL'], 'XS S M L XL XXL 3XL'],
    [['Series 10', 'Series 2', 'series 1'], 'series 1 Series 2 Series 10'],
    [['A4', '10/0', '10', 'A3', '2'], '10/0 2 10 A4 A3'],
  ])('%j', (texts, expected) => expect(inOrder(texts, 'natural').join(' ')).toBe(expected));
});

test('by amount goes by the units, texts without an amount last', () =>
  expect(inOrder(['1 l', '500 ml', 'large', '0.75 l', '10 ml'], 'amount')).toEqual([
    '10 ml',
    '500 ml',
    '0.75 l',
    '1 l',
    'large',
  ]));
test('by name passes over case and accents', () =>
  expect(inOrder(['Zinc', 'élan', 'Eland', 'amber'], 'name')).toEqual(['amber', 'élan', 'Eland', 'Zinc']));
test('by hand first, the others naturally behind', () =>
  expect(inOrder(['10', '2', 'B', 'A'], 'hand', ['B', '10', 'gone'])).toEqual(['B', '10', '2', 'A']));

test('every order is one order: the same from however they come', () => {
  const random = seededRandom(5);
  const pieces = ['A4', 'a3', '10/0', '0', '00', '2', '10', 'x', 'XL', 'm', '0.5 mm', '5 cm', 'No. 6', 'Ä', 'a', ''];
  for (const order of ['name', 'natural', 'amount'] as const)
    for (let round = 0; round < 40; round++) {
      const texts = [
        ...new Set(Array.from({ length: 9 }, () => `${pick(random, pieces)} ${pick(random, pieces)}`.trim())),
      ];
      const shuffled = [...texts].sort(() => random() - 0.5);
      expect(inOrder(shuffled, order)).toEqual(inOrder(texts, order));
    }
});
