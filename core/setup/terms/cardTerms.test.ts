import { expect, test } from '@jest/globals';
import { cardPieces, usualCard, withAllPieces } from './cardTerms.ts';

test('a card that was arranged before a piece came has it last, and off', () => {
  const before = usualCard.pieces.filter(({ piece }) => piece !== 'text');
  expect(withAllPieces(before)).toEqual([...before, { piece: 'text', on: false }]);
  expect(withAllPieces(usualCard.pieces).map(({ piece }) => piece)).toEqual([...cardPieces]);
});
