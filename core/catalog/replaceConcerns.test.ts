import { expect, test } from '@jest/globals';
import { type Replacement, replaceConcerns } from './replaceConcerns.ts';

const quiet: Replacement = {
  ...{ before: 100, gone: 3, compared: 97, pricesChanged: 4, shownGone: [], rows: 120, refused: 1 },
};
const codes = (change: Partial<Replacement>): string[] =>
  replaceConcerns({ ...quiet, ...change }).map(({ code }) => code);

test('an ordinary day is not asked about', () => expect(codes({})).toEqual([]));
test('one product shoppers find often is enough', () => {
  const [concern] = replaceConcerns({ ...quiet, shownGone: ['Round brush'] });
  expect(concern).toMatchObject({ code: 'shown-products-gone', examples: ['Round brush'] });
  expect(concern!.message).toContain('1 product on the first page of frequent searches is not');
});
test('a fifth of the variants gone, or with another price', () => {
  expect(codes({ gone: 20 })).toEqual([]);
  expect(codes({ gone: 21 })).toEqual(['many-gone']);
  expect(codes({ pricesChanged: 20 })).toEqual(['many-prices']);
});
test('rows that could not be read, where they are more than a few', () => {
  expect(codes({ rows: 10_000, refused: 200 })).toEqual([]);
  expect(codes({ rows: 9000, refused: 500 })).toEqual(['many-refused']);
  expect(codes({ rows: 3, refused: 9 })).toEqual([]);
});
