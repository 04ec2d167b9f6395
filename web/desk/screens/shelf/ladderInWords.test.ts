import { expect, test } from '@jest/globals';
import { rescuedInWords, stepChange } from './ladderInWords.ts';

const step = (searches: number, times: number, clicked: number) => ({ searches, times, clicked });

test.each([
  ['words', step(2, 7, 0), 'Helps 2 searches, made 7 times; none led to a click.'],
  ['meaning', step(1, 1, 1), 'Helps 1 search, made 1 time; 1 click followed.'],
  ['filters', undefined, 'Helps none of the searches made most.'],
  ['wholeShop', step(1, 1, 1), 'The log does not say on which page a search was made.'],
] as const)('%s that did %j', (rung, did, said) => expect(rescuedInWords(rung, did)).toBe(said));

test('what a draft changes is told against what is live', () => {
  expect(stepChange(step(1, 9, 0), step(1, 4, 0))).toBe('5 times more than live.');
  expect(stepChange(undefined, step(1, 1, 0))).toBe('1 time fewer than live.');
  expect(stepChange(step(1, 4, 0), step(3, 4, 2))).toBe('');
});
