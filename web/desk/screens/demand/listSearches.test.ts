import { expect, test } from '@jest/globals';
import { listSearches, type SearchMade, type SearchOrder } from './listSearches.ts';

const made = (search: string, searches: number, foundNothing: number, clicked: number): SearchMade => {
  return { search, searches, foundNothing, clicked, clickPlace: null };
};
const all = [
  made('sketchbook', 90, 0, 40),
  made('blue ink', 40, 2, 4),
  made('aquarelle', 9, 9, 0),
  made('ink', 3, 0, 0),
];
const names = (contains: string, order: SearchOrder) => listSearches(all, contains, order).map(({ search }) => search);

test('a text is looked for anywhere in a search, and the most frequent come first', () => {
  expect(names('', 'often')).toEqual(['sketchbook', 'blue ink', 'aquarelle', 'ink']);
  expect(names(' INK', 'often')).toEqual(['blue ink', 'ink']);
  expect(names('easel', 'often')).toEqual([]);
});

test('dead ends are listed alone; what is made seldom does not count as ignored', () => {
  expect(names('', 'nothing')).toEqual(['aquarelle', 'blue ink']);
  expect(names('', 'ignored')).toEqual(['aquarelle', 'blue ink', 'sketchbook', 'ink']);
  expect(names('', 'words')).toEqual(['aquarelle', 'blue ink', 'ink', 'sketchbook']);
});
