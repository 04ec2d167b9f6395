import { expect, test } from '@jest/globals';
import { madeUpSearches } from './madeUpSearches.ts';

const counts: Readonly<Record<string, number>> = {
  brush: 40,
  sable: 12,
  round: 20,
  kolinsky: 1,
  easel: 6,
  oak: 3,
  the: 90,
};
const words = { records: 100, recordsWith: (token: string): number => counts[token] ?? 0 };
const made = (...titles: string[]): string[] => madeUpSearches(titles, words).map(({ search }) => search);

test('in turn a word that many products have, and two that tell most of what several are', () => {
  expect(made('Kolinsky sable round', 'Kolinsky sable round', 'The oak easel')).toEqual([
    'round',
    'sable round',
    'oak easel',
  ]);
});

test('what nearly all have, numbers and unknown words make none, and none comes twice', () => {
  expect(made('The 2024 sable', 'unknown words', 'Sable', 'Easel', 'Easel')).toEqual(['sable', 'easel']);
  expect(made()).toEqual([]);
});

test('where all words of a title are common, the least common is taken', () =>
  expect(made('The brush', 'The brush 2')).toEqual(['brush']));
