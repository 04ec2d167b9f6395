import { expect, test } from '@jest/globals';
import type { BoxAnswer } from './boxAnswer.ts';
import { lettersNeeded } from './lettersNeeded.ts';

const offers = (suggestions: readonly string[], products: readonly string[] = []): BoxAnswer =>
  ({
    blocks: [
      { kind: 'suggestions', items: suggestions.map((text) => ({ text })) },
      { kind: 'products', items: products.map((familyId) => ({ familyId })) },
    ],
  }) as unknown as BoxAnswer;

test('letters are counted until the search, or what is bought after it, is in the box', () => {
  const asked: string[] = [];
  const ask = (typed: string): BoxAnswer => {
    asked.push(typed);
    if (typed === 'bru') return offers(['Brushes', 'BRUSH set']);
    return typed === 'inkwe' ? offers([], ['p1']) : offers(['other']);
  };
  const sought = [
    { search: 'brush set', searches: 3, product: null },
    { search: 'inkwell', searches: 1, product: 'p1' },
    { search: 'easel', searches: 4, product: 'p9' },
  ];
  expect(lettersNeeded(ask, sought, 2)).toEqual({
    ...{ looked: 3, sooner: 2 },
    letters: (3 * 3 + 5 + 4 * 5) / 8,
    ofLetters: (9 * 3 + 7 + 4 * 5) / 8,
  });
  expect(asked.slice(0, 2)).toEqual(['br', 'bru']);
});

test('a search shorter than what is typed before anything is suggested is typed to its end', () => {
  expect(lettersNeeded(() => offers(['a4']), [{ search: 'a4', searches: 2, product: null }], 3)).toEqual({
    ...{ looked: 1, sooner: 0, letters: 2, ofLetters: 2 },
  });
  expect(lettersNeeded(() => offers([]), [], 2)).toEqual({ looked: 0, sooner: 0, letters: 0, ofLetters: 0 });
});
