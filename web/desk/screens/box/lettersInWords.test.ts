import { expect, test } from '@jest/globals';
import { lettersInWords } from './lettersInWords.ts';

const needed = (letters: number) => ({ looked: 60, sooner: 52, letters, ofLetters: 11.26 });

test('says after how many letters, and by how much sooner or later than what is published', () => {
  expect(lettersInWords(needed(4.12), needed(5.31))).toMatch(/^Of the 60 searches made most, 52 are in the box/);
  expect(lettersInWords(needed(4.12), needed(5.31))).toMatch(
    /after 4.1 of 11.3 letters .* 1.2 sooner than now \(5.3\)\.$/,
  );
  expect(lettersInWords(needed(6), needed(5.31))).toMatch(/0.7 later than now/);
  expect(lettersInWords(needed(5.32), needed(5.31))).toMatch(/on average, the same as now\.$/);
});
