import { expect, test } from '@jest/globals';
import { mayBeTwoSlips, slipLikelihood } from './slips.ts';

/** From the likeliest slip to the least likely. */
const kinds = [
  ['a letter left out', 'figre', 'figure'],
  ['a letter doubled', 'sollent', 'solent'],
  ['two letters swapped', 'plaen', 'plane'],
  ['another letter in its place', 'paint', 'patnt'],
  ['a letter put in', 'plante', 'plane'],
] as const;

test('slips of one letter stand in order of how likely they are', () => {
  const likelihoods = kinds.map(([, typed, word]) => slipLikelihood(typed, word));
  expect(likelihoods).toEqual([...likelihoods].sort((a, b) => b - a));
  expect(new Set(likelihoods).size).toBe(kinds.length);
});

test('a letter left out is the measure, wherever it stood', () => {
  for (const typed of ['ouache', 'guache', 'gouach']) expect(slipLikelihood(typed, 'gouache')).toBe(1);
});

test('a letter doubled at the end is one that doubles', () => {
  expect(slipLikelihood('inkk', 'ink')).toBe(slipLikelihood('innk', 'ink'));
  expect(slipLikelihood('inks', 'ink')).toBeLessThan(slipLikelihood('inkk', 'ink'));
});

test.each([
  ['a key beside the right one', 'bruah', 'brumh', 'brush'],
  ['a key above or below it', 'brusy', 'brusl', 'brush'],
  ['a vowel for a vowel', 'brosh', 'brxsh', 'brush'],
  ['a key beside put in', 'bruash', 'brumsh', 'brush'],
])('%s is likelier than any other', (_, near, far, word) => {
  expect(slipLikelihood(near, word)).toBeGreaterThan(3 * slipLikelihood(far, word));
});

test('texts that are further apart are not told apart', () => expect(slipLikelihood('gouache', 'guash')).toBe(1));

test.each([
  ['letters left out', 'wtrcolour', 'watercolour', true],
  ['one left out, one other', 'wazercolou', 'watercolour', true],
  ['two swapped, one other', 'wateroclozr', 'watercolour', true],
  ['one doubled, one other', 'wazercollour', 'watercolour', true],
  ['vowels for vowels', 'watarcolaur', 'watercolour', true],
  ['just any two letters', 'wazercoxour', 'watercolour', false],
  ['two letters put in', 'watxercolyour', 'watercolour', false],
])('two slips: %s', (_, typed, word, expected) => expect(mayBeTwoSlips(typed, word)).toBe(expected));
