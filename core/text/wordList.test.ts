import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { openWordList, packWordList } from './wordList.ts';

const random = seededRandom(7);
const letters = 'abcdefghijklmnopqrstuvwxyz';
const madeUp = (): string =>
  Array.from({ length: 4 + Math.floor(random() * 8) }, () => letters[Math.floor(random() * 26)]).join('');

test('every word it was made of is known, and few others are', () => {
  const words = Array.from({ length: 20_000 }, madeUp);
  const isWord = openWordList(packWordList(words));
  expect(words.filter((word) => !isWord(word))).toEqual([]);
  const held = new Set(words);
  const others = Array.from({ length: 20_000 }, madeUp).filter((word) => !held.has(word));
  expect(others.filter(isWord).length / others.length).toBeLessThan(0.02);
});

test('words are known as searches write them', () => {
  const isWord = openWordList(packWordList(['Éclair', 'coup de main', 'Straße']));
  expect(['eclair', 'coup', 'strasse', 'main'].map(isWord)).toEqual([true, false, true, false]);
});
