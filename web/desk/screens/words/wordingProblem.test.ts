import { expect, test } from '@jest/globals';
import { wordingProblem } from './wordingProblem.ts';

test.each([
  ['results.sort', 'Order', null],
  ['results.for', 'Found for {search}', null],
  ['results.for', 'Found for {query}', 'There is no {query} here; there is {search}.'],
  ['results.sort', 'Order {by}', 'There is no {by} here.'],
  ['results.sort', 'Order <b>by</b>', 'There is no mark <b> here.'],
  ['products', '{count, plural, one {one} other {#', 'It cannot be read: a brace or a mark is not closed.'],
] as const)('%s as “%s”: %s', (key, text, problem) => expect(wordingProblem(key, text)).toBe(problem));
