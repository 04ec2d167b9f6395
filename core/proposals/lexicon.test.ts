import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openLexicon } from './lexicon.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const licence = '  1 This file may be copied.\n  2 And changed.\n';
/** An index of lemmas without meanings, sorted as such files are. */
const indexOf = (lemmas: readonly string[]): Uint8Array =>
  bytes(
    licence +
      [...lemmas]
        .sort()
        .map((lemma) => `${lemma} n 0 0 0 0  \n`)
        .join(''),
  );
const open = (lemmas: readonly string[]) => openLexicon({ index: indexOf(lemmas), data: bytes('') });

test('words that begin another, with signs in them, first and last are found, and nothing else', () => {
  const lemmas = ['a', 'a-line', "a_b_c's", 'ab', 'abc', 'abcd', 'brush', 'brush-off', 'brush_up', 'zoo', 'zz'];
  const lexicon = open(lemmas);
  expect(lemmas.filter((lemma) => !lexicon.has(lemma.replaceAll('_', ' ')))).toEqual([]);
  const others = ['', ' ', 'abcde', 'brus', 'brusha', 'z', 'zzz', 'n', '1', 'this', 'ä', '漢'];
  expect(others.filter((word) => lexicon.has(word))).toEqual([]);
  expect(open([]).has('a')).toBe(false);
});

test('a plural is its singular', () => {
  const lexicon = open(['brush', 'berry', 'paint']);
  expect(['brushes', 'berries', 'paints'].map((word) => lexicon.has(word))).toEqual([true, true, true]);
});

describe('random words are found just where they are in the list', () => {
  test.each([1, 2, 3, 4, 5, 6, 7, 8])('seed %i', (seed) => {
    const random = seededRandom(seed);
    const letters = ['a', 'b', 'c', '-', '_', "'", '1', 'z'];
    const word = (): string =>
      Array.from({ length: 1 + Math.floor(random() * 4) }, () => pick(random, letters)).join('');
    const lemmas = new Set(Array.from({ length: Math.floor(random() * 200) }, word));
    const lexicon = open([...lemmas]);
    const wrong: string[] = [];
    for (const each of [...lemmas, ...Array.from({ length: 300 }, word)])
      if (lexicon.has(each) !== lemmas.has(each)) wrong.push(each);
    expect(wrong).toEqual([]);
  });
});

test('meanings are read where they stand', () => {
  const data = [
    '00000000 06 n 02 easel 0 stand_up 0 001 @ 00000090 n 0000 | an upright tripod  ',
    '00000090 06 n 01 tripod 0 001 ~ 00000000 n 0000 | a stand  ',
  ];
  const padded = `${data[0]!.padEnd(89)}\n${data[1]}\n`;
  const index = bytes(`${licence}easel n 1 1 @ 1 0 00000000  \ntripod n 1 1 ~ 1 0 00000090  \n`);
  const lexicon = openLexicon({ index, data: bytes(padded) });
  expect(lexicon.senses('easels')).toEqual([{ same: ['stand up'], broader: ['tripod'], narrower: [], isThing: true }]);
  expect(lexicon.senses('tripod')).toEqual([{ same: [], broader: [], narrower: ['easel', 'stand up'], isThing: true }]);
});
