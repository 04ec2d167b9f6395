import { expect, test } from '@jest/globals';
import { deepestLevels, lastLevel, levelsOf } from './levels.ts';

test('of a path and its levels only the whole path is said', () => {
  expect(deepestLevels([...levelsOf('Paint > Gouache'), 'Sets', 'Paint > Gouache'])).toEqual([
    'Paint > Gouache',
    'Sets',
  ]);
  expect(deepestLevels(['Paint', 'Painting'])).toEqual(['Paint', 'Painting']);
  expect(deepestLevels([])).toEqual([]);
});

test('the last level is what a card has room for', () => {
  expect(lastLevel('Paint > Gouache')).toBe('Gouache');
  expect(lastLevel('5 ml')).toBe('5 ml');
});
