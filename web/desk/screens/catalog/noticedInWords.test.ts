import { expect, test } from '@jest/globals';
import { noticedInWords } from './noticedInWords.ts';

const nothing = {
  ...{ dearer: 0, cheaper: 0, soldOut: 0, backInStock: 0, picturesGone: 0, picturesNew: 0, picturesOther: 0 },
};

test('what shoppers notice first is told in short sentences, and nothing where nothing is', () => {
  expect(noticedInWords({ ...nothing, dearer: 1200, cheaper: 3, picturesGone: 2 })).toBe(
    'Prices: 1,200 higher, 3 lower. Pictures: 2 gone.',
  );
  expect(noticedInWords({ ...nothing, soldOut: 1, backInStock: 4 })).toBe('Stock: 1 sold out, 4 in stock again.');
  expect(noticedInWords(nothing)).toBe('');
});
