import { expect, test } from '@jest/globals';
import { allChosen, countChosen, isChosen, noneChosen, withChosen } from './chosenProducts.ts';

test('some are chosen one by one, and taken back', () => {
  const two = withChosen(withChosen(noneChosen, 'a', true), 'b', true);
  expect(countChosen(two, 10)).toBe(2);
  expect([isChosen(two, 'a'), isChosen(two, 'c')]).toEqual([true, false]);
  expect(countChosen(withChosen(two, 'a', false), 10)).toBe(1);
  expect(isChosen(withChosen(two, 'a', false), 'a')).toBe(false);
});

test('one taken out of all leaves the others chosen, and comes back', () => {
  const others = withChosen(allChosen, 'a', false);
  expect(countChosen(others, 1623)).toBe(1622);
  expect([isChosen(others, 'a'), isChosen(others, 'z')]).toEqual([false, true]);
  expect(countChosen(withChosen(others, 'a', true), 1623)).toBe(1623);
});

test('choosing twice is choosing once', () => {
  expect(countChosen(withChosen(withChosen(noneChosen, 'a', true), 'a', true), 10)).toBe(1);
  expect(countChosen(withChosen(withChosen(allChosen, 'a', false), 'a', false), 10)).toBe(9);
});
