import { expect, test } from '@jest/globals';
import { cardPieces, usualCard } from './cardTerms.ts';
import { withAllOf } from './pieces.ts';

test('a card that was arranged before a piece came has it last, and off', () => {
  const before = usualCard.pieces.filter(({ piece }) => piece !== 'text');
  expect(withAllOf(cardPieces, before)).toEqual([...before, { piece: 'text', on: false }]);
  expect(withAllOf(cardPieces, usualCard.pieces).map(({ piece }) => piece)).toEqual([...cardPieces]);
});
