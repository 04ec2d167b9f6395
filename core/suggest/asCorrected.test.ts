import { expect, test } from '@jest/globals';
import { asCorrected } from './asCorrected.ts';

const fixed = new Map([
  ['gray', 'grey'],
  ['past', 'paste'],
]);

test('a finished word is completed as it is always corrected', () => {
  expect(asCorrected('Gray in', fixed)).toEqual(['grey in']);
  expect(asCorrected('gray ', fixed)).toEqual(['grey ']);
});

test('a last word may still go on as it stands, and is corrected after that', () =>
  expect(asCorrected('gray past', fixed)).toEqual(['grey past', 'grey paste']));

test('what no correction is about stays as it was typed', () => {
  expect(asCorrected('Ink  Pa', fixed)).toEqual(['Ink  Pa']);
  expect(asCorrected('constructor', new Map())).toEqual(['constructor']);
});
