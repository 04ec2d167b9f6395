import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fold } from './fold.ts';
import { longestToken } from './plainText.ts';
import { isNumberLike, normalizeCode, tokenize } from './tokenize.ts';
import { stem } from './wordForms.ts';

describe('fold', () => {
  test.each([
    ['Café', 'cafe'],
    ['NAÏVE', 'naive'],
    ['Weiß', 'weiss'],
    ['Œuvre', 'oeuvre'],
    ['ＡＢＣ', 'abc'],
    ['artist’s', 'artists'],
    ["artist's", 'artists'],
    ['smørrebrød', 'smorrebrod'],
  ])('%s is %s', (text, folded) => expect(fold(text)).toBe(folded));
});

describe('tokenize', () => {
  test.each([
    ['Hot-pressed paper', ['hot', 'pressed', 'paper']],
    ['0.5mm', ['0.5', 'mm']],
    ['0.5 mm', ['0.5', 'mm']],
    ['.5mm', ['0.5', 'mm']],
    ['0.50 mm', ['0.5', 'mm']],
    ['300gsm', ['300', 'gsm']],
    ['A4 pad', ['a4', 'pad']],
    ['10/0', ['10', '0']],
    ['WU-2041B', ['wu', '2041b']],
    ['500 ml.', ['500', 'ml']],
    ['مرحبا بالعالم', ['مرحبا', 'بالعالم']],
    ['水彩', ['水彩']],
    ['😀 %', []],
    ['', []],
    ['<b>bold</b>', ['b', 'bold', 'b']],
  ])('%s', (text, tokens) => expect(tokenize(text)).toEqual(tokens));

  test('a unit written against its number or apart is the same', () => {
    for (const unit of ['mm', 'ml', 'gsm', 'g', 'cm', 'oz'])
      expect(tokenize(`12${unit}`)).toEqual(tokenize(`12 ${unit}`));
  });

  test('a token of ten thousand letters is cut, not kept whole', () => {
    expect(tokenize('x'.repeat(10_000))).toEqual(['x'.repeat(longestToken)]);
  });
});

test('a part number is the same however it is split', () => {
  const spellings = ['WU-2041B', 'wu 2041 b', 'WU2041B', 'wu.2041-b'];
  expect(new Set(spellings.map(normalizeCode))).toEqual(new Set(['wu2041b']));
});

test('number-like tokens are those with a digit in them', () => {
  expect(['2041b', '12', 'a4'].every(isNumberLike)).toBe(true);
  expect(isNumberLike('paper')).toBe(false);
});

describe('stem', () => {
  test.each([
    ['brush', 'brushes'],
    ['paint', 'painting'],
    ['pencil', 'pencils'],
    ['press', 'pressed'],
  ])('%s and %s are forms of one word', (a, b) => expect(stem(a)).toBe(stem(b)));

  test('short words and those with digits or other letters stay as they are', () => {
    for (const word of ['oil', 'a4s', '2s', 'größe']) expect(stem(word)).toBe(word);
  });
});

test('plain texts are split as all others are', () => {
  const letters = fc.string({ unit: fc.constantFrom(...'abz AB-_.,;:/"&()[]'), maxLength: 60 });
  fc.assert(
    fc.property(letters, (text) => {
      // With a number behind it the text takes the other way.
      expect(tokenize(text)).toEqual(tokenize(`${text} | 7`).slice(0, -1));
    }),
    { seed: 5, numRuns: 400 },
  );
});
