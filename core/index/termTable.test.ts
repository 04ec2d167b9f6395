import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { TermTable } from './termTable.ts';

test.each([1, 2, 3])('numbers terms as a map of strings does, seed %d', (seed) => {
  const random = seededRandom(seed);
  const letters = ['a', 'b', 'é', '色', 'z'];
  const table = new TermTable();
  const known = new Map<string, number>();
  const wrong: string[] = [];
  for (let turn = 0; turn < 20_000; turn++) {
    const word: string = Array.from({ length: 1 + Math.floor(random() * 7) }, () => pick(random, letters)).join('');
    if (!known.has(word)) known.set(word, known.size);
    const units = Uint16Array.from(`xx${word} y`, (letter) => letter.charCodeAt(0));
    const numbers = [table.numberOf(units, 2, 2 + word.length), table.numberOfText(word)];
    if (numbers.some((number) => number !== known.get(word))) wrong.push(word);
  }
  expect(wrong).toEqual([]);
  expect(table.size).toBe(known.size);
  expect(table.texts).toEqual([...known.keys()]);
});
