import { expect, test } from '@jest/globals';
import { attributeAt, exactUpTo, placeAt, spotOf, standOf, wordsAt } from './spot.ts';

test('short values keep their length and place exactly; longer ones never seem longer than they are', () => {
  for (let words = 1; words <= 500; words++)
    for (const place of [0, 1, words >> 1, words - 1]) {
      const spot = spotOf(7, standOf(words, place));
      expect(attributeAt(spot)).toBe(7);
      if (words <= exactUpTo) expect([wordsAt(spot), placeAt(spot)]).toEqual([words, place]);
      expect(wordsAt(spot)).toBeLessThanOrEqual(words);
      expect(placeAt(spot)).toBeLessThanOrEqual(place);
      // Never less than half of what it is, up to where the steps end.
      if (words < 385 * 2) expect(wordsAt(spot) * 2).toBeGreaterThanOrEqual(words);
    }
});

test('the smaller of two standings is that in the shorter value, then the earlier', () => {
  expect(standOf(2, 1)).toBeLessThan(standOf(3, 0));
  expect(standOf(3, 0)).toBeLessThan(standOf(3, 2));
});
