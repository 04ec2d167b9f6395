import { expect, test } from '@jest/globals';
import { movedInWords } from './movedInWords.ts';

const moved = { looked: 50, areMadeUp: false, changed: 18, up: 12, down: 0, places: 3.42 };

test.each([
  [moved, false, 'It moves 12 products up, 3.4 places on average, in 18 of the 50 searches made most.'],
  [
    { ...moved, up: 0, down: 1, places: 1 },
    false,
    'It moves 1 product down, 1.0 place on average, in 18 of the 50 searches made most.',
  ],
  [{ ...moved, down: 2, places: 0 }, false, 'It moves 12 products up and 2 down, in 18 of the 50 searches made most.'],
  [{ ...moved, areMadeUp: true, changed: 0 }, false, 'It moves nothing in the 50 searches made up from the catalog.'],
  [{ ...moved, looked: 1, changed: 1 }, true, 'It moves 12 products up, 3.4 places on average, in its search.'],
  [
    { ...moved, looked: 3, changed: 2 },
    true,
    'It moves 12 products up, 3.4 places on average, in 2 of its 3 searches.',
  ],
])('%j', (effect, isOfPlan, text) => expect(movedInWords(effect, isOfPlan)).toBe(text));
