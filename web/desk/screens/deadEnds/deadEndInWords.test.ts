import { expect, test } from '@jest/globals';
import type { DeadEndRow, RemedyRow } from '../../../../api/deadEndEndpoints.ts';
import { deadEndInWords, reachInWords, seenInWords } from './deadEndInWords.ts';

const end = (change: Partial<DeadEndRow>): DeadEndRow => ({
  ...{ search: 'clay', kind: 'nothing', cause: 'notCarried', also: [], searches: 9, sessions: 1, total: 0 },
  ...change,
});
const remedy = (change: Partial<RemedyRow>): RemedyRow => ({
  ...{ id: 'page', kind: 'page', title: '', total: 0, titles: [], message: null, mends: 1, mendsTimes: 9, others: [] },
  ...change,
});

test('what shoppers saw', () => {
  expect(deadEndInWords(end({}))).toBe('1 visit, nothing found');
  expect(deadEndInWords(end({ kind: 'unopened', sessions: 8, total: 1 }))).toBe(
    '8 visits, 1 product found, none ever opened',
  );
  expect(deadEndInWords(end({ kind: 'askedAgain', sessions: 3, total: 20 }))).toBe(
    '3 visits, 20 products found, mostly asked again in other words',
  );
});
test('what they would see', () => {
  expect(seenInWords(remedy({ message: 'We do not carry it.' }))).toBe('Shoppers read: “We do not carry it.”');
  expect(seenInWords(remedy({}))).toBe('Shoppers still find nothing.');
  expect(seenInWords(remedy({ total: 1, titles: ['Ink'] }))).toBe('Finds 1 product: Ink.');
  expect(seenInWords(remedy({ total: 1200, titles: ['Ink', 'Pen'] }))).toBe(
    'Finds 1,200 products: Ink, Pen and 1,198 more.',
  );
});
test('what else it does', () => {
  expect(reachInWords(remedy({ mendsTimes: 1 }))).toBe(
    'Mends this one, made 1 time. Changes no other search of the 200 made most.',
  );
  expect(reachInWords(remedy({ mends: 3, others: ['ink'] }))).toBe(
    'Mends 3 dead ends, made 9 times in all. Also changes “ink”.',
  );
  expect(reachInWords(remedy({ others: ['ink', 'pen', 'nib', 'pot'] }))).toBe(
    'Mends this one, made 9 times. Also changes “ink”, “pen” and 2 more of the 200 searches made most.',
  );
});
